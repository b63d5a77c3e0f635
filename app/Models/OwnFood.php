<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $name
 * @property array<string, mixed> $fields
 */
final class OwnFood extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'own_foods';

    protected $fillable = ['id', 'name', 'fields'];

    /** @var array<string, string> */
    protected $casts = ['fields' => 'array'];
}

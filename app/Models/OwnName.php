<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $words
 * @property string $ingredient
 */
final class OwnName extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'own_names';

    protected $fillable = ['id', 'words', 'ingredient'];
}

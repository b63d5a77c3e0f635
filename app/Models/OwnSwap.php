<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $out
 * @property string $in
 * @property float $ratio
 * @property ?string $rating
 * @property string $note
 */
final class OwnSwap extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'own_swaps';

    protected $fillable = ['id', 'out', 'in', 'ratio', 'rating', 'note'];

    /** @var array<string, string> */
    protected $casts = ['ratio' => 'float'];
}

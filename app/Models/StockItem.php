<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * Whether a food is at hand in this kitchen.
 *
 * @property string $id
 * @property string $ingredient
 * @property string $state at-hand, low or out
 */
final class StockItem extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    public const STATES = ['at-hand', 'low', 'out'];

    protected $table = 'stock';

    protected $fillable = ['id', 'ingredient', 'state'];
}

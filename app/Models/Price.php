<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * What a pack of a food cost this kitchen, in its own money.
 *
 * @property string $id
 * @property string $ingredient
 * @property float $grams
 * @property float $price
 */
final class Price extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'prices';

    protected $fillable = ['id', 'ingredient', 'grams', 'price'];

    /** @var array<string, string> */
    protected $casts = ['grams' => 'float', 'price' => 'float'];
}

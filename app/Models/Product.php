<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $id
 * @property string $name
 * @property ?string $number
 * @property \Illuminate\Database\Eloquent\Collection<int, ProductReading> $readings
 */
final class Product extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'products';

    protected $fillable = ['id', 'name', 'number'];

    /** @return HasMany<ProductReading, $this> every wording that was read, the newest first */
    public function readings(): HasMany
    {
        $readings = $this->hasMany(ProductReading::class);
        $readings->latest()->latest('id');

        return $readings;
    }
}

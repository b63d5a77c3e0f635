<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $product_id
 * @property string $ingredients
 * @property ?string $photo_id the photograph it was read from
 * @property CarbonImmutable $read_on
 * @property string $worst
 * @property string $data_version
 */
final class ProductReading extends Model
{
    use BelongsToKitchen, HasUuids;

    protected $table = 'product_readings';

    protected $fillable = ['product_id', 'ingredients', 'read_on', 'worst', 'data_version', 'photo_id'];

    /** @var array<string, string> */
    protected $casts = ['read_on' => 'immutable_date'];

    protected $dateFormat = 'Y-m-d H:i:s.u';
}

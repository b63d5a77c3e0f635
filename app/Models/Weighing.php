<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * What a dog weighed on a day.
 *
 * @property string $id
 * @property string $dog_id
 * @property CarbonImmutable $weighed_on
 * @property float $kg
 */
final class Weighing extends Model
{
    use BelongsToKitchen, HasUuids;

    protected $fillable = ['dog_id', 'weighed_on', 'kg'];

    /** @var array<string, string> */
    protected $casts = ['kg' => 'float', 'weighed_on' => 'immutable_date'];
}

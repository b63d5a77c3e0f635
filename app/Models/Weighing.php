<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a dog weighed on a day.
 *
 * @property string $id
 * @property string $dog_id
 * @property CarbonImmutable $weighed_on
 * @property float $kg
 * @property ?int $body_condition from 1 to 9, where it was looked at
 * @property Dog $dog
 */
final class Weighing extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'weighings';

    protected $fillable = ['id', 'dog_id', 'weighed_on', 'kg', 'body_condition'];

    /** @return BelongsTo<Dog, $this> */
    public function dog(): BelongsTo
    {
        return $this->belongsTo(Dog::class);
    }

    /** @var array<string, string> */
    protected $casts = ['kg' => 'float', 'body_condition' => 'integer', 'weighed_on' => 'immutable_date'];
}

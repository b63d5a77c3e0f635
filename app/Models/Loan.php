<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What an occasion of one day borrowed from the days after it, for one dog. The database refuses to change one.
 *
 * @property string $id
 * @property string $dog_id
 * @property string $on
 * @property CarbonImmutable $at
 * @property string $by
 * @property float $kcal
 * @property array<string, float> $days kcal by day
 */
final class Loan extends Model
{
    use BelongsToKitchen;

    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $fillable = ['id', 'dog_id', 'on', 'at', 'by', 'kcal', 'days'];

    protected $dateFormat = 'Y-m-d H:i:s.vO';

    /** @var array<string, string> */
    protected $casts = ['at' => 'immutable_datetime', 'kcal' => 'float', 'days' => 'array'];
}

<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What an act did to one bag. The database refuses to change one.
 *
 * @property string $act_id
 * @property int $n
 * @property string $bag_id
 * @property CarbonImmutable $at
 * @property string $on
 * @property string $kind
 * @property string $said JSON
 */
final class BagEvent extends Model
{
    use BelongsToKitchen;

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'act_id';

    protected $keyType = 'string';

    protected $table = 'bag_events';

    protected $fillable = ['act_id', 'n', 'bag_id', 'at', 'on', 'kind', 'said'];

    protected $dateFormat = 'Y-m-d H:i:s.vO';

    /** @var array<string, string> */
    protected $casts = ['at' => 'immutable_datetime', 'n' => 'integer'];
}

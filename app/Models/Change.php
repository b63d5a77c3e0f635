<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * That a row was changed, in the order of the kitchen's own count, with what stood in its columns before.
 *
 * @property int $number
 * @property string $kind
 * @property ?string $row_id null for the kitchen itself
 * @property int $version of the row after it
 * @property array<string, mixed> $before
 * @property ?string $page that made it, where it said so
 * @property CarbonImmutable $made_at
 */
final class Change extends Model
{
    use BelongsToKitchen;

    protected $table = 'changes';

    protected $primaryKey = 'number';

    public $incrementing = false;

    public $timestamps = false;

    protected $fillable = ['number', 'kind', 'row_id', 'version', 'before', 'page', 'made_at'];

    /** @var array<string, string> */
    protected $casts = ['number' => 'integer', 'version' => 'integer', 'before' => 'array', 'made_at' => 'immutable_datetime'];
}

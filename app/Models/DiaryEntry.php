<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What somebody wrote down of a dog. The database refuses to change one.
 *
 * @property string $id
 * @property string $dog_id
 * @property string $on the day it is of
 * @property CarbonImmutable $at when it was written
 * @property string $by
 * @property string $kind taken, sign, well or note
 * @property array<string, mixed> $said
 * @property ?string $photo_id
 */
final class DiaryEntry extends Model
{
    use BelongsToKitchen;

    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $fillable = ['id', 'dog_id', 'on', 'at', 'by', 'kind', 'said', 'photo_id', 'came_at'];

    protected $dateFormat = 'Y-m-d H:i:s.vO';

    /** @var array<string, string> */
    protected $casts = ['at' => 'immutable_datetime', 'came_at' => 'immutable_datetime', 'said' => 'array'];

    /** @return array<string, mixed> as the page is told */
    public function told(bool $isUndone): array
    {
        return [
            'id' => $this->id, 'dog' => $this->dog_id, 'on' => substr($this->on, 0, 10), 'at' => $this->at->utc()->format('Y-m-d\TH:i:s.v\Z'), 'by' => $this->by, 'kind' => $this->kind,
            'said' => (object) $this->said, 'photo' => $this->photo_id, 'undone' => $isUndone,
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What one dog was given at one moment. The database refuses to change one; `gift` binds what was given to several at once.
 *
 * @property string $id
 * @property string $gift
 * @property string $dog_id
 * @property string $on
 * @property CarbonImmutable $at
 * @property string $by
 * @property string $kind pieces, text, label or taste
 * @property ?string $batch_id
 * @property ?string $bag_id
 * @property ?float $pieces
 * @property string $words
 * @property ?string $label JSON
 * @property bool $unsure
 */
final class LedgerEntry extends Model
{
    use BelongsToKitchen;

    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $fillable = ['id', 'gift', 'dog_id', 'on', 'at', 'by', 'kind', 'batch_id', 'bag_id', 'pieces', 'words', 'label', 'unsure', 'came_at'];

    protected $dateFormat = 'Y-m-d H:i:s.vO';

    /** @var array<string, string> */
    protected $casts = ['at' => 'immutable_datetime', 'came_at' => 'immutable_datetime', 'pieces' => 'float', 'unsure' => 'boolean'];

    /** @return array<string, mixed> as the page is told */
    public function told(bool $isUndone): array
    {
        return [
            'id' => $this->id, 'gift' => $this->gift, 'dog' => $this->dog_id, 'on' => substr($this->on, 0, 10), 'at' => $this->at->utc()->format('Y-m-d\TH:i:s.v\Z'), 'by' => $this->by, 'kind' => $this->kind,
            'batch' => $this->batch_id, 'bag' => $this->bag_id, 'pieces' => $this->pieces, 'words' => $this->words, 'unsure' => $this->unsure, 'undone' => $isUndone,
        ];
    }
}

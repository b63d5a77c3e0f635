<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use MildBowl\Core\Keeping\JarAct as Act;

/**
 * Something that somebody did at the jars. The database refuses to change one.
 *
 * @property string $id
 * @property CarbonImmutable $at
 * @property string $by
 * @property string $do
 * @property string $said JSON
 * @property ?string $corrects
 */
final class JarAct extends Model
{
    use BelongsToKitchen;

    private const EVERYBODY = 'the oven';

    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $table = 'jar_acts';

    protected $fillable = ['id', 'at', 'by', 'do', 'said', 'corrects', 'came_at'];

    protected $dateFormat = 'Y-m-d H:i:s.vO';

    /** @var array<string, string> */
    protected $casts = ['at' => 'immutable_datetime', 'came_at' => 'immutable_datetime'];

    public static function write(Act $act, CarbonImmutable $cameAt): void
    {
        self::query()->create([
            'id' => $act->id, 'at' => new CarbonImmutable($act->at), 'by' => $act->by === '' ? self::EVERYBODY : $act->by, 'do' => $act->kind->value,
            'said' => json_encode((object) $act->said, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), 'corrects' => $act->corrects, 'came_at' => $cameAt,
        ]);
    }

    /** @return list<Batch> of which this put something away, or took that back: of each, what stands about is another than before */
    public function batches(): array
    {
        $of = $this->corrects === null ? $this : self::query()->find($this->corrects);
        $id = $of === null ? null : (json_decode($of->said, true, 64, JSON_THROW_ON_ERROR)['batch'] ?? null);
        $batch = is_string($id) ? Batch::query()->find($id) : null;

        return $batch === null ? [] : [$batch];
    }

    /** @return array<string, mixed> as the page is told */
    public function told(): array
    {
        return ['id' => $this->id, 'at' => $this->at->utc()->format('Y-m-d\TH:i:s.v\Z'), 'by' => $this->by, 'do' => $this->do, 'said' => (object) json_decode($this->said, false, 64, JSON_THROW_ON_ERROR), 'corrects' => $this->corrects];
    }
}

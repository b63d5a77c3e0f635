<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use MildBowl\Core\Contract\BatchLog;
use MildBowl\Core\Contract\LogReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Making\Entry;
use stdClass;

/**
 * A batch: the recipe, the dogs, the cut, the answer and the plan as they were when it was begun, and the log of what was done since.
 *
 * @phpstan-import-type Formulated from BatchLog
 * @phpstan-import-type Work from BatchLog
 *
 * @property string $id
 * @property ?string $recipe_id
 * @property string $title
 * @property string $oven
 * @property string $question JSON
 * @property string $answer JSON
 * @property string $plan JSON
 * @property string $data_version
 * @property CarbonImmutable $begun_at
 * @property string $begun_by
 * @property array<string, mixed> $summary
 * @property \Illuminate\Database\Eloquent\Collection<int, BatchEntry> $entries
 */
final class Batch extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    /** Where a kitchen has one and gave it no name. */
    public const OVEN = 'the oven';

    protected $table = 'batches';

    protected $fillable = ['id', 'recipe_id', 'title', 'oven', 'question', 'answer', 'plan', 'data_version', 'begun_at', 'begun_by', 'summary'];

    /** @var array<string, string> */
    protected $casts = ['begun_at' => 'immutable_datetime', 'summary' => 'array'];

    protected $dateFormat = 'Y-m-d H:i:s.vO';

    /** @return list<string> */
    protected function unsaid(): array
    {
        return ['summary'];
    }

    /** @return HasMany<BatchEntry, $this> */
    public function entries(): HasMany
    {
        $entries = $this->hasMany(BatchEntry::class);
        $entries->getQuery()->where('batch_entries.kitchen_id', $this->kitchen_id)->orderBy('at')->orderBy('id');

        return $entries;
    }

    /** Whether a dog, by its id or its name, sat at the table when it was begun. */
    public function sits(string $dog): bool
    {
        /** @var stdClass $question */
        $question = json_decode($this->question, false, 64, JSON_THROW_ON_ERROR);
        foreach (is_array($question->dogs ?? null) ? $question->dogs : [] as $one) {
            if ($one instanceof stdClass && in_array($dog, [$one->id ?? null, $one->name ?? null], true)) {
                return true;
            }
        }

        return false;
    }

    /** What was written down, held against what was planned. */
    public function log(): BatchLog
    {
        /** @var stdClass $question */
        $question = json_decode($this->question, false, 64, JSON_THROW_ON_ERROR);
        /** @var Formulated $answer */
        $answer = json_decode($this->answer, true, 64, JSON_THROW_ON_ERROR);
        /** @var Work $plan */
        $plan = json_decode($this->plan, true, 64, JSON_THROW_ON_ERROR);

        return new BatchLog($question, $answer, $plan, array_values(array_map(static fn (BatchEntry $one): Entry => LogReader::entry(new Node((object) $one->told())), $this->entries()->get()->all())));
    }
}

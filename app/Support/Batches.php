<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Dog;
use App\Models\Photo;
use App\Models\PlannedBake;
use App\Models\Recipe;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Making\EntryKind;
use MildBowl\Core\Questions\RequestRefused;
use stdClass;

/** Begins batches from what is asked about a sheet, adds to their logs, and says what follows. Every rule of the log is core's. */
final readonly class Batches
{
    /** Columns of a summary that `learn` takes, by its own keys. */
    private const LEARNS = ['plannedMinutes' => 'plannedMinutes', 'minutes' => 'actualMinutes', 'computedGrams' => 'computedBakedGrams', 'bakedGrams' => 'bakedGrams', 'computedCount' => 'computedCount', 'count' => 'count'];

    /** h that a clock may be off before what it says is refused. */
    private const CLOCK_OFF = 26;

    public function __construct(private Contract $contract, private KitchenQuestion $questions, private KitchenClock $clock, private CurrentKitchen $current, private BatchRecords $records, private Jars $jars, private Ledger $ledger) {}

    /**
     * @param  stdClass  $asked  what would be asked about the sheet
     * @param  string  $startAt  a minute of the kitchen's own clock
     * @param  array{id?: string, ovens?: ?int, trays?: ?int}  $more
     *
     * @throws RequestRefused with the place in what was asked
     */
    public function begin(stdClass $asked, ?string $title, CarbonImmutable $at, string $startAt, string $by, string $oven = Batch::OVEN, array $more = []): Batch
    {
        $this->notInTheFuture($at);
        $recipe = $asked->recipe->id ?? null;
        $kept = is_string($recipe) ? Recipe::query()->find($recipe) : null;
        try {
            $question = $this->questions->whole($asked, $oven);
            $answer = $this->contract->answerTo('formulate', $question);
            $work = ['version' => 1, 'question' => $question, 'startAt' => $startAt, 'ovens' => $more['ovens'] ?? null, 'trays' => $more['trays'] ?? null];
            $plan = $this->contract->answerTo('bake', (object) array_filter($work, static fn (mixed $one): bool => $one !== null));
        } catch (RequestRefused $refused) {
            throw in_array($refused->path, ['/startAt', '/ovens', '/trays'], true) ? $refused : $refused->within('/asked');
        }
        $title ??= $kept?->title;
        $batch = new Batch(array_intersect_key($more, ['id' => 1]) + [
            'recipe_id' => $kept?->id, 'title' => is_string($title) && trim($title) !== '' ? $title : 'A batch without a name', 'oven' => $oven,
            'question' => self::json($question), 'answer' => self::json($answer), 'plan' => self::json($plan), 'data_version' => (string) $answer['dataVersion'],
            'begun_at' => $at, 'begun_by' => $by, 'summary' => [],
        ]);
        $batch->kitchen_id = $this->current->id();
        $batch->summary = $batch->log()->summary();
        $batch->save();
        PlannedBake::answer($batch, $this->clock->today()->format('Y-m-d'));

        return $batch->refresh();
    }

    /** @throws RequestRefused when it cannot be so */
    public function add(Batch $batch, Entry $entry): BatchEntry
    {
        if (! Str::isUuid($entry->id) || ($entry->corrects !== null && ! Str::isUuid($entry->corrects))) {
            throw RequestRefused::outOfRange(Str::isUuid($entry->id) ? '/corrects' : '/id', 'This must be a UUID.');
        }
        $known = BatchEntry::query()->where('id', $entry->id)->first();
        if ($known !== null) {
            return $known->batch_id === $batch->id ? $known : throw RequestRefused::outOfRange('/id', 'This entry stands in the log of another batch.');
        }
        $at = new CarbonImmutable($entry->at);
        $this->notInTheFuture($at);
        if ($at->lessThan($batch->begun_at->subHours(self::CLOCK_OFF))) {
            throw RequestRefused::outOfRange('/at', 'That moment lies before this batch was begun: is the clock of this device right?');
        }
        $this->known($batch, $entry);
        $log = $batch->log();
        $why = $log->log->refusal($entry, $log->planned);
        if ($why !== null) {
            throw RequestRefused::outOfRange('/said', $why);
        }
        $kept = $this->records->write($batch, $entry);
        $batch->summary = $batch->log()->summary();
        $this->asked($batch, $entry);
        $batch->save();
        $this->jars->followLog($batch, $entry);
        $this->ledger->followLog($batch, $entry);
        $batch->touched([]);

        return $kept;
    }

    /** @throws RequestRefused */
    private function notInTheFuture(CarbonImmutable $at): void
    {
        if ($at->greaterThan($this->clock->now()->addHours(self::CLOCK_OFF))) {
            throw RequestRefused::outOfRange('/at', 'That moment lies in the future: is the clock of this device right?');
        }
    }

    /**
     * What an entry names is there: a photograph of this kitchen, a dog of it or of the batch.
     *
     * @throws RequestRefused
     */
    private function known(Batch $batch, Entry $entry): void
    {
        $photo = $entry->kind === EntryKind::Photo ? (string) $entry->text('photo') : null;
        if ($photo !== null && (! Str::isUuid($photo) || ! Photo::query()->whereKey($photo)->exists())) {
            throw RequestRefused::outOfRange('/said/photo', 'No photograph of this kitchen has this id.');
        }
        $dog = $entry->kind === EntryKind::Tasted ? (string) $entry->text('dog') : null;
        if ($dog !== null && ! $batch->sits($dog) && (! Str::isUuid($dog) || ! Dog::query()->whereKey($dog)->exists())) {
            throw RequestRefused::outOfRange('/said/dog', 'No dog of this kitchen has this id.');
        }
    }

    /**
     * What went in can be reckoned with; else every figure of the batch would be lost from here on.
     *
     * @throws RequestRefused
     */
    private function asked(Batch $batch, Entry $entry): void
    {
        if ($entry->kind !== EntryKind::Made && $entry->kind !== EntryKind::Undone) {
            return;
        }
        try {
            $this->contract->answerTo('formulate', $batch->log()->question());
        } catch (RequestRefused $refused) {
            throw RequestRefused::outOfRange('/said/entry', $refused->getMessage());
        }
    }

    /** @return array<string, mixed> what `formulate` answers about what was made; explained, it is written out as well */
    public function figures(Batch $batch, bool $explain): array
    {
        $question = $batch->log()->question();
        $question->explain = $explain;

        return $this->questions->inUnits($this->contract->answerTo('formulate', $question));
    }

    /** @return list<array<string, mixed>> each lesson with its oven and the batches it is told from */
    public function lessons(): array
    {
        $bakes = $told = [];
        foreach (Batch::query()->select(['kitchen_id', 'id', 'oven', 'begun_at', 'summary'])->orderBy('begun_at')->get() as $batch) {
            foreach ($batch->summary['state'] === 'finished' && is_array($batch->summary['lots']) ? $batch->summary['lots'] : [] as $lot) {
                $bake = (object) ['on' => $batch->begun_at->setTimezone($this->current->get()->timezone)->format('Y-m-d'), 'class' => $lot['class']];
                foreach (self::LEARNS as $from => $to) {
                    $bake->{$to} = $lot[$from];
                }
                $bake->wetness = $batch->summary['wetness'];
                $bake->felt = $batch->summary['felt'];
                $bakes[$batch->oven][] = [$bake, $batch->id];
            }
        }
        foreach ($bakes as $oven => $of) {
            $answer = $this->contract->answerTo('learn', (object) ['version' => 1, 'bakes' => array_column($of, 0)]);
            /** @var list<array<string, mixed>> $learned */
            $learned = $answer['learned'];
            foreach ($learned as $lesson) {
                $used = array_values(array_filter($of, static fn (array $one): bool => $one[0]->class === $lesson['class'] && self::tells($one[0], (string) $lesson['of'])));
                $told[] = ['oven' => (string) $oven, 'batches' => array_slice(array_column($used, 1), -5)] + $lesson;
            }
        }

        return $told;
    }

    /** Whether a bake measured what is learned of it. */
    private static function tells(stdClass $bake, string $of): bool
    {
        [$was, $computed] = match ($of) {
            'minutes' => [$bake->actualMinutes, $bake->plannedMinutes], 'mass' => [$bake->bakedGrams, $bake->computedBakedGrams], 'count' => [$bake->count, $bake->computedCount], default => [$bake->felt, $bake->wetness],
        };

        return $was !== null && $computed !== null && (float) $computed !== 0.0;
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }
}

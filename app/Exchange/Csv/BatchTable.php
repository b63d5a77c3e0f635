<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use App\Models\Batch;
use App\Models\Recipe;
use App\Support\Batches;
use App\Support\BatchRecords;
use App\Support\CurrentKitchen;
use Carbon\CarbonImmutable;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Making\EntryKind;
use MildBowl\Core\Making\Kind;
use MildBowl\Core\Questions\RequestRefused;
use Ramsey\Uuid\Uuid;

/** What was baked: a batch a row. One from outside is begun of the recipe of its title, counted, weighed and finished. */
final readonly class BatchTable implements Table
{
    private const AT_ONCE = 200;

    private const NAMESPACE = '6f1f6c0e-5c0e-5b0e-9d0c-2f6a1c0e7a13';

    private const TEN = '10:00';

    /** min after it was begun, when it is counted at the latest. */
    private const COLD = 300;

    public function __construct(private Batches $batches, private BatchRecords $records, private CurrentKitchen $current) {}

    public function columns(): array
    {
        return ['id' => false, 'recipe' => true, 'title' => false, 'begun' => true, 'by' => false, 'oven' => false, 'state' => false, 'pieces' => false, 'g baked' => false, 'min in the heat' => false, 'next time' => false, 'sheet' => false, 'method' => false];
    }

    public function rows(): iterable
    {
        $titles = Recipe::withTrashed()->pluck('title', 'id');
        foreach (Batch::query()->orderBy('begun_at')->orderBy('id')->lazy(self::AT_ONCE) as $one) {
            /** @var Batch $one */
            $said = $one->summary;
            $asked = json_decode($one->question, true, 64, JSON_THROW_ON_ERROR);
            assert(is_array($asked));
            $lot = is_array($said['lots'] ?? null) ? ($said['lots'][0] ?? []) : [];
            $number = static fn (mixed $value): string => is_int($value) || is_float($value) ? Cells::number($value) : '';
            yield [$one->id, (string) ($titles[$one->recipe_id] ?? ''), $one->title, Cells::moment($one->begun_at), $one->begun_by, $one->oven, Cells::text($said['state'] ?? ''), $number($said['count'] ?? null), $number($said['bakedGrams'] ?? null), $number($lot['minutes'] ?? null), Cells::text($said['next'] ?? ''), Cells::text($asked['recipe']['text'] ?? ''), Cells::text($asked['recipe']['steps'] ?? '')];
        }
    }

    public function take(Row $row): string
    {
        $begun = $row->text('begun', 40);
        $at = preg_match('/^\d{4}-\d\d-\d\d$/', $begun) === 1 ? new CarbonImmutable($row->day('begun').' '.self::TEN, $this->current->get()->timezone) : ($row->moment('begun') ?? throw new CellRefused('begun', 'Say when it was begun.'));
        $id = $row->id('id') ?? (string) Uuid::uuid5(self::NAMESPACE, $row->sum());
        if (Batch::withTrashed()->whereKey($id)->exists()) {
            return 'same';
        }
        $title = $row->text('recipe', 200);
        $recipe = Recipe::query()->whereRaw('lower(title) = lower(?)', [$title])->orderBy('created_at')->first() ?? throw new CellRefused('recipe', "There is no recipe called \"$title\" on the shelf: take it in first, or write its title as it stands there.");
        $by = $row->who('by', $this->current->get()->baker);
        try {
            // the sheet as it was baked, where it is told; the recipe may have been changed since
            $sheet = array_filter(['text' => $row->text('sheet', 20_000, false), 'steps' => $row->text('method', 20_000, false)], static fn (string $one): bool => $one !== '');
            $asked = json_decode((string) json_encode(['recipe' => ['id' => $recipe->id] + $sheet]), false);
            $batch = $this->batches->begin($asked, $row->maybe('title', 200) ?? $recipe->title, $at, $at->setTimezone($this->current->get()->timezone)->format('Y-m-d\TH:i'), $by, $row->maybe('oven', 60) ?? Batch::OVEN, ['id' => $id]);
            $this->records->record($batch, $this->log($row, $batch, $at, $by));
        } catch (RequestRefused $refused) {
            throw new CellRefused(match (true) {
                str_starts_with($refused->path, '/at'), str_starts_with($refused->path, '/startAt') => 'begun',
                $refused->path === '/said' => $row->has('g baked') ? 'g baked' : 'pieces',
                str_starts_with($refused->path, '/asked') && $row->has('sheet') => 'sheet',
                default => 'recipe',
            }, $refused->getMessage());
        }

        return 'new';
    }

    /** @return list<Entry> */
    private function log(Row $row, Batch $batch, CarbonImmutable $at, string $by): array
    {
        $pieces = $row->number('pieces', 0, 100_000);
        $grams = $row->number('g baked', 0, 100_000);
        $minutes = $row->number('min in the heat', 0.5, 1500);
        $next = $row->maybe('next time', 500);
        $told = [];
        $n = 0;
        $tell = static function (float $after, EntryKind $kind, array $said) use (&$told, &$n, $batch, $at, $by): void {
            $told[] = new Entry((string) Uuid::uuid5($batch->id, 'row '.$n++), $at->addSeconds((int) round(60 * $after))->utc()->format('Y-m-d\TH:i:s.v\Z'), $by, $kind, $said);
        };
        $end = (float) self::COLD;
        $plan = json_decode($batch->plan, true, 64, JSON_THROW_ON_ERROR);
        foreach (is_array($plan) && is_array($plan['steps'] ?? null) ? $plan['steps'] : [] as $step) {
            if ($minutes !== null && $step['kind'] === Kind::Heat->value) {
                $tell((float) $step['startsAfterMinutes'], EntryKind::Begun, ['step' => $step['id']]);
                $tell($step['startsAfterMinutes'] + $minutes, EntryKind::Done, ['step' => $step['id']]);
                $end = max($end, $step['startsAfterMinutes'] + $minutes + 1);
                break;
            }
        }
        if ($pieces !== null) {
            $tell($end, EntryKind::Count, ['pieces' => $pieces]);
        }
        if ($grams !== null) {
            $tell($end + 1, EntryKind::Weight, ['grams' => $grams]);
        }
        if ($next !== null) {
            $tell($end + 2, EntryKind::Note, ['about' => 'next', 'text' => $next]);
        }
        $state = $row->choice('state', ['finished', 'making', 'given-up'], false);
        if ($state === null || $state === 'finished') {
            $tell($end + 3, EntryKind::Finished, []);
        }

        return $told;
    }

    public function finish(): void {}
}

<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Batch;
use App\Models\Dog;
use App\Models\Recipe;
use App\Support\Batches;
use App\Support\BatchRecords;
use App\Support\KitchenClock;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Making\EntryKind;
use MildBowl\Core\Making\Kind;

/**
 * A dozen batches of the demo kitchen, Thursdays long, and one that is in the oven: made up, as they might have been made. The oven runs
 * a little cool; one batch burnt, one dough was too wet, one was doubled.
 *
 * @phpstan-type Step array{id: string, kind: string, minutes: array{low: float|int, best: float|int, high: float|int}, startsAfterMinutes: float|int, hands: string}
 */
final class BatchSeeder extends Seeder
{
    private const BAKER = 'Ines Marlow';

    private const HELPER = 'Tom Reed';

    /** after it was begun, when it is counted */
    private const MINUTES_TO_COLD = 300.0;

    /**
     * Weeks ago, recipe, share of the planned minutes it took, share of the reckoned pieces and weight that came out, and what was particular.
     *
     * @var list<array{int, string, float, float, float, array<string, mixed>}>
     */
    private const PAST = [
        [12, 'Beetroot and barley rounds', 1.10, 0.95, 0.99, ['next' => 'a minute longer on the lower shelf']],
        [11, 'Mussel and millet fingers', 1.15, 0.92, 0.97, []],
        [10, 'Lentil and celery crisps', 1.60, 0.97, 0.88, ['burnt' => 14, 'oven' => 'the back left corner is hotter', 'next' => 'look at 15 minutes, turn the tray']],
        [9, 'Beetroot and barley rounds', 1.15, 0.96, 1.00, ['made' => ['2 tsp water']]],
        [8, 'Venison and parsnip coins', 1.12, 0.98, 0.98, ['made' => ['1 tbsp sorghum flour'], 'felt' => 'tacky, drop or ball', 'next' => 'the parsnips were wet: grate them coarse']],
        [7, 'Pear and sorghum squares', 1.05, 1.0, 1.02, ['edges' => 30]],
        [6, 'Iced melon and fennel coins', 1.0, 0.9, 1.0, []],
        [5, 'Mussel and millet fingers', 1.18, 0.94, 0.96, ['made' => ['1 tbsp water'], 'felt' => 'stiff, rolls with effort']],
        [4, 'Beetroot and barley rounds', 1.20, 0.93, 0.98, ['broken' => 5, 'next' => 'chill the dough before stamping']],
        [3, 'Venison and parsnip coins', 1.10, 0.97, 0.99, ['tasted' => ['Bosun', 'licked the spoon', true]]],
        [2, 'Beetroot and barley rounds', 1.12, 0.95, 0.99, ['double' => true, 'next' => 'a double batch wants the mixer']],
        [1, 'Lentil and celery crisps', 1.10, 0.98, 0.97, ['tasted' => ['Odette', 'a raw celery end', false]]],
    ];

    public function run(Batches $batches, BatchRecords $records, KitchenClock $clock): void
    {
        $now = $clock->now();
        foreach (self::PAST as [$weeks, $title, $longer, $count, $mass, $how]) {
            $at = $now->subWeeks($weeks)->setTime(9, 30 + $weeks % 3 * 10);
            $batch = $this->begin($batches, $title, $at, ($how['double'] ?? false) === true);
            $records->record($batch, $this->past($batch, $at, $longer, $count, $mass, $how));
        }
        $at = $now->subMinutes(26);
        $batch = $this->begin($batches, 'Mussel and millet fingers', $at, false);
        $records->record($batch, $this->inTheOven($batch, $at));
    }

    private function begin(Batches $batches, string $title, CarbonImmutable $at, bool $isDouble): Batch
    {
        $recipe = Recipe::query()->where('title', $title)->firstOrFail();
        $asked = json_decode((string) json_encode(['recipe' => ['id' => $recipe->id]]), false);
        if ($isDouble) {
            $asked->recipe->text = "For the dough:\n4 cups barley flour\n1 cup rolled oats\n2 medium beetroots, grated\n2 large eggs\n2 tbsp rapeseed oil\n4 tbsp parsley, chopped\n1/2 cup water";
        }

        return $batches->begin($asked, $title.($isDouble ? ', doubled' : ''), $at, $at->format('Y-m-d\TH:i'), self::BAKER);
    }

    /**
     * @param  array<string, mixed>  $how
     * @return list<Entry>
     */
    private function past(Batch $batch, CarbonImmutable $at, float $longer, float $count, float $mass, array $how): array
    {
        $log = $batch->log();
        $planned = $log->planned->of(null);
        $told = [];
        $clock = 0.0;
        foreach (is_array($how['made'] ?? null) ? $how['made'] : [] as $text) {
            $told[] = self::entry($at, 8, EntryKind::Made, ['entry' => ['text' => $text], 'says' => "+ $text"]);
        }
        if (isset($how['felt'])) {
            $told[] = self::entry($at, 7, EntryKind::Felt, ['feel' => $how['felt']]);
        }
        foreach (self::steps($batch) as $step) {
            $begins = (float) $step['startsAfterMinutes'] + $clock;
            $isHot = in_array($step['kind'], [Kind::Heat->value, Kind::Dry->value], true);
            $takes = $step['minutes']['best'] * ($isHot ? $longer : 1.0);
            if ($step['hands'] === 'off') {
                $told[] = self::entry($at, $begins, EntryKind::Begun, ['step' => $step['id']]);
            }
            $told[] = self::entry($at, $begins + $takes, EntryKind::Done, ['step' => $step['id']], $step['kind'] === Kind::Turn->value ? self::HELPER : self::BAKER);
            $clock += $takes - $step['minutes']['best'];
        }
        $end = self::MINUTES_TO_COLD;
        if (is_array($how['tasted'] ?? null)) {
            [$name, $what, $took] = $how['tasted'];
            $dog = Dog::query()->where('name', $name)->firstOrFail();
            $told[] = self::entry($at, 9, EntryKind::Tasted, ['dog' => $dog->id, 'name' => $name, 'what' => $what, 'took' => $took, 'ofBatch' => str_contains((string) $what, 'spoon')] + ($took ? ['grams' => 2.0] : []));
        }
        $pieces = (int) floor($planned['count'] * $count);
        $wasted = (int) (is_int($how['burnt'] ?? null) ? $how['burnt'] : (is_int($how['broken'] ?? null) ? $how['broken'] : 0));
        $told[] = self::entry($at, $end, EntryKind::Count, ['pieces' => (float) ($pieces - $wasted)]);
        $told[] = self::entry($at, $end + 1, EntryKind::Weight, ['grams' => round(min($planned['bakedGrams'] * $mass, $planned['doughGrams']) * ($pieces - $wasted) / max(1, $pieces))]);
        foreach (['burnt', 'broken'] as $why) {
            $told = isset($how[$why]) ? [...$told, self::entry($at, $end + 2, EntryKind::Waste, ['pieces' => (float) $wasted, 'why' => $why])] : $told;
        }
        if (is_int($how['edges'] ?? null)) {
            $told[] = self::entry($at, $end + 2, EntryKind::Waste, ['grams' => (float) $how['edges'], 'why' => 'edges']);
        }
        foreach (['oven', 'next'] as $about) {
            $told = isset($how[$about]) ? [...$told, self::entry($at, $end + 3, EntryKind::Note, ['about' => $about, 'text' => $how[$about]])] : $told;
        }
        $told[] = self::entry($at, $end + 4, EntryKind::Finished);

        return $told;
    }

    /** @return list<Entry> everything up to the first sheet, which has been in the heat for some minutes */
    private function inTheOven(Batch $batch, CarbonImmutable $at): array
    {
        $told = [];
        $minute = 0.0;
        foreach (self::steps($batch) as $step) {
            if ($step['kind'] === Kind::Heat->value) {
                $in = $at->addMinutes(19);
                $told[] = self::entry($in, 0, EntryKind::Begun, ['step' => $step['id']]);
                $told[] = self::entry($in, 0, EntryKind::Timer, ['timer' => $step['id'], 'step' => $step['id'], 'name' => 'in the heat', 'seconds' => 60.0 * $step['minutes']['best']]);
                break;
            }
            if ($step['hands'] === 'off') {
                $told[] = self::entry($at, $minute, EntryKind::Begun, ['step' => $step['id']]);
            }
            $minute = min(18.0, $minute + min(4.0, (float) $step['minutes']['best']));
            $told[] = self::entry($at, $minute, EntryKind::Done, ['step' => $step['id']]);
        }

        return $told;
    }

    /** @return list<Step> */
    private static function steps(Batch $batch): array
    {
        /** @var array{steps: list<Step>} $plan */
        $plan = json_decode($batch->plan, true, 64, JSON_THROW_ON_ERROR);

        return $plan['steps'];
    }

    /** @param  array<string, mixed>  $said */
    private static function entry(CarbonImmutable $at, float $minutes, EntryKind $kind, array $said = [], string $by = self::BAKER): Entry
    {
        return new Entry((string) Str::uuid7(), $at->utc()->addMilliseconds((int) round(60000 * $minutes))->format('Y-m-d\TH:i:s.v\Z'), $by, $kind, $said);
    }
}

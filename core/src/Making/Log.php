<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Values\Figure;

/**
 * What was written down of a batch while it was made, and what follows from it. Entries may come in any order and from several hands: what
 * stands depends on what they say, and not on when they arrived.
 */
final readonly class Log
{
    private const LONGEST_TIMER = 16 * 3600;

    /** °C that nothing in an oven has at its core, or in a freezer. */
    private const CORE_FROM = -30.0;

    private const CORE_TO = 130.0;

    /** What the scale shows may be over the dough by this share: a tray, a crumb, a draught. */
    private const SLACK = 1.02;

    /** times all the dough that no single thing in it weighs, whoever doubled it. */
    private const MUCH_MORE = 3.0;

    /** times what was reckoned that nobody puts away uncounted. */
    private const UNCOUNTED = 2.0;

    /** @var list<Entry> what stands, in the order it happened */
    public array $standing;

    /** @param  list<Entry>  $entries */
    public function __construct(private array $entries)
    {
        $this->standing = self::standing($entries);
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private static function standing(array $entries): array
    {
        $by = [];
        foreach ($entries as $entry) {
            $by[$entry->id] ??= $entry;
        }
        uasort($by, static fn (Entry $one, Entry $two): int => [$one->at, $one->id] <=> [$two->at, $two->id]);
        $gone = $inPlace = [];
        foreach ($by as $entry) {
            if ($entry->corrects === null || ! isset($by[$entry->corrects])) {
                continue;
            }
            // of two who correct the same, the later counts
            $first = self::first($entry, $by);
            foreach ($inPlace[$first->id] ?? [] as $earlier) {
                $gone[$earlier] = true;
            }
            $gone[$entry->corrects] = true;
            $gone[$first->id] = true;
            $inPlace[$first->id][] = $entry->id;
            if ($entry->kind !== EntryKind::Undone) {
                $by[$entry->id] = $entry->inPlaceOf($first);
            }
        }
        $standing = array_values(array_filter($by, static fn (Entry $entry): bool => ! isset($gone[$entry->id]) && $entry->kind !== EntryKind::Undone));
        usort($standing, static fn (Entry $one, Entry $two): int => [$one->at, $one->id] <=> [$two->at, $two->id]);

        return $standing;
    }

    /**
     * The entry at the beginning of a row of corrections.
     *
     * @param  array<string, Entry>  $by
     */
    private static function first(Entry $entry, array $by): Entry
    {
        for ($times = 0; $entry->corrects !== null && isset($by[$entry->corrects]) && $times < count($by); $times++) {
            $entry = $by[$entry->corrects];
        }

        return $entry;
    }

    /** @return list<Entry> of these kinds */
    public function of(EntryKind ...$kinds): array
    {
        return array_values(array_filter($this->standing, static fn (Entry $entry): bool => in_array($entry->kind, $kinds, true)));
    }

    public function last(EntryKind ...$kinds): ?Entry
    {
        $found = $this->of(...$kinds);

        return $found === [] ? null : $found[count($found) - 1];
    }

    public function isClosed(): bool
    {
        return $this->last(EntryKind::Finished, EntryKind::GivenUp) !== null;
    }

    /** What is wrong with an entry, and what to do instead; null where it can be. */
    public function refusal(Entry $new, Planned $planned): ?string
    {
        $corrected = null;
        foreach ($this->entries as $entry) {
            if ($entry->id === $new->id) {
                // sent twice is said once
                return null;
            }
            $corrected = $entry->id === $new->corrects ? $entry : $corrected;
        }
        if ($new->corrects !== null && $corrected === null) {
            return 'What this corrects is not in the log of this batch.';
        }
        if ($new->kind === EntryKind::Undone && $new->corrects === null) {
            return 'Say which entry was a slip.';
        }
        if ($corrected !== null && $new->kind !== EntryKind::Undone && $new->kind !== $corrected->kind) {
            return "A correction is of the same kind: this corrects \"{$corrected->kind->value}\".";
        }
        if ($this->isClosed() && $corrected === null && ! $new->kind->comesAfterwards()) {
            return 'This batch is finished: only notes, waste, photographs and bags can still be added. Undo the end to go on with it.';
        }
        $without = $corrected === null ? $this : new self(array_values(array_filter($this->entries, static fn (Entry $one): bool => $one->id !== $corrected->id)));

        return $without->impossible($new, $planned);
    }

    private function impossible(Entry $new, Planned $planned): ?string
    {
        $step = $new->text('step');
        if ($step !== null && ! isset($planned->steps[$step])) {
            return "This batch has no step \"$step\".";
        }
        $lot = $new->text('lot');
        if ($lot !== null && ! isset($planned->lots[$lot])) {
            return "There is no lot \"$lot\" in this batch.";
        }

        return match ($new->kind) {
            EntryKind::Begun, EntryKind::Done, EntryKind::Skipped => $this->stepTwice($new),
            EntryKind::Timer => self::timer((float) $new->number('seconds')),
            EntryKind::More, EntryKind::Stopped => $this->ofTimer($new),
            EntryKind::Core => self::core((float) $new->number('celsius')),
            EntryKind::Count, EntryKind::Weight, EntryKind::Waste, EntryKind::Bag => $this->amount($new, $planned->of($lot), $lot),
            EntryKind::Tasted => self::tooMuch((float) $new->number('grams'), $planned->of(null)['doughGrams'], 1.0),
            EntryKind::Made => self::tooMuch(self::weighed($new), $planned->of(null)['doughGrams'], self::MUCH_MORE),
            EntryKind::Finished, EntryKind::GivenUp => $this->isClosed() ? 'This batch is finished already.' : null,
            default => null,
        };
    }

    private function stepTwice(Entry $new): ?string
    {
        foreach ($this->standing as $one) {
            $isSame = $one->text('step') === $new->text('step');
            if ($isSame && ($one->kind === EntryKind::Done || $one->kind === EntryKind::Skipped)) {
                return "That step is done already, by {$one->by}.";
            }
            if ($isSame && $one->kind === $new->kind) {
                return "That step was begun already, by {$one->by}.";
            }
        }

        return null;
    }

    private static function timer(float $seconds): ?string
    {
        return match (true) {
            $seconds < 1 => 'A timer of no time rings at once: say how many minutes.',
            $seconds > self::LONGEST_TIMER => 'No timer here runs longer than '.self::LONGEST_TIMER / 3600 .' hours: what takes longer is looked at on the day.',
            default => null,
        };
    }

    private function ofTimer(Entry $new): ?string
    {
        foreach ($this->of(EntryKind::Timer) as $timer) {
            if ($timer->text('timer') === $new->text('timer')) {
                $ends = $this->timers()[(string) $new->text('timer')]['seconds'] + (float) $new->number('seconds');

                return $new->kind === EntryKind::More ? self::timer($ends) : null;
            }
        }

        return 'There is no such timer in this batch.';
    }

    private static function weighed(Entry $new): float
    {
        $entry = is_array($new->said['entry'] ?? null) ? $new->said['entry'] : [];

        return is_numeric($entry['grams'] ?? null) ? (float) $entry['grams'] : 0.0;
    }

    /** @param  float  $doughGrams  that were planned; 0: of a recipe that is told without amounts */
    private static function tooMuch(float $grams, float $doughGrams, float $times): ?string
    {
        return $doughGrams > 0.0 && $grams > $times * $doughGrams
            ? Figure::of($grams).' g of it are '.($times > 1.0 ? 'far ' : '').'more than the '.Figure::of(round($doughGrams)).' g of dough that were planned: is the bowl on the scale? Tare it, and weigh again.'
            : null;
    }

    private static function core(float $celsius): ?string
    {
        if ($celsius >= self::CORE_FROM && $celsius <= self::CORE_TO) {
            return null;
        }
        $meant = $celsius / 10;

        return Figure::of($celsius).' °C is the core temperature of nothing that is eaten'.($meant >= 0 && $meant <= 100 && $celsius > self::CORE_TO ? ': is '.Figure::of($meant).' °C meant?' : '.').' Probe it again.';
    }

    /** @param  array{count: float, doughGrams: float, bakedGrams: float}  $of */
    private function amount(Entry $new, array $of, ?string $lot): ?string
    {
        $pieces = $new->number('pieces');
        $grams = $new->number('grams');
        $measured = $this->measured($lot);
        // what was computed is an estimate: counted are the good ones
        $there = max(1.0, floor($of['count']), (float) $measured['count']);
        if ($new->kind === EntryKind::Waste && $pieces !== null && $pieces + $measured['wastePieces'] > $there) {
            return Figure::of($pieces + $measured['wastePieces']).' wasted are more than the '.Figure::of($there).' there are: count them again.';
        }
        if ($new->kind === EntryKind::Bag && $pieces !== null && $measured['count'] !== null && $pieces + $this->bagged($lot) > $measured['count']) {
            return Figure::of($pieces + $this->bagged($lot)).' put away are more than the '.Figure::of($measured['count']).' that were counted: count them again, or correct the count.';
        }
        if ($new->kind === EntryKind::Bag && $pieces === 0.0) {
            return 'Nothing was put away so: say how many pieces.';
        }
        if ($new->kind === EntryKind::Bag && $pieces !== null && $measured['count'] === null && $of['count'] > 0.0 && $pieces + $this->bagged($lot) > self::UNCOUNTED * ceil($of['count'])) {
            return Figure::of($pieces + $this->bagged($lot)).' put away are far more than the '.Figure::of(floor($of['count'])).' that were reckoned: count them first.';
        }
        if ($new->kind === EntryKind::Weight && $grams === 0.0) {
            return 'Nothing is on the scale: lay them on it, and weigh again.';
        }
        $most = $of['doughGrams'] * self::SLACK;
        if ($grams !== null && $most > 0.0 && $grams > $most) {
            return Figure::of($grams).' g are more than the '.Figure::of($of['doughGrams']).' g of dough that went in: is the bowl or the tray on the scale? Tare it, and weigh again.';
        }

        return null;
    }

    /** Pieces that were put away; of all lots where none is named. */
    public function bagged(?string $lot): float
    {
        $pieces = 0.0;
        foreach ($this->of(EntryKind::Bag) as $bag) {
            $pieces += $lot === null || $bag->text('lot') === $lot ? (float) $bag->number('pieces') : 0.0;
        }

        return $pieces;
    }

    /** @return array{count: ?float, bakedGrams: ?float, wastePieces: float, wasteGrams: float, tastedGrams: float} of a lot; of all where none is named */
    public function measured(?string $lot): array
    {
        $count = $grams = [];
        $wastePieces = $wasteGrams = $tastedGrams = 0.0;
        foreach ($this->standing as $one) {
            $of = $one->text('lot');
            if ($lot !== null && $of !== null && $of !== $lot) {
                continue;
            }
            match ($one->kind) {
                EntryKind::Count => $count = self::lastOf($count, $of, $one->number('pieces')),
                EntryKind::Weight => $grams = self::lastOf($grams, $of, $one->number('grams')),
                EntryKind::Waste => [$wastePieces, $wasteGrams] = [$wastePieces + (float) $one->number('pieces'), $wasteGrams + (float) $one->number('grams')],
                // what a dog had of it while it was made is gone as well
                EntryKind::Tasted => $tastedGrams += ($one->said['took'] ?? false) === true && ($one->said['ofBatch'] ?? false) === true ? (float) $one->number('grams') : 0.0,
                default => null,
            };
        }

        return ['count' => $count === [] ? null : array_sum($count), 'bakedGrams' => $grams === [] ? null : array_sum($grams), 'wastePieces' => $wastePieces, 'wasteGrams' => $wasteGrams, 'tastedGrams' => $tastedGrams];
    }

    /**
     * What was measured last of each lot; what is measured of all of it stands for every one.
     *
     * @param  array<string, float>  $measured
     * @return array<string, float>
     */
    private static function lastOf(array $measured, ?string $lot, ?float $figure): array
    {
        return $figure === null ? $measured : ($lot === null ? ['' => $figure] : [$lot => $figure] + array_diff_key($measured, ['' => true]));
    }

    /** @return list<array<array-key, mixed>> what was made otherwise than written, as `recipe.asMade` takes it */
    public function asMade(): array
    {
        return array_map(static fn (Entry $entry): array => is_array($entry->said['entry'] ?? null) ? $entry->said['entry'] : [], $this->of(EntryKind::Made));
    }

    /**
     * Each timer with its whole length and when it ends; null where it was stopped.
     *
     * @return array<string, array{name: string, step: ?string, lot: ?string, from: float, seconds: float, endsAt: float, stopped: bool}> by its id, times in seconds since 1970
     */
    public function timers(): array
    {
        $timers = [];
        foreach ($this->standing as $one) {
            $id = (string) $one->text('timer');
            if ($one->kind === EntryKind::Timer) {
                $seconds = (float) $one->number('seconds');
                $timers[$id] = ['name' => (string) $one->text('name'), 'step' => $one->text('step'), 'lot' => $one->text('lot'), 'from' => $one->seconds(), 'seconds' => $seconds, 'endsAt' => $one->seconds() + $seconds, 'stopped' => false];
            } elseif ($one->kind === EntryKind::More && isset($timers[$id])) {
                $more = (float) $one->number('seconds');
                // five more minutes are from now on, when it has rung already
                $timers[$id]['endsAt'] = max($timers[$id]['endsAt'], $one->seconds()) + $more;
                $timers[$id]['seconds'] = $timers[$id]['endsAt'] - $timers[$id]['from'];
                $timers[$id]['stopped'] = false;
            } elseif ($one->kind === EntryKind::Stopped && isset($timers[$id])) {
                $timers[$id]['stopped'] = true;
            }
        }

        return $timers;
    }

    /**
     * Minutes that a lot was in the heat: from when it went in until it was done; null where nobody wrote both down.
     */
    public function minutesInHeat(Planned $planned, ?string $lot): ?float
    {
        $minutes = null;
        foreach ($planned->steps as $id => $step) {
            if ($step['kind'] !== Kind::Heat || ($lot !== null && $step['lot'] !== $lot)) {
                continue;
            }
            $from = $to = null;
            foreach ($this->standing as $one) {
                $from = $one->kind === EntryKind::Begun && $one->text('step') === $id ? $one->seconds() : $from;
                $to = $one->kind === EntryKind::Done && $one->text('step') === $id ? $one->seconds() : $to;
            }
            if ($from !== null && $to !== null && $to >= $from) {
                // several sheets bake the same time one after the other: the longest counts
                $minutes = max($minutes ?? 0.0, ($to - $from) / 60);
            }
        }

        return $minutes;
    }
}

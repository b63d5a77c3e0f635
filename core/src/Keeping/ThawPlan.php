<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Values\Day;

/**
 * Which bag is taken out of the freezer when, day by day: what is open is eaten first, what goes off first before the rest; the next is
 * taken out on the last day that the one before it covers. By the contract of `thaw`.
 */
final class ThawPlan
{
    private const CRUMB = 1e-9;

    /** @var list<array{on: string, bag: string}> in the order of taking */
    public array $takeOut = [];

    /** @var list<array{bag: string, pieces: float, on: string}> in the order of its days */
    public array $waste = [];

    /** The last day that is covered in full; null where the first one is not. */
    public ?string $lastsUntil = null;

    /** The first day that is not; null where all are. */
    public ?string $shortOn = null;

    /** @var array<string, array{int, float, string}> last good day, pieces and id of what is open, the first to go off first */
    private array $open = [];

    /** @var list<StoredBag> the first to go off first */
    private array $frozen = [];

    private function __construct() {}

    /** @param  list<StoredBag>  $bags */
    public static function of(Day $from, int $days, float $piecesPerDay, array $bags): self
    {
        $plan = new self;
        $first = $from->number();
        usort($bags, static fn (StoredBag $a, StoredBag $b): int => strcmp($a->bestBefore->iso, $b->bestBefore->iso) ?: strcmp($a->id, $b->id));
        foreach ($bags as $bag) {
            if ($bag->pieces <= self::CRUMB) {
                continue;
            }
            if ($bag->isFrozen) {
                $plan->frozen[] = $bag;
            } elseif ($bag->bestBefore->isBefore($from)) {
                $plan->waste[] = ['bag' => $bag->id, 'pieces' => $bag->pieces, 'on' => $bag->bestBefore->iso];
            } else {
                $plan->put($bag, $bag->bestBefore->number());
            }
        }
        $plan->run($first, $first + $days - 1, $piecesPerDay);

        return $plan;
    }

    private function run(int $first, int $last, float $need): void
    {
        // nothing covers the first day: as many as it needs are taken out at once
        while ($this->covered($first) + self::CRUMB < $need && $this->take($first)) {
        }
        for ($day = $first; $day <= $last; $day++) {
            $today = Day::numbered($day)->iso;
            if ($this->covered($day) + self::CRUMB < $need) {
                $this->shortOn = $today;

                return;
            }
            $this->eat($need);
            $this->throwOut($day, $today);
            $this->lastsUntil = $today;
            while ($day < $last && $this->covered($day + 1) + self::CRUMB < $need && $this->take($day)) {
            }
        }
    }

    private function put(StoredBag $bag, int $goodUntil): void
    {
        $this->open[sprintf('%09d %s', $goodUntil, $bag->id)] = [$goodUntil, $bag->pieces, $bag->id];
        ksort($this->open, SORT_STRING);
    }

    /** Pieces that are good on a day. */
    private function covered(int $day): float
    {
        $pieces = 0.0;
        foreach ($this->open as [$goodUntil, $left]) {
            $pieces += $goodUntil >= $day ? $left : 0.0;
        }

        return $pieces;
    }

    /** Takes out the frozen bag that goes off first; false where none is left. */
    private function take(int $day): bool
    {
        $today = Day::numbered($day);
        while ($this->frozen !== []) {
            $bag = array_shift($this->frozen);
            if (! $bag->bestBefore->isBefore($today)) {
                $this->takeOut[] = ['on' => $today->iso, 'bag' => $bag->id];
                $this->put($bag, $day + $bag->thawedDays);

                return true;
            }
        }

        return false;
    }

    private function eat(float $need): void
    {
        foreach ($this->open as $key => [$goodUntil, $left, $id]) {
            if ($need <= self::CRUMB) {
                return;
            }
            $eaten = min($left, $need);
            $need -= $eaten;
            if ($left - $eaten <= self::CRUMB) {
                unset($this->open[$key]);
            } else {
                $this->open[$key] = [$goodUntil, $left - $eaten, $id];
            }
        }
    }

    private function throwOut(int $day, string $today): void
    {
        foreach ($this->open as $key => [$goodUntil, $left, $id]) {
            if ($goodUntil <= $day) {
                $this->waste[] = ['bag' => $id, 'pieces' => $left, 'on' => $today];
                unset($this->open[$key]);
            }
        }
    }
}

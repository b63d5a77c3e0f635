<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Watching\Eaten;
use MildBowl\Core\Watching\Exposure;
use MildBowl\Core\Watching\Exposures;
use MildBowl\Core\Watching\Sign;
use MildBowl\Core\Watching\SignKind;
use MildBowl\Core\Watching\Strength;
use MildBowl\Core\Watching\Tally;

/** `suspects`: on which foods the bad days fall, more than chance would have it. */
final readonly class SuspectsQuestion
{
    public const MOST_DAYS = 3660;

    public const THRESHOLD = 4.0;

    /** Days with a food, and without it, under which nothing is said of it. */
    private const FEWEST_DAYS = 3;

    /** What else to go on giving: a hand of foods can be remembered. */
    private const MOST_KEPT = 5;

    /** Bad days with a food that are called few. */
    private const FEW = 5;

    /**
     * @param  list<Eaten>  $ate
     * @param  list<Sign>  $signs
     * @param  float  $threshold  the score from which on a day is a bad one
     * @param  array<string, int>  $windows  days, by kind
     */
    public function __construct(
        private string $dog,
        private Day $from,
        private Day $to,
        private array $ate,
        private array $signs,
        private float $threshold,
        private array $windows,
        private Kitchen $kitchen,
    ) {}

    public function answer(): SuspectsAnswer
    {
        $exposures = Exposures::of($this->ate, $this->kitchen->catalogue);
        $kinds = [];
        foreach (SignKind::cases() as $kind) {
            $seen = array_filter($this->signs, fn (Sign $sign): bool => $sign->kind === $kind && $this->isWithin($sign->on));
            if ($seen !== []) {
                $kinds[] = $this->ofKind($kind, $seen, $exposures);
            }
        }

        return new SuspectsAnswer($kinds, $this->says());
    }

    /** @param  array<int, Sign>  $seen */
    private function ofKind(SignKind $kind, array $seen, Exposures $exposures): SuspectsOfKind
    {
        $bad = [];
        foreach ($seen as $sign) {
            if ($kind->isBad($sign->score, $this->threshold)) {
                $bad[$sign->on->number()] = true;
            }
        }
        $badRow = Exposures::row($bad, $this->from, $this->to);
        $window = $this->windows[$kind->value] ?? $kind->windowDays();
        $tried = [];
        foreach ($exposures->within($this->from, $this->to, $window) as $one) {
            $with = Exposures::count($one->row);
            $without = strlen($one->row) - $with;
            if ($with < self::FEWEST_DAYS || $without < self::FEWEST_DAYS) {
                continue;
            }
            $a = Exposures::both($one->row, $badRow);
            $tally = new Tally($a, $with - $a, count($bad) - $a, $without - count($bad) + $a);
            $tried[] = [$tally->p(), $one, $tally];
        }
        usort($tried, static fn (array $one, array $two): int => $one[0] <=> $two[0] ?: strcmp($one[1]->food, $two[1]->food));
        $suspects = [];
        $adjusted = 0.0;
        foreach ($tried as $n => [$p, $one, $tally]) {
            $adjusted = max($adjusted, min(1.0, (count($tried) - $n) * $p));
            $strength = Strength::of($adjusted, $tally->a);
            $suspects[] = new Suspect($one->food, $one->together, $tally->a, $tally->b, $tally->c, $tally->d, $p, $adjusted, $strength, $this->saysOf($kind, $one, $tally, $strength, $window, $exposures));
        }

        return new SuspectsOfKind($kind, $suspects, $this->nextTest($kind, $suspects, array_column($tried, 1), $exposures));
    }

    private function isWithin(Day $day): bool
    {
        return ! $day->isBefore($this->from) && ! $this->to->isBefore($day);
    }

    private function saysOf(SignKind $kind, Exposure $one, Tally $tally, Strength $strength, int $window, Exposures $exposures): string
    {
        $food = $exposures->name($one->food);
        $after = match ($window) {
            0 => '',
            1 => ' or the day after',
            default => " or up to $window days after",
        };
        $counts = "On {$tally->a} of ".($tally->a + $tally->b)." days with $food$after {$kind->said()}; on {$tally->c} of ".($tally->c + $tally->d).' days without.';
        $few = $strength !== Strength::None && $tally->a < self::FEW ? ' Few days: a handful more may change it.' : '';
        $foods = array_values(array_filter($one->together, fn (string $id): bool => $exposures->isWritten($id)));
        $alike = $foods === [] ? '' : ' Always eaten on the same days as '.implode(', ', array_map($exposures->name(...), $foods)).': they cannot be told apart.';

        return "$counts {$strength->says($tally)}$few$alike";
    }

    /**
     * @param  list<Suspect>  $suspects
     * @param  list<Exposure>  $exposed  in the same order
     */
    private function nextTest(SignKind $kind, array $suspects, array $exposed, Exposures $exposures): ?NextTest
    {
        $first = $suspects[0] ?? null;
        if ($first === null || $first->strength === Strength::None) {
            return null;
        }
        $isOther = static fn (string $id): bool => $exposures->isWritten($id) && ! $exposures->isOf($id, $first->food) && ! $exposures->isOf($first->food, $id);
        $keep = array_values(array_filter($first->together, $isOther));
        $alike = $keep;
        foreach ($suspects as $n => $suspect) {
            // what stood beside it on the same days goes on: else leaving one out leaves out both
            if ($n > 0 && $isOther($suspect->food) && Exposures::both($exposed[0]->row, $exposed[$n]->row) > 0) {
                $keep[] = $suspect->food;
            }
        }
        $name = $exposures->name($first->food);
        $days = $kind->watchDays();
        $why = $alike === []
            ? "If {$this->dog} has $days good days without $name and everything else as it was, give it again, a little: only if it comes back did $name matter."
            : "$name and ".implode(', ', array_map($exposures->name(...), $alike)).' were always eaten on the same days: leave out one and go on with the other, and the days will tell them apart.';

        return new NextTest([$first->food], array_slice($keep, 0, self::MOST_KEPT), $days, mb_strtoupper(mb_substr($why, 0, 1)).mb_substr($why, 1));
    }

    private function says(): string
    {
        $days = $this->from->until($this->to) + 1;
        $told = $ate = [];
        foreach ($this->signs as $sign) {
            if ($this->isWithin($sign->on)) {
                $told[$sign->on->number()] = true;
            }
        }
        foreach ($this->ate as $one) {
            if ($this->isWithin($one->on) && $one->foods !== []) {
                $ate[$one->on->number()] = true;
            }
        }
        $silent = $days - count($told + $ate);
        $unseen = count(array_diff_key($ate, $told));
        $nothing = $silent === 0 ? 'Something was written down on every day' : "On $silent of $days days nothing was written down";
        $nothing .= $unseen === 0 ? '.' : ($silent === 0 ? ', ' : ', ')."on $unseen what it ate and not how it was.";

        return "$nothing Such days count as good ones. Days that follow each other are not independent, so chance does more than these figures say. Only what was written down is in them: its own meals are not. This is no diagnosis: take it to your vet.";
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Sensitive;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Values\Day;

/** All trials of one dog: what they mean on a day, and whether another may begin. */
final readonly class Trials
{
    /** @var list<Trial> in the order of their first days */
    public array $all;

    /** @param  list<Trial>  $all */
    public function __construct(array $all)
    {
        usort($all, static fn (Trial $one, Trial $two): int => $one->from->iso <=> $two->from->iso ?: $one->id <=> $two->id);
        $this->all = $all;
    }

    /** @return list<Trial> that have begun and have no end yet */
    public function open(Day $today): array
    {
        return array_values(array_filter($this->all, static fn (Trial $one): bool => $one->isOpen($today)));
    }

    /** @return array<string, int> the day of its trial, by food that is brought in */
    public function broughtIn(Day $today): array
    {
        $days = [];
        foreach ($this->open($today) as $one) {
            foreach ($one->kind->bringsIn() ? $one->foods : [] as $food) {
                $days[$food] = $one->dayOn($today);
            }
        }

        return $days;
    }

    /** @return array<string, string> the last day without it, by food */
    public function leftOut(Day $today): array
    {
        $until = [];
        foreach ($this->open($today) as $one) {
            foreach ($one->kind === TrialKind::LeaveOut && ! $one->isDue($today) ? $one->foods : [] as $food) {
                $until[$food] = max($until[$food] ?? '', $one->lastDay()->iso);
            }
        }

        return $until;
    }

    /** @return list<string>|null all that may be eaten; null where no elimination runs */
    public function allowed(Day $today): ?array
    {
        $lists = $challenged = [];
        foreach ($this->open($today) as $one) {
            match ($one->kind) {
                TrialKind::Elimination => $lists[] = $one->foods,
                TrialKind::Challenge => array_push($challenged, ...$one->foods),
                default => null,
            };
        }
        if ($lists === []) {
            return null;
        }

        return array_values(array_unique([...array_values(array_intersect(...$lists)), ...$challenged]));
    }

    /** @return array<string, string> what was seen, by food that went badly and was not tried well since */
    public function wentBadly(): array
    {
        return array_map(static fn (Trial $one): string => trim(($one->saw ?? '') === '' ? 'it went badly' : (string) $one->saw), $this->last(TrialOutcome::Badly));
    }

    /** @return list<string> foods that it bears: they are not new any more */
    public function bears(): array
    {
        return array_map(strval(...), array_keys($this->last(TrialOutcome::Well)));
    }

    /**
     * Foods whose last trial came to this.
     *
     * @return array<string, Trial> by food
     */
    private function last(TrialOutcome $outcome): array
    {
        $last = [];
        foreach ($this->all as $one) {
            foreach ($one->kind->bringsIn() && in_array($one->outcome, [TrialOutcome::Well, TrialOutcome::Badly], true) ? $one->foods : [] as $food) {
                if (! isset($last[$food]) || $last[$food]->ended?->iso <= $one->ended?->iso) {
                    $last[$food] = $one;
                }
            }
        }

        return array_filter($last, static fn (Trial $one): bool => $one->outcome === $outcome);
    }

    /**
     * Why another trial may not begin; null where it may.
     */
    public function refuses(Trial $new, Dog $dog, Catalogue $catalogue): ?string
    {
        $sensitive = Sensitive::why($dog);
        $name = static fn (Trial $one): string => implode(', ', array_map($catalogue->called(...), $one->foods));
        $eliminations = $others = [];
        foreach ($this->all as $one) {
            if ($one->id === $new->id || ! $one->overlaps($new)) {
                continue;
            }
            $one->kind === TrialKind::Elimination ? $eliminations[] = $one : $others[] = $one;
        }
        if ($new->kind === TrialKind::Elimination && ! $new->vetSaid) {
            return 'Only a few foods for eight weeks is for a vet to begin: ask yours, and say here that it was asked.';
        }
        if ($new->kind === TrialKind::Elimination && [...$eliminations, ...$others] !== []) {
            return "{$dog->name} is in a trial already ({$name([...$eliminations, ...$others][0])}): end it first.";
        }
        $within = $eliminations[0] ?? null;
        if ($new->kind === TrialKind::Challenge && $within === null) {
            return 'A food is given again as a challenge while only a few are eaten: begin that first, or try it as a new food.';
        }
        if ($within !== null && $new->kind !== TrialKind::Challenge) {
            return "{$dog->name} eats only a few foods since {$within->from->spelled()}: a trial inside that trial would tell nothing. Give a food as a challenge, or end that trial first.";
        }
        if ($within !== null && ! $new->vetSaid && $within->dayOn($new->from) <= $within->days) {
            return "The first challenge comes after {$within->days} days, on {$within->lastDay()->after(1)->spelled()}, unless your vet says so.";
        }
        foreach ($others as $one) {
            if (array_intersect($one->foods, $new->foods) !== []) {
                return "{$name($one)} is in a trial already, since {$one->from->spelled()}.";
            }
            if ($within !== null || $sensitive !== null) {
                return "One at a time: {$dog->name} is in a trial already ({$name($one)}, since {$one->from->spelled()})".($sensitive === null ? '' : ", and {$dog->name} $sensitive").'. End it first.';
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Dose;
use MildBowl\Core\Feeding\Given;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Feeding\PieceShare;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Feeding\TakenDays;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Figure;

/**
 * `party`: an occasion with its guests. Which treats serve whom, the fewest that serve everybody who can be served, what each dog gets and
 * what that borrows, how much is baked of each, what goes into boxes, and when all of it is done.
 */
final readonly class PartyQuestion
{
    public const MOST_TREATS = 40;

    public const MOST_BOXES = 60;

    private const CRUMB = 1e-9;

    /**
     * @param  non-empty-list<PartyTreat>  $treats  all with the same dogs
     * @param  list<PartyShare>  $shares  what somebody said, at most one for a dog
     * @param  list<PartyBox>  $boxes
     * @param  array<string, list<string>>  $unasked  what nobody asked the people of a dog yet, by its key
     * @param  array<string, TakenDays>  $taken  by other occasions from a dog, by its key
     * @param  array<string, string>  $stopped  why a dog gets nothing, whatever is served, by its key
     */
    public function __construct(
        private array $treats,
        private array $shares,
        private array $boxes,
        private array $unasked,
        private array $taken,
        private array $stopped,
        private PartyWhen $when,
    ) {}

    /** @throws RequestRefused when a share is no amount that anybody knows */
    public function answer(): PartyAnswer
    {
        $of = PartyTreats::of($this->treats, $this->taken, $this->stopped);
        $fewest = FewestTreats::of($of->serves);
        $guests = array_map(fn (Dog $dog): PartyDog => $this->guest($of, $dog, $fewest), $of->dogs());
        $boxes = array_map(fn (PartyBox $box): PartyBoxed => $this->boxed($of, $box, $guests), $this->boxes);
        $treats = array_map(fn (PartyTreat $treat): PartyServed => $this->served($of, $treat, $guests, $boxes), $this->treats);
        $plans = array_column($treats, 'plan', 'id');

        return new PartyAnswer($treats, $fewest, $of->serveAll(), $guests, array_map(static fn (PartyBoxed $box): PartyBoxed => self::kept($box, $plans[$box->treat] ?? null), $boxes));
    }

    /** @param  list<string>  $fewest  treats */
    private function guest(PartyTreats $of, Dog $dog, array $fewest): PartyDog
    {
        $said = array_values(array_filter($this->shares, static fn (PartyShare $one): bool => $one->dog->key() === $dog->key()))[0] ?? null;
        $ask = $this->unasked[$dog->key()] ?? [];
        $id = $said->treat ?? null;
        foreach ($id === null ? [...$fewest, ...array_column($this->treats, 'id')] : [] as $one) {
            $id ??= $of->serves($one, $dog) ? $one : null;
        }
        if ($id === null) {
            return new PartyDog($dog, PartyDog::NONE, null, 0.0, $ask, $of->nearest($dog));
        }
        $pieces = $said?->pieces === null ? null : self::pieces($of, $said, $id);
        $answer = $pieces === null ? $of->ofOne($id, $dog) : $of->asked($id, $dog, $pieces);
        if ($pieces === null && ! $answer->possible && Ration::isAPiece($answer->mostPieces)) {
            $pieces = min(PartyTreats::ONE, $answer->mostPieces);
            $answer = $of->asked($id, $dog, $pieces);
        }
        if (! $answer->possible) {
            return new PartyDog($dog, PartyDog::NONE, $id, 0.0, $ask, $answer);
        }

        $pieces ??= PartyTreats::ONE;

        return new PartyDog($dog, $ask === [] ? PartyDog::MAY : PartyDog::ASK_FIRST, $id, $pieces, $ask, $answer, $this->holds($of, $dog, $id, $pieces));
    }

    /** @return array<string, float> */
    private function holds(PartyTreats $of, Dog $dog, string $treat, float $pieces): array
    {
        $batch = $of->judgement($treat)->lotOf($dog)->batch->for($dog);
        $holds = [];
        foreach (Given::SUBSTANCES as $substance) {
            $holds[$substance] = ($batch->pieceSubstances[Dose::countedBy($substance)] ?? 0.0) * $pieces;
        }

        return array_filter($holds, static fn (float $one): bool => $one > 0.0);
    }

    /** @throws RequestRefused */
    private static function pieces(PartyTreats $of, PartyShare $said, string $treat): float
    {
        $count = $of->judgement($treat)->lotOf($said->dog)->batch->count->best;
        $pieces = is_numeric($said->pieces) ? (float) $said->pieces : PieceShare::read((string) $said->pieces, $count);

        return $pieces !== null && $pieces > 0.0 && $pieces <= 1000.0 ? $pieces
            : throw RequestRefused::outOfRange($said->path, 'Write how many pieces: 2, "half a slice", "one of six slices", "a sixth".');
    }

    /** @param  list<PartyDog>  $guests */
    private function boxed(PartyTreats $of, PartyBox $box, array $guests): PartyBoxed
    {
        $judgement = $of->judgement($box->treat);
        $dog = $box->dog;
        if ($dog === null) {
            return new PartyBoxed($box->for, null, $box->treat, $box->pieces, $judgement->stopsEveryDog(), null, null, null, null, null);
        }
        if (! $of->serves($box->treat, $dog)) {
            return new PartyBoxed($box->for, $dog, $box->treat, $box->pieces, $of->ofOne($box->treat, $dog)->says, null, null, null, null, null);
        }
        $ration = $judgement->rationOf($dog)->pieces ?? 0.0;
        $borrowed = 0;
        foreach ($guests as $guest) {
            $borrowed = $guest->dog->key() === $dog->key() ? $guest->answer->daysWithout ?? 0 : $borrowed;
        }

        return new PartyBoxed($box->for, $dog, $box->treat, $box->pieces, $ration > 0.0 ? null : "$dog->name may have some on this day, and none on others.", $ration, $this->when->on->after($borrowed + 1)->iso, $ration > 0.0 ? (int) ceil($box->pieces / $ration - self::CRUMB) : null, null, null, $this->unasked[$dog->key()] ?? []);
    }

    /** What is to be thought of where a box lasts longer than it keeps. */
    private static function kept(PartyBoxed $box, ?BackwardPlan $plan): PartyBoxed
    {
        $until = $box->stops === null ? $plan?->keepsUntil : null;
        $last = $box->from === null || $box->days === null ? null : Day::read($box->from)?->after($box->days - 1)->iso;
        $says = match (true) {
            $until === null => null,
            $last !== null && $last > $until => 'At '.Figure::of((float) $box->piecesPerDay).' a day it lasts longer than it keeps: give fewer, or have the rest '.($plan->place === 'freezer' ? 'thrown away' : 'frozen').' on '.Day::read($until)?->spelled().'.',
            default => null,
        };

        return new PartyBoxed($box->for, $box->dog, $box->treat, $box->pieces, $box->stops, $box->piecesPerDay, $box->from, $box->days, $until, $says, $box->ask);
    }

    /**
     * @param  list<PartyDog>  $guests
     * @param  list<PartyBoxed>  $boxes
     */
    private function served(PartyTreats $of, PartyTreat $treat, array $guests, array $boxes): PartyServed
    {
        $judgement = $of->judgement($treat->id);
        $needs = [];
        $own = array_values(array_filter($guests, static fn (PartyDog $one): bool => $one->treat === $treat->id && $one->pieces > 0.0));
        foreach ($own as $guest) {
            $lot = $judgement->lotOf($guest->dog);
            $needs[spl_object_id($lot)] = ($needs[spl_object_id($lot)] ?? 0.0) + $guest->pieces;
        }
        foreach ($boxes as $box) {
            if ($box->treat === $treat->id && $box->stops === null) {
                $lot = $box->dog === null ? $judgement->lots->main() : $judgement->lotOf($box->dog);
                $needs[spl_object_id($lot)] = ($needs[spl_object_id($lot)] ?? 0.0) + $box->pieces;
            }
        }
        $aBatch = array_sum(array_map(self::wholePieces(...), $judgement->lots->all));
        $times = 0;
        foreach ($judgement->lots->all as $lot) {
            $count = self::wholePieces($lot);
            $times = max($times, $count > 0.0 ? (int) ceil(($needs[spl_object_id($lot)] ?? 0.0) / $count - self::CRUMB) : 0);
        }
        $pieces = array_sum($needs);
        $lacks = $who = [];
        foreach ($treat->question->dogs as $dog) {
            if ($of->serves($treat->id, $dog)) {
                $who[] = $dog;
            } else {
                $lacks[] = [$dog, $of->ofOne($treat->id, $dog)->says, $of->couldBeSettled($treat->id, $dog)];
            }
        }

        return new PartyServed(
            $treat->id, $treat->name, $who, $lacks, $pieces, $aBatch, $times, max(0.0, $times * $aBatch - $pieces),
            Party::slices(array_map(static fn (PartyDog $one): PartyGuest => new PartyGuest($one->dog, $one->pieces, $one->answer), $own)),
            $times === 0 ? null : (new PlanningBackward($treat, $judgement, $times, $this->when))->plan(),
        );
    }

    private static function wholePieces(Lot $lot): float
    {
        return floor($lot->batch->count->best + self::CRUMB);
    }
}

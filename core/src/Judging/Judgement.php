<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Parts\PartsRefused;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Feeding\Lots;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\DogFindings;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Saying;
use MildBowl\Core\Screening\Served;
use MildBowl\Core\Values\Assumption;
use MildBowl\Core\Values\Figure;

/** The whole answer to one question: what stands on each line and step, what each dog may have, and whether the batch is cleared. */
final readonly class Judgement
{
    /** A dose finding stands on every line that brings this share of the dose, and always on the largest. */
    private const SHARE_OF_DOSE = 0.20;

    /** g of left-over dough that nobody scrapes together. */
    private const CRUMBS = 1.0;

    private const LEARNED_OF = [Learned::MINUTES => 'time in the heat', Learned::MASS => 'mass after the heat', Learned::COUNT => 'pieces out of one dough', Learned::WETNESS => 'wetness of the dough'];

    /**
     * @param  list<list<Finding>>  $lineFindings
     * @param  list<list<Finding>>  $stepFindings
     * @param  list<Ration>  $rations  in the order of the dogs
     * @param  list<DogVerdict>  $verdicts  in the same order
     * @param  list<Assumption>  $assumptions
     */
    private function __construct(
        public Bowl $bowl,
        public Lots $lots,
        public array $lineFindings,
        public array $stepFindings,
        public array $rations,
        public array $verdicts,
        public bool $cleared,
        public array $assumptions,
    ) {}

    /**
     * Read, weighed, divided, screened, rationed, judged: each takes what the one before it made, and changes none of it.
     *
     * @throws PartsRefused when what was said of a part cannot be
     */
    public static function on(Question $question): self
    {
        $kitchen = $question->kitchen;
        $bowl = $question->bowl();
        $lots = Lots::of($bowl->parts, $question->cut(), $question->texture(), $question->measured, $question->portions, $question->dogs, $kitchen->policy, $kitchen->learned);
        self::refuseTooMuchAPiece($question, $bowl, $lots);
        $screened = Screened::of($bowl, $lots, $kitchen, $question->labels, $question->confirmed);

        return self::judged($question, $bowl, $lots, $screened);
    }

    private static function judged(Question $question, Bowl $bowl, Lots $lots, Screened $screened): self
    {
        $policy = $question->kitchen->policy;
        $assumptions = self::assumedOfRecipe($question, $bowl, $lots);
        $foods = $bowl->foods();
        $rations = $own = $bringers = [];
        $lines = $screened->lines;
        foreach ($question->dogs as $dog) {
            $lot = $lots->for($dog);
            $served = new Served($lot->cut, $bowl->doughFor($dog), $dog->without === [] ? $foods : $bowl->foods($dog));
            $batch = $lot->batch->for($dog);
            $ration = Ration::of($dog, $batch, $policy, Ramp::today($dog, $served->foods), $batch === $lot->batch ? $lot->doses : null);
            foreach ($ration->doseFindings as $dose) {
                foreach ($bringers[$dose->substance] ??= self::bringers($bowl, $dose->substance) as $line) {
                    $lines[$line][] = $dose->finding;
                }
            }
            $rations[] = $ration;
            $own[] = Confirmation::settle(DogFindings::of($dog, $served, Circumstances::of([$dog], $lot->texture, $policy)), null, $question->confirmed);
            array_push($assumptions, ...self::assumedOf($dog, $ration));
        }
        $lines = array_map(Finding::unique(...), $lines);
        $all = array_merge([], ...$lines, ...$screened->steps);
        $isEmpty = $bowl->recipe->lines === [];
        $byDog = [];
        foreach ($all as $finding) {
            $byDog[$finding->dog?->key() ?? ''][] = $finding;
        }
        $verdicts = [];
        foreach ($rations as $n => $ration) {
            $verdicts[] = self::verdict($ration, $own[$n], [...$byDog[''] ?? [], ...$byDog[$ration->dog->key()] ?? []], $isEmpty);
        }
        $cleared = ! $isEmpty && self::openToAll($all) === null && array_filter($verdicts, static fn (DogVerdict $one): bool => ! $one->cleared) === [];

        return new self($bowl, $lots, $lines, $screened->steps, $rations, $verdicts, $cleared, Assumption::distinct($assumptions));
    }

    /** @throws PartsRefused when more of a part is asked on each piece than there is for all */
    private static function refuseTooMuchAPiece(Question $question, Bowl $bowl, Lots $lots): void
    {
        foreach ($question->parts as $asked) {
            $part = $asked->gramsPerPiece === null || $asked->path === null ? null : $bowl->parts->under($asked->section);
            if ($part === null) {
                continue;
            }
            $pieces = array_sum(array_map(static fn (Lot $lot): float => $lot->batch->count->best, $lots->all));
            if ($asked->gramsPerPiece * $pieces > $part->keptGrams->high * (1 + 1e-9)) {
                throw new PartsRefused(
                    Figure::of($asked->gramsPerPiece).' g on each of '.Figure::of($pieces).' pieces is more than the '.Figure::atMost($part->keptGrams->high).' g there are: say at most '.Figure::atMost($part->keptGrams->high / max(1e-9, $pieces)).' g.',
                    "{$asked->path}/gramsPerPiece",
                );
            }
        }
    }

    /** @return list<int> lines that bring a fifth of a substance, and always the one that brings the most */
    private static function bringers(Bowl $bowl, string $substance): array
    {
        $byLine = [];
        foreach ($bowl->dough->weighed as $one) {
            $byLine[$one->line] = $one->substances[$substance] ?? 0.0;
        }
        $total = array_sum($byLine);
        $largest = $byLine === [] ? 0.0 : max($byLine);

        return array_keys(array_filter($byLine, static fn (float $amount): bool => $amount > 0.0 && ($amount === $largest || $amount >= self::SHARE_OF_DOSE * $total)));
    }

    /**
     * @param  list<Finding>  $own
     * @param  list<Finding>  $others  on lines and steps, that concern the dog
     */
    private static function verdict(Ration $ration, array $own, array $others, bool $isEmpty): DogVerdict
    {
        $dog = $ration->dog;
        if ($ration->isReckoned() && $ration->pieces !== null && ! Ration::isAPiece($ration->pieces) && $ration->heldBy !== null) {
            $own[] = Saying::of('too-rich', $ration->heldBy === 'age' ? 'ration-age' : 'ration')->finding($dog, ['{held}' => $ration->heldBy]);
        }
        $worst = null;
        $open = $isEmpty;
        foreach ([...$own, ...$others] as $finding) {
            if ($finding->confirmed) {
                continue;
            }
            $open = $open || $finding->isOpen();
            $worst = $worst === null || $finding->level->rank() < $worst->rank() ? $finding->level : $worst;
        }

        return new DogVerdict($dog, ! $open && $ration->isServed(), $worst, Finding::unique($own));
    }

    /** @return list<Assumption> */
    private static function assumedOfRecipe(Question $question, Bowl $bowl, Lots $lots): array
    {
        $assumptions = [
            ...($question->cut === null ? [new Assumption('cut-defaulted', 'No cut was given: 24 pieces assumed.')] : []),
            ...($question->texture === null ? [new Assumption('texture-defaulted', 'No texture was given: baked as biscuit assumed.')] : []),
            ...$bowl->assumptions,
        ];
        foreach ($lots->all as $lot) {
            $oddity = $lot->cut->oddity();
            array_push($assumptions, ...self::learned($question, $lot));
            array_push($assumptions, ...$oddity === null ? [] : [new Assumption('cut-odd', $oddity)], ...self::leftOver($lot));
        }
        if ($bowl->recipe->otherAnimals !== []) {
            $assumptions[] = new Assumption('dogs-only', 'Judged for dogs only, not for: '.implode(', ', $bowl->recipe->otherAnimals).'.');
        }

        return $assumptions;
    }

    /** @return list<Assumption> what the kitchen learned, and what is reckoned with it here */
    private static function learned(Question $question, Lot $lot): array
    {
        $assumptions = [];
        foreach ($question->kitchen->learned->of($lot->texture->id) as $of => $factor) {
            if ($of === Learned::WETNESS && $lot->texture->id !== $question->texture()->id) {
                // the dough is one, whatever its lots are baked to
                continue;
            }
            $assumptions[] = new Assumption('learned', "As your kitchen learned of {$lot->texture->name} treats: ".Learned::inWords($of, $factor).' ('.self::LEARNED_OF[$of].').');
        }

        return $assumptions;
    }

    /** @return list<Assumption> what fills no whole hollow or square */
    private static function leftOver(Lot $lot): array
    {
        if (! $lot->cut->hasCells() || $lot->batch->count->best <= 0.0 || $lot->batch->leftGrams < self::CRUMBS) {
            return [];
        }
        $piece = $lot->batch->dough->density() * (float) $lot->cut->pieceMl();

        return [new Assumption('dough-left', Figure::of($lot->batch->count->best).' whole pieces; '.Figure::of($lot->batch->leftGrams).' g of dough are left over, enough to fill another to '.round(100 * $lot->batch->leftGrams / $piece).' %.')];
    }

    /** @return list<Assumption> */
    private static function assumedOf(Dog $dog, Ration $ration): array
    {
        return array_values(array_filter([
            $dog->weightKg === null ? new Assumption('weight-missing', "{$dog->name} has no weight: screened, but without a ration.") : null,
            $dog->ageMonths === null && $dog->stage === null ? new Assumption('age-missing', "{$dog->name} has no age: taken as adult.") : null,
            $dog->neutered === null && $ration->energy->row === 'adult-neutered' ? new Assumption('neuter-missing', "{$dog->name}: not known whether neutered; the lower energy of a neutered dog taken.") : null,
            $dog->expectedAdultWeightKg !== null && $dog->weightKg !== null && $dog->expectedAdultWeightKg < $dog->weightKg
                ? new Assumption('expected-weight-low', "{$dog->name}: the expected adult weight is under the present one; taken as grown.") : null,
            $dog->bodyCondition === null ? new Assumption('body-condition-missing', "{$dog->name} has no body condition: taken as ideal.") : null,
            $ration->energy->note !== null ? new Assumption('energy-school', "{$dog->name}: {$ration->energy->note}") : null,
        ]));
    }

    /** @param  list<Finding>  $findings */
    private static function openToAll(array $findings): ?Finding
    {
        foreach ($findings as $finding) {
            if ($finding->dog === null && $finding->isOpen()) {
                return $finding;
            }
        }

        return null;
    }

    /** What stands against giving it to any dog at all; null when nothing does. */
    public function stopsEveryDog(): ?string
    {
        return self::openToAll(array_merge([], ...$this->lineFindings, ...$this->stepFindings))?->message;
    }

    /** Why a dog may not have this recipe, whatever the size of a piece; null when nothing stands against it. */
    public function whyNotCleared(Dog $dog): ?Obstacle
    {
        if ($this->bowl->recipe->lines === []) {
            return new Obstacle('There is no line with a food in it yet.', false);
        }
        $worst = null;
        foreach ($this->openFor($dog) as $finding) {
            $worst = $worst === null || $finding->level->rank() < $worst->level->rank() ? $finding : $worst;
        }

        return $worst === null ? null : new Obstacle("{$dog->name} is not cleared: {$worst->message}", $worst->level->canBeConfirmed());
    }

    /** @return list<Finding> what stands against giving it to a dog and is not settled, each once, the worst first */
    public function openFor(Dog $dog): array
    {
        return Finding::unique(array_values(array_filter(
            [...$this->verdictOf($dog)->findings, ...array_merge([], ...$this->lineFindings, ...$this->stepFindings)],
            static fn (Finding $finding): bool => $finding->concerns($dog) && $finding->isOpen(),
        )));
    }

    public function lotOf(Dog $dog): Lot
    {
        return $this->lots->for($dog);
    }

    /** @throws \OutOfBoundsException when the dog is not at the table */
    public function rationOf(Dog $dog): Ration
    {
        foreach ($this->rations as $ration) {
            if ($ration->dog->key() === $dog->key()) {
                return $ration;
            }
        }
        throw new \OutOfBoundsException("No dog called {$dog->name} is at the table.");
    }

    /** @throws \OutOfBoundsException when the dog is not at the table */
    public function verdictOf(Dog $dog): DogVerdict
    {
        foreach ($this->verdicts as $verdict) {
            if ($verdict->dog->key() === $dog->key()) {
                return $verdict;
            }
        }
        throw new \OutOfBoundsException("No dog called {$dog->name} is at the table.");
    }

    /** Pieces that leave a lot in a day, by the dogs that are cleared. */
    public function piecesADay(Lot $lot): float
    {
        $pieces = 0.0;
        foreach ($this->rations as $n => $ration) {
            $pieces += $lot->isFor($ration->dog) && $this->verdicts[$n]->cleared ? $ration->pieces ?? 0.0 : 0.0;
        }

        return $pieces;
    }
}

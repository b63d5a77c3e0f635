<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Lot;
use MildBowl\Core\Baking\Portion;
use MildBowl\Core\Clipping\Doubts;
use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Kitchen\ReadRecipe;
use MildBowl\Core\Kitchen\RecipeReader;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\Weigher;
use MildBowl\Core\Range;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\DogFindings;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Level;
use MildBowl\Core\Screening\Screener;

/** Answers one request: read, weigh, screen, bake, ration, judge. */
final class Formulate
{
    private const SHARE_OF_DOSE = 0.20;

    private readonly ReadRecipe $recipe;

    private readonly Assumptions $assumptions;

    /** @var list<?Range> grams by line */
    private array $grams = [];

    /** @var list<list<Finding>> */
    private array $lineFindings = [];

    /** @var list<list<Finding>> */
    private array $stepFindings = [];

    public readonly Dough $dough;

    public readonly Lots $lots;

    private function __construct(private readonly Request $request)
    {
        $this->assumptions = new Assumptions;
        $this->recipe = RecipeReader::read($request->text, $request->steps);
        if ($request->cut === null) {
            $this->assumptions->add('cut-defaulted', 'No cut was given: 24 pieces assumed.');
        }
        if ($request->texture === null) {
            $this->assumptions->add('texture-defaulted', 'No texture was given: baked as biscuit assumed.');
        }
        $this->dough = $this->weigh();
        $this->lots = new Lots($request, $this->dough);
        foreach ($this->lots->all as $lot) {
            $oddity = $lot->cut->oddity();
            if ($oddity !== null) {
                $this->assumptions->add('cut-odd', $oddity);
            }
        }
    }

    /**
     * @return array<string, mixed> the answer of the contract
     */
    public static function answer(Request $request): array
    {
        return $request->withOwnPantry(static function () use ($request): array {
            return self::of($request)->judge();
        });
    }

    /** A request read, weighed and screened, for those who ask more than one thing of it; within the request's own pantry. */
    public static function of(Request $request): self
    {
        $formulate = new self($request);
        $formulate->screen();

        return $formulate;
    }

    /**
     * Why a dog may not have this recipe, whatever the size of a piece, and whether a person could settle it; null when nothing stands against it.
     *
     * @return array{why: string, confirmable: bool}|null
     */
    public function whyNotCleared(string $name): ?array
    {
        if ($this->recipe->lines === []) {
            return ['why' => 'There is no line with a food in it yet.', 'confirmable' => false];
        }
        $own = [];
        foreach ($this->request->dogs as $dog) {
            if ($dog->name === $name) {
                $lot = $this->lots->of($dog);
                $own = array_map(fn (Finding $finding): Finding => $this->settled($finding, null), DogFindings::of($dog, $this->foods(), $lot->cut, $lot->texture, $this->dough));
            }
        }
        $worst = null;
        foreach ([...$own, ...array_merge(...$this->lineFindings, ...$this->stepFindings)] as $finding) {
            if ($finding->concerns($name) && ! $finding->confirmed && $finding->isOpen() && ($worst === null || $finding->level->rank() < $worst->level->rank())) {
                $worst = $finding;
            }
        }

        return $worst === null ? null : ['why' => "$name is not cleared: {$worst->message}", 'confirmable' => $worst->level->canBeConfirmed()];
    }

    /**
     * One dog's ration, and the lot it eats from.
     *
     * @return array{Ration, Lot}
     */
    public function rationOf(string $name): array
    {
        foreach ($this->request->dogs as $dog) {
            if ($dog->name === $name) {
                $lot = $this->lots->of($dog);

                return [$this->ration($dog, $lot), $lot];
            }
        }
        throw new \OutOfBoundsException("No dog called $name is at the table.");
    }

    private function ration(Dog $dog, Lot $lot): Ration
    {
        return Ration::of($dog, $lot->batch, $this->request->policy->energySchool, $this->request->policy->budgetPercent, $this->request->policy->garlic, $this->hasNewFor($dog));
    }

    /** What stands against giving it to any dog at all; null when nothing does. */
    public function stopsEveryDog(): ?string
    {
        foreach (array_merge(...$this->lineFindings, ...$this->stepFindings) as $finding) {
            if ($finding->dog === null && $finding->isOpen()) {
                return $finding->message;
            }
        }

        return null;
    }

    /** Whether a food of the recipe is new to a dog. */
    public function hasNewFor(Dog $dog): bool
    {
        foreach ($this->foods() as $food) {
            if (array_filter($dog->newIngredients, $food->isCoveredBy(...)) !== []) {
                return true;
            }
        }

        return false;
    }

    private function weigh(): Dough
    {
        $weigher = new Weigher($this->request->policy->units);
        $portions = [];
        foreach ($this->recipe->lines as $index => $line) {
            $grams = $weigher->weigh($line);
            $this->grams[] = $grams;
            if ($line->ingredient === null) {
                $this->assumptions->add('line-left-out', "Not recognised and left out of every total: \"{$line->text}\".");

                continue;
            }
            if ($grams === null) {
                $this->assumptions->add('line-left-out', "Without an amount and left out of every total: \"{$line->text}\".");

                continue;
            }
            if ($weigher->isDefault($line)) {
                $this->assumptions->add('amount-assumed', 'Assumed '.round($grams->low).'–'.round($grams->high)." g for \"{$line->text}\".");
            }
            $ingredient = Catalogue::get($line->ingredient);
            if ($ingredient->composition === null) {
                $this->assumptions->add('composition-unknown', "What {$ingredient->name} holds is not known: it is in the weight, but in no other total.");
            }
            $portions[] = new Portion($index, $ingredient, $grams, $this->request->policy->calorieConvention);
        }

        return new Dough($portions);
    }

    private function screen(): void
    {
        $screeners = [];
        foreach ($this->lots->all as $lot) {
            $dogs = array_values(array_filter($this->request->dogs, static fn (Dog $dog): bool => in_array($dog->name, $lot->dogs, true)));
            $screeners[] = new Screener(new Circumstances(
                $dogs, $lot->texture->id, $lot->texture->isHeated, $this->request->policy->garlic, $this->request->policy->pseudoGrains === 'grain',
            ));
        }
        foreach ($this->recipe->lines as $index => $line) {
            $findings = $this->leavener($line, $index);
            foreach ($screeners as $screener) {
                array_push($findings, ...$this->withLabels($screener, $line, $screener->line($line, $this->grams[$index])));
            }
            $this->lineFindings[] = array_map(fn (Finding $finding): Finding => $this->settled($finding, $line->text), Screener::unique($findings));
        }
        foreach ($this->recipe->steps as $step) {
            $findings = [];
            foreach ($screeners as $screener) {
                array_push($findings, ...$screener->step($step, $this->recipe->lines));
            }
            $this->stepFindings[] = array_map(fn (Finding $finding): Finding => $this->settled($finding, $step->text), count($screeners) > 1 ? Screener::unique($findings) : $findings);
        }
        if ($this->recipe->otherAnimals !== []) {
            $this->assumptions->add('dogs-only', 'Judged for dogs only, not for: '.implode(', ', $this->recipe->otherAnimals).'.');
        }
    }

    /**
     * A label bound to the line settles what only a label could; its own findings take their place.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private function withLabels(Screener $screener, ReadLine $line, array $findings): array
    {
        foreach ($this->request->pantry as $own) {
            if (in_array($own->ingredient->id, $line->foods(), true)) {
                array_push($findings, ...$own->ingredients !== null ? $screener->label($own->names[0], $own->ingredients)
                    : [new Finding(null, Level::CheckLabel, 'own-food', "What {$own->names[0]} is made of was not entered.", 'Copy its list of ingredients from the label.', source: 'this kitchen\'s own food')]);
            }
        }
        foreach ($this->request->labels as $label) {
            if (mb_stripos($line->text, trim($label['name'])) === false) {
                continue;
            }
            $findings = array_values(array_filter($findings, static fn (Finding $finding): bool => $finding->level !== Level::CheckLabel));
            array_push($findings, ...$screener->label($label['name'], $label['ingredients']));
        }

        return $findings;
    }

    /** @return list<Finding> more than 5 g of soda in a small batch */
    private function leavener(ReadLine $line, int $index): array
    {
        $grams = $this->grams[$index];
        if ($line->ingredient !== 'baking-soda' || $grams === null || $grams->best <= 5.0 || $this->dough->grams->best >= 500.0) {
            return [];
        }

        return [new Finding(null, Level::Caution, 'baking-soda', 'That is much soda for so small a batch.', 'Leave it out: a flat treat is fine.', round($grams->best, 1).' g in '.round($this->dough->grams->best).' g of dough; caution above 5 g under 500 g')];
    }

    private function settled(Finding $finding, ?string $line): Finding
    {
        return $this->request->isConfirmed($finding, $line) ? $finding->confirmed() : $finding;
    }

    /** @return list<Ingredient> */
    private function foods(): array
    {
        $foods = [];
        foreach ($this->recipe->lines as $line) {
            foreach ($line->foods() as $id) {
                $foods[$id] = Catalogue::get($id);
            }
        }

        return array_values($foods);
    }

    /** @return array<string, mixed> */
    private function judge(): array
    {
        $foods = $this->foods();
        $rations = $dogFindings = [];
        foreach ($this->request->dogs as $dog) {
            $lot = $this->lots->of($dog);
            $ration = $this->ration($dog, $lot);
            foreach ($ration->doseFindings as $dose) {
                $this->standOnBringers($dose->substance, $dose->finding);
            }
            $rations[] = $ration;
            $dogFindings[] = array_map(fn (Finding $finding): Finding => $this->settled($finding, null), DogFindings::of($dog, $foods, $lot->cut, $lot->texture, $this->dough));
            $this->assumeFor($dog, $ration);
        }
        $this->lineFindings = array_map(Screener::unique(...), $this->lineFindings);
        $verdicts = [];
        foreach ($rations as $index => $ration) {
            $verdicts[] = $this->verdict($ration, $dogFindings[$index]);
        }
        $answer = new Answer($this->request, $this->recipe, $this->dough, $this->lots->all, $this->lots->main());

        return [
            'version' => 1,
            'dataVersion' => Data::tables()['version'],
            'lines' => $answer->lines($this->grams, $this->lineFindings, $rations),
            'steps' => $answer->steps($this->stepFindings),
            'verdict' => ['cleared' => $this->isCleared($verdicts), 'dogs' => $verdicts],
            'batch' => $answer->batch(),
            'piece' => $answer->piece(),
            'rations' => array_map(fn (Ration $ration, array $verdict): array => $answer->ration($ration, $this->lots->of($ration->dog), $verdict['cleared']), $rations, $verdicts),
            'assumptions' => $this->assumptions->toArray(),
        ] + $answer->portions($rations, array_column($verdicts, 'cleared')) + ($this->request->explain ? ['explain' => ['doubts' => Doubts::of($this->request->text, $this->request->steps)]] : []);
    }

    /** A dose finding stands on every line that brings a fifth of the dose, and always on the largest. */
    private function standOnBringers(string $substance, Finding $finding): void
    {
        $byLine = [];
        foreach ($this->dough->portions as $portion) {
            $byLine[$portion->line] = $portion->substances[$substance] ?? 0.0;
        }
        if ($byLine === []) {
            return;
        }
        $total = array_sum($byLine);
        $largest = max($byLine);
        foreach ($byLine as $line => $amount) {
            if ($amount > 0.0 && ($amount === $largest || $amount >= self::SHARE_OF_DOSE * $total)) {
                $this->lineFindings[$line][] = $finding;
            }
        }
    }

    private function assumeFor(Dog $dog, Ration $ration): void
    {
        if ($dog->weightKg === null) {
            $this->assumptions->add('weight-missing', "{$dog->name} has no weight: screened, but without a ration.");
        }
        if ($dog->ageMonths === null && $dog->stage === null) {
            $this->assumptions->add('age-missing', "{$dog->name} has no age: taken as adult.");
        }
        if ($dog->neutered === null && $ration->energy->row === 'adult-neutered') {
            $this->assumptions->add('neuter-missing', "{$dog->name}: not known whether neutered; the lower energy of a neutered dog taken.");
        }
        if ($dog->expectedAdultWeightKg !== null && $dog->weightKg !== null && $dog->expectedAdultWeightKg < $dog->weightKg) {
            $this->assumptions->add('expected-weight-low', "{$dog->name}: the expected adult weight is under the present one; taken as grown.");
        }
        if ($dog->bodyCondition === null) {
            $this->assumptions->add('body-condition-missing', "{$dog->name} has no body condition: taken as ideal.");
        }
        if ($ration->energy->note !== null) {
            $this->assumptions->add('energy-school', "{$dog->name}: {$ration->energy->note}");
        }
    }

    /**
     * @param  list<Finding>  $own
     * @return array{name: string, cleared: bool, worst: string, findings: list<array<string, mixed>>}
     */
    private function verdict(Ration $ration, array $own): array
    {
        $dog = $ration->dog;
        if ($ration->pieces !== null && $ration->pieces < 0.25 && $dog->weightKg !== null && ! $dog->isBreeding() && $ration->heldBy !== null) {
            $own[] = new Finding($dog->name, Level::Limit, 'too-rich', 'Under a quarter of a piece a day is left for '.$dog->name.'.', $ration->heldBy === 'age' ? 'No treats before 8 weeks.' : 'Cut smaller, or make it leaner.', 'held by '.$ration->heldBy);
        }
        $worst = null;
        $open = $this->recipe->lines === [];
        foreach ([...$own, ...array_merge(...$this->lineFindings, ...$this->stepFindings)] as $finding) {
            if (! $finding->concerns($dog->name) || $finding->confirmed) {
                continue;
            }
            $open = $open || $finding->isOpen();
            if ($worst === null || $finding->level->rank() < $worst->rank()) {
                $worst = $finding->level;
            }
        }

        return [
            'name' => $dog->name,
            'cleared' => ! $open && $ration->isServed(),
            'worst' => $worst === null ? 'clear' : $worst->value,
            'findings' => array_map(static fn (Finding $finding): array => $finding->toArray(), Screener::unique($own)),
        ];
    }

    /** @param  list<array{name: string, cleared: bool, worst: string, findings: list<array<string, mixed>>}>  $verdicts */
    private function isCleared(array $verdicts): bool
    {
        if ($this->recipe->lines === []) {
            return false;
        }
        foreach (array_merge(...$this->lineFindings, ...$this->stepFindings) as $finding) {
            if ($finding->dog === null && $finding->isOpen()) {
                return false;
            }
        }

        return ! in_array(false, array_column($verdicts, 'cleared'), true);
    }
}

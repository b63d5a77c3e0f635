<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Pantry\Ingredient;

/**
 * One dog as the kitchen knows it. Weights in kg, age in months. Whatever is null is unknown and
 * is taken at the end that protects the dog.
 */
final readonly class Dog
{
    public const SEXES = ['female', 'male'];

    public const ACTIVITIES = ['inactive', 'normal', 'active', 'working-light', 'working-moderate', 'working-heavy'];

    public const TEETH = ['full', 'few', 'none'];

    public const EATING = ['normal', 'gulps'];

    /** What of other treats given today may be told of. */
    public const ALREADY = ['kcal', 'sodiumMg', 'fatG', 'addedSugarG', 'retinolUg', 'vitaminAUg', 'vitaminDUg', 'coumarinMg', 'garlicG', 'calciumMg', 'newFibreG', 'kelpG', 'rootSpiceG'];

    private Stage $lifeStage;

    private ?Breed $known;

    /**
     * @param  list<string>  $allergies  resolved group or ingredient ids
     * @param  list<string>|null  $allowList  resolved; null when the dog may eat anything
     * @param  list<string>  $conditions
     * @param  list<string>  $medicines
     * @param  list<string>  $newIngredients
     * @param  array<string, float>  $alreadyToday  kcal, sodiumMg, … of other treats given today
     * @param  ?string  $id  opaque; stays when the name changes
     * @param  list<string>  $dislikes  foods it refuses, as a person says them ("raw apple")
     * @param  list<string>  $without  sections of the recipe it goes without
     * @param  Watched  $watched  what trials and meals told of it until today
     */
    public function __construct(
        public string $name,
        public ?float $weightKg,
        public ?float $ageMonths = null,
        public ?string $sex = null,
        public ?bool $neutered = null,
        public ?int $bodyCondition = null,
        public string $activity = 'normal',
        public ?string $breed = null,
        public ?float $expectedAdultWeightKg = null,
        public ?Stage $stage = null,
        public string $teeth = 'full',
        public string $eating = 'normal',
        public array $allergies = [],
        public ?array $allowList = null,
        public array $conditions = [],
        public array $medicines = [],
        public ?float $foodKcalPer100g = null,
        public array $alreadyToday = [],
        public array $newIngredients = [],
        public ?float $budgetPercent = null,
        public ?string $id = null,
        public array $dislikes = [],
        public array $without = [],
        public Watched $watched = new Watched,
    ) {
        $this->known = $breed === null ? null : Breed::named($breed);
        $this->lifeStage = $stage ?? Stage::at($ageMonths, $this->adultWeightKg());
    }

    public function has(string $condition): bool
    {
        return in_array($condition, $this->conditions, true);
    }

    public function takes(string $medicine): bool
    {
        return in_array($medicine, $this->medicines, true);
    }

    /**
     * Ideal weight from the nine-point body condition: a tenth of the weight a score away from 5; 4 and 5 are ideal.
     * An estimate, and a rough one.
     */
    public function idealWeightKg(): ?float
    {
        if ($this->weightKg === null) {
            return null;
        }
        $score = $this->bodyCondition ?? 5;

        return $score === 4 ? $this->weightKg : $this->weightKg / (1 + 0.10 * ($score - 5));
    }

    public function isOverweight(): bool
    {
        return ($this->bodyCondition ?? 5) >= 6;
    }

    /** The weight this dog has or will have when grown: expected, else ideal. */
    public function adultWeightKg(): ?float
    {
        return $this->expectedAdultWeightKg ?? $this->idealWeightKg();
    }

    public function lifeStage(): Stage
    {
        return $this->lifeStage;
    }

    public function isGrowing(): bool
    {
        return $this->lifeStage() === Stage::Puppy;
    }

    /** Growing towards more than 25 kg: added calcium harms its bones. Unknown adult weight counts by the ideal weight. */
    public function isGrowingLarge(): bool
    {
        return $this->isGrowing() && ($this->adultWeightKg() ?? 0.0) > 25;
    }

    public function isBreeding(): bool
    {
        return $this->has('pregnant') || $this->has('nursing');
    }

    /** What is known of its breed; null when the breed is unknown. */
    public function breed(): ?Breed
    {
        return $this->known;
    }

    /** Largest piece it may swallow whole, in mm; null when its weight is not known. */
    public function safeBiteMm(): ?float
    {
        return Bite::safeMm($this->weightKg);
    }

    /** The same dog at another weight, as an ideal one: what its budget is reckoned by when it is too heavy. */
    public function atIdeal(float $kg): self
    {
        return new self(
            $this->name, $kg, $this->ageMonths, $this->sex, $this->neutered, 5, $this->activity, $this->breed,
            $this->expectedAdultWeightKg, $this->lifeStage(), $this->teeth, $this->eating, conditions: $this->conditions,
        );
    }

    /**
     * The same dog, which refuses these foods too.
     *
     * @param  list<string>  $foods
     */
    public function disliking(array $foods): self
    {
        return new self(
            $this->name, $this->weightKg, $this->ageMonths, $this->sex, $this->neutered, $this->bodyCondition, $this->activity, $this->breed, $this->expectedAdultWeightKg,
            $this->stage, $this->teeth, $this->eating, $this->allergies, $this->allowList, $this->conditions, $this->medicines, $this->foodKcalPer100g, $this->alreadyToday,
            $this->newIngredients, $this->budgetPercent, $this->id, array_values(array_unique([...$this->dislikes, ...$foods])), $this->without, $this->watched,
        );
    }

    /**
     * The same dog, which had so much in other treats today.
     *
     * @param  array<string, float>  $today  kcal, sodiumMg, …
     */
    public function having(array $today): self
    {
        return new self(
            $this->name, $this->weightKg, $this->ageMonths, $this->sex, $this->neutered, $this->bodyCondition, $this->activity, $this->breed, $this->expectedAdultWeightKg,
            $this->stage, $this->teeth, $this->eating, $this->allergies, $this->allowList, $this->conditions, $this->medicines, $this->foodKcalPer100g, $today,
            $this->newIngredients, $this->budgetPercent, $this->id, $this->dislikes, $this->without, $this->watched,
        );
    }

    /** What it is known by in a question: its id where it has one, so that a renamed dog stays the same; else its name. */
    public function key(): string
    {
        return $this->id ?? $this->name;
    }

    /** Whether a word of a request means this dog. */
    public function isCalled(string $idOrName): bool
    {
        return $this->id === $idOrName || $this->name === $idOrName;
    }

    /** Whether a food is one of those it is being brought to slowly. */
    public function isNewTo(Ingredient $food): bool
    {
        if ($this->watched->broughtIn !== [] && $this->watched->trialDay($food) !== null) {
            return true;
        }

        return $food->isCoveredByAny($this->newIngredients) && ! $food->isCoveredByAny($this->watched->bears);
    }

    /** Whether anything at all is new to it. */
    public function hasNew(): bool
    {
        return $this->newIngredients !== [] || $this->watched->broughtIn !== [];
    }

    /** Why no garlic in any amount, under a kitchen's "measured garlic" policy; null when it may have some. */
    public function garlicRefusal(): ?string
    {
        return match (true) {
            $this->isGrowing() => 'a puppy',
            $this->isBreeding() => 'pregnant or nursing',
            $this->has('anaemia') => 'anaemic',
            $this->has('liver') || $this->has('shunt') || $this->has('copper-storage') => 'a dog with a liver condition',
            $this->takes('surgery-planned') => 'to have surgery',
            $this->takes('anticoagulant') => 'on an anticoagulant',
            ($this->breed()->fragile ?? false) => 'of a breed with fragile red cells',
            default => null,
        };
    }
}

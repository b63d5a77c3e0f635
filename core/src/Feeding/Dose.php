<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Contents;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Values\Level;

/**
 * A row of doses.csv: how much of a substance a dog may have in a day, and from where on to be careful.
 *
 * @phpstan-import-type DoseRow from Compiled
 */
final readonly class Dose
{
    /**
     * @param  string  $basis  what the figures are counted by
     * @param  ?float  $caution  in the row's unit; null where there is none
     * @param  list<string>  $who  whom it concerns; empty for every dog
     * @param  ?float  $floorPerKgDay  of the substance, per kg of the dog a day: a treat of next to no energy is not judged below it
     */
    public function __construct(
        public string $code,
        public string $substance,
        public string $basis,
        public ?float $caution,
        public ?float $limit,
        public string $unit,
        public array $who,
        public string $message,
        public string $advice,
        public string $source,
        public ?float $floorPerKgDay = null,
    ) {}

    /**
     * The limit of a code that a row gives to dogs of one kind.
     *
     * @throws \OutOfBoundsException when no row does
     */
    public static function limitOf(string $code, string $who): float
    {
        foreach (Doses::all()->rows as $dose) {
            if ($dose->code === $code && in_array($who, $dose->who, true) && $dose->limit !== null) {
                return $dose->limit;
            }
        }
        throw new \OutOfBoundsException("doses.csv gives \"$who\" no limit of \"$code\".");
    }

    /** @return list<self> the rows of one substance, in the order of the file */
    public static function allOf(string $substance): array
    {
        return array_values(array_filter(Doses::all()->rows, static fn (self $dose): bool => $dose->substance === $substance));
    }

    /** Whether it is a row for an illness, not for every healthy dog. */
    public function isOfIllness(): bool
    {
        return $this->who !== [] && array_intersect($this->who, ['healthy', 'grown', 'growing', 'growing-large', 'garlic-measured']) === [];
    }

    /** Whether it allows less than another row of its code. */
    public function isStricterThan(self $other): bool
    {
        return [$this->limit ?? INF, $this->caution ?? INF] < [$other->limit ?? INF, $other->caution ?? INF];
    }

    public function concerns(Dog $dog, string $garlicPolicy): bool
    {
        foreach ($this->who as $one) {
            $holds = match ($one) {
                'healthy' => true,
                'grown' => ! $dog->isGrowing() && ! $dog->isBreeding(),
                'growing' => $dog->isGrowing(),
                'growing-large' => $dog->isGrowingLarge(),
                'garlic-measured' => $garlicPolicy === 'measured',
                default => $dog->has($one),
            };
            if ($holds) {
                return true;
            }
        }

        return $this->who === [];
    }

    /** What the limit comes to in a day for a dog, less what it had already; null where there is none, or its basis is not known. */
    public function leftPerDay(Dog $dog, ?float $budgetKcal, ?float $dailyKcal): ?float
    {
        $cap = $this->capPerDay($dog, $budgetKcal, $dailyKcal);

        return $cap === null ? null : max(0.0, $cap - $this->already($dog));
    }

    /** The content of foods that its amount is summed from: the sodium of plain water counts nowhere. */
    public function counted(): string
    {
        return self::countedBy($this->substance);
    }

    public static function countedBy(string $substance): string
    {
        return $substance === 'sodiumMg' ? Contents::DOSED_SODIUM : $substance;
    }

    /** What the limit comes to in a day for a dog; never less than the floor. */
    public function capPerDay(Dog $dog, ?float $budgetKcal, ?float $dailyKcal): ?float
    {
        $cap = $this->byBasis($dog, $budgetKcal, $dailyKcal);

        return $cap === null ? null : max($cap, $this->floorPerDay($dog));
    }

    /** So much a day is too little to speak of for a dog; 0 where the row has no floor, or the weight is not known. */
    public function floorPerDay(Dog $dog): float
    {
        return ($this->floorPerKgDay ?? 0.0) * ($dog->weightKg ?? 0.0);
    }

    private function byBasis(Dog $dog, ?float $budgetKcal, ?float $dailyKcal): ?float
    {
        return match (true) {
            $this->limit === null => null,
            $this->basis === 'per100kcalTreat' => $budgetKcal === null ? null : $this->limit * $budgetKcal / 100,
            $this->basis === 'perKcalTreat' => $budgetKcal === null ? null : $this->limit * $budgetKcal,
            $this->basis === 'per100kcalDay' => $dailyKcal === null ? null : $this->limit * $dailyKcal / 100,
            $this->basis === 'perKgDay' => $dog->weightKg === null ? null : $this->limit * $dog->weightKg,
            $this->basis === 'per10kgDay' => $dog->weightKg === null ? null : $this->limit * $dog->weightKg / 10,
            default => throw new \LogicException("doses.csv: nobody knows the basis \"{$this->basis}\"."),
        };
    }

    /** Of its substance, given today in other treats. */
    public function already(Dog $dog): float
    {
        return $dog->alreadyToday[$this->substance] ?? 0.0;
    }

    /** The dose in the row's own unit, of so much a day in treats of so many kcal. */
    public function inUnit(float $amountPerDay, float $kcal, Dog $dog, ?float $dailyKcal): ?float
    {
        return match ($this->basis) {
            'per100kcalTreat' => $kcal > 0 ? $amountPerDay / $kcal * 100 : null,
            'perKcalTreat' => $kcal > 0 ? $amountPerDay / $kcal : null,
            'per100kcalDay' => $dailyKcal === null ? null : $amountPerDay / $dailyKcal * 100,
            'perKgDay' => $dog->weightKg === null ? null : $amountPerDay / $dog->weightKg,
            'per10kgDay' => $dog->weightKg === null ? null : $amountPerDay / $dog->weightKg * 10,
            default => throw new \LogicException("doses.csv: nobody knows the basis \"{$this->basis}\"."),
        };
    }

    /** What is said when a dog's full ration comes to so much in the row's unit: at its limit, or at its caution. */
    public function finding(Dog $dog, Level $level, ?float $value, string $of = 'full ration'): Finding
    {
        $shown = $value === null ? 'unknown' : (string) round($value, $value < 1 ? 2 : ($value < 20 ? 1 : 0));
        $verb = $level === Level::Limit ? 'the limit is '.$this->limit : 'caution from '.$this->caution;

        return new Finding(
            $dog, $level, $this->code, strtr($this->message, ['{value}' => $shown]), $this->advice,
            "$shown {$this->unit} in {$dog->name}'s $of; $verb", false, Sources::name($this->source),
        );
    }

    /** @param  DoseRow  $row */
    public static function row(array $row): self
    {
        return new self($row['code'], $row['substance'], $row['basis'], $row['caution'], $row['limit'], $row['unit'], $row['who'], $row['message'], $row['advice'], $row['source'], $row['floorPerKgDay']);
    }
}

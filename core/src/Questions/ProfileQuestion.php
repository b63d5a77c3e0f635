<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\EnergyRow;
use MildBowl\Core\Dogs\Stage;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Telling\Cares;
use MildBowl\Core\Values\Figure;

/** `profile`: all that follows from one dog's profile: stage, ideal weight, both schools and why they differ, the treat budget, meals, growth. */
final readonly class ProfileQuestion
{
    private const NAMES = ['clinic' => 'Clinic school (AAHA, WSAVA)', 'nrc' => 'Research school (NRC 2006)'];

    private const STEPS = 12;

    /**
     * @param  list<Weighing>  $weighings
     * @param  ?int  $meals  a day; null where nobody said
     */
    public function __construct(private Dog $dog, private Policy $policy, private array $weighings, private ?int $meals) {}

    public function answer(): ProfileAnswer
    {
        $dog = $this->dog;
        $energy = Energy::of($dog, $this->policy->energySchool);
        $budget = TreatBudget::of($dog, $energy, $this->policy);
        $note = $dog->breed()->note ?? '';

        return new ProfileAnswer(
            $dog->lifeStage(), self::stageWhy($dog), $dog->idealWeightKg(), self::idealSays($dog), $energy->restingKcal,
            array_map(fn (string $school): ProfileSchool => self::school($dog, $school, $this->policy), Policy::CHOICES['energySchool']),
            self::difference($dog),
            $budget->kcal === null ? null : ['kcal' => $budget->kcal, 'percent' => $budget->percent, 'reason' => $budget->reason],
            $dog->safeBiteMm(), $note === '' ? null : $note, self::meals($dog, $energy, $budget, $this->meals), self::assumed($dog), self::questions($dog),
            self::growth($dog, $this->weighings, $dog->adultWeightKg()), Cares::of($dog, $this->policy, $budget),
        );
    }

    private static function stageWhy(Dog $dog): string
    {
        if ($dog->stage !== null) {
            return 'You said so; by age it would be '.Stage::at($dog->ageMonths, $dog->adultWeightKg())->value.'.';
        }
        if ($dog->ageMonths === null) {
            return 'Its age is not known: taken as adult.';
        }
        $kg = $dog->adultWeightKg() ?? 0.0;

        return 'At '.Figure::of($kg).' kg grown: adult from '.Stage::adultFromMonths($kg).' months, senior from '.(Stage::seniorFromMonths($kg) / 12).' years.';
    }

    private static function idealSays(Dog $dog): ?string
    {
        $ideal = $dog->idealWeightKg();
        if ($ideal === null || $dog->bodyCondition === null || in_array($dog->bodyCondition, [4, 5], true)) {
            return null;
        }

        return 'About '.Figure::of($ideal)." kg: a tenth of the weight for each score away from 5. A rough estimate; at {$dog->bodyCondition} of 9".(in_array($dog->bodyCondition, [1, 2, 9], true) ? ' ask your vet.' : ' follow its body condition.');
    }

    private static function school(Dog $dog, string $school, Policy $policy): ProfileSchool
    {
        $energy = Energy::of($dog, $school);
        $row = EnergyRow::find($energy->row);

        $made = match (true) {
            $energy->dailyKcal === null || $energy->restingKcal === null => null,
            $row !== null && ($school === 'clinic' || $energy->note !== null || str_starts_with($row->unit, '×')) => Figure::of(Energy::resting($energy->atKg)).' resting × '.Figure::of($energy->factor)." ({$row->meaning}) = ".Figure::of($energy->dailyKcal->best),
            default => Figure::of($energy->factor).' × '.Figure::of($energy->atKg).' kg to the power 0.75 = '.Figure::of($energy->dailyKcal->best),
        };

        return new ProfileSchool($school, self::NAMES[$school], $school === $policy->energySchool, $energy->dailyKcal, $made, $energy->note);
    }

    private static function difference(Dog $dog): ?string
    {
        [$clinic, $research] = [Energy::of($dog, 'clinic')->dailyKcal, Energy::of($dog, 'nrc')->dailyKcal];
        if ($clinic === null || $research === null || $clinic->best <= 0) {
            return null;
        }
        $percent = round(100 * ($research->best / $clinic->best - 1));
        if (abs($percent) < 1) {
            return 'Both schools say the same here.';
        }
        $why = $dog->isGrowing() ? 'the clinic steps by age, the research follows how much of its grown weight it has; a puppy is fed to its growth and condition'
            : ($dog->activity === 'inactive' ? 'the clinic takes a quiet dog as one that gains easily, the research measured quiet pets' : 'the clinic corrects for neutering and easy keeping, the research measured dogs of a given activity');

        return 'The research school is '.abs($percent).' % '.($percent > 0 ? 'higher' : 'lower').": $why. Single dogs differ by 30 % or more from either: follow its body condition.";
    }

    /** @return array{foodGrams: float, treatShareGrams: float, perMealGrams: ?float}|null grams of its own food a day without treats, what a full day of treats takes the place of, and one meal */
    private static function meals(Dog $dog, Energy $energy, TreatBudget $budget, ?int $meals): ?array
    {
        if ($dog->foodKcalPer100g === null || $energy->dailyKcal === null) {
            return null;
        }
        $day = 100 * $energy->dailyKcal->best / $dog->foodKcalPer100g;

        return ['foodGrams' => $day, 'treatShareGrams' => 100 * ($budget->kcal ?? 0.0) / $dog->foodKcalPer100g, 'perMealGrams' => $meals === null ? null : $day / $meals];
    }

    /** @return list<string> what is not known, and what was taken instead */
    private static function assumed(Dog $dog): array
    {
        return array_values(array_filter([
            $dog->weightKg === null ? 'No weight yet: screened, but without a ration.' : null,
            $dog->ageMonths === null && $dog->stage === null ? 'No age: taken as adult.' : null,
            $dog->ageMonths === null && $dog->stage === Stage::Puppy ? 'A puppy of unknown age: the strict rules of a very young one.' : null,
            $dog->neutered === null && ! $dog->isGrowing() ? 'Not known whether neutered: the lower energy of a neutered dog.' : null,
            $dog->bodyCondition === null ? 'No body condition: taken as ideal.' : null,
            $dog->isGrowing() && $dog->expectedAdultWeightKg === null ? 'No grown weight: the research formula for growth cannot be used, and the clinic factor stands.' : null,
            $dog->foodKcalPer100g === null ? 'Its food has no energy written down: nothing can be said of what to hold back.' : null,
        ]));
    }

    /** @return list<string> what looks like a slip */
    private static function questions(Dog $dog): array
    {
        $row = $dog->breed();
        $questions = [];
        $kg = $dog->isGrowing() ? $dog->expectedAdultWeightKg : $dog->idealWeightKg();
        $isPure = preg_match('/\b(cross|mix|mixed|x)\b/i', (string) $dog->breed) !== 1;
        if ($row !== null && $isPure && $kg !== null && $row->kgLow !== null && $row->kgHigh !== null) {
            if ($kg > 2 * $row->kgHigh || (! $dog->isGrowing() && $kg < $row->kgLow / 2)) {
                $questions[] = Figure::of($kg)." kg for a {$row->name}? Most are ".Figure::of($row->kgLow).' to '.Figure::of($row->kgHigh).' kg.';
            }
        }
        if ($dog->weightKg !== null && $dog->expectedAdultWeightKg !== null && $dog->expectedAdultWeightKg < $dog->weightKg) {
            $questions[] = 'The grown weight is under the present one.';
        }
        if ($dog->ageMonths === 0.0) {
            $questions[] = 'Nought months old? A dog under 8 weeks has no treats.';
        }

        return $questions;
    }

    /**
     * How the energy of growth runs from now to grown, by the research formula, beside what was weighed.
     *
     * @param  list<Weighing>  $weighings
     */
    private static function growth(Dog $dog, array $weighings, ?float $adultKg): ?Growth
    {
        if (! $dog->isGrowing() && $weighings === []) {
            return null;
        }
        $curve = [];
        $expected = $dog->expectedAdultWeightKg;
        if ($dog->isGrowing() && $expected !== null && $dog->weightKg !== null && $expected > $dog->weightKg) {
            $from = max(0.1 * $expected, min($dog->weightKg, ...array_map(static fn (Weighing $one): float => $one->kg, $weighings), ...[$dog->weightKg]));
            for ($n = 0; $n <= self::STEPS; $n++) {
                $kg = $from + ($expected - $from) * $n / self::STEPS;
                $curve[] = ['kg' => $kg, 'kcal' => Energy::growing($kg, $expected)];
            }
        }

        return new Growth($expected, Stage::adultFromMonths($adultKg ?? 0.0), $weighings, $curve, 'NRC 2006, growth formula');
    }
}

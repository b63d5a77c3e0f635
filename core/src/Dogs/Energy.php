<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Values\Range;

/**
 * What a dog burns in a day, in kcal of metabolisable energy, by the school the kitchen chose.
 * Clinic: AAHA and WSAVA factors on resting energy. Research: NRC 2006. Constants stand in energy.csv.
 */
final readonly class Energy
{
    private function __construct(
        public ?float $restingKcal,
        public ?Range $dailyKcal,
        public string $row,
        public string $school,
        public ?string $note,
        public float $factor,
        public float $atKg,
    ) {}

    public static function of(Dog $dog, string $school): self
    {
        if ($dog->weightKg === null) {
            return new self(null, null, 'weight-missing', $school, null, 0.0, 0.0);
        }
        $resting = self::resting($dog->weightKg);
        if ($dog->isBreeding()) {
            return new self($resting, null, 'pregnant or nursing', $school, 'No formula: your vet decides.', 0.0, $dog->weightKg);
        }
        $idealKg = $dog->idealWeightKg() ?? $dog->weightKg;
        if ($dog->has('weight-loss')) {
            return self::byFactor($resting, $idealKg, 'weight-loss', self::fallback($school));
        }
        if ($dog->has('weight-gain')) {
            return self::byFactor($resting, $idealKg, 'weight-gain', self::fallback($school));
        }

        return $school === 'nrc' ? self::research($dog, $resting) : self::clinic($dog, $resting, 'clinic', null);
    }

    public static function resting(float $kg): float
    {
        return EnergyRow::value('resting-a') * $kg ** EnergyRow::value('resting-exponent');
    }

    private static function fallback(string $school): ?string
    {
        return $school === 'nrc' ? 'The research school has no row for this plan: clinic factors used.' : null;
    }

    private static function clinic(Dog $dog, float $resting, string $school, ?string $note): self
    {
        $kg = $dog->weightKg ?? 0.0;

        return self::byFactor($resting, $kg, self::clinicRow($dog), $note, $school);
    }

    private static function clinicRow(Dog $dog): string
    {
        if ($dog->lifeStage() === Stage::Puppy) {
            return $dog->ageMonths !== null && $dog->ageMonths < 4 ? 'puppy-young' : 'puppy-older';
        }
        if (str_starts_with($dog->activity, 'working')) {
            return $dog->activity;
        }
        $senior = $dog->lifeStage() === Stage::Senior;
        if ($dog->activity === 'inactive') {
            return $senior && EnergyRow::value('senior') < EnergyRow::value('inactive') ? 'senior' : 'inactive';
        }
        if ($senior) {
            return 'senior';
        }
        if ($dog->activity === 'active') {
            return 'active';
        }

        // unknown counts as neutered: the lower figure
        return ($dog->neutered ?? true) ? 'adult-neutered' : 'adult-intact';
    }

    private static function research(Dog $dog, float $resting): self
    {
        $kg = $dog->weightKg ?? 0.0;
        $metabolic = $kg ** EnergyRow::value('resting-exponent');
        if ($dog->lifeStage() === Stage::Puppy) {
            $expected = $dog->expectedAdultWeightKg;
            if ($expected === null) {
                return self::clinic($dog, $resting, 'nrc', 'The growth formula needs the expected adult weight: clinic factor used.');
            }
            $daily = self::growing($kg, $expected);

            return new self($resting, self::spread($daily, $daily, $daily), 'growing', 'nrc', null, $daily / $metabolic, $kg);
        }
        if (str_starts_with($dog->activity, 'working')) {
            return self::clinic($dog, $resting, 'nrc', self::fallback('nrc'));
        }
        $senior = $dog->lifeStage() === Stage::Senior;
        $breed = $dog->breed();
        $active = $dog->activity === 'active';
        $a = match (true) {
            $senior && $dog->activity === 'inactive' => min(EnergyRow::value('nrc-inactive'), EnergyRow::value('nrc-senior')),
            $senior => EnergyRow::value('nrc-senior'),
            $dog->activity === 'inactive' => EnergyRow::value('nrc-inactive'),
            $active && $breed?->research !== null => $breed->research,
            $active && ($breed->terrier ?? false) => EnergyRow::value('nrc-terrier'),
            $active && $dog->ageMonths !== null && $dog->ageMonths < 24 => EnergyRow::value('nrc-young-active'),
            $active => EnergyRow::value('nrc-active'),
            default => EnergyRow::value('nrc-normal'),
        };

        return new self($resting, self::spread($a * $metabolic, $a * $metabolic, $a * $metabolic), $senior ? 'senior' : $dog->activity, 'nrc', null, $a, $kg);
    }

    /** kcal a day of a puppy of so many kg that will weigh so many: NRC 2006, for a tenth to the whole of its grown weight. */
    public static function growing(float $kg, float $expectedKg): float
    {
        $p = min(1.0, max(0.1, $kg / $expectedKg));

        return EnergyRow::value('nrc-puppy-a') * $kg ** EnergyRow::value('resting-exponent') * EnergyRow::value('nrc-puppy-b')
            * (exp(-EnergyRow::value('nrc-puppy-c') * $p) - EnergyRow::value('nrc-puppy-d'));
    }

    private static function byFactor(float $resting, float $kg, string $row, ?string $note, string $school = 'clinic'): self
    {
        $by = EnergyRow::of($row);
        $base = self::resting($kg);

        return new self(
            $resting,
            self::spread($base * $by->low, $base * $by->value, $base * $by->high),
            $row, $school, $note, $by->value, $kg,
        );
    }

    /** Individuals differ by 30 % or more from any formula. */
    private static function spread(float $low, float $best, float $high): Range
    {
        $individual = EnergyRow::of('individual');

        return Range::of(
            min($low, $best * $individual->low / 100),
            $best,
            max($high, $best * $individual->high / 100),
        );
    }
}

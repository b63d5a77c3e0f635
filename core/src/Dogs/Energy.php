<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Data;
use MildBowl\Core\Range;

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

    /** The same school at another weight: the treat budget of an overweight dog is a share of this. */
    public static function atWeight(Dog $dog, float $kg, string $school): self
    {
        return self::of(new Dog(
            $dog->name, $kg, $dog->ageMonths, $dog->sex, $dog->neutered, 5, $dog->activity, $dog->breed,
            $dog->expectedAdultWeightKg, $dog->lifeStage(), $dog->teeth, $dog->eating, conditions: $dog->conditions,
        ), $school);
    }

    public static function resting(float $kg): float
    {
        return self::constant('resting-a') * $kg ** self::constant('resting-exponent');
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
            return $senior && self::constant('senior') < self::constant('inactive') ? 'senior' : 'inactive';
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
        $metabolic = $kg ** self::constant('resting-exponent');
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
        $breed = $dog->breedRow();
        $active = $dog->activity === 'active';
        $a = match (true) {
            $senior && $dog->activity === 'inactive' => min(self::constant('nrc-inactive'), self::constant('nrc-senior')),
            $senior => self::constant('nrc-senior'),
            $dog->activity === 'inactive' => self::constant('nrc-inactive'),
            $active && ($breed['research'] ?? null) !== null => (float) $breed['research'],
            $active && ($breed['terrier'] ?? false) => self::constant('nrc-terrier'),
            $active && $dog->ageMonths !== null && $dog->ageMonths < 24 => self::constant('nrc-young-active'),
            $active => self::constant('nrc-active'),
            default => self::constant('nrc-normal'),
        };

        return new self($resting, self::spread($a * $metabolic, $a * $metabolic, $a * $metabolic), $senior ? 'senior' : $dog->activity, 'nrc', null, $a, $kg);
    }

    /** kcal a day of a puppy of so many kg that will weigh so many: NRC 2006, for a tenth to the whole of its grown weight. */
    public static function growing(float $kg, float $expectedKg): float
    {
        $p = min(1.0, max(0.1, $kg / $expectedKg));

        return self::constant('nrc-puppy-a') * $kg ** self::constant('resting-exponent') * self::constant('nrc-puppy-b')
            * (exp(-self::constant('nrc-puppy-c') * $p) - self::constant('nrc-puppy-d'));
    }

    private static function byFactor(float $resting, float $kg, string $row, ?string $note, string $school = 'clinic'): self
    {
        $key = Data::tables()['energy'][$row];
        $base = self::resting($kg);

        return new self(
            $resting,
            self::spread($base * (float) $key['low'], $base * (float) $key['value'], $base * (float) $key['high']),
            $row, $school, $note, (float) $key['value'], $kg,
        );
    }

    /** Individuals differ by 30 % or more from any formula. */
    private static function spread(float $low, float $best, float $high): Range
    {
        $individual = Data::tables()['energy']['individual'];

        return Range::of(
            min($low, $best * (float) $individual['low'] / 100),
            $best,
            max($high, $best * (float) $individual['high'] / 100),
        );
    }

    public static function constant(string $key): float
    {
        return (float) Data::tables()['energy'][$key]['value'];
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Core;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\HeatStage;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Feeding\Lots;
use MildBowl\Core\Kitchen\Oven;
use MildBowl\Core\Values\Figure;
use MildBowl\Core\Values\Range;

/** The maker's own heat and minutes beside ours: hers are taken over, and what is far from ours is told. */
final class Comparing
{
    /** °C further from ours than anybody means: 80 where 180 is meant. Then ours stand until the maker says. */
    private const NOT_MEANT = 60.0;

    /** °C from ours up to which a figure without a unit is taken for the unit that brings it there. */
    private const MEANT = 45.0;

    private const FAN = 20.0;

    /** Share of our minutes by which hers may differ. */
    private const FAR = 0.5;

    /** @var array<int, Heat> by lot */
    private array $heats = [];

    /** Whether the plan goes by another heat than the method says. */
    private bool $isOtherHeat = false;

    /** @var list<string> */
    private array $warnings = [];

    /** @param  list<Told>  $told  of the body */
    public function __construct(private readonly Heated $heated, private readonly array $told, private readonly ?Oven $oven) {}

    /** How a lot is heated: at the dial the kitchen is set to, else at the maker's own heat, else at ours. */
    public function heatOf(Lot $lot): Heat
    {
        return $this->heats[spl_object_id($lot)] ??= $this->heat($lot);
    }

    private function heat(Lot $lot): Heat
    {
        $ours = $this->heated->heat($lot, $this->oven);
        $first = $ours->stages[0] ?? null;
        foreach ($this->told as $one) {
            if ($one->core !== null) {
                $this->tooCool($one->core, $ours->cores[0] ?? null);
            }
        }
        $hers = $this->heatTold();
        if ($hers === null || $first?->celsius === null || $this->oven?->celsius !== null) {
            return $ours;
        }
        $isFan = $this->oven?->fan === true;
        $our = $first->celsius + ($isFan ? self::FAN : 0.0);
        $american = $hers->celsius - $our > self::NOT_MEANT ? $hers->asFahrenheit() : null;
        if ($american !== null && (abs($american->celsius - $our) <= self::MEANT || $this->isLongAndCool($american->celsius < $our, $first))) {
            $this->warnings[] = "The method says {$hers->written} without a unit: taken as °F, {$american->onTheDial()} °C.";
            $hers = $american;
        }
        if (abs($hers->celsius - $our) > self::NOT_MEANT && ! $this->isLongAndCool($hers->celsius < $our, $first)) {
            $this->warnings[] = "The method says {$hers->written}; such treats ".($first->does === 'dry' ? 'dry' : 'bake').' at about '.Figure::of($our).' °C'
                .(abs($hers->celsius + 100 - $our) <= 20 ? ': is '.Figure::of(round($hers->celsius) + 100).' °C meant?' : '.').' The plan goes by '.Figure::of($our).' °C until the method says otherwise.';

            $this->isOtherHeat = true;

            return $ours;
        }

        return $this->heated->heat($lot, new Oven($hers->onTheDial() - ($isFan ? self::FAN : 0.0), $isFan));
    }

    /** Whether her minutes go with her heat: who dries at 80 °C takes her time, and means it. */
    private function isLongAndCool(bool $isCooler, HeatStage $ours): bool
    {
        foreach ($this->fromTheHeatOn() as $one) {
            if (in_array($one->kind, [Kind::Heat, Kind::Dry], true) && $one->minutes !== null && $one->isOfOven()) {
                return $isCooler && $one->minutes->best > (1 + self::FAR) * ($ours->minutesLow + $ours->minutesHigh) / 2;
            }
        }

        return false;
    }

    /** Her heat: that of the act itself, else what the oven was last set to, else what it is set to later. */
    private function heatTold(): ?Warmth
    {
        $itself = $this->fromTheHeatOn()[0] ?? null;
        if ($itself?->heat !== null && $itself->isOfOven()) {
            return $itself->heat;
        }
        $set = $later = null;
        foreach ($itself === null ? $this->told : Method::untilTheHeat($this->told, $this->heated->process->id()) as $one) {
            $set = $one->kind === Kind::Preheat ? $one->heat ?? $set : $set;
        }
        foreach ($itself === null ? $this->told : $this->fromTheHeatOn() as $one) {
            $later ??= $one->isOfOven() ? $one->heat : null;
        }

        return $set ?? $later;
    }

    /** @return list<Told> */
    private function fromTheHeatOn(): array
    {
        return Method::fromTheHeatOn($this->told, $this->heated->process->id());
    }

    private function tooCool(Warmth $told, ?Core $core): void
    {
        if ($core !== null && $told->celsius < $core->celsius - 1) {
            $this->warnings[] = "The method says {$told->written} at the core; ".implode(', ', $core->foods)." must reach {$core->celsius} °C.";
        }
    }

    /**
     * What of the method is told of this lot: her minutes are those of the pieces the recipe is written for.
     *
     * @param  list<Told>  $told  from the heat on
     * @return list<Told>
     */
    public function toldOf(Lot $lot, Lots $lots, array $told): array
    {
        $isHers = $lot === $lots->main();
        $n = -1;
        foreach ($told as $act) {
            $n += $act->kind->finishes() ? 1 : 0;
            $stage = $this->heatOf($lot)->stages[$n] ?? null;
            // longer in the cold spoils nothing
            $isLongCold = $stage !== null && in_array($act->kind, [Kind::Chill, Kind::Set, Kind::Freeze], true) && $act->minutes?->best > $stage->minutesHigh;
            if ($isHers && $act->kind->finishes() && $act->minutes !== null && $stage !== null && ! $isLongCold) {
                $this->compare($act->minutes, $stage->minutesLow, $stage->minutesHigh);
            }
        }

        if ($this->isOtherHeat) {
            // her words would say another heat than the plan
            $told = array_map(static fn (Told $one): Told => $one->heat !== null && $one->kind->finishes() ? $one->inOurWords() : $one, $told);
        }

        return $isHers ? $told : array_values(array_filter($told, static fn (Told $one): bool => ! $one->kind->finishes() && $one->minutes === null));
    }

    private function compare(Range $hers, int $low, int $high): void
    {
        $ours = ($low + $high) / 2;
        if (($hers->best < $low || $hers->best > $high) && abs($hers->best - $ours) > self::FAR * $ours) {
            $this->warnings[] = 'The method says '.self::minutes($hers->low, $hers->high).'; reckoned are '.self::minutes($low, $high).'. The plan goes by the method: look early, and note how long it really took.';
        }
    }

    private static function minutes(float $low, float $high): string
    {
        return ($low === $high ? Figure::of($low) : Figure::of($low).'–'.Figure::of($high)).' min';
    }

    /** @return list<string> */
    public function warnings(): array
    {
        return $this->warnings;
    }
}

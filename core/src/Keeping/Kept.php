<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Baking\Binding;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\HeatClass;
use MildBowl\Core\Baking\Parts\Parts;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Pantry\Ingredient;

/** A lot as what it keeps by: its class of keeping.csv, its water, and why. Judged by what was made, of all its parts together. */
final readonly class Kept
{
    /** Share of the dough over which what is of animals decides. */
    public const MUCH = 0.2;

    /** Share of water from which cheese is fresh. */
    private const FRESH_CHEESE = 0.45;

    private const HARD_TO = 0.08;

    private const BISCUIT_TO = 0.12;

    private const CHEWY_TO = 0.24;

    /** Share of water under which what holds meat is dry. */
    private const DRY_WITH_MEAT = 0.10;

    /** Share of a piece from which what is laid on it counts by itself. */
    private const LAID_MUCH = 0.05;

    /** Share of the flesh in it from which it is a treat of liver. */
    private const OF_LIVER = 0.999;

    /** @param  bool  $isLiver  whether all flesh in it is liver, baked */
    private function __construct(public ShelfLife $life, public float $moisture, public bool $isLiver, public string $because) {}

    /** Of what came out of the heat, or of dough as it was mixed. */
    public static function of(Lot $lot, Parts $parts, bool $asDough): self
    {
        return $asDough ? self::dough($lot, $parts) : self::baked($lot, $parts);
    }

    private static function dough(Lot $lot, Parts $parts): self
    {
        $raw = [];
        foreach (self::inAll($lot, $parts) as $one) {
            if (Binding::isFlesh($one->ingredient) && $one->ingredient->inAny(['raw-meat', 'raw-fish', 'shellfish']) && $one->grams->high > 0.0) {
                $raw[$one->ingredient->name] = true;
            }
        }
        $class = $raw === [] ? 'dough' : 'dough-with-meat';

        return new self(ShelfLife::of($class), self::water($lot->batch->dough, $lot->batch->dough->grams->best), false, $raw === [] ? 'Unbaked dough without raw meat or fish.' : 'Unbaked dough with '.implode(' and ', array_keys($raw)).'.');
    }

    private static function baked(Lot $lot, Parts $parts): self
    {
        $batch = $lot->batch;
        $all = self::inAll($lot, $parts);
        $moisture = self::moisture($lot, $parts);
        $animal = self::animal($all);
        $isAnimal = $animal > self::MUCH * self::grams($all) * (1 + 1e-9);
        $percent = self::percent($moisture);
        $texture = $lot->texture;
        $share = self::percent($animal / max(1e-9, self::grams($all)));
        [$class, $because] = match (true) {
            $texture->id === 'frozen' => ['frozen', 'Frozen as it was mixed: it keeps like fresh food once it is thawed.'],
            $texture->id === 'none' => ['no-bake', 'No heat went over it.'],
            $texture->id === 'jerky' => $isAnimal ? ['jerky', "Dried, with meat, liver, fish, cheese or egg: $share of what went in."] : ['plant-chews', 'Dried vegetable or fruit.'],
            $isAnimal && $moisture < self::DRY_WITH_MEAT => ['dry-with-meat', "Meat, liver, fish, fresh cheese or egg are $share of what went in, and it is dry: about $percent water."],
            $isAnimal => ['moist', "Meat, liver, fish, fresh cheese or egg are $share of what went in, over a fifth, and it is not dry: about $percent water."],
            self::isOfSeeds($all) => ['roasted-seeds', 'Most of it is seeds, roasted.'],
            default => self::byMoisture($moisture, $percent),
        };
        $life = ShelfLife::of($class);
        if ($class === 'no-bake' && $isAnimal) {
            $life = $life->noLongerThan(ShelfLife::of('moist'));
            $because .= " Meat, liver, fish, fresh cheese or egg are $share of it: no longer than what is moist with them.";
        }
        [$life, $because] = self::withLaid($life, $because, $lot, $parts);

        return new self($life, $moisture, $class === 'moist' && $life->class === 'moist' && self::isLiver($all), $because);
    }

    /** @return array{string, string} */
    private static function byMoisture(float $moisture, string $percent): array
    {
        return match (true) {
            $moisture < self::HARD_TO => ['hard-biscuit', "Hard and dry: about $percent water, under 8 %, and no meat or fish to speak of."],
            $moisture <= self::BISCUIT_TO => ['biscuit', "A biscuit of about $percent water, and no meat or fish to speak of."],
            $moisture <= self::CHEWY_TO => ['chewy', "Chewy: about $percent water, and no meat or fish to speak of."],
            default => ['soft', "Soft: about $percent water, and no meat or fish to speak of."],
        };
    }

    /**
     * What is laid on a piece or baked in it spoils by itself, and the piece with it.
     *
     * @return array{ShelfLife, string}
     */
    private static function withLaid(ShelfLife $life, string $because, Lot $lot, Parts $parts): array
    {
        $piece = $lot->batch->bakedGrams->best;
        foreach ($parts->laid() as $part) {
            $grams = $part->keptGrams->best * $lot->batch->shareOf($part);
            if ($piece <= 0.0 || $grams < self::LAID_MUCH * $piece) {
                continue;
            }
            $isAnimal = self::animal($part->kept->weighed) > self::MUCH * self::grams($part->kept->weighed);
            $water = self::water($part->kept, $part->keptGrams->best);
            $own = match (true) {
                $water <= self::CHEWY_TO => null,
                $isAnimal => ShelfLife::of('moist'),
                default => ShelfLife::of('soft'),
            };
            if ($own !== null && $own->fridgeDays < $life->fridgeDays) {
                [$life, $because] = [$own, 'What is laid on it spoils first ('.mb_strtolower($part->section() ?? 'the other part').'): about '.self::percent($water).' water'.($isAnimal ? ', with meat, liver, fish, fresh cheese or egg.' : '.')];
            }
        }

        return [$life, $because];
    }

    /** @return list<Weighed> of the body and of what is laid on it, by its share of the recipe */
    private static function inAll(Lot $lot, Parts $parts): array
    {
        $all = $lot->batch->dough->weighed;
        foreach ($parts->laid() as $part) {
            $share = $lot->batch->shareOf($part);
            array_push($all, ...array_map(static fn (Weighed $one): Weighed => $one->times($share), $part->kept->weighed));
        }

        return $all;
    }

    /** Share of water in the pieces as they are, laid parts with them. */
    private static function moisture(Lot $lot, Parts $parts): float
    {
        $bare = $lot->batch->bare();
        $kept = $bare->dough->grams->best <= 0.0 ? 1.0 : min(1.0, $bare->kcal->best / max(1e-9, $bare->dough->kcal->best));
        $grams = $bare->bakedGrams->best;
        // waste leaves with its solids, as it does with its energy
        $solids = $bare->dough->solids->best * ($bare->dough->kcal->best > 0.0 ? $kept : 1.0);
        foreach ($parts->laid() as $part) {
            $share = $lot->batch->shareOf($part);
            $grams += $part->keptGrams->best * $share;
            $solids += $part->kept->solids->best * $share;
        }

        return $grams <= 0.0 ? 0.0 : max(0.0, 1.0 - $solids / $grams);
    }

    private static function water(Dough $dough, float $grams): float
    {
        return $grams <= 0.0 ? 0.0 : max(0.0, 1.0 - $dough->solids->best / $grams);
    }

    /** @param  list<Weighed>  $all */
    private static function animal(array $all): float
    {
        return array_sum(array_map(static fn (Weighed $one): float => self::isOfAnimals($one->ingredient) ? $one->grams->best : 0.0, $all));
    }

    /** Meat, organ, fish, egg or fresh cheese: what spoils as they do. */
    public static function isOfAnimals(Ingredient $food): bool
    {
        $isFreshCheese = $food->inGroup('cheese') && ($food->composition === null || $food->composition->waterG >= 100 * self::FRESH_CHEESE);

        return Binding::isFlesh($food) || $food->inGroup('egg') || $isFreshCheese;
    }

    /** @param  list<Weighed>  $all */
    private static function isLiver(array $all): bool
    {
        $flesh = $liver = 0.0;
        foreach ($all as $one) {
            $isFlesh = Binding::isFlesh($one->ingredient) || ($one->ingredient->inGroup('cheese') && self::isOfAnimals($one->ingredient));
            $flesh += $isFlesh ? $one->grams->best : 0.0;
            $liver += $one->ingredient->inGroup('liver-organ') ? $one->grams->best : 0.0;
        }

        return $liver > 0.0 && $liver >= self::OF_LIVER * $flesh;
    }

    /** @param  list<Weighed>  $all */
    private static function isOfSeeds(array $all): bool
    {
        $seeds = 0.0;
        foreach ($all as $one) {
            $seeds += HeatClass::isSeed($one->ingredient) ? $one->grams->best : 0.0;
        }

        return $seeds > 0.0 && $seeds >= HeatClass::OF_SEEDS * self::grams($all);
    }

    /** @param  list<Weighed>  $all */
    private static function grams(array $all): float
    {
        return array_sum(array_map(static fn (Weighed $one): float => $one->grams->best, $all));
    }

    private static function percent(float $share): string
    {
        return round(100 * $share).' %';
    }

    /** Days in a place as warm as the kitchen is: a warm one has no jar for what is not dry. */
    public function days(Place $place, float $roomCelsius): int
    {
        return $this->isTooWarm($place, $roomCelsius) ? 0 : $this->life->days($place);
    }

    public function atMost(Place $place, float $roomCelsius): int
    {
        return $this->isTooWarm($place, $roomCelsius) ? 0 : $this->life->atMost($place, $roomCelsius, $this->isLiver);
    }

    private function isTooWarm(Place $place, float $roomCelsius): bool
    {
        return $place === Place::Jar && $roomCelsius > ShelfLife::WARM && $this->moisture > ShelfLife::DRY + 1e-9;
    }

    /**
     * The one that spoils first.
     *
     * @param  non-empty-list<self>  $all
     */
    public static function first(array $all): self
    {
        usort($all, static fn (self $a, self $b): int => [$a->life->fridgeDays, $a->life->jarDays, $a->life->freezerDays] <=> [$b->life->fridgeDays, $b->life->jarDays, $b->life->freezerDays]);

        return $all[0];
    }
}

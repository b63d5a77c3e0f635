<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Kitchen\Oven;
use MildBowl\Core\Kitchen\OwnSwap;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Kitchen\Tray;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Prices;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Screening\Rule;

/**
 * Reads what a request says of the kitchen it is asked in. The kitchen's own foods and words are read first: whatever else names a food
 * may name one of them.
 */
final class KitchenReader
{
    /** g; a pack that is lighter is a mistake, and would be kept as nothing */
    private const LIGHTEST_PACK = 0.01;

    private const MOST_LEARNED = 100;

    /** What is further from the plan is no habit of an oven, but a mistake. */
    private const LEAST_FACTOR = 0.1;

    public const KEYS = ['policy', 'names', 'pantry', 'prices', 'swaps', 'tray', 'oven', 'learned'];

    /** @throws RequestRefused */
    public static function read(Node $node, Kitchen $shipped): Kitchen
    {
        $foods = OwnFoodReader::all($node->get('pantry'), $shipped->catalogue);
        $names = self::names($node->get('names'), $shipped->catalogue->with($foods, []));
        $kitchen = $shipped->withFoods($foods, $names);

        return $kitchen->furnished(
            self::policy($node->get('policy')), self::prices($node->get('prices'), $kitchen->catalogue), self::swaps($node->get('swaps'), $kitchen->catalogue),
            self::tray($node->get('tray')), self::oven($node->get('oven')), self::learned($node->get('learned')),
        );
    }

    /** @throws RequestRefused */
    public static function policy(?Node $node): Policy
    {
        if ($node === null) {
            return new Policy;
        }
        $node->object([...array_keys(Policy::CHOICES), 'budgetPercent']);
        $of = static fn (string $key): string => $node->get($key)?->choice(Policy::CHOICES[$key]) ?? Policy::CHOICES[$key][0];

        return new Policy(
            $of('energySchool'), $of('calorieConvention'), $of('garlic'), $of('units'), $of('pseudoGrains'),
            $node->get('budgetPercent')?->number(0, 10, '%'),
        );
    }

    /**
     * A kitchen's own words for foods; refused when they name a poison or no food is meant.
     *
     * @return array<string, string> ingredient id by the words
     *
     * @throws RequestRefused
     */
    public static function names(?Node $node, Catalogue $catalogue): array
    {
        $names = [];
        foreach ($node?->list(500) ?? [] as $one) {
            $one->object(['words', 'ingredient']);
            $words = $one->required('words', 'The words');
            self::mayBeCalled($words, $catalogue);
            $names[$words->filled(80)] = self::food($one->required('ingredient', 'The ingredient'), $catalogue);
        }

        return $names;
    }

    /** @throws RequestRefused when the words name something dogs must never have */
    public static function mayBeCalled(Node $words, Catalogue $catalogue): void
    {
        if (Rule::forbidNaming($words->filled(80), $catalogue->lexicon)) {
            throw RequestRefused::outOfRange($words->path, "\"{$words->filled(80)}\" names something dogs must never have: no other food may take that name.");
        }
    }

    /**
     * The id of a food of this kitchen.
     *
     * @throws RequestRefused
     */
    public static function food(Node $node, Catalogue $catalogue): string
    {
        $id = $node->filled(80);

        return $catalogue->has($id) ? $id : throw RequestRefused::outOfRange($node->path, "The catalogue holds no ingredient \"$id\".");
    }

    /** @throws RequestRefused */
    private static function prices(?Node $node, Catalogue $catalogue): ?Prices
    {
        $perGram = [];
        foreach ($node?->list(1000) ?? [] as $one) {
            [$ingredient, $grams, $price] = self::price($one, $catalogue);
            $perGram[$ingredient] = $price / $grams;
        }

        return $node === null ? null : new Prices($perGram);
    }

    /**
     * One pack: the food in it, its grams, what it cost.
     *
     * @return array{string, float, float}
     *
     * @throws RequestRefused
     */
    public static function price(Node $node, Catalogue $catalogue): array
    {
        $node->object(['ingredient', 'grams', 'price']);

        return [
            self::food($node->required('ingredient', 'The food'), $catalogue), $node->required('grams', 'The weight of a pack')->number(self::LIGHTEST_PACK, 100000, 'g'),
            $node->required('price', 'The price of a pack')->number(0, 100000),
        ];
    }

    /**
     * @return list<OwnSwap>
     *
     * @throws RequestRefused
     */
    private static function swaps(?Node $node, Catalogue $catalogue): array
    {
        return array_map(static fn (Node $one): OwnSwap => self::swap($one, $catalogue), $node?->list(500) ?? []);
    }

    /** @throws RequestRefused */
    public static function swap(Node $node, Catalogue $catalogue): OwnSwap
    {
        $node->object(['out', 'in', 'ratio', 'rating', 'note']);
        $out = self::food($node->required('out', 'The food'), $catalogue);
        $in = self::food($node->required('in', 'The food'), $catalogue);
        if ($out === $in) {
            throw RequestRefused::outOfRange("{$node->path}/in", 'A food is no swap for itself.');
        }

        return new OwnSwap($out, $in, $node->get('ratio')?->positive(50, 'g for a gram') ?? 1.0, $node->get('rating')?->choice(OwnSwap::RATINGS), $node->get('note')?->string(200) ?? '');
    }

    /** @throws RequestRefused */
    private static function tray(?Node $node): ?Tray
    {
        if ($node === null) {
            return null;
        }
        $node->object(['widthMm', 'lengthMm', 'gapMm', 'atOnce']);

        return new Tray(
            $node->required('widthMm', 'The width of the tray')->number(50, 2000, 'mm'),
            $node->required('lengthMm', 'The length of the tray')->number(50, 2000, 'mm'),
            $node->get('gapMm')?->number(0, 100, 'mm') ?? Tray::GAP_MM,
            $node->get('atOnce')?->integer(1, 20) ?? 1,
        );
    }

    /** @throws RequestRefused */
    private static function learned(?Node $node): Learned
    {
        $factors = [];
        foreach ($node?->list(self::MOST_LEARNED) ?? [] as $one) {
            $one->object(['of', 'class', 'factor']);
            $of = $one->required('of', 'What was learned')->choice(Learned::OF);
            $class = $one->required('class', 'The class of treat')->filled(60);
            if (isset($factors[$class][$of])) {
                throw RequestRefused::outOfRange($one->path, "The $of of \"$class\" stand here twice: say them once.");
            }
            $factors[$class][$of] = $one->required('factor', 'The factor')->number(self::LEAST_FACTOR, 1 / self::LEAST_FACTOR, 'times the plan');
        }

        return new Learned($factors);
    }

    /** @throws RequestRefused */
    private static function oven(?Node $node): ?Oven
    {
        $node?->object(['celsius', 'fahrenheit', 'fan']);
        if ($node === null) {
            return null;
        }
        $fahrenheit = $node->get('fahrenheit')?->number(120, 575, '°F');

        return new Oven($node->get('celsius')?->number(50, 300, '°C') ?? ($fahrenheit === null ? null : ($fahrenheit - 32) * 5 / 9), $node->get('fan')?->boolean() ?? false);
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Composition;
use MildBowl\Core\Pantry\Groups;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\OwnFood;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Range;

/** Reads the foods that a kitchen added from labels. */
final class OwnFoodReader
{
    public const FIGURES = ['kcal', 'proteinG', 'fatG', 'carbohydrateG', 'fibreG', 'sugarsG', 'sodiumMg', 'calciumMg', 'phosphorusMg', 'potassiumMg', 'copperMg', 'vitaminAUg', 'vitaminDUg', 'magnesiumMg', 'zincMg', 'ironMg'];

    /**
     * @return list<OwnFood>
     *
     * @throws RequestRefused
     */
    public static function all(?Node $node, Catalogue $shipped): array
    {
        return array_map(static fn (Node $one): OwnFood => self::one($one, $shipped), $node?->list(300) ?? []);
    }

    /** @throws RequestRefused */
    public static function one(Node $node, Catalogue $shipped): OwnFood
    {
        $node->object(['name', 'names', 'groups', 'per100g', 'gramsPerCup', 'gramsEach', 'ingredients']);
        $names = [];
        foreach ([$node->required('name', 'The food\'s name'), ...$node->get('names')?->list(20) ?? []] as $one) {
            KitchenReader::mayBeCalled($one, $shipped);
            $names[] = $one->filled(80);
        }
        $groups = [];
        foreach ($node->get('groups')?->list(30) ?? [] as $one) {
            $group = Groups::named(str_replace([' ', '_'], '-', mb_strtolower(trim($one->filled(80)))));
            foreach ($group === null ? throw RequestRefused::outOfRange($one->path, 'That is no group of foods.') : Groups::closure($group) as $closed) {
                $groups[$closed] = true;
            }
        }
        $cup = $node->get('gramsPerCup')?->positive(2000, 'g');
        $each = $node->get('gramsEach')?->positive(5000, 'g');

        return new OwnFood(
            new Ingredient(
                OwnFood::idOf($names[0]), $names[0], $groups, [], self::composition($node->get('per100g')), 'LABEL', 'B',
                $cup === null ? null : Range::exact($cup), $each === null ? null : Range::exact($each),
            ),
            $names,
            $node->get('ingredients')?->filled(5000),
        );
    }

    private static function composition(?Node $node): ?Composition
    {
        if ($node === null) {
            return null;
        }
        $node->object(self::FIGURES);
        $get = static fn (string $key, float $most): ?float => $node->get($key)?->number(0, $most);
        [$protein, $fat, $carbohydrate] = [$get('proteinG', 100) ?? 0.0, $get('fatG', 100) ?? 0.0, $get('carbohydrateG', 100) ?? 0.0];
        if ($protein + $fat + $carbohydrate > 102) {
            throw RequestRefused::outOfRange($node->path, 'Protein, fat and carbohydrate come to more than 100 g in 100 g.');
        }
        $fibre = min($carbohydrate, $get('fibreG', 100) ?? 0.0);
        $ash = min(1.5, max(0.0, 100 - $protein - $fat - $carbohydrate));
        $kcal = $get('kcal', 950) ?? 4 * $protein + 9 * $fat + 4 * ($carbohydrate - $fibre) + 2 * $fibre;

        return new Composition(
            max(0.0, 100 - $protein - $fat - $carbohydrate - $ash), $kcal, $protein, $fat, $carbohydrate, $fibre, min($carbohydrate, $get('sugarsG', 100) ?? 0.0), $ash,
            $get('sodiumMg', 40000), $get('calciumMg', 40000), $get('phosphorusMg', 40000), $get('potassiumMg', 60000), $get('copperMg', 1000), $get('vitaminAUg', 1e6), $get('vitaminDUg', 1e5), $get('magnesiumMg', 40000), $get('zincMg', 10000), $get('ironMg', 10000),
        );
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Stage;
use MildBowl\Core\Pantry\Catalogue;

/** Reads the dogs of a request. */
final class DogReader
{
    public const KEYS = [
        'name', 'weightKg', 'ageMonths', 'sex', 'neutered', 'bodyCondition', 'activity', 'breed', 'expectedAdultWeightKg', 'stage', 'teeth', 'eating',
        'allergies', 'allowList', 'conditions', 'medicines', 'foodKcalPer100g', 'alreadyToday', 'newIngredients', 'dislikes', 'budgetPercent',
    ];

    public const ACTIVITIES = ['inactive', 'normal', 'active', 'working-light', 'working-moderate', 'working-heavy'];

    public const TEETH = ['full', 'few', 'none'];

    public const EATING = ['normal', 'gulps'];

    public const STAGES = ['puppy', 'adult', 'senior'];

    public const ALREADY = ['kcal', 'sodiumMg', 'fatG', 'addedSugarG', 'retinolUg', 'vitaminAUg', 'vitaminDUg', 'coumarinMg', 'garlicG', 'calciumMg', 'newFibreG', 'kelpG', 'rootSpiceG'];

    public const LIGHTEST_KG = 0.3;

    public const HEAVIEST_KG = 120.0;

    /**
     * @return list<Dog>
     *
     * @throws RequestRefused
     */
    public static function all(?Node $node): array
    {
        $dogs = $names = [];
        foreach ($node?->list(50) ?? [] as $one) {
            $dog = self::one($one);
            if (isset($names[$dog->name])) {
                throw RequestRefused::outOfRange("{$one->path}/name", "Two dogs are called {$dog->name}: give one another name.");
            }
            $names[$dog->name] = true;
            $dogs[] = $dog;
        }

        return $dogs;
    }

    /** @throws RequestRefused */
    public static function one(Node $node): Dog
    {
        $node->object(self::KEYS);
        $conditions = array_keys(Data::tables()['conditions']);
        $medicines = array_keys(Data::tables()['medicines']);
        $weight = $node->get('weightKg')?->number(self::LIGHTEST_KG, self::HEAVIEST_KG, 'kg');
        $expected = $node->get('expectedAdultWeightKg')?->number(self::LIGHTEST_KG, self::HEAVIEST_KG, 'kg');
        $stage = $node->get('stage')?->choice(self::STAGES);

        return new Dog(
            $node->required('name', 'The dog\'s name')->filled(60),
            $weight,
            $node->get('ageMonths')?->number(0, 400, 'months'),
            $node->get('sex')?->choice(['female', 'male']),
            $node->get('neutered')?->boolean(),
            $node->get('bodyCondition')?->integer(1, 9),
            $node->get('activity')?->choice(self::ACTIVITIES) ?? 'normal',
            $node->get('breed')?->string(80),
            $expected,
            $stage === null ? null : Stage::from($stage),
            $node->get('teeth')?->choice(self::TEETH) ?? 'full',
            $node->get('eating')?->choice(self::EATING) ?? 'normal',
            self::foods($node->get('allergies')),
            $node->get('allowList') === null ? null : self::foods($node->get('allowList')),
            self::choices($node->get('conditions'), $conditions),
            self::choices($node->get('medicines'), $medicines),
            $node->get('foodKcalPer100g')?->number(20, 900, 'kcal per 100 g'),
            self::already($node->get('alreadyToday')),
            self::foods($node->get('newIngredients')),
            $node->get('budgetPercent')?->number(0, 10, '%'),
        );
    }

    /** @return list<string> */
    private static function foods(?Node $node): array
    {
        $foods = [];
        foreach ($node?->list(200) ?? [] as $one) {
            $text = $one->filled(80);
            $foods[] = Catalogue::resolveGroupOrId($text)
                ?? throw RequestRefused::outOfRange($one->path, "\"$text\" is neither a group of foods nor a food of the catalogue.");
        }

        return array_values(array_unique($foods));
    }

    /**
     * @param  list<string>  $known
     * @return list<string>
     */
    private static function choices(?Node $node, array $known): array
    {
        $chosen = [];
        foreach ($node?->list(50) ?? [] as $one) {
            $chosen[] = $one->choice($known);
        }

        return array_values(array_unique($chosen));
    }

    /** @return array<string, float> */
    private static function already(?Node $node): array
    {
        $already = [];
        $node?->object(self::ALREADY);
        foreach (self::ALREADY as $key) {
            $amount = $node?->get($key)?->number(0, 1e6);
            if ($amount !== null) {
                $already[$key === 'vitaminAUg' ? 'retinolUg' : $key] = $amount;
            }
        }

        return $already;
    }
}

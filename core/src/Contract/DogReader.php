<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Dogs\Condition;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Stage;
use MildBowl\Core\Dogs\Weight;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Questions\RequestRefused;

/** Reads the dogs of a request. */
final class DogReader
{
    public const KEYS = [
        'id', 'name', 'weightKg', 'ageMonths', 'sex', 'neutered', 'bodyCondition', 'activity', 'breed', 'expectedAdultWeightKg', 'stage', 'teeth', 'eating',
        'allergies', 'allowList', 'conditions', 'medicines', 'foodKcalPer100g', 'alreadyToday', 'newIngredients', 'dislikes', 'budgetPercent', 'without', 'watched',
    ];

    public const LONGEST_ID = 60;

    /**
     * @return list<Dog>
     *
     * @throws RequestRefused
     */
    public static function all(?Node $node, Catalogue $catalogue): array
    {
        $dogs = $known = [];
        foreach ($node?->list(50) ?? [] as $one) {
            $dog = self::one($one, $catalogue);
            if (isset($known[$dog->name])) {
                throw RequestRefused::outOfRange("{$one->path}/name", "Two dogs are called {$dog->name}: give one another name.");
            }
            if ($dog->id !== null && isset($known[$dog->id])) {
                throw RequestRefused::outOfRange("{$one->path}/id", "\"{$dog->id}\" means another dog already: every dog needs an id of its own.");
            }
            $known[$dog->name] = true;
            if ($dog->id !== null) {
                $known[$dog->id] = true;
            }
            $dogs[] = $dog;
        }

        return $dogs;
    }

    /** @throws RequestRefused */
    public static function one(Node $node, Catalogue $catalogue): Dog
    {
        $node->object(self::KEYS);
        $weight = $node->get('weightKg')?->number(Weight::LIGHTEST_KG, Weight::HEAVIEST_KG, 'kg');
        $expected = $node->get('expectedAdultWeightKg')?->number(Weight::LIGHTEST_KG, Weight::HEAVIEST_KG, 'kg');
        $stage = $node->get('stage')?->choice(array_map(static fn (Stage $stage): string => $stage->value, Stage::cases()));

        return new Dog(
            $node->required('name', 'The dog\'s name')->filled(60),
            $weight,
            $node->get('ageMonths')?->number(0, 400, 'months'),
            $node->get('sex')?->choice(Dog::SEXES),
            $node->get('neutered')?->boolean(),
            $node->get('bodyCondition')?->integer(1, 9),
            $node->get('activity')?->choice(Dog::ACTIVITIES) ?? 'normal',
            $node->get('breed')?->string(80),
            $expected,
            $stage === null ? null : Stage::from($stage),
            $node->get('teeth')?->choice(Dog::TEETH) ?? 'full',
            $node->get('eating')?->choice(Dog::EATING) ?? 'normal',
            self::foods($node->get('allergies'), $catalogue),
            $node->get('allowList') === null ? null : self::foods($node->get('allowList'), $catalogue),
            self::choices($node->get('conditions'), Condition::ids(...)),
            self::choices($node->get('medicines'), Condition::medicineIds(...)),
            $node->get('foodKcalPer100g')?->number(20, 900, 'kcal per 100 g'),
            self::already($node->get('alreadyToday')),
            self::foods($node->get('newIngredients'), $catalogue),
            $node->get('budgetPercent')?->number(0, 10, '%'),
            $node->get('id')?->filled(self::LONGEST_ID),
            array_map(static fn (Node $one): string => $one->filled(80), $node->get('dislikes')?->list(200) ?? []),
            array_map(static fn (Node $one): string => $one->filled(200), $node->get('without')?->list(20) ?? []),
            WatchedReader::read($node->get('watched'), $catalogue),
        );
    }

    /**
     * The dog at the table that an id or a name means.
     *
     * @param  list<Dog>  $dogs
     *
     * @throws RequestRefused
     */
    public static function named(Node $node, array $dogs): Dog
    {
        $called = $node->string(self::LONGEST_ID);
        foreach ($dogs as $dog) {
            if ($dog->isCalled($called)) {
                return $dog;
            }
        }
        throw RequestRefused::outOfRange($node->path, "No dog called $called is at the table.");
    }

    /** @return list<string> */
    private static function foods(?Node $node, Catalogue $catalogue): array
    {
        $foods = [];
        foreach ($node === null ? [] : $node->list(200) as $one) {
            $text = $one->filled(80);
            $foods[] = $catalogue->resolveGroupOrId($text)
                ?? throw RequestRefused::outOfRange($one->path, "\"$text\" is neither a group of foods nor a food of the catalogue.");
        }

        return array_values(array_unique($foods));
    }

    /**
     * @param  callable(): list<string>  $known
     * @return list<string>
     */
    private static function choices(?Node $node, callable $known): array
    {
        if ($node === null) {
            return [];
        }
        $words = $known();

        return array_values(array_unique(array_map(static fn (Node $one): string => $one->choice($words), $node->list(50))));
    }

    /** @return array<string, float> */
    private static function already(?Node $node): array
    {
        $already = [];
        if ($node === null) {
            return [];
        }
        $node->object(Dog::ALREADY);
        foreach (Dog::ALREADY as $key) {
            $amount = $node->get($key)?->number(0, 1e6);
            if ($amount !== null) {
                $already[$key === 'vitaminAUg' ? 'retinolUg' : $key] = $amount;
            }
        }

        return $already;
    }
}

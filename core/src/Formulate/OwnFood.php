<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Data;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Composition;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\OwnPantry;
use MildBowl\Core\Range;

/** A food that a kitchen added from a label: its names, its figures per 100 g, the allergen groups it belongs to, its list. */
final readonly class OwnFood
{
    public const FIGURES = ['kcal', 'proteinG', 'fatG', 'carbohydrateG', 'fibreG', 'sugarsG', 'sodiumMg', 'calciumMg', 'phosphorusMg', 'potassiumMg', 'copperMg', 'vitaminAUg', 'vitaminDUg', 'magnesiumMg', 'zincMg', 'ironMg'];

    /**
     * @param  list<string>  $names
     */
    private function __construct(public Ingredient $ingredient, public array $names, public ?string $ingredients) {}

    /**
     * @return list<self>
     *
     * @throws RequestRefused
     */
    public static function all(?Node $node): array
    {
        return array_map(self::one(...), $node?->list(300) ?? []);
    }

    /** @throws RequestRefused */
    public static function one(Node $node): self
    {
        $node->object(['name', 'names', 'groups', 'per100g', 'gramsPerCup', 'gramsEach', 'ingredients']);
        $nameNode = $node->required('name', 'The food\'s name');
        $name = $nameNode->filled(80);
        self::mayBeCalled($name, $nameNode->path);
        $names = [$name];
        foreach ($node->get('names')?->list(20) ?? [] as $one) {
            self::mayBeCalled($one->filled(80), $one->path);
            $names[] = $one->filled(80);
        }
        $groups = [];
        foreach ($node->get('groups')?->list(30) ?? [] as $one) {
            $group = Catalogue::resolveGroupOrId($one->filled(80));
            if ($group === null || ! isset(Data::tables()['groups']['labels'][$group])) {
                throw RequestRefused::outOfRange($one->path, 'That is no group of foods.');
            }
            foreach (Data::tables()['groups']['closure'][$group] ?? [$group] as $closed) {
                $groups[$closed] = true;
            }
        }
        $id = self::idOf($name);
        $cup = $node->get('gramsPerCup')?->positive(2000, 'g');
        $each = $node->get('gramsEach')?->positive(5000, 'g');

        return new self(
            new Ingredient($id, $name, $groups, [], self::composition($node->get('per100g')), 'LABEL', 'B', $cup === null ? null : Range::exact($cup), $each === null ? null : Range::exact($each)),
            $names,
            $node->get('ingredients')?->filled(5000),
        );
    }

    public static function idOf(string $name): string
    {
        return 'own-'.trim(preg_replace('/[^a-z0-9]+/', '-', mb_strtolower($name)) ?? '', '-');
    }

    /** @throws RequestRefused */
    public static function mayBeCalled(string $words, string $path): void
    {
        if (OwnPantry::isTaken($words)) {
            throw RequestRefused::outOfRange($path, "\"$words\" names something dogs must never have: no other food may take that name.");
        }
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

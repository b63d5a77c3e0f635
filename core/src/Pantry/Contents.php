<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data\Compiled;

/** What a food brings of each substance that is shown or dosed: its composition, and the actives of actives.csv. */
final class Contents
{
    /** Groups whose vitamin A is retinol: carotene of plants is no vitamin A until the body makes it so, and cannot overdose. */
    private const OF_ANIMAL = ['meat', 'organ', 'fish', 'shellfish', 'egg', 'dairy', 'animal-fat', 'liver-organ'];

    /** mg of sodium in everything but plain water: what the sodium of a dose is counted by. It is never shown. */
    public const DOSED_SODIUM = 'dosedSodiumMg';

    /** g per 100 g: water and ice, sparkling or still; a brine or a stock holds more. */
    private const NOTHING_BUT_WATER = 99.8;

    /** @return array<string, float> in 100 g: g, mg or µg as the name says; a substance whose content is unknown is left out */
    public static function of(Ingredient $food): array
    {
        $c = $food->composition;
        $found = $c === null ? [] : [
            'waterG' => $c->waterG, 'proteinG' => $c->proteinG, 'fatG' => $c->fatG, 'carbohydrateG' => $c->carbohydrateG,
            'fibreG' => $c->fibreG, 'sugarsG' => $c->sugarsG, 'ashG' => $c->ashG, 'sodiumMg' => $c->sodiumMg, 'calciumMg' => $c->calciumMg,
            'phosphorusMg' => $c->phosphorusMg, 'potassiumMg' => $c->potassiumMg, 'copperMg' => $c->copperMg,
            'vitaminAUg' => $c->vitaminAUg, 'vitaminDUg' => $c->vitaminDUg,
            'retinolUg' => $food->inAny(self::OF_ANIMAL) ? $c->vitaminAUg : 0.0,
            'addedSugarG' => $food->inGroup('added-sugar') || $food->inGroup('added-sugar-part') ? $c->sugarsG : 0.0,
            'newFibreG' => $food->inGroup('new-fibre') || $food->inGroup('bran') ? $c->fibreG : 0.0,
        ];
        // what a tap brings is drunk anyway, and shared out over no energy at all it would look like much
        $found[self::DOSED_SODIUM] = $c === null || ($c->kcal === 0.0 && $c->waterG > self::NOTHING_BUT_WATER) ? 0.0 : $c->sodiumMg;
        foreach (Compiled::tables()['actives'][$food->id] ?? [] as $substance => $content) {
            $found[$substance] = $content[1];
        }

        $known = [];
        foreach ($found as $substance => $content) {
            if ($content !== null) {
                $known[$substance] = $content;
            }
        }

        return $known;
    }
}

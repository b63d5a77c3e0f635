<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\ReadLine;

/** What went in, as a label has to tell it: heaviest first, every food of every row, also one that nobody could read or weigh. */
final class GiftFoods
{
    /** @return list<GiftFood> */
    public static function of(Judgement $judgement): array
    {
        /** @var array<string, array{name: string, grams: ?float, allergen: bool}> $foods */
        $foods = [];
        foreach ($judgement->bowl->recipe->lines as $index => $line) {
            if ($line->isHeading || $line->made?->isNothing() === true) {
                continue;
            }
            $name = self::name($line);
            $grams = ($judgement->bowl->grams[$index] ?? null)?->best;
            $known = $foods[mb_strtolower($name)] ?? ['name' => $name, 'grams' => 0.0, 'allergen' => false];
            $foods[mb_strtolower($name)] = [
                'name' => $known['name'], 'grams' => $grams === null || $known['grams'] === null ? null : $known['grams'] + $grams,
                'allergen' => $known['allergen'] || array_filter($line->foods(), self::isAllergen(...)) !== [],
            ];
        }
        $told = array_map(static fn (array $one): GiftFood => new GiftFood($one['name'], $one['grams'], $one['allergen']), array_values($foods));
        // what could not be weighed may be much or little: it stands behind what is known, and is not left out
        usort($told, static fn (GiftFood $one, GiftFood $two): int => ($two->grams ?? -1.0) <=> ($one->grams ?? -1.0));

        return $told;
    }

    private static function name(ReadLine $line): string
    {
        $foods = $line->foods();
        if ($foods === []) {
            return trim($line->text);
        }
        $names = array_values(array_unique(array_map(static fn (Ingredient $one): string => $one->name, $foods)));

        return implode(count($line->alternatives) > 0 ? ' or ' : ' with ', $names);
    }

    private static function isAllergen(Ingredient $food): bool
    {
        foreach (Compiled::tables()['labelAllergens'] as $group) {
            if ($food->inGroup($group)) {
                return true;
            }
        }

        return false;
    }
}

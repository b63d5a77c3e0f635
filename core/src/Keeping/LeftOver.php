<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;

/**
 * What is left over of the foods a batch was made of: the rest of a tin or a pack, which keeps for some days, and the scraps, which go
 * into a bin that no dog opens or into the bowl. Rows of left-over.csv and scraps.csv.
 */
final readonly class LeftOver
{
    /**
     * @param  list<array{of: Ingredient, food: Ingredient, kept: OpenedFood}>  $kept  each food once
     * @param  list<array{of: list<Ingredient>, scrap: string, isForBowl: bool, says: string}>  $scraps  those that must be out of reach first
     */
    private function __construct(public array $kept, public array $scraps) {}

    /** @param  list<Ingredient>  $foods */
    public static function of(array $foods, Catalogue $catalogue): self
    {
        $kept = $scraps = [];
        foreach ($foods as $food) {
            foreach (Compiled::days()['leftOver'] as $row) {
                if (self::isAny($food, $row['foods'], $row['endings']) && ! self::isAny($food, $row['except'], [])) {
                    $left = $row['leaves'] === '' ? $food : $catalogue->get($row['leaves']);
                    $kept[$left->id] ??= ['of' => $food, 'food' => $left, 'kept' => OpenedFood::of($row['kind'])];
                    break;
                }
            }
        }
        foreach (Compiled::days()['scraps'] as $row) {
            $has = static fn (Ingredient $food): bool => self::isAny($food, $row['foods'], $row['endings'])
                && ! self::isAny($food, $row['except'], $row['exceptEndings']);
            $of = array_values(array_filter($foods, $has));
            if ($of !== []) {
                $scraps[] = ['of' => $of, 'scrap' => $row['scrap'], 'isForBowl' => $row['reach'] === 'bowl', 'says' => $row['says']];
            }
        }
        usort($scraps, static fn (array $one, array $two): int => $one['isForBowl'] <=> $two['isForBowl']);

        return new self(array_values($kept), $scraps);
    }

    /**
     * By its own id, not by what begins like it (a potato is not its starch), by a group, or by what became of it ("-tinned").
     *
     * @param  list<string>  $foods
     * @param  list<string>  $endings  of ids
     */
    private static function isAny(Ingredient $food, array $foods, array $endings): bool
    {
        if (in_array($food->id, $foods, true) || $food->inAny($foods)) {
            return true;
        }

        return array_filter($endings, static fn (string $ending): bool => str_ends_with($food->id, $ending)) !== [];
    }
}

<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\Recipe;

/** A recipe as words that any program shows: plain, or as Markdown. Read in again it is the same sheet. */
final class RecipeAsText
{
    public static function plain(Recipe $recipe): string
    {
        return self::put([$recipe->title, $recipe->text, $recipe->steps === '' ? '' : "Method:\n".$recipe->steps, self::besides($recipe)]);
    }

    public static function markdown(Recipe $recipe): string
    {
        $lines = [];
        foreach (self::rows($recipe->text) as $row) {
            $lines[] = self::isHeading($row) ? ($lines === [] ? '' : "\n").'### '.rtrim($row, ': ').":\n" : "- $row";
        }
        $steps = [];
        foreach (self::rows($recipe->steps) as $n => $row) {
            $steps[] = self::isHeading($row) ? "\n### ".rtrim($row, ': ').":\n" : ($n + 1).". $row";
        }

        return self::put(["# $recipe->title", "## Ingredients\n\n".implode("\n", $lines), $steps === [] ? '' : "## Method\n\n".implode("\n", $steps), self::besides($recipe)]);
    }

    private static function isHeading(string $row): bool
    {
        return str_ends_with($row, ':') && mb_strlen($row) < 60;
    }

    /** @return list<string> */
    private static function rows(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $row): bool => $row !== ''));
    }

    private static function besides(Recipe $recipe): string
    {
        return implode("\n", array_filter([$recipe->yield === null ? '' : "Yield: $recipe->yield", $recipe->source === null ? '' : "Source: $recipe->source"]));
    }

    /** @param  list<string>  $parts */
    private static function put(array $parts): string
    {
        return implode("\n\n", array_filter(array_map(trim(...), $parts), static fn (string $part): bool => $part !== ''))."\n";
    }
}

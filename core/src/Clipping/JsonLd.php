<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/** schema.org Recipe as JSON-LD: every recipe in a document, however deep it stands. */
final class JsonLd
{
    private const DEEPEST = 12;

    public static function read(string $json): Clipped
    {
        try {
            $data = json_decode($json, true, 64, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
        } catch (\JsonException) {
            // pages often put raw line breaks into strings
            $data = json_decode(preg_replace('/[\x00-\x1F]+/', ' ', $json) ?? '', true, 64, JSON_INVALID_UTF8_SUBSTITUTE);
        }
        if (! is_array($data)) {
            return new Clipped([], ['Structured data that is not valid JSON: "'.mb_substr(trim($json), 0, 60).'…"']);
        }
        $found = [];
        self::find($data, 0, $found);
        $recipes = $notUnderstood = [];
        foreach ($found as $recipe) {
            $recipes[] = self::recipe($recipe, $notUnderstood);
        }

        return new Clipped($recipes, $notUnderstood);
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @param  list<array<array-key, mixed>>  $found
     */
    private static function find(array $node, int $depth, array &$found): void
    {
        if ($depth > self::DEEPEST || count($found) >= 50) {
            return;
        }
        $types = array_map(static fn (mixed $type): string => is_string($type) ? strtolower(preg_replace('~^.*[/#:]~', '', $type) ?? '') : '', (array) ($node['@type'] ?? []));
        if (in_array('recipe', $types, true)) {
            $found[] = $node;

            return;
        }
        foreach ($node as $child) {
            if (is_array($child)) {
                self::find($child, $depth + 1, $found);
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $recipe
     * @param  list<string>  $notUnderstood
     */
    private static function recipe(array $recipe, array &$notUnderstood): Clipping
    {
        $lines = [];
        foreach (self::texts($recipe['recipeIngredient'] ?? $recipe['ingredients'] ?? []) as $text) {
            array_push($lines, ...self::split($text));
        }
        $steps = [];
        self::steps($recipe['recipeInstructions'] ?? [], $steps, 0);
        $title = self::first($recipe['name'] ?? $recipe['headline'] ?? null) ?? 'Untitled';
        if ($lines === []) {
            $notUnderstood[] = "\"$title\" gives no ingredients.";
        }
        foreach (['video', 'nutrition', 'aggregateRating', 'suitableForDiet', 'recipeCategory', 'tool', 'supply', 'estimatedCost'] as $key) {
            $text = self::first($recipe[$key] ?? null);
            if ($text !== null) {
                $notUnderstood[] = "$key: ".mb_substr($text, 0, 120);
            }
        }
        $source = self::first($recipe['url'] ?? null) ?? self::first($recipe['mainEntityOfPage'] ?? null) ?? self::name($recipe['author'] ?? null) ?? self::name($recipe['publisher'] ?? null);

        return new Clipping(
            mb_substr($title, 0, 200), implode("\n", $lines), implode("\n", $steps),
            self::first($recipe['recipeYield'] ?? $recipe['yield'] ?? null),
            self::minutes($recipe['prepTime'] ?? null), self::minutes($recipe['cookTime'] ?? $recipe['performTime'] ?? null), $source,
        );
    }

    /** @return list<string> */
    private static function texts(mixed $value): array
    {
        if (is_string($value) || is_int($value) || is_float($value)) {
            return [PlainPage::line((string) $value)];
        }
        $texts = [];
        foreach (is_array($value) ? $value : [] as $one) {
            if (is_array($one)) {
                $text = self::amountOf($one);
                array_push($texts, ...($text === null ? self::texts(array_values($one)) : [$text]));
            } elseif (is_scalar($one)) {
                $texts[] = PlainPage::line((string) $one);
            }
        }

        return array_values(array_filter($texts, static fn (string $text): bool => $text !== ''));
    }

    /**
     * "{amount, unit, name}" as some pages write an ingredient.
     *
     * @param  array<array-key, mixed>  $one
     */
    private static function amountOf(array $one): ?string
    {
        $name = $one['name'] ?? $one['text'] ?? $one['ingredient'] ?? $one['food'] ?? null;
        if (! is_string($name)) {
            return null;
        }
        $parts = [];
        foreach (['amount', 'quantity', 'value', 'unit', 'unitText'] as $key) {
            if (is_scalar($one[$key] ?? null)) {
                $parts[] = (string) $one[$key];
            }
        }

        return PlainPage::line(implode(' ', [...$parts, $name]));
    }

    /**
     * @param  list<string>  $steps
     */
    private static function steps(mixed $value, array &$steps, int $depth): void
    {
        if (is_string($value)) {
            array_push($steps, ...self::split(PlainPage::line($value)));

            return;
        }
        if (! is_array($value) || $depth > 6) {
            return;
        }
        if (array_is_list($value)) {
            foreach ($value as $one) {
                self::steps($one, $steps, $depth + 1);
            }

            return;
        }
        if (isset($value['itemListElement'])) {
            $heading = self::first($value['name'] ?? null);
            if ($heading !== null) {
                $steps[] = rtrim($heading, ': ').':';
            }
            self::steps($value['itemListElement'], $steps, $depth + 1);

            return;
        }
        self::steps($value['text'] ?? $value['item'] ?? $value['name'] ?? null, $steps, $depth + 1);
    }

    /** @return list<string> */
    private static function split(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $line): bool => $line !== ''));
    }

    private static function first(mixed $value): ?string
    {
        if (is_array($value)) {
            $texts = array_is_list($value) ? self::texts($value) : self::texts([$value['name'] ?? $value['@id'] ?? '']);

            return $texts === [] ? null : implode('; ', array_slice($texts, 0, 3));
        }

        return is_scalar($value) && trim((string) $value) !== '' ? mb_substr(PlainPage::line((string) $value), 0, 500) : null;
    }

    private static function name(mixed $value): ?string
    {
        return is_array($value) && array_is_list($value) ? self::first($value[0] ?? null) : self::first($value);
    }

    private static function minutes(mixed $value): ?float
    {
        return is_string($value) ? (Minutes::ofDuration($value) ?? Minutes::ofWords($value)) : null;
    }
}

<?php

declare(strict_types=1);

namespace App\Exchange;

/**
 * Our words beside those of schema.org in a file that is given away. What schema.org has no word for (the cut, the parts, the sheet row by
 * row) stands under them; a program that does not know them reads the recipe all the same.
 */
final class Terms
{
    public const VERSION = 1;

    private const OWN = 'https://mildbowl.invalid/terms#';

    /** @return array<string, mixed> */
    public static function context(): array
    {
        $whole = static fn (string $name): array => ['@id' => self::OWN.$name, '@type' => '@json'];

        return ['@vocab' => 'https://schema.org/', 'bowl' => self::OWN] + array_combine(
            array_map(static fn (string $name): string => "bowl:$name", ['recipe', 'product', 'swap', 'food', 'word']),
            array_map($whole, ['recipe', 'product', 'swap', 'food', 'word']),
        );
    }
}

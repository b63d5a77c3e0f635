<?php

declare(strict_types=1);

namespace App\Printing;

/** The type that is printed with, and how wide words are in it. The page shows the same one, and the PDF holds it. */
final class Type
{
    public const FAMILY = 'Nunito Sans';

    /** mm of a point. */
    public const MM = 25.4 / 72;

    /** From one line to the next, to the size of the type. */
    public const LEADING = 1.24;

    /** Of the size, from the upper edge of a line to its base. */
    public const ASCENT = 0.98;

    private const MEASURED_AT = 400.0;

    /** @var array<string, float> by weight and words, at size 1 */
    private static array $widths = [];

    public static function path(bool $isBold): string
    {
        return base_path('node_modules/@expo-google-fonts/nunito-sans/'.($isBold ? '700Bold/NunitoSans_700Bold.ttf' : '400Regular/NunitoSans_400Regular.ttf'));
    }

    /** @return float mm */
    public static function width(string $words, float $size, bool $isBold): float
    {
        $key = ($isBold ? 'b' : 'r').$words;
        if (! isset(self::$widths[$key])) {
            // GD measures the ink: what the words take up on their line is what they move a letter behind them
            $ink = static function (string $text) use ($isBold): float {
                $box = imagettfbbox(self::MEASURED_AT, 0, self::path($isBold), $text);

                return $box === false ? 0.0 : (float) ($box[2] - $box[0]);
            };
            // and counts points of 96 to the inch
            self::$widths[$key] = ($ink("n{$words}n") - $ink('nn')) * 72 / 96 / self::MEASURED_AT;
        }

        return self::$widths[$key] * $size * self::MM;
    }
}

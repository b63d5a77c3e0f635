<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

/** How many pieces somebody means: "2", "half a slice", "one of six slices", "a sixth", "a third of the cake". */
final class PieceShare
{
    private const WORDS = ['a' => 1, 'an' => 1, 'the' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12];

    private const PARTS = ['half' => 2, 'third' => 3, 'quarter' => 4, 'fourth' => 4, 'fifth' => 5, 'sixth' => 6, 'seventh' => 7, 'eighth' => 8, 'ninth' => 9, 'tenth' => 10, 'twelfth' => 12, 'sixteenth' => 16];

    private const GLYPHS = ['½' => '1/2', '⅓' => '1/3', '⅔' => '2/3', '¼' => '1/4', '¾' => '3/4', '⅕' => '1/5', '⅙' => '1/6', '⅛' => '1/8', '⁄' => '/'];

    private const PIECE = '(?:slices?|pieces?|squares?|treats?|biscuits?)';

    private const WHOLE = '(?:cake|loaf|batch|tray|whole|lot|all)';

    /**
     * @param  float  $count  pieces of the whole
     * @return ?float pieces; null when nobody can tell
     */
    public static function read(string $said, float $count): ?float
    {
        $plain = trim((string) preg_replace('/\s+/', ' ', mb_strtolower(strtr($said, array_map(static fn (string $one): string => " $one", self::GLYPHS)))), " .\t");
        $plain = (string) preg_replace('/\s*\/\s*/', '/', $plain);
        if (preg_match('/^(.+?) (?:(?:out )?of|in) (?:the )?(\S+)(?: '.self::PIECE.')?$/', $plain, $found) === 1) {
            [$part, $whole] = [self::number($found[1]), self::number($found[2])];
            // "one of six slices": of a cake that is cut into so many
            if ($part !== null && $whole !== null && $whole >= $part && $whole > 1) {
                return $count * $part / $whole;
            }
        }
        if (preg_match('/^(.+?)(?: of)?(?: (?:a|an|one|the))? '.self::PIECE.'$/', $plain, $found) === 1) {
            return self::number($found[1]) ?? self::fraction($found[1]);
        }
        if (preg_match('/^(.+?)(?: of)?(?: the| a)? '.self::WHOLE.'$/', $plain, $found) === 1) {
            $share = self::fraction($found[1]) ?? (in_array($found[1], ['the', 'all', 'whole', 'the whole', 'all the'], true) ? 1.0 : (str_contains($found[1], '/') ? self::number($found[1]) : null));

            return $share === null ? null : $count * $share;
        }
        $share = self::fraction($plain);

        return $share === null ? self::number($plain) : $count * $share;
    }

    private static function number(string $said): ?float
    {
        $said = trim($said);
        if (preg_match('/^(\S+) and (.+)$/', $said, $found) === 1) {
            [$whole, $part] = [self::number($found[1]), self::fraction($found[2])];

            return $whole === null || $part === null ? null : $whole + $part;
        }
        if (preg_match('/^(?:(\d+) )?(\d+)\/(\d+)$/', $said, $found) === 1) {
            return $found[1] === '' && (int) $found[3] > 0 ? (int) $found[2] / (int) $found[3] : ((int) $found[3] > 0 ? (int) $found[1] + (int) $found[2] / (int) $found[3] : null);
        }

        return isset(self::WORDS[$said]) ? (float) self::WORDS[$said] : (preg_match('/^\d+(?:[.,]\d+)?$/', $said) === 1 ? (float) strtr($said, [',' => '.']) : null);
    }

    /** "a sixth", "two thirds", "half", "half a". */
    private static function fraction(string $said): ?float
    {
        $said = (string) preg_replace('/ (?:a|an|of)$/', '', trim($said));
        if (preg_match('/^(?:(\S+)[ -])?(\S+?)s?$/', $said, $found) !== 1) {
            return null;
        }
        $part = self::PARTS[$found[2]] ?? ($found[2] === 'halve' ? 2 : null);
        $times = $found[1] === '' ? 1.0 : self::number($found[1]);

        return $part === null || $times === null ? null : $times / $part;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Language;

/** Where a part of a cleaned text stands in the text as it was written: cleaning drops what cannot be seen and joins what belongs together. */
final class Alignment
{
    /**
     * @param  int  $from  first byte in the cleaned text
     * @param  int  $to  byte after the last
     * @return array{int, int} first code point in the text as written, and the one after the last
     */
    public static function of(string $text, string $clean, int $from, int $to): array
    {
        if ($text === $clean) {
            $first = mb_strlen(substr($text, 0, $from));

            return [$first, $first + mb_strlen(substr($text, $from, $to - $from))];
        }
        $length = mb_strlen($text);

        return [self::at($text, $length, $from, false), self::at($text, $length, $to, true)];
    }

    /** Code points of the text whose cleaned form fills so many bytes: the most that do, or the fewest that reach them. */
    private static function at(string $text, int $length, int $bytes, bool $reaches): int
    {
        [$low, $high] = [0, $length];
        while ($low < $high) {
            $middle = intdiv($low + $high + ($reaches ? 0 : 1), 2);
            $filled = strlen(Tokenizer::clean(mb_substr($text, 0, $middle)));
            if ($reaches) {
                [$low, $high] = $filled >= $bytes ? [$low, $middle] : [$middle + 1, $high];
            } else {
                [$low, $high] = $filled <= $bytes ? [$middle, $high] : [$low, $middle - 1];
            }
        }

        return $low;
    }
}

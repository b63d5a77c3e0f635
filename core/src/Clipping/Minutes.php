<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/** Times as recipes give them: an ISO 8601 duration, or words. In minutes. */
final class Minutes
{
    public const WORDS = '(\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*(hours?|hrs?|h|minutes?|mins?|m)\b';

    public static function ofDuration(string $iso): ?float
    {
        if (preg_match('/^P(?:(\d+)D)?(?:T(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?(?:\d+(?:\.\d+)?S)?)?$/i', trim($iso), $part) !== 1 || trim($iso) === 'P') {
            return null;
        }

        return 1440 * (float) ($part[1] ?? 0) + 60 * (float) ($part[2] ?? 0) + (float) ($part[3] ?? 0);
    }

    /** "1 hour 20 min", "20–25 minutes" (the longer one); null where there is no time. */
    public static function ofWords(string $text): ?float
    {
        if (preg_match_all('/'.self::WORDS.'/iu', $text, $found, PREG_SET_ORDER) < 1) {
            return null;
        }
        $minutes = 0.0;
        foreach (array_slice($found, 0, 2) as $index => $one) {
            $number = (float) str_replace(',', '.', $one[2] !== '' ? $one[2] : $one[1]);
            $hours = strtolower($one[3][0]) === 'h';
            if ($index === 1 && $hours) {
                break;
            }
            $minutes += $hours ? 60 * $number : $number;
            if (! $hours) {
                break;
            }
        }

        return $minutes;
    }
}

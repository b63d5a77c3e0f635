<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Reading\RecipeReader;

/** A keeping time that a recipe tells, held against ours. */
final class ToldKeeping
{
    private const DAYS = ['day' => 1, 'week' => 7, 'fortnight' => 14, 'month' => 30, 'year' => 365];

    private const NUMBERS = ['one' => 1, 'a' => 1, 'two' => 2, 'three' => 3, 'several' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12, 'couple of' => 2, 'few' => 3];

    private function __construct() {}

    /**
     * What is to be asked about a row; null where it tells nothing of keeping, or no longer than ours.
     *
     * @param  \Closure(): ShelfLife  $life  of what the recipe makes, worked out only where a row asks for it
     */
    public static function question(string $row, \Closure $life): ?string
    {
        if (preg_match('/\b(keep|keeps|store|stored|last|lasts|good for|up to)\b/i', $row) !== 1
            || preg_match('/(\d+|'.implode('|', array_keys(self::NUMBERS)).')\s*(?:-|–|to)?\s*(\d+)?\s*(day|week|fortnight|month|year)s?\b/i', $row, $found) !== 1) {
            return null;
        }
        $number = (int) ($found[2] !== '' ? $found[2] : (self::NUMBERS[strtolower($found[1])] ?? $found[1]));
        $days = $number * self::DAYS[strtolower($found[3])];
        $life = $life();
        foreach (Place::cases() as $place) {
            if (preg_match("/\\b({$place->pattern()})\\b/i", $row) === 1) {
                $ours = $life->days($place);

                return $days > $ours ? 'Our table says at most '.self::days($ours)." in the {$place->value} for what is {$life->meaning}: shorten it?" : null;
            }
        }

        return $days > $life->jarDays ? 'Our table says at most '.self::days($life->jarDays)." in the jar and {$life->fridgeDays} in the fridge for what is {$life->meaning}: shorten it?" : null;
    }

    /**
     * The rows of a recipe that tell too long a time, each with our question.
     *
     * @return list<string>
     */
    public static function questions(string $text, string $steps, ShelfLife $life): array
    {
        $questions = [];
        foreach ([...RecipeReader::rows($text), ...RecipeReader::rows($steps)] as $row) {
            $question = self::question($row, static fn (): ShelfLife => $life);
            if ($question !== null) {
                $questions[] = 'The recipe says "'.trim($row).'". '.$question;
            }
        }

        return $questions;
    }

    private static function days(int $days): string
    {
        return $days === 1 ? '1 day' : "$days days";
    }
}

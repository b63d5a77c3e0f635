<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Tokenizer;

/** Where what is made is heated, or goes cold, as a method tells it: by the words of work-places.csv. */
final class Place
{
    /** A share of it that is put by for another day, and not how all of it is finished. */
    private const PUT_BY = '/\b(?:half|rest|remaining|remainder|spare|extra|left[- ]?overs?|some|any|surplus|others?|quarters?|thirds?|most|what)\b/iu';

    private const COLD = ['freeze' => 'frozen', 'set' => 'set', 'chill' => 'set'];

    private const HEATED = ['hob', 'griddle', 'microwave'];

    /** @return ?string the process that words name; null where they name none */
    public static function named(string $words): ?string
    {
        foreach (Compiled::tables()['workPlaces'] as $name => $process) {
            $stem = preg_quote((string) preg_replace('/e$/', '', (string) $name), '/');
            if (preg_match("/\\b$stem".(str_ends_with((string) $name, 'e') ? '(?:es?|ed|ing)' : '(?:s|ed|ing)?').'\b/iu', $words) === 1) {
                return $process;
            }
        }

        return null;
    }

    /**
     * The process by which the pieces are finished; null where the method tells of none.
     *
     * @param  list<Told>  $told
     */
    public static function of(array $told): ?string
    {
        foreach ($told as $one) {
            if (self::isHeat($one) && ($one->kind === Kind::Dry || $one->isOfOven())) {
                return 'oven';
            }
        }
        foreach (array_slice($told, self::together($told)) as $one) {
            $place = self::isHeat($one) ? self::named("{$one->verb} {$one->text}") : null;
            if (in_array($place, self::HEATED, true)) {
                return $place;
            }
        }

        return self::cold($told);
    }

    /**
     * From where on everything is together: where a dough is made for the last time that is heated or goes cold then. Behind all where what
     * was made goes nowhere; at the beginning where nothing is made of it.
     *
     * @param  list<Told>  $told
     */
    public static function together(array $told): int
    {
        $made = null;
        $at = 0;
        foreach ($told as $n => $one) {
            $made = $one->makesADough() ? $n : $made;
            $at = $made !== null && $one->kind->finishes() ? $made : $at;
        }
        $isMade = array_filter(array_slice($told, 0, $at + 1), static fn (Told $one): bool => $one->makesADough()) !== [];

        return $made === null || $isMade ? $at : count($told);
    }

    /** @param  list<Told>  $told */
    private static function cold(array $told): ?string
    {
        $cold = null;
        foreach ($told as $n => $one) {
            if (isset(self::COLD[$one->kind->value])) {
                $cold = $n >= self::together($told) && ! self::isPutBy($one) ? self::COLD[$one->kind->value] : $cold;
            } elseif (self::isHeat($one) || $one->makesADough()) {
                // what is rolled or mixed again was only firmed by it
                $cold = null;
            }
        }

        return $cold;
    }

    /** Whether an act is of a share that is put by for another day. */
    public static function isPutBy(Told $one): bool
    {
        $words = Tokenizer::clean($one->text);
        foreach (Duration::in($one->text) as $time) {
            // "for half an hour" is no half of it
            $words = str_replace($time->written, '', $words);
        }

        return preg_match(self::PUT_BY, $words) === 1;
    }

    private static function isHeat(Told $one): bool
    {
        return $one->kind === Kind::Heat || $one->kind === Kind::Dry;
    }
}

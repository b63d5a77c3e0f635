<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

use MildBowl\Core\Keeping\ShelfLife;
use MildBowl\Core\Keeping\ToldKeeping;
use MildBowl\Core\Reading\Place;
use MildBowl\Core\Reading\RecipeReader;

/** What a recipe says that deserves a question beside our own figures: heat, times, keeping, claims, corrections. */
final class Doubts
{
    /** Said of what is dried out or baked hard. */
    private const DRY = '/\b(?:dry|dried|dehydrat\w*|jerky|hard|crisp\w*|crunchy|snap|twice)\b/i';

    /** @return list<Doubt> */
    public static function of(string $text, string $steps, RecipeReader $reader): array
    {
        $doubts = $rows = [];
        $life = null;
        foreach ([Place::TEXT => $text, Place::STEPS => $steps] as $in => $all) {
            foreach (RecipeReader::rows($all) as $number => $row) {
                $row = trim($row);
                if ($row === '') {
                    continue;
                }
                $rows[] = $row;
                foreach ([self::heat($row), self::correction($row), ToldKeeping::question($row, static function () use (&$life, $text, $steps, $reader): ShelfLife {
                    return $life ??= ShelfLife::of(self::keepingClass($text, $steps, $reader));
                }), self::claim($row)] as $question) {
                    if ($question !== null) {
                        $doubts[] = new Doubt($row, $question, $number, $in);
                    }
                }
            }
        }
        $times = self::bakingTimes($rows);
        if (count(array_unique($times)) > 1) {
            $doubts[] = new Doubt(implode('; ', array_keys($times)), 'The baking time is given more than once, and not the same: which one holds?');
        }

        return $doubts;
    }

    private static function heat(string $row): ?string
    {
        // dictation writes "three 50" for 350
        $row = preg_replace_callback('/\b(one|two|three|four)\s(\d0)\b/i', static fn (array $said): string => ['one' => 1, 'two' => 2, 'three' => 3, 'four' => 4][strtolower($said[1])].$said[2], $row) ?? $row;
        if (preg_match('/\b(bak\w+|oven|preheat\w*|roast\w*|dry|dried|dehydrat\w*)\b/i', $row) !== 1
            || preg_match('/(\d{2,4})\s?[A-Z]?\s?(?:°|º|deg(?:ree)?s?\.?)?\s?(C|F|celsius|fahrenheit)\b/i', $row, $found) !== 1) {
            return null;
        }
        $isCelsius = strtolower($found[2][0]) === 'c';
        $degrees = (int) preg_replace('/\D/', '', $found[1]);

        return match (true) {
            $isCelsius && $degrees > 260 => "$degrees °C is hotter than a kitchen oven: is it °F (".self::rounded(($degrees - 32) / 1.8).' °C)?',
            $isCelsius && $degrees < 100 && preg_match('/\b(dry|dried|dehydrat\w*|jerky)\b/i', $row) !== 1 => "$degrees °C bakes nothing: is ".($degrees + 100).' °C meant?',
            ! $isCelsius && $degrees < 200 && preg_match('/\b(dry|dried|dehydrat\w*|jerky)\b/i', $row) !== 1 => "$degrees °F is ".self::rounded(($degrees - 32) / 1.8).' °C and bakes nothing: is it °C?',
            ! $isCelsius && $degrees > 500 => "$degrees °F is hotter than a kitchen oven: check the figure.",
            preg_match('/\b(dry|dried|dehydrat\w*|jerky)\b/i', $row) === 1 && ($isCelsius ? $degrees <= 95 : $degrees <= 203) => 'No drying setting up to 95 °C makes meat safe by itself: bring it to its core temperature first, or finish 10 min at 135 °C.',
            default => null,
        };
    }

    private static function rounded(float $celsius): int
    {
        return 5 * (int) round($celsius / 5);
    }

    /** "a quarter, no, half a teaspoon". */
    private static function correction(string $row): ?string
    {
        if (preg_match('/(\S+(?:\s\S+){0,2}),?\s(?:no wait|no,|sorry,|i mean|actually,|make that|rather,|correction:?)\s*(.{1,60})/iu', $row, $found) !== 1) {
            return null;
        }

        return 'It is corrected in the telling: does "'.trim($found[2], ' .').'" hold, instead of "'.trim($found[1], ' ,').'"?';
    }

    /** What a recipe is kept as, at the end that spoils first where it does not say how it is made. */
    private static function keepingClass(string $text, string $steps, RecipeReader $reader): string
    {
        $isDry = preg_match(self::DRY, $steps) === 1;
        $isFrozen = preg_match('/\bfreez|\bfrozen\b/i', $steps) === 1 && preg_match('/\b(?:bak|oven|roast)/i', $steps) !== 1;
        if ($isFrozen) {
            return 'frozen';
        }
        $class = match (true) {
            preg_match('/\b(?:no|without)[- ]bak|\bunbaked\b|\bnot baked\b/i', $steps) === 1 => 'no-bake',
            $isDry => 'hard-biscuit',
            default => 'biscuit',
        };
        foreach ($reader->read($text, '')->lines as $line) {
            if ($line->food?->inAny(['meat', 'organ', 'fish', 'shellfish', 'cheese']) === true) {
                return $isDry ? 'dry-with-meat' : 'moist';
            }
            if ($class !== 'hard-biscuit' && $line->food?->inAny(['fruit', 'vegetable']) === true) {
                $class = 'soft';
            }
        }

        return $class;
    }

    private static function claim(string $row): ?string
    {
        foreach (Claim::all() as $claim) {
            foreach ($claim->words as $word) {
                if (preg_match('/\b'.preg_quote($word, '/').'\b/iu', $row) === 1 && preg_match('/\b(good|great|help|helps|keep|keeps|fight|fights|boost|boosts|ease|eases|prevent|prevents|stop|stops|steady|steadies|cure|cures|heal|heals|repel|repels|support|supports|improve|improves|natural|safe|so can|treats)\b/i', $row) === 1) {
                    return 'What is known: '.$claim->known;
                }
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $rows
     * @return array<string, float> minutes by row
     */
    private static function bakingTimes(array $rows): array
    {
        $times = [];
        foreach ($rows as $row) {
            if (preg_match('/\bbak(e|ed|ing)\b/i', $row) === 1 && preg_match_all('/'.Minutes::WORDS.'/iu', $row, $found) > 0) {
                $minutes = Minutes::ofWords($found[0][0]);
                if ($minutes !== null && $minutes >= 5) {
                    $times[$row] = $minutes;
                }
            }
        }

        return $times;
    }
}

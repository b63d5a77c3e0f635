<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Compiled;

/** Where one talk goes over to another recipe: "recipe number two", "number three", "second one is …". */
final class Recipes
{
    private const NUMBERS = ['one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12, 'first' => 1, 'second' => 2, 'third' => 3, 'fourth' => 4, 'fifth' => 5, 'sixth' => 6, 'seventh' => 7, 'eighth' => 8, 'ninth' => 9, 'tenth' => 10];

    private const CARDINAL = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\d{1,2}';

    private const ORDINAL = 'first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth';

    private const MARK = '/(?:^|(?<=[.!?,;:\s]))(?:(?:and |so |now |okay |ok |next |then )*(?:(?:recipe|treat|biscuit|snack|tray|batch|flavou?r) (?:number )?|number )(?<n>'.self::CARDINAL.')\b'
        .'|(?:and |so |now |the |okay )*(?<o>'.self::ORDINAL.')(?: (?:up|one|recipe|treat)\b| (?:card|page|note)\b(?: says| reads)?|(?=\s+is\b)))(?:\s+(?:is|are|was|we have|we\'ve got|today is|on the list is|which is))?\s*[:,.–-]?\s*/iu';

    /** "First, apple crisps.", "Two. Banana pops.": a counted name that is a sentence of its own and does nothing. */
    private const COUNTED = '/(?:^|(?<=[.!?\n]))\s*(?:and |so |now |okay |the )*(?<n>(?:'.self::ORDINAL.')(?:ly)?(?: one| up)?(?=\s*[,:–-]| (?:the|my|our) \p{Lu})|(?:'.self::CARDINAL.')(?=\s*[.:,–)-]))\s*(?:[.,:)–-]|\b(?:the|my|our) )\s*'
        .'(?=(?<title>[\p{L}\'’-]+(?: [\p{L}\'’-]+){0,4})\s*[.:!,\n])/iu';

    /** What a recipe is made with: a part without one of these words is no recipe. */
    private const MAKING = '/\b(?:bak(?:e|ed|ing)|oven|degrees|minutes?|mins?|hours?|fridge|freez(?:e|er|es)|frozen|overnight|gas mark|\d{3})\b/iu';

    /** A title ends where the making begins. */
    private const TITLE = '/^(?<title>[^.!?\n]{2,60}?)(?=\s+(?:you|we|i|just|so|which|take|takes|for (?:this|these)|with|it|its|it\'s|needs?|use|get|from|made)\b|\s+(?:\d|one\b|two\b|three\b|four\b|half\b|a\b|an\b)|[.!?\n]|,\s|$)/iu';

    /**
     * The places where recipes begin, when there are several.
     *
     * @return list<array{int, int}> byte of each mark, and the byte after it; empty for one recipe
     */
    public static function marks(string $text): array
    {
        preg_match_all(self::spaced(self::MARK), $text, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL);
        $marks = [];
        $next = 1;
        if (($found[0]['n'][0] ?? null) !== null && in_array(strtolower((string) $found[0]['n'][0]), ['two', '2'], true) && preg_match(self::MAKING, substr($text, 0, $found[0][0][1])) === 1) {
            // what was told before "recipe two" is the first
            $marks[] = [0, 0];
            $next = 2;
        }
        foreach ($found as $one) {
            $said = strtolower((string) ($one['n'][0] ?? $one['o'][0] ?? ''));
            $number = ctype_digit($said) ? (int) $said : self::NUMBERS[$said] ?? 0;
            if ($number === $next) {
                $marks[] = [$one[0][1], $one[0][1] + strlen((string) $one[0][0])];
                $next++;
            }
        }

        return self::areRecipes($marks, $text) ? $marks : self::counted($text);
    }

    /** The same pattern where more than one blank, or a row's end, stands for a blank: times of captions are blanked. */
    private static function spaced(string $pattern): string
    {
        return str_replace(' ', '\\s+', $pattern);
    }

    /** @return list<array{int, int}> */
    private static function counted(string $text): array
    {
        preg_match_all(self::spaced(self::COUNTED), $text, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
        $marks = [];
        foreach ($found as $one) {
            $head = strtolower(explode(' ', $one['title'][0])[0]);
            $said = strtolower((string) preg_replace('/(?:ly)?(?: one| up)?$/i', '', $one['n'][0]));
            $number = ctype_digit($said) ? (int) $said : self::NUMBERS[$said] ?? 0;
            if ($number === count($marks) + 1 && ! isset(Compiled::tables()['verbs'][$head]) && ! isset(self::NUMBERS[$head]) && preg_match('/^(?:the|a|an|you|we|i|my|your|it|of|and|or)$/', $head) !== 1) {
                $marks[] = [$one[0][1], $one[0][1] + strlen($one[0][0])];
            }
        }

        return self::areRecipes($marks, $text) ? $marks : [];
    }

    /**
     * Whether each counted part is made in some way: "the first is oats, the second is egg" counts foods.
     *
     * @param  list<array{int, int}>  $marks
     */
    private static function areRecipes(array $marks, string $text): bool
    {
        $made = 0;
        foreach ($marks as $n => [, $after]) {
            $made += preg_match(self::MAKING, substr($text, $after, ($marks[$n + 1][0] ?? strlen($text)) - $after));
        }

        return count($marks) > 1 && $made >= 0.6 * count($marks);
    }

    /**
     * What a recipe is called that begins here.
     *
     * @return array{?string, int} the title and the bytes it takes up
     */
    public static function title(string $text): array
    {
        if (preg_match(self::spaced(self::TITLE), $text, $found) !== 1 || preg_match('/\d|\bcups?\b|\bgrams?\b|^(?:the|for|so|you|we|i)\b/iu', $found['title']) === 1) {
            return [null, 0];
        }

        $title = (string) preg_replace(['/\s+/u', '/^(?:(?:that[’\']?s|it[’\']?s|these are|they[’\']?re|this is|is|are)\s+(?:(?:the|my|our|a|an)\s+)?|(?:my|our)\s+)/iu'], [' ', ''], trim($found['title'], " ,.'\"\n"));

        return [$title, strlen($found[0])];
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/**
 * What a row opens: the list, the method, or a section of its own; and what of the row is left to read. A row that holds an amount is no
 * heading, whatever it ends in.
 */
final readonly class Heading
{
    public const LIST = 'list';

    public const METHOD = 'method';

    public const SECTION = 'section';

    private const OPENS_METHOD = '/^(?:the\s+)?(?:method|directions?|instructions?|steps|preparation|procedure|how to make(?:\s+(?:it|them|these))?|what to do|to make)(?=[\s:.\-–—]|$)(?!\s*time)/iu';

    private const OPENS_LIST = '/^(?:the\s+)?(?:ingredients?(?:\s+list)?|(?:what\s+)?you(?:[\'’]ll|\s+will)?\s+need|shopping list|for the list)(?=[\s:.\-–—(]|$)/iu';

    private const OPENS_SECTION = '/^(?<name>[\p{L}\'’ &\/-]{2,40}?)\s*:\s+(?<rest>\S.*)$/u';

    private const YIELDS = '/^(?:yields?|makes|serves|servings?|portions?|quantity|feeds)$/iu';

    /** Words that a section is called by, without a mark behind them. */
    private const SECTIONS = [
        'dry', 'wet', 'ingredient', 'dough', 'topping', 'filling', 'base', 'crust', 'extra', 'coating', 'glaze', 'optional', 'layer', 'other', 'finish', 'to', 'the', 'first', 'second', 'third', 'part',
        'serve', 'decoration', 'middle', 'add-in', 'bowl', 'mix', 'mixture', 'and', 'part', 'one', 'two', 'three', 'stage', 'batter',
    ];

    /**
     * @param  ?string  $section  its name, where it opens one
     * @param  int  $from  first byte of the row that is left to read
     */
    private function __construct(public ?string $opens, public ?string $section, public string $rest, public int $from) {}

    /** @param  callable(string): Words  $words  reads a text */
    public static function of(string $row, callable $words): self
    {
        $cut = strlen($row) - strlen(ltrim($row, "*#_> \t"));
        $line = rtrim(substr($row, $cut), "*#_ \t");
        if (preg_match('/[:\'\p{L}]/u', $line) !== 1 || ctype_digit($line[0]) && ! str_ends_with($line, ':')) {
            return new self(null, null, $line, $cut);
        }
        foreach ([self::METHOD => self::OPENS_METHOD, self::LIST => self::OPENS_LIST] as $kind => $pattern) {
            if (preg_match($pattern, $line, $found) === 1) {
                $left = substr($line, strlen($found[0]));
                $rest = (string) preg_replace('/^[\s:.\-–—]+/u', '', $left);
                if (strlen($rest) < 30 && ! self::namesSomething($words($rest)) || $rest === '') {
                    return new self($kind, null, '', $cut + strlen($line));
                }

                return new self($kind, null, $rest, $cut + strlen($line) - strlen($rest));
            }
        }
        if (str_ends_with($line, ':')) {
            $name = rtrim($line, ': ');
            $said = mb_strlen($name) <= 80 ? $words($name) : null;

            return $said === null || self::measures($said) ? new self(null, null, $name, $cut) : new self(self::SECTION, $name, '', $cut + strlen($line));
        }
        if (preg_match('/^for the\b/iu', $line) === 1 && ! str_contains($line, ',') && str_word_count($line) <= 7 && ! str_contains($line, ':')) {
            return $words($line)->amounts !== [] ? new self(null, null, $line, $cut) : new self(self::SECTION, rtrim($line, '. '), '', $cut + strlen($line));
        }
        if (preg_match(self::OPENS_SECTION, $line, $found) === 1 && str_word_count($found['name']) <= 4 && preg_match(self::YIELDS, $found['name']) !== 1) {
            $name = $words($found['name']);
            if ($name->mentions === [] && $name->amounts === [] && self::isUnderstood($name) && self::namesSomething($words($found['rest']))) {
                return new self(self::SECTION, $found['name'], $found['rest'], $cut + strlen($line) - strlen($found['rest']));
            }
        }
        if (strlen($line) < 40 && self::isSectionName($line)) {
            return new self(self::SECTION, $line, '', $cut + strlen($line));
        }

        return new self(null, null, $line, $cut);
    }

    /** Whether a row holds an amount; "Part 1" is a number only. */
    private static function measures(Words $words): bool
    {
        foreach ($words->amounts as $amount) {
            if ($words->mentions !== [] || $amount->unit !== 'each' || $amount->from === 0) {
                return true;
            }
        }

        return false;
    }

    private static function namesSomething(Words $words): bool
    {
        return $words->mentions !== [] || $words->amounts !== [];
    }

    private static function isUnderstood(Words $words): bool
    {
        foreach ($words->tokens as $token) {
            if (! LineReader::isHarmless($token)) {
                return false;
            }
        }

        return true;
    }

    private static function isSectionName(string $line): bool
    {
        $any = false;
        foreach (preg_split('/[\s&\/]+/', strtolower(rtrim($line, '.'))) ?: [] as $word) {
            $stem = rtrim($word, 's');
            if (! in_array($word, self::SECTIONS, true) && ! in_array($stem, self::SECTIONS, true)) {
                return false;
            }
            $any = $any || ! in_array($word, ['the', 'and', 'to', 'first', 'second', 'third', 'one', 'two', 'three'], true);
        }

        return $any;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Language;

/**
 * Cuts a line into words, numbers and marks, reading through what hides a word:
 * invisible characters, accents, look-alike letters of other alphabets, full-width forms.
 */
final class Tokenizer
{
    private const VULGAR = [
        '½' => 0.5, '⅓' => 1 / 3, '⅔' => 2 / 3, '¼' => 0.25, '¾' => 0.75, '⅕' => 0.2, '⅖' => 0.4, '⅗' => 0.6, '⅘' => 0.8,
        '⅙' => 1 / 6, '⅚' => 5 / 6, '⅛' => 0.125, '⅜' => 0.375, '⅝' => 0.625, '⅞' => 0.875, '⅐' => 1 / 7, '⅑' => 1 / 9, '⅒' => 0.1,
    ];

    /** Cyrillic and Greek letters that look like Latin ones. */
    private const LOOK_ALIKES = [
        'а' => 'a', 'в' => 'b', 'с' => 'c', 'ԁ' => 'd', 'е' => 'e', 'ё' => 'e', 'һ' => 'h', 'і' => 'i', 'ї' => 'i', 'ј' => 'j', 'к' => 'k', 'ӏ' => 'l',
        'м' => 'm', 'н' => 'h', 'о' => 'o', 'р' => 'p', 'ԛ' => 'q', 'ѕ' => 's', 'т' => 't', 'у' => 'y', 'ѵ' => 'v', 'ԝ' => 'w', 'х' => 'x', 'ү' => 'y',
        'α' => 'a', 'β' => 'b', 'ε' => 'e', 'η' => 'n', 'ι' => 'i', 'κ' => 'k', 'μ' => 'u', 'ν' => 'v', 'ο' => 'o', 'ρ' => 'p', 'σ' => 'o', 'τ' => 't',
        'υ' => 'u', 'χ' => 'x', 'γ' => 'y', 'ω' => 'w', 'ı' => 'i', 'ɡ' => 'g', 'ɑ' => 'a', 'ꞵ' => 'b', 'ɩ' => 'i', 'ո' => 'n', 'օ' => 'o', 'ս' => 'u', 'հ' => 'h',
    ];

    /** Numbers nobody can mean in a kitchen: powers of ten, millions, a letter O among the digits, a division by nothing. */
    private const ODD = '(?:\d+(?:[.,]\d+)?[eE][+-]?\d{2,}\b|\d{1,3}(?:[.,]\d{3}){2,}|\d{7,}(?:[.,\/]\d+)*|\d+[oO]+\d*\b|\d{1,4}\s?\/\s?0+(?![\d.\/]))';

    private const PATTERN = '~[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞⅐⅑⅒](*MARK:vulgar)'
        .'|\b[eE][ -]?\d{3,4}[a-d]?\b(*MARK:additive)'
        .'|'.self::ODD.'(*MARK:odd)'
        .'|\d{1,4}\s?/\s?\d{1,4}(?![\d/])(*MARK:fraction)'
        .'|(?:\d{1,12}(?:[.,]\d{1,6})?|\.\d{1,6})(*MARK:number)'
        .'|[\p{L}\p{M}]+(?:\'[\p{L}]+)*\'?(*MARK:word)'
        .'|[^\s\p{L}\d](*MARK:mark)~u';

    /** Letters that do not come apart into a letter and a mark. */
    private const WHOLE = ['ø' => 'o', 'œ' => 'oe', 'æ' => 'ae', 'ß' => 'ss', 'ł' => 'l'];

    /** Removes what cannot be seen and settles equivalent forms; the result is what tokens point into. */
    public static function clean(string $text): string
    {
        if (preg_match('/[^\x20-\x7e]/', $text) !== 1) {
            return $text;
        }
        $text = (string) preg_replace('/[\x{00AD}\x{034F}\x{061C}\x{115F}\x{1160}\x{17B4}\x{17B5}\x{180B}-\x{180F}\x{200B}-\x{200F}\x{202A}-\x{202E}\x{2060}-\x{206F}\x{FE00}-\x{FE0F}\x{FEFF}]+/u', '', $text);
        if (preg_match('/[\x{1F000}-\x{1FAFF}\x{2615}]/u', $text) === 1) {
            $text = strtr($text, Emoji::WORDS);
        }
        $text = strtr($text, ['’' => "'", '‘' => "'", '`' => "'", '´' => "'", '“' => '"', '”' => '"', '⁄' => '/', '∕' => '/', '–' => '-', '—' => '-', '‑' => '-', '‐' => '-', '−' => '-', '×' => 'x', '٪' => '%']);
        // Vulgar fractions must not decompose into "11/2".
        $text = (string) preg_replace('/(\d)\s*([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞⅐⅑⅒])/u', '$1 $2', $text);
        if (preg_match('/[^\x00-\x{024F}½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞⅐⅑⅒\x{2000}-\x{206F}]/u', $text) === 1) {
            $parts = preg_split('/([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞⅐⅑⅒])/u', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$text];
            $text = implode('', array_map(
                static fn (string $part): string => isset(self::VULGAR[$part]) ? $part : self::normal($part, \Normalizer::FORM_KC),
                $parts,
            ));
        } elseif (preg_match('/\p{M}/u', $text) === 1) {
            $text = self::normal($text, \Normalizer::FORM_C);
        }

        return (string) preg_replace('/[\x{00A0}\x{2000}-\x{200A}\x{202F}\x{205F}\x{3000}\t]/u', ' ', $text);
    }

    /** Whether a word mixes in letters of another alphabet that look like Latin ones. */
    public static function hasLookAlikes(string $text): bool
    {
        return preg_match('/[\x{0370}-\x{052F}]/u', $text) === 1
            && preg_match('/(?=\p{L}*[\x{0370}-\x{052F}])\p{L}+/u', $text) === 1;
    }

    /** @return list<Token> */
    public static function tokenize(string $clean): array
    {
        if (preg_match_all(self::PATTERN, $clean, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE) === false) {
            return [];
        }
        $tokens = [];
        $hyphen = false;
        /** @var list<array{0: array{string, int}, MARK?: string}> $found */
        foreach ($found as $match) {
            [$raw, $offset] = $match[0];
            $length = strlen($raw);
            $kind = $match['MARK'] ?? '';
            if ($kind === 'mark') {
                if ($raw === '-' && $tokens !== [] && $offset > 0 && $clean[$offset - 1] !== ' ' && ($clean[$offset + 1] ?? ' ') !== ' ' && end($tokens)->kind === Token::WORD) {
                    $hyphen = true;

                    continue;
                }
                // "15-oz can", "8-ounce piece"
                if ($raw === '-' && $tokens !== [] && end($tokens)->kind === Token::NUMBER && ctype_alpha($clean[$offset + 1] ?? ' ') && $clean[$offset - 1] !== ' ') {
                    continue;
                }
                $tokens[] = new Token(Token::MARK, $offset, $length, $raw, $raw, $raw);
            } elseif ($kind === 'word') {
                $word = self::fold($raw);
                $tokens[] = new Token(Token::WORD, $offset, $length, $raw, $word, self::stem($word), glued: $hyphen);
            } elseif ($kind === 'additive') {
                $word = strtolower(str_replace([' ', '-'], '', $raw));
                $tokens[] = new Token(Token::WORD, $offset, $length, $raw, $word, $word, glued: $hyphen);
            } elseif ($kind === 'odd') {
                $tokens[] = new Token(Token::ODD, $offset, $length, $raw, $raw, $raw);
            } elseif ($kind === 'vulgar') {
                $tokens[] = new Token(Token::NUMBER, $offset, $length, $raw, $raw, $raw, self::VULGAR[$raw], true);
            } elseif ($kind === 'fraction') {
                [$over, $under] = array_map(floatval(...), explode('/', str_replace(' ', '', $raw)));
                $tokens[] = new Token(Token::NUMBER, $offset, $length, $raw, $raw, $raw, $under > 0.0 ? $over / $under : 0.0, true);
            } else {
                $tokens[] = new Token(Token::NUMBER, $offset, $length, $raw, $raw, $raw, self::decimal($raw));
            }
            $hyphen = false;
        }

        return $tokens;
    }

    /** A comma before exactly three digits groups thousands ("1,000 g"); else it is a decimal comma ("1,5"). */
    private static function decimal(string $raw): float
    {
        if (preg_match('/^[1-9]\d{0,2},\d{3}$/', $raw) === 1) {
            return (float) str_replace(',', '', $raw);
        }

        return (float) str_replace(',', '.', $raw);
    }

    /** Lower case, plain Latin letters, no apostrophes. */
    public static function fold(string $word): string
    {
        if (preg_match('/[^a-z]/', $word) !== 1) {
            return $word;
        }
        $word = str_replace("'", '', mb_strtolower($word, 'UTF-8'));
        if (preg_match('/[^a-z]/', $word) !== 1) {
            return $word;
        }
        $word = strtr($word, self::WHOLE + self::LOOK_ALIKES);
        if (preg_match('/[^a-z0-9]/', $word) === 1) {
            $word = (string) preg_replace('/\p{M}+/u', '', self::normal($word, \Normalizer::FORM_D));
        }

        return $word;
    }

    /** Singular form by the regular endings, good enough to meet the same form of a name. */
    public static function stem(string $word): string
    {
        $length = strlen($word);
        if ($length < 4 || $word[$length - 1] !== 's') {
            return $word;
        }

        return match (true) {
            in_array($word, ['molasses', 'hummus', 'couscous', 'asparagus', 'citrus', 'hibiscus', 'gas', 'plus', 'swiss', 'brussels', 'less', 'octopus'], true) => $word,
            in_array($word, ['cookies', 'veggies', 'brownies', 'smoothies'], true) => substr($word, 0, -1),
            str_ends_with($word, 'ies') => $length > 5 ? substr($word, 0, -3).'y' : substr($word, 0, -1),
            $word === 'leaves', $word === 'calves', $word === 'loaves', $word === 'halves' => substr($word, 0, -3).'f',
            str_ends_with($word, 'oes') && $length > 5 => substr($word, 0, -2),
            (bool) preg_match('/(ch|sh|ss|x|zz)es$/', $word) => substr($word, 0, -2),
            str_ends_with($word, 'ss'), str_ends_with($word, 'us'), str_ends_with($word, 'is') => $word,
            default => substr($word, 0, -1),
        };
    }

    /** The key under which a phrase stands in the dictionaries. */
    public static function key(string $phrase): string
    {
        $stems = [];
        foreach (self::tokenize(self::clean($phrase)) as $token) {
            if ($token->kind !== Token::MARK) {
                $stems[] = $token->stem;
            }
        }

        return implode(' ', $stems);
    }

    /**
     * Whether one of these phrases stands in a row of keys, with a blank at both ends; "homemade+no onion" wants both parts, in any order.
     *
     * @param  list<string>  $phrases  those of two parts last
     */
    public static function holds(string $haystack, array $phrases): bool
    {
        foreach ($phrases as $phrase) {
            if (str_contains($haystack, " $phrase ")) {
                return true;
            }
        }
        for ($n = count($phrases) - 1; $n >= 0 && str_contains($phrases[$n], '+'); $n--) {
            if (array_filter(explode('+', $phrases[$n]), static fn (string $part): bool => ! str_contains($haystack, " $part ")) === []) {
                return true;
            }
        }

        return false;
    }

    /** Normal form of a text; the text itself where it has none. */
    private static function normal(string $text, int $form): string
    {
        $normal = \Normalizer::normalize($text, $form);

        return is_string($normal) ? $normal : $text;
    }
}

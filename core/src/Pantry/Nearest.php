<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Tokenizer;

/**
 * The foods whose names come nearest to words nobody knows: forgiving of spelling, plural, order and brand-like words.
 * It offers, with a reason; it never chooses.
 */
final class Nearest
{
    private const CANDIDATES = 60;

    private const ENOUGH = 0.5;

    /**
     * @return list<array{ingredient: string, name: string, reason: string}>
     */
    public static function to(string $words, int $most = 3): array
    {
        $index = Compiled::search();

        return self::among($words, $index['names'], $index['grams'], $most);
    }

    /**
     * @param  list<array{string, string}>  $names  key and ingredient id
     * @param  array<string, list<int>>  $grams  numbers of the names that hold these three letters
     * @return list<array{ingredient: string, name: string, reason: string}>
     */
    public static function among(string $words, array $names, array $grams, int $most): array
    {
        $query = self::words($words);
        if ($query === []) {
            return [];
        }
        $hits = [];
        foreach ($query as $word) {
            foreach (self::gramsOf($word) as $gram) {
                foreach ($grams[$gram] ?? [] as $number) {
                    $hits[$number] = ($hits[$number] ?? 0) + 1;
                }
            }
        }
        foreach ($hits as $number => $count) {
            // long names gather hits by length alone
            $hits[$number] = $count / (4 + strlen($names[$number][0]));
        }
        arsort($hits);
        $found = [];
        foreach (array_slice(array_keys($hits), 0, self::CANDIDATES) as $number) {
            [$key, $id] = $names[$number];
            [$score, $reason] = self::score($query, explode(' ', $key));
            if ($score >= self::ENOUGH && $score > ($found[$id]['score'] ?? 0.0)) {
                $found[$id] = ['score' => $score, 'key' => $key, 'reason' => $reason];
            }
        }
        uasort($found, static fn (array $a, array $b): int => $b['score'] <=> $a['score'] ?: strlen($a['key']) <=> strlen($b['key']));
        $offers = [];
        foreach (array_slice($found, 0, $most, true) as $id => $one) {
            $offers[] = ['ingredient' => $id, 'name' => Compiled::tables()['entries'][$id]['name'] ?? $one['key'], 'reason' => $one['reason']];
        }

        return $offers;
    }

    /**
     * @param  non-empty-list<string>  $query
     * @param  non-empty-list<string>  $name
     * @return array{float, string}
     */
    private static function score(array $query, array $name): array
    {
        $exact = $near = [];
        $sum = 0.0;
        foreach ($name as $word) {
            $best = 0.0;
            $with = '';
            foreach ($query as $asked) {
                $alike = self::alike($asked, $word);
                if ($alike > $best) {
                    [$best, $with] = [$alike, $asked];
                }
            }
            $sum += $best;
            if ($best >= 1.0) {
                $exact[$with] = true;
            } elseif ($best >= 0.6) {
                $near[$with] = $word;
            }
        }
        $covered = $sum / count($name);
        $used = (count($exact) + count($near)) / count($query);
        $left = array_values(array_diff($query, array_keys($exact), array_keys($near)));
        $reason = match (true) {
            $near !== [] => '"'.array_key_first($near).'" is spelled nearly like "'.reset($near).'"',
            $left !== [] => 'the same without "'.implode(' ', array_slice($left, 0, 3)).'"',
            count($exact) === count($name) => 'the same words',
            default => 'shares "'.array_key_first($exact).'"',
        };

        return [0.7 * $covered + 0.3 * $used, $reason];
    }

    /** 1 for the same word, less the more letters must change. */
    private static function alike(string $one, string $two): float
    {
        if ($one === $two) {
            return 1.0;
        }
        $length = max(strlen($one), strlen($two));
        if ($length > 40 || abs(strlen($one) - strlen($two)) > 3 || $length < 3) {
            return 0.0;
        }
        // two letters that changed places are one slip
        $distance = levenshtein($one, $two);
        if ($distance === 2 && count_chars($one, 3) === count_chars($two, 3) && strlen($one) === strlen($two)) {
            $distance = 1;
        }

        return max(0.0, 1 - $distance / $length * 1.2);
    }

    /** @return list<string> stems that may name a food */
    private static function words(string $text): array
    {
        $tables = Compiled::tables();
        $words = [];
        foreach (Tokenizer::tokenize(Tokenizer::clean($text)) as $token) {
            if ($token->kind === 0 && strlen($token->text) > 2 && ! Unit::isNamed($token->stem)) {
                $words[$token->stem] = isset($tables['benign'][$token->text]) || isset($tables['benign'][$token->stem]);
            }
        }
        $telling = array_keys(array_filter($words, static fn (bool $benign): bool => ! $benign));

        return array_map(strval(...), array_slice($telling === [] ? array_keys($words) : $telling, 0, 8));
    }

    /** @return list<string> */
    public static function gramsOf(string $word): array
    {
        $padded = "^$word$";
        $grams = [];
        for ($i = 0, $last = strlen($padded) - 3; $i <= $last; $i++) {
            $grams[] = substr($padded, $i, 3);
        }

        return $grams;
    }

    /**
     * The index of a list of names, as the build step writes it.
     *
     * @param  list<array{string, string}>  $names
     * @return array<string, list<int>>
     */
    public static function indexOf(array $names): array
    {
        $grams = [];
        foreach ($names as $number => [$key]) {
            $own = [];
            foreach (explode(' ', $key) as $word) {
                foreach (self::gramsOf($word) as $gram) {
                    $own[$gram] = true;
                }
            }
            foreach (array_keys($own) as $gram) {
                $grams[(string) $gram][] = $number;
            }
        }

        return $grams;
    }
}

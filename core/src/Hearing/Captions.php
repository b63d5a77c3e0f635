<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Lexicon;

/**
 * Rows of captions put together again: a film cuts its words where the row is full, not where the sentence ends. Every place stays where it
 * was: a row's end becomes a blank.
 */
final class Captions
{
    /** Behind one of these a row is not at its end. */
    private const OPEN = [
        'of', 'and', 'or', 'a', 'an', 'the', 'to', 'in', 'with', 'for', 'at', 'on', 'into', 'from', 'about', 'around', 'roughly', 'is', 'are', 'its', 'thats', 'my', 'your', 'our', 'some', 'this', 'that', 'these', 'those',
        'i', 'we', 'you', 'im', 'were', 'youre', 'ive', 'weve', 'youve', 'gonna', 'going', 'use', 'using', 'add', 'adding', 'need', 'take', 'put', 'then', 'so', 'but', 'because', 'if', 'no', 'not', 'dont', 'very', 'just', 'really', 'plain',
        'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'fifteen', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety', 'hundred', 'half', 'quarter', 'third', 'thirds', 'quarters',
        'large', 'small', 'medium', 'whole', 'ground', 'fresh', 'little', 'another', 'like', 'as', 'than', 'which', 'who', 'it', 'have', 'has', 'got', 'want', 'do', 'can', 'will', 'would', 'could',
    ];

    /** A row that begins with one of these goes on with the one before. */
    private const GOES_ON = ['of', 'grams', 'kilos', 'mils', 'degrees', 'minutes', 'hours', 'percent', 'or', 'thick'];

    /** Of rows that end with a sentence, the share from which rows are sentences. */
    private const CLOSED = 0.7;

    /** Words of the middle row, and the share of rows that end in the middle of a sentence, from which a film filled its rows. */
    private const FULL = 6;

    private const TORN = 0.2;

    public static function joined(string $plain, Lexicon $lexicon): string
    {
        $rows = explode("\n", $plain);
        if (count($rows) < 4) {
            return $plain;
        }
        $filled = array_filter($rows, static fn (string $row): bool => trim($row) !== '');
        $closed = count(array_filter($filled, self::isClosed(...)));
        $marks = preg_match_all('/[.!?…](?=\s|$|["\')])/u', $plain);
        $isPunctuated = $marks >= max(3, str_word_count($plain) / 45);
        $isWrapped = $closed < self::CLOSED * count($filled);
        if ($isPunctuated && ! $isWrapped) {
            return $plain;
        }
        $isFull = ! $isPunctuated && self::isFull($filled);
        $text = $rows[0];
        foreach (array_slice($rows, 1) as $n => $row) {
            $isSoft = trim($rows[$n]) !== '' && trim($row) !== '' && preg_match('/^\s*(?:[-*•]|\d{1,2}[.)]\s)/u', $row) !== 1
                && ($isPunctuated || $isFull ? ! self::isClosed($rows[$n]) : self::isOpen($rows[$n], $row, $lexicon));
            $text .= ($isSoft ? ' ' : "\n").$row;
        }

        return $text;
    }

    /**
     * Whether rows without marks were cut where they were full.
     *
     * @param  array<int, string>  $rows
     */
    private static function isFull(array $rows): bool
    {
        $counts = array_map(static fn (string $row): int => (int) preg_match_all('/\S+/u', $row), array_values($rows));
        sort($counts);
        $torn = array_filter($rows, static fn (string $row): bool => preg_match('/\b(?:'.implode('|', self::OPEN).')\s*$/iu', $row) === 1);

        return $counts[intdiv(count($counts), 2)] >= self::FULL && count($torn) >= self::TORN * count($counts);
    }

    private static function isClosed(string $row): bool
    {
        return preg_match('/[.!?…:]["\')\]]*\s*$/u', $row) === 1;
    }

    /** Whether a row without marks goes on in the next: "two and a half" … "cups of flour". */
    private static function isOpen(string $row, string $next, Lexicon $lexicon): bool
    {
        $last = Tokenizer::tokenize(Tokenizer::clean(mb_substr(rtrim($row), -30)));
        $first = Tokenizer::tokenize(Tokenizer::clean(mb_substr(ltrim($next), 0, 40)));
        $end = $last === [] ? null : $last[array_key_last($last)];
        if ($end === null || $first === []) {
            return false;
        }

        $before = count($last) > 1 ? $last[count($last) - 2]->text : '';
        $isOneFood = $lexicon->idOf("$end->text {$first[0]->text}") !== null || ($before !== '' && $lexicon->idOf("$before $end->text {$first[0]->text}") !== null) || (isset($first[1]) && $lexicon->idOf("$end->text {$first[0]->text} {$first[1]->text}") !== null);

        return $isOneFood || $end->is(...self::OPEN) || ctype_digit($end->raw) || (Unit::isNamed($end->stem) && ! $first[0]->is('a', 'an', 'and', 'then', 'now', 'so', 'one', 'two', 'three', 'four', 'five', 'six', 'half') && $first[0]->kind !== Token::NUMBER) || $first[0]->is(...self::GOES_ON) || Unit::isNamed($first[0]->stem)
            || ($first[0]->is('and') && ($first[1] ?? null)?->is('a', 'half') === true && ($first[2] ?? null)?->is('half', 'quarter', 'third', 'of') === true);
    }
}

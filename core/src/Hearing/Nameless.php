<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\LineReader;

/** Measured words that nobody knows. They are not left out: each becomes a line that is asked about. */
final class Nameless
{
    /**
     * "Two cups of flurbl".
     *
     * @return ?array{string, Amount}
     */
    public static function of(Piece $piece): ?array
    {
        $words = $piece->words;
        $forms = Compiled::tables()['formWords']['phrases'];
        foreach ($piece->any || Turns::isPlaced($words, (int) $piece->first, $piece->prefix) ? $piece->amounts : [] as $amount) {
            if (Unit::in('metric', $amount->unit) === null) {
                continue;
            }
            for ($k = $amount->to; $k < $piece->clause->to && $words->tokens[$k]->kind === Token::WORD; $k++) {
                $token = $words->tokens[$k];
                if (LineReader::isHarmless($token) && ! isset($forms[$token->stem]) && ! $token->is('of') && ($k > $amount->to + 3 || ! $words->tokens[$amount->to - 1]->is('of'))) {
                    break;
                }
                if (! LineReader::isHarmless($token)) {
                    return [$token->raw, $amount];
                }
            }
        }

        return null;
    }

    /**
     * "Fresh okara, one hundred grams.": measured behind it.
     *
     * @return ?array{string, Amount}
     */
    public static function before(Piece $piece): ?array
    {
        $words = $piece->words;
        $amount = $piece->amounts[0] ?? null;
        if ($amount === null || $piece->clause->from !== 0 || $amount->from > 5 || $amount->from < 2 || Unit::in('metric', $amount->unit) === null || ! $words->tokens[$amount->from - 1]->is(',', ':')) {
            return null;
        }
        $unknown = array_filter(array_slice($words->tokens, 0, $amount->from - 1), static fn (Token $token): bool => $token->kind === Token::WORD && ! LineReader::isHarmless($token));

        return count($unknown) === 1 ? [Phrase::said($words, 0, $amount->from - 1), $amount] : null;
    }
}

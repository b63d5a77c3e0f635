<?php

declare(strict_types=1);

namespace MildBowl\Core\Telling;

use MildBowl\Core\Data\Compiled;

/** Words that say a treat does something for a dog's health. None is ever printed on what is given away. */
final class HealthClaim
{
    /** Besides those of claims.csv, which say what is known of each. */
    private const WORDS = 'calming|anti-anxiety|anxiety relief|hypoallergenic|medicinal|therapeutic|healing|supplement|probiotic|digestive health|gut health|heart health|brain health|dental health|healthy|boosts?|prevents?|treats? (?:arthritis|itch\w*|disease)|vet(?:erinary)? (?:approved|recommended)|clinically';

    /** The words of a claim in a text; null where there is none. */
    public static function in(string $text): ?string
    {
        $known = [];
        foreach (Compiled::tables()['claims'] as $row) {
            foreach ($row['words'] as $words) {
                $known[] = preg_quote($words, '/');
            }
        }

        return preg_match('/(?<![\p{L}-])(?:'.implode('|', $known).'|'.self::WORDS.')(?![\p{L}-])/iu', $text, $found) === 1 ? $found[0] : null;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/**
 * A number that can be meant in two ways: 1.500 g is one and a half grams in one country and one and a half kilos in another, 11/2 is
 * five and a half or a one that stuck to its half, 1 500 is a thousand and a half or one of 500. The first meaning is the one
 * that is taken now; the person says which holds. Meanings no kitchen can have are not asked about.
 */
final readonly class Unsure
{
    /** What one food of one recipe may weigh here at most, in grams or millilitres. */
    private const MOST = 10_000;

    /** Units in which thousands are a kitchen's amount. */
    private const SMALL = '(?:g|gr|gm|gms|grams?|grammes?|ml|mls|millilit(?:er|re)s?|cc)';

    private const PACKETS = '(?:tins?|cans?|jars?|packs?|packets?|bags?|boxes|box|cartons?|blocks?|tubs?|pouch(?:es)?)';

    /** What it may mean, by how the number is written; in the order of taking. */
    private const WRITTEN = [
        // 1.500 g, 1,500 g
        '/(?<![\d.,\/])(?<whole>[1-9]\d?)(?<mark>[.,])(?<rest>\d{3})(?=\s?'.self::SMALL.'\b)/iu',
        // 11/2
        '/(?<![\d.,\/])(?<whole>[1-9])(?<over>[1-9])\/(?<under>[2-9]|1[06])(?![\d\/])/u',
        // 1 500 g
        '/(?<![\d.,\/]|[x×*])(?<whole>[1-9]) (?<rest>(?!000)\d{3})(?=\s?'.self::SMALL.'\b(?!\.?\s+(?:\w+\s+)?'.self::PACKETS.'\b))/iu',
    ];

    /**
     * @param  int  $from  first byte in the line as it was cleaned
     * @param  non-empty-list<string>  $instead  what may be written for it
     */
    private function __construct(public int $from, public string $written, public array $instead) {}

    /** @return list<self> in the order of the line */
    public static function of(ReadLine $line): array
    {
        if (preg_match('/\d[.,\/ ]?\d/', $line->clean) !== 1) {
            return [];
        }
        $unsure = [];
        foreach (self::WRITTEN as $pattern) {
            preg_match_all($pattern, $line->clean, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL);
            foreach ($found as $match) {
                $meanings = self::meanings(array_map(static fn (array $group): string => (string) $group[0], $match));
                if ($meanings !== []) {
                    $unsure[] = new self($match[0][1], (string) $match[0][0], $meanings);
                }
            }
        }
        usort($unsure, static fn (self $one, self $two): int => $one->from <=> $two->from);

        return $unsure;
    }

    public function question(): string
    {
        return "Is \"{$this->written}\" ".implode(' or ', $this->instead).'?';
    }

    /**
     * @param  array<string>  $said  the parts of the number by their names
     * @return list<string>
     */
    private static function meanings(array $said): array
    {
        $whole = (int) $said['whole'];
        if (isset($said['over'], $said['under'])) {
            [$over, $under] = [(int) $said['over'], (int) $said['under']];

            return $over < $under ? [self::plain((10 * $whole + $over) / $under), "$whole $over/$under"] : [];
        }
        $rest = $said['rest'] ?? '';
        $thousands = 1000 * $whole + (int) $rest;
        if ($thousands > self::MOST) {
            return [];
        }
        if (! isset($said['mark'])) {
            return [(string) $thousands, $whole === 1 ? self::plain((float) $rest) : "$whole x ".self::plain((float) $rest)];
        }
        $decimal = self::plain((float) "$whole.$rest");

        return $said['mark'] === '.' ? [$decimal, (string) $thousands] : [(string) $thousands, $decimal];
    }

    private static function plain(float $value): string
    {
        return rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');
    }
}

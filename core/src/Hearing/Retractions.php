<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;

/** What was told and goes out again: denied, left out, or said better. It says which servings; the listener takes them out. */
final class Retractions
{
    /** Sentences after "no, hang on" in which the better word is looked for. */
    private const REACH = 4;

    private ?Serving $doubted = null;

    private int $doubtedAt = 0;

    /** @var list<Serving> what others put in, as the last sentence tells */
    private array $reported = [];

    /**
     * "My husband says, put chilli. No chilli.", "Some recipes have a clove of garlic. Don't.": what others put in is out when it is denied.
     *
     * @return list<Serving>
     */
    public function denied(Words $words, string $said): array
    {
        $negated = array_map(static fn (Mention $one): string => $one->ingredient, array_intersect_key($words->mentions, $words->negated));

        return array_values(array_filter($this->reported, static fn (Serving $one): bool => Turns::isDenial($said) || in_array($one->food, $negated, true)));
    }

    /** @param  list<Serving>  $new  what a sentence told that was not told before */
    public function report(string $said, array $new): void
    {
        $this->reported = Turns::isReported($said) ? $new : [];
    }

    /** "Hmm, no, hang on.": what was told last is in doubt. */
    public function doubt(string $said, ?Serving $topic, int $n): void
    {
        if (Turns::isDoubt($said)) {
            $this->doubted = $topic;
            $this->doubtedAt = $n;
        }
    }

    /** "A cup of self-raising flour. No, hang on. One cup of plain flour.": what the serving takes the place of. */
    public function betterThan(Serving $serving, int $n): ?Serving
    {
        $kind = static fn (Serving $one): string => (string) preg_replace('/^.*\s/u', '', $one->plain);
        if ($this->doubted === null || $this->doubted === $serving || $n > $this->doubtedAt + self::REACH || $kind($serving) !== $kind($this->doubted)) {
            return null;
        }
        $doubted = $this->doubted;
        $this->doubted = null;

        return $doubted;
    }

    /**
     * "There is no treacle in these", "actually skip the turmeric", "forget the stock", "suet too rich for Tinker, leave out".
     *
     * @return list<Serving>
     */
    public static function leftOut(Words $words, string $said, Bowl $bowl): array
    {
        $isLeft = $words->amounts === [] && preg_match('/(?<!dont )(?<!never )\b(?:leave|left) (?:it |them )?out$/u', $said) === 1;
        $out = [];
        foreach ($words->mentions as $index => $mention) {
            $serving = $bowl->servings[$mention->ingredient] ?? null;
            if ($serving === null) {
                continue;
            }
            $before = Phrase::said($words, 0, $mention->from);
            // but "don't use the water if there was stock in it"
            $isOut = isset($words->negated[$index]) ? Turns::isTakenOut($before) && ($words->tokens[$mention->to] ?? null)?->is('if') !== true : Turns::isForgotten($before);
            if ($isLeft || $isOut) {
                $out[] = $serving;
            }
        }

        return $out;
    }
}

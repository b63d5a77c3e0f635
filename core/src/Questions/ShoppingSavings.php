<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Swaps\Option;

/** What swaps would make a treat cheaper: of the lines that cost the most, those that take it from nobody who may have it now. */
final readonly class ShoppingSavings
{
    /** Lines that are looked at, the dearest first. */
    private const LINES = 3;

    /** Share of the batch's cost from which a line is worth looking at. */
    private const WORTH = 0.1;

    /** Of the kitchen's money: less is none. */
    private const COIN = 0.01;

    /**
     * @param  \Closure(Judgement): array{float, list<string>}  $costOf  what is known of the cost of a batch, and the foods whose price is not
     * @param  \Closure(string): ?float  $gramCosts  what a gram of a food costs
     */
    public function __construct(private \Closure $costOf, private \Closure $gramCosts) {}

    /** @return list<ShoppingSaving> the most first; of each line the best */
    public function of(Question $question, Judgement $judgement): array
    {
        [$now, $unpriced] = ($this->costOf)($judgement);
        $cleared = self::cleared($question, $judgement);
        $savings = [];
        foreach ($this->dearest($judgement, $now) as $line) {
            $best = null;
            foreach ((new SwapsQuestion($question, $line, [], []))->answer()->candidates as $candidate) {
                if ($candidate->option->action !== Option::SWAP) {
                    continue;
                }
                $swapped = $question->withText($candidate->composed->text, $candidate->composed->steps);
                $after = Judgement::on($swapped);
                [$then, $unknown] = ($this->costOf)($after);
                $saves = $now - $then;
                if (array_diff($unknown, $unpriced) === [] && $saves >= self::COIN && $saves > ($best->saves ?? 0.0) && $after->stopsEveryDog() === null && array_diff($cleared, self::cleared($question, $after)) === []) {
                    $best = new ShoppingSaving(trim($judgement->bowl->recipe->lines[$line]->text), $candidate->texts()[0], $saves, $candidate->composed->text, $candidate->composed->steps);
                }
            }
            $savings = $best === null ? $savings : [...$savings, $best];
        }
        usort($savings, static fn (ShoppingSaving $one, ShoppingSaving $two): int => $two->saves <=> $one->saves);

        return $savings;
    }

    /** @return list<string> keys of dogs */
    private static function cleared(Question $question, Judgement $judgement): array
    {
        return array_map(static fn (Dog $dog): string => $dog->key(), array_values(array_filter($question->dogs, static fn (Dog $dog): bool => $judgement->verdictOf($dog)->cleared)));
    }

    /** @return list<int> lines */
    private function dearest(Judgement $judgement, float $all): array
    {
        $costs = [];
        foreach ($judgement->bowl->recipe->lines as $index => $line) {
            $grams = ($judgement->bowl->grams[$index] ?? null)?->best;
            $each = $line->food === null ? null : ($this->gramCosts)($line->food->id);
            if ($grams !== null && $each !== null && $grams * $each >= self::WORTH * $all) {
                $costs[$index] = $grams * $each;
            }
        }
        arsort($costs);

        return array_slice(array_keys($costs), 0, self::LINES);
    }
}

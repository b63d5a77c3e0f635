<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Swaps\Sums;
use MildBowl\Core\Values\Figure;

/** `dough`: too wet or too dry while mixing: how much water or flour brings the dough from what the hand feels to what is wanted. */
final readonly class DoughQuestion
{
    private const DRIEST = 0.6;

    private const WETTEST = 2.2;

    private const CLOSE = 0.01;

    /** What is worked in where the bowl holds no flour yet: its id, and its share of water. */
    private const USUAL = ['oat-flour', 0.09];

    /**
     * @param  ?string  $felt  the feel under the hand; null where the sum is to be believed
     * @param  string  $wanted  the feel it is to have
     */
    public function __construct(private Question $question, private ?string $felt, private string $wanted) {}

    public function answer(): DoughAnswer
    {
        $kitchen = $this->question->kitchen;
        $recipe = $kitchen->reader->read($this->question->text, '');
        $weighed = Bowl::of($recipe, $kitchen, $this->question->parts)->parts->body->kept->weighed;
        $sums = Sums::of($weighed, []);
        $uptake = Sums::shortened($sums);
        if ($uptake <= 0.0) {
            return new DoughAnswer(null, null, 'There is no flour in it yet that would take water up.');
        }
        $computed = $sums[Sums::WATER] / $uptake;
        // the hand knows better than the sum
        $now = $this->felt === null ? $computed : self::middle($this->felt, $computed);
        $aim = self::middle($this->wanted, $now);
        if (abs($aim - $now) < self::CLOSE) {
            return new DoughAnswer($computed, null, 'It is as it should be: '.$this->wanted.'.');
        }
        $water = ($aim - $now) * $uptake;
        [$id, $grams] = $water > 0 ? ['water', $water] : self::flour($weighed, -$water, $aim);
        $text = $kitchen->writer(...$recipe->lines)->write($id, $grams);

        return new DoughAnswer($computed, new DoughAddition($id, $grams, $text), "Work in $text (".Figure::grams($grams).'), a little at a time: from "'.($this->felt ?? Feel::at($now)->feel ?? 'a batter').'" to "'.$this->wanted.'".');
    }

    /**
     * The heaviest flour of the bowl and how much of it drinks so much water.
     *
     * @param  list<Weighed>  $weighed
     * @return array{string, float}
     */
    private static function flour(array $weighed, float $water, float $aim): array
    {
        $heaviest = null;
        foreach ($weighed as $one) {
            if (Uptake::isFlour($one->ingredient) && ($heaviest === null || $one->grams->best > $heaviest->grams->best)) {
                $heaviest = $one;
            }
        }
        [$id, $wet] = $heaviest === null ? self::USUAL : [$heaviest->ingredient->id, ($heaviest->ingredient->composition->waterG ?? 10.0) / 100];

        return [$id, $water / max(0.1, $aim * Uptake::of($id) - $wet)];
    }

    /** The middle of a feel's range; where the dough lies in it already, where it lies. */
    private static function middle(string $feel, float $now): float
    {
        $low = self::DRIEST;
        foreach (Feel::all() as $row) {
            $high = min(self::WETTEST, $row->below);
            if ($row->feel === $feel) {
                return $now >= $low && $now < $high ? $now : ($low + $high) / 2;
            }
            $low = $high;
        }

        return $now;
    }
}

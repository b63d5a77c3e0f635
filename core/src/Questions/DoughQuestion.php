<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Binding;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Baking\FreeWater;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Baking\Wanted;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Swaps\Sums;
use MildBowl\Core\Values\Figure;

/**
 * `dough`: too wet or too dry while mixing: what brings the dough from what the hand feels to what the shape wants, in spoons, never more
 * than a hand would do; and how far its flour may give way to its meat.
 */
final readonly class DoughQuestion
{
    private const DRIEST = 0.6;

    private const WETTEST = 2.2;

    private const CLOSE = 0.01;

    /** Share of the dough that is added in one go: then look again (reference page 7). */
    private const AT_ONCE = 0.15;

    /** More than this in all is another recipe. */
    private const AT_MOST = 0.25;

    /** What is worked in where the bowl holds no flour yet. */
    private const USUAL = 'oat-flour';

    /**
     * @param  ?string  $felt  the feel under the hand; null where the sum is to be believed
     * @param  ?string  $wanted  the feel it is to have; null for what the shape and the texture want
     */
    public function __construct(private Question $question, private ?string $felt, private ?string $wanted) {}

    public function answer(): DoughAnswer
    {
        $kitchen = $this->question->kitchen;
        $bowl = $this->question->bowl();
        $recipe = $bowl->recipe;
        $body = $bowl->parts->body;
        $dough = $body->kept;
        $texture = $body->textureAt($this->question->texture());
        $wanted = Wanted::for($this->question->cut(), $texture, $body->processAt($this->question->texture()));
        $writer = $kitchen->writer(...$recipe->lines);
        $balance = Balance::of($dough, $recipe, $writer);
        if ($dough->binding !== null) {
            return $this->ofMeat($dough, $dough->binding, $wanted, $writer, $balance);
        }
        $sums = Sums::of($dough->weighed, []);
        $uptake = Sums::shortened($sums);
        if ($uptake <= 0.0) {
            return new DoughAnswer(null, null, null, null, null, 'There is no flour in it yet that would take water up.', $balance);
        }
        // as wet as such doughs turn out here
        $uptake /= $dough->wetter;
        $computed = $sums[Sums::FREE] / $uptake;
        // the hand knows better than the sum
        $now = $this->felt === null ? $computed : self::middle($this->felt, $computed);
        $fits = $this->wanted === null ? $wanted->fits($now) : (Feel::at($now)->feel ?? '') === $this->wanted;
        $aim = $fits ? $now : self::middle($this->wanted ?? ($wanted->fits(self::middle($wanted->aim->feel, $now)) ? self::nearest($wanted, $now)->feel : $wanted->aim->feel), $now);
        $feels = Feel::at($now);
        $aimed = Feel::at($aim)->feel ?? $wanted->aim->feel;
        if (abs($aim - $now) < self::CLOSE) {
            return new DoughAnswer($computed, $feels?->feel, $aimed, true, null, "It is as it should be: $aimed.".$this->because($wanted), $balance);
        }
        [$id, $grams] = $aim > $now ? ['water', ($aim - $now) * $uptake] : $this->flour($dough, ($now - $aim) * $uptake, $aim);

        return $this->told($computed, $feels, $aimed, $id, $grams, $dough, $writer, $wanted, $balance);
    }

    private function told(float $computed, ?Feel $feels, string $aimed, string $id, float $grams, Dough $dough, LineWriter $writer, Wanted $wanted, ?Balance $balance): DoughAnswer
    {
        $from = $this->felt ?? $feels->feel ?? 'a batter';
        $mass = max(1.0, $dough->grams->best);
        $change = "From \"$from\" to \"$aimed\"";
        if ($grams > self::AT_MOST * $mass) {
            $other = $id === 'water' ? 'a wetter recipe, or another flour' : 'another shape';

            return new DoughAnswer($computed, $feels?->feel, $aimed, false, null, "$change would take ".Figure::roughGrams($grams).' more '.$writer->name($id).', over a quarter of the dough: '
                ."this recipe wants $other. As it stands it is ".self::fitFor($feels).'.', $balance);
        }
        $once = min($grams, self::AT_ONCE * $mass);
        $text = $writer->spooned($id, $once);
        $then = $once < $grams ? ' Then look again: it will take about '.Figure::roughGrams($grams).' in all.' : ', a little at a time.';

        return new DoughAnswer($computed, $feels?->feel, $aimed, false, new DoughAddition($id, $once, $text), "Work in $text (".Figure::roughGrams($once).')'.($once < $grams ? '.' : '').$then." $change.".$this->because($wanted), $balance);
    }

    private function because(Wanted $wanted): string
    {
        return $this->wanted !== null || $wanted->why === '' ? '' : ' '.ucfirst($wanted->why).'.';
    }

    /** A dough of meat is bound, not dried: never beyond what makes it hold. */
    private function ofMeat(Dough $dough, float $binding, Wanted $wanted, LineWriter $writer, ?Balance $balance): DoughAnswer
    {
        $all = Feel::allOfMeat();
        $now = $this->felt === null ? Feel::ofMeat($binding) : Feel::named($this->felt);
        $shaped = in_array($wanted->aim->made, ['rolled', 'dropped'], true);
        $aim = $this->wanted === null ? ($shaped ? $all[1] : $all[0]) : Feel::named($this->wanted);
        $isLooser = array_search($now, $all, false) < array_search($aim, $all, false);
        if (! $isLooser || ! in_array($aim->feel, array_column($all, 'feel'), true)) {
            return new DoughAnswer(null, $now->feel, $now->feel, true, null, 'Meat is what holds it together: '.$now->sign.'.', $balance);
        }
        $from = $all[(int) array_search($aim, $all, false) - 1]->below;
        $meat = array_sum(array_map(static fn (Weighed $one): float => Binding::isMeat($one) ? $one->grams->best : 0.0, $dough->weighed));
        $grams = max(5.0, ($from * 1.05 - min($binding, $from)) * $meat);
        $id = 'breadcrumbs';
        foreach ($dough->weighed as $one) {
            $id = Uptake::isFlour($one->ingredient) ? $one->ingredient->id : $id;
        }
        $id = $id === 'breadcrumbs' ? 'rolled-oats' : $id;
        $text = $writer->spooned($id, $grams);

        return new DoughAnswer(null, $now->feel, $aim->feel, false, new DoughAddition($id, $grams, $text), "Work in $text (".Figure::roughGrams($grams).") and let it stand ten minutes, or chill it for half an hour: from \"{$now->feel}\" to \"{$aim->feel}\".", $balance);
    }

    private static function fitFor(?Feel $feel): string
    {
        return match ($feel?->made) {
            'poured' => 'a batter for a tin, a mould or a pan',
            'spread' => 'good to spread in a tray and cut afterwards',
            'dropped' => 'good for drops from two spoons',
            'pressed' => 'good to press into a tin',
            default => 'good to roll',
        };
    }

    /** What the shape allows that lies nearest to what there is. */
    private static function nearest(Wanted $wanted, float $now): Feel
    {
        return $now < $wanted->driest->from() ? $wanted->driest : ($now >= $wanted->wettest->below ? $wanted->wettest : $wanted->aim);
    }

    /**
     * The heaviest flour of the bowl and how much of it drinks so much water.
     *
     * @return array{string, float}
     */
    private function flour(Dough $dough, float $water, float $aim): array
    {
        $heaviest = null;
        foreach ($dough->weighed as $one) {
            if (Uptake::isFlour($one->ingredient) && ($heaviest === null || $one->grams->best > $heaviest->grams->best)) {
                $heaviest = $one;
            }
        }
        $food = $heaviest->ingredient ?? $this->question->kitchen->catalogue->get(self::USUAL);

        return [$food->id, $water / max(0.1, $aim * Uptake::of($food) - FreeWater::of($food))];
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

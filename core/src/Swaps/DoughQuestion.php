<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Portion;
use MildBowl\Core\Data;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Kitchen\RecipeReader;
use MildBowl\Core\Pantry\Weigher;

/** Too wet or too dry while mixing: how much water or flour brings the dough from what the hand feels to what is wanted. */
final class DoughQuestion
{
    private const DRIEST = 0.6;

    private const WETTEST = 2.2;

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $request = Request::fromNode($node, ['feels', 'wants']);
        $feels = array_column(Data::tables()['feels'], 'feel');
        $felt = $node->get('feels')?->choice($feels);
        $wanted = $node->get('wants')?->choice($feels) ?? 'rolls cleanly';

        return $request->withOwnPantry(static fn (): array => self::advice($request, $felt, $wanted));
    }

    /** @return array<string, mixed> */
    private static function advice(Request $request, ?string $felt, string $wanted): array
    {
        $weigher = new Weigher($request->policy->units);
        $recipe = RecipeReader::read($request->text, '');
        $portions = [];
        foreach ($recipe->lines as $index => $line) {
            $portions[] = Portion::read($line, $index, $weigher, '4-9-4');
        }
        $portions = array_values(array_filter($portions));
        $bowl = Bowl::of($portions, []);
        $uptake = Bowl::shortened($bowl);
        if ($uptake <= 0.0) {
            return ['version' => 1, 'wetness' => null, 'add' => null, 'says' => 'There is no flour in it yet that would take water up.'];
        }
        $computed = $bowl[Bowl::WATER] / $uptake;
        // the hand knows better than the sum
        $now = $felt === null ? $computed : self::middle($felt, $computed);
        $aim = self::middle($wanted, $now);
        $water = ($aim - $now) * $uptake;
        if (abs($aim - $now) < 0.01) {
            return ['version' => 1, 'wetness' => $computed, 'add' => null, 'says' => 'It is as it should be: '.$wanted.'.'];
        }
        $writer = new LineWriter($weigher, LineWriter::isByWeight(...$recipe->lines));
        [$id, $grams] = $water > 0 ? ['water', $water] : self::flour($portions, -$water, $now, $aim);

        return ['version' => 1, 'wetness' => $computed, 'add' => ['ingredient' => $id, 'grams' => $grams, 'text' => $writer->write($id, $grams)],
            'says' => 'Work in '.$writer->write($id, $grams).' ('.LineWriter::grams($grams).'), a little at a time: from "'.($felt ?? self::feelAt($now)).'" to "'.$wanted.'".'];
    }

    /**
     * The heaviest flour of the bowl and how much of it drinks so much water.
     *
     * @param  list<Portion>  $portions
     * @return array{string, float}
     */
    private static function flour(array $portions, float $water, float $now, float $aim): array
    {
        $best = null;
        foreach ($portions as $portion) {
            $uptake = Data::tables()['uptake'][$portion->ingredient->id][0] ?? 0.0;
            if ($uptake > 0 && $uptake < 2 && ($best === null || $portion->grams->best > $best[1])) {
                $best = [$portion->ingredient->id, $portion->grams->best, $uptake, ($portion->ingredient->composition->waterG ?? 10.0) / 100];
            }
        }
        $best ??= ['oat-flour', 0.0, 0.8, 0.09];

        return [$best[0], $water / max(0.1, $aim * $best[2] - $best[3])];
    }

    /** The middle of a feel's range; where the dough lies in it already, where it lies. */
    private static function middle(string $feel, float $now): float
    {
        $low = self::DRIEST;
        foreach (Data::tables()['feels'] as $row) {
            $high = min(self::WETTEST, (float) $row['below']);
            if ($row['feel'] === $feel) {
                return $now >= $low && $now < $high ? $now : ($low + $high) / 2;
            }
            $low = $high;
        }

        return $now;
    }

    private static function feelAt(float $wetness): string
    {
        foreach (Data::tables()['feels'] as $row) {
            if ($wetness < (float) $row['below']) {
                return $row['feel'];
            }
        }

        return 'a batter';
    }
}

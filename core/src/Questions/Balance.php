<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Binding;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Reading\ReadRecipe;

/** More meat, less flour: the heaviest meat and the heaviest flour of a dough at the same mass together, and where it stops holding. */
final readonly class Balance
{
    /** Steps from hardly any meat to hardly any flour. */
    private const STEPS = 18;

    /**
     * @param  int  $meatRow  row of the text
     * @param  list<BalancePoint>  $points  more meat from one to the next
     * @param  int  $now  the point of what is written
     * @param  ?int  $stops  the last point up to which it holds without a break; null where it holds to the end, or nowhere
     */
    private function __construct(public int $meatRow, public int $flourRow, public array $points, public int $now, public ?int $stops, public string $says) {}

    public static function of(Dough $dough, ReadRecipe $recipe, LineWriter $writer): ?self
    {
        $meat = self::heaviest($dough, Binding::isMeat(...));
        $flour = self::heaviest($dough, static fn (Weighed $one): bool => Uptake::isFlour($one->ingredient));
        if ($meat === null || $flour === null || $meat->grams->best <= 0.0 || $flour->grams->best <= 0.0) {
            return null;
        }
        $sum = $meat->grams->best + $flour->grams->best;
        $points = [];
        // what is written stands among the steps as it is
        $now = min(self::STEPS - 1, max(0, (int) round((self::STEPS + 1) * $meat->grams->best / $sum) - 1));
        foreach (range(1, self::STEPS) as $step) {
            $meatGrams = $step - 1 === $now ? $meat->grams->best : 5 * round($sum * $step / (self::STEPS + 1) / 5);
            $flourGrams = $sum - $meatGrams;
            $changed = array_map(static fn (Weighed $one): Weighed => match ($one) {
                $meat => $one->times($meatGrams / $meat->grams->best), $flour => $one->times($flourGrams / $flour->grams->best), default => $one,
            }, $dough->weighed);
            $feel = (new Dough($changed))->feel();
            $holds = $feel !== null && in_array($feel->made, ['rolled', 'dropped', 'shaped'], true);
            $points[] = new BalancePoint(
                $meatGrams, $flourGrams, $writer->write($meat->ingredient->id, $meatGrams, $recipe->lines[$meat->line]),
                $writer->write($flour->ingredient->id, $flourGrams, $recipe->lines[$flour->line]), $feel?->feel, $holds,
            );
        }
        [$stops, $again] = self::ends(array_column($points, 'holds'), $now);

        return new self($recipe->lines[$meat->line]->place->row, $recipe->lines[$flour->line]->place->row, $points, $now, $stops, self::told($points, $stops, $again, self::said($meat), self::said($flour)));
    }

    /**
     * The last point up to which it holds without a break, from where it stands or before; null where it holds to the end, or nowhere. And
     * the first point of the next stretch that holds: from so much meat on, the meat itself binds.
     *
     * @param  list<bool>  $holds
     * @return array{?int, ?int}
     */
    private static function ends(array $holds, int $now): array
    {
        $from = $now;
        while ($from >= 0 && ! $holds[$from]) {
            $from--;
        }
        $first = array_search(true, $holds, true);
        if ($first === false) {
            return [null, null];
        }
        $end = $from < 0 ? $first : $from;
        while (isset($holds[$end + 1]) && $holds[$end + 1]) {
            $end++;
        }
        $next = array_search(true, array_slice($holds, $end + 1, null, true), true);

        return $end === count($holds) - 1 ? [null, null] : [$end, $next === false ? null : $next];
    }

    /** @param  list<BalancePoint>  $points */
    private static function told(array $points, ?int $stops, ?int $again, string $meat, string $flour): string
    {
        if ($stops === null) {
            return in_array(true, array_column($points, 'holds'), true) ? 'It holds however little flour is left.' : "However it is shared, $meat and $flour make no dough that holds by itself: press it into a tray.";
        }
        $says = 'It holds up to '.round($points[$stops]->meatGrams)." g $meat on ".round($points[$stops]->flourGrams)." g $flour; with more meat it is spread, not shaped";

        return $again === null ? "$says." : "$says, until from ".round($points[$again]->meatGrams).' g on the meat itself binds it.';
    }

    /** "minced turkey" of "minced turkey, raw". */
    private static function said(Weighed $one): string
    {
        return explode(',', $one->ingredient->name)[0];
    }

    /** @param  callable(Weighed): bool  $is */
    private static function heaviest(Dough $dough, callable $is): ?Weighed
    {
        $heaviest = null;
        foreach ($dough->weighed as $one) {
            if ($is($one) && ($heaviest === null || $one->grams->best > $heaviest->grams->best)) {
                $heaviest = $one;
            }
        }

        return $heaviest;
    }
}

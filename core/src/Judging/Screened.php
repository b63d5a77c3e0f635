<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Feeding\Lots;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Saying;
use MildBowl\Core\Screening\Screener;
use MildBowl\Core\Values\Level;

/** What is found on each line and each step, for the dogs of each lot by the lot's own heat. */
final readonly class Screened
{
    private const MUCH_SODA = 5.0;

    private const SMALL_BATCH = 500.0;

    /**
     * @param  list<list<Finding>>  $lines
     * @param  list<list<Finding>>  $steps
     */
    private function __construct(public array $lines, public array $steps) {}

    /**
     * @param  list<BoundLabel>  $labels
     * @param  list<Confirmation>  $confirmed
     */
    public static function of(Bowl $bowl, Lots $lots, Kitchen $kitchen, array $labels, array $confirmed): self
    {
        $screeners = [];
        foreach ($lots->all as $lot) {
            $screeners[] = new Screener(Circumstances::of($lot->dogs, $lot->texture, $kitchen->policy), $kitchen->reader->lines);
        }
        $lines = $steps = [];
        foreach ($bowl->recipe->lines as $index => $line) {
            $findings = self::leavener($line, $bowl, $index);
            foreach ($screeners as $screener) {
                array_push($findings, ...self::withLabels($screener->line($line, $bowl->grams[$index]), $line, $screener, $kitchen, $labels));
            }
            $lines[] = Confirmation::settle(Finding::unique($findings), $line->text, $confirmed);
        }
        foreach ($bowl->recipe->steps as $step) {
            $findings = [];
            foreach ($screeners as $screener) {
                array_push($findings, ...$screener->step($step, $bowl->recipe->lines));
            }
            $steps[] = Confirmation::settle(Finding::unique($findings), $step->text, $confirmed);
        }

        return new self($lines, $steps);
    }

    /**
     * A label bound to the line settles what only a label could; its own findings take their place.
     *
     * @param  list<Finding>  $findings
     * @param  list<BoundLabel>  $labels
     * @return list<Finding>
     */
    private static function withLabels(array $findings, ReadLine $line, Screener $screener, Kitchen $kitchen, array $labels): array
    {
        foreach ($line->foods() as $food) {
            $own = $kitchen->catalogue->own($food->id);
            if ($own !== null) {
                array_push($findings, ...$own->ingredients !== null ? $screener->label($own->names[0], $own->ingredients) : [Saying::of('own-food')->finding(fill: ['{food}' => $own->names[0]])]);
            }
        }
        foreach ($labels as $label) {
            if ($label->isOn($line)) {
                $findings = array_values(array_filter($findings, static fn (Finding $finding): bool => $finding->level !== Level::CheckLabel));
                array_push($findings, ...$screener->label($label->name, $label->ingredients));
            }
        }

        return $findings;
    }

    /** @return list<Finding> much soda in a small batch */
    private static function leavener(ReadLine $line, Bowl $bowl, int $index): array
    {
        $grams = $bowl->grams[$index];
        $dough = $bowl->dough->grams->best;
        if ($line->food?->id !== 'baking-soda' || $grams === null || $grams->best <= self::MUCH_SODA || $dough >= self::SMALL_BATCH) {
            return [];
        }

        return [Saying::of('baking-soda')->finding(fill: ['{grams}' => (string) round($grams->best, 1), '{dough}' => (string) round($dough)])];
    }
}

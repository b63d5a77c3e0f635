<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Lots;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Saying;
use MildBowl\Core\Screening\Screener;
use MildBowl\Core\Values\Level;
use MildBowl\Core\Values\Range;

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
        $screeners = self::screeners($bowl->parts->body, $bowl, $lots, $kitchen);
        $ofParts = [];
        foreach ($bowl->parts->all as $part) {
            $ofParts[spl_object_id($part)] = $part === $bowl->parts->body ? $screeners : self::screeners($part, $bowl, $lots, $kitchen);
        }
        $lines = $steps = [];
        foreach ($bowl->recipe->lines as $index => $line) {
            $part = $bowl->parts->under($line->section);
            $findings = [...self::leavener($line, $bowl, $index), ...Setting::findings($line, $part, $lots)];
            foreach ($ofParts[spl_object_id($part)] as $screener) {
                array_push($findings, ...self::withLabels($screener->line($line, $bowl->grams[$index]), $line, $screener, $kitchen, $labels, $bowl->grams[$index]));
            }
            $findings = self::withoutStrainedBones($findings, $line, $part);
            if ($bowl->parts->isMadeHere($line)) {
                // no carton, no label: what is in it stands on its own lines
                $findings = array_values(array_filter($findings, static fn (Finding $finding): bool => $finding->level !== Level::CheckLabel));
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
     * One screener for the dogs of each lot, by the heat that reaches the part; who goes without a part is not asked about it.
     *
     * @return list<Screener>
     */
    private static function screeners(Part $part, Bowl $bowl, Lots $lots, Kitchen $kitchen): array
    {
        $screeners = [];
        foreach ($lots->all as $lot) {
            $dogs = array_values(array_filter($lot->dogs, static fn (Dog $dog): bool => ! $part->isLeftOutFor($dog)));
            $texture = $part->isBody() ? $lot->texture : $part->textureAt($lot->texture);
            $heated = $part->isBody() && $part->process === null ? null : $part->isHeatedAt($lot->texture, $bowl->parts->body);
            $screeners[] = new Screener(Circumstances::of($dogs, $texture, $kitchen->policy, $heated), $kitchen->reader->lines);
        }

        return $screeners;
    }

    /**
     * Bones that a person said are strained off are not eaten; what they leave in the broth is.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private static function withoutStrainedBones(array $findings, ReadLine $line, Part $part): array
    {
        if (! $part->keeps->strained || in_array('keeps', $part->guessed, true) || $line->food?->inAny(['cooked-bone-as-such', 'raw-bone-as-such']) !== true) {
            return $findings;
        }

        return [
            ...array_values(array_filter($findings, static fn (Finding $finding): bool => ! in_array($finding->code, ['cooked-bone', 'raw-bone'], true))),
            Saying::of('bones-strained')->finding(),
        ];
    }

    /**
     * A label bound to the line settles what only a label could; its own findings take their place.
     *
     * @param  list<Finding>  $findings
     * @param  list<BoundLabel>  $labels
     * @return list<Finding>
     */
    private static function withLabels(array $findings, ReadLine $line, Screener $screener, Kitchen $kitchen, array $labels, ?Range $grams): array
    {
        foreach ($line->foods() as $food) {
            $own = $kitchen->catalogue->own($food->id);
            if ($own !== null) {
                array_push($findings, ...$own->ingredients !== null ? $screener->label($own->names[0], $own->ingredients, $grams) : [Saying::of('own-food')->finding(fill: ['{food}' => $own->names[0]])]);
            }
        }
        foreach ($labels as $label) {
            if ($label->isOn($line)) {
                $findings = array_values(array_filter($findings, static fn (Finding $finding): bool => $finding->level !== Level::CheckLabel));
                array_push($findings, ...$screener->label($label->name, $label->ingredients, $grams));
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

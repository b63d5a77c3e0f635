<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Baking\Shapes\Lies;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\ReadLine;

/** Tips and cautions of work-notes.csv that apply to one dough, by the kind of step they stand on. */
final class Remarks
{
    /** g from which a hand is tired, and under which a processor is quicker. */
    private const DOUBLE_BATCH = 1200.0;

    private const SMALL_BATCH = 250.0;

    /** g of dough and pieces from which half of it is kept for another day. */
    private const LARGE_DOUGH = 1500.0;

    /** g of water in 100 g from which a sugar runs. */
    private const RUNS = 10.0;

    private const CUPS = ['cup', 'tbsp', 'tsp'];

    /** @var array<string, true> tips that were given, and cautions of what is in the bowl: once is enough */
    private array $told = [];

    /** @param  array<string, true>  $holds  what of `when` is so */
    private function __construct(private readonly array $holds) {}

    /**
     * @param  list<ReadLine>  $lines  of the part
     * @param  ?Cut  $cut  null where it is not cut
     */
    public static function of(array $lines, Dough $dough, ?Cut $cut, bool $isHeated, string $process, bool $isOverFire): self
    {
        $feel = $dough->feel();
        $isSticky = $feel !== null && in_array($feel->word, ['tacky', 'spreads', 'shapes'], true);
        $isRolled = $cut !== null && Shaping::rolls($cut) && $dough->binding === null;
        $foods = array_merge([], ...array_map(static fn (ReadLine $line): array => $line->food === null ? [] : [$line->food], $lines));
        $any = static fn (string ...$groups): bool => array_filter($foods, static fn (Ingredient $food): bool => $food->inAny(array_values($groups))) !== [];
        $byCup = static fn (ReadLine $line): bool => $line->food?->inGroup('added-sugar') === true && ($line->food->composition->waterG ?? 0.0) > self::RUNS && array_filter($line->amounts, static fn (Amount $one): bool => in_array($one->unit, self::CUPS, true)) !== [];
        $hasEgg = array_filter($foods, static fn (Ingredient $food): bool => $food->id === 'egg') !== [];
        $grams = $dough->grams->best;

        return new self(array_filter([
            'raw-flesh' => $any('raw-meat', 'raw-fish'),
            'raw-egg' => $hasEgg,
            'raw-flour' => ! $hasEgg && $any('flour'),
            'core-and-stone' => $any('cored-fruit', 'stone-fruit'),
            'fire' => $isOverFire,
            'microwave' => $process === 'microwave',
            'hob' => $process === 'hob',
            'heated' => $isHeated,
            'egg' => $hasEgg && count($lines) > 1,
            'syrup-by-cup' => array_filter($lines, $byCup) !== [],
            'carob' => array_filter($foods, static fn (Ingredient $food): bool => str_starts_with($food->id, 'carob')) !== [],
            'loose-puree' => array_filter($lines, static fn (ReadLine $line): bool => array_intersect($line->forms, ['pureed', 'puree', 'mashed']) !== []) !== [] && $any('flour') && $isSticky,
            'double-batch' => $grams >= self::DOUBLE_BATCH && $dough->wetness !== null,
            'small-batch' => $grams > 0.0 && $grams < self::SMALL_BATCH && $dough->wetness !== null,
            'sticky-cut' => $isRolled && $isSticky,
            'sticky-rolled' => $isRolled && $feel?->word === Feel::all()[2]->word && ($dough->wetness ?? 0.0) > 1.0,
            'rolled' => $isRolled,
            'mould' => $cut?->lies() === Lies::InMoulds,
            'large-dough' => $grams >= self::LARGE_DOUGH,
        ]));
    }

    /** Puts on a task what applies to its kind: the first caution, the first tip; what is said once is not said again. */
    public function on(Task $task): Task
    {
        foreach (Compiled::tables()['workNotes'] as $row) {
            if ($row['kind'] !== $task->kind->value || ! isset($this->holds[$row['when']]) || isset($this->told[$row['note']])) {
                continue;
            }
            if ($row['as'] === 'hazard') {
                $task->hazard ??= $row['text'];
            } elseif ($task->tip === null) {
                $task->tip = $row['text'];
            } else {
                continue;
            }
            if ($row['as'] === 'tip' || in_array($task->kind, [Kind::Prepare, Kind::Mix], true)) {
                $this->told[$row['note']] = true;
            }
        }

        return $task;
    }
}

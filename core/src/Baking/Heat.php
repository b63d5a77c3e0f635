<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Baking\Processes\NoHeat;
use MildBowl\Core\Baking\Processes\Oven as OvenHeat;
use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Kitchen\Oven;

/**
 * How long and how hot, as starting points: by what it is, its size and the oven. The kitchen's own log corrects them. Rows stand in
 * heat.csv; time grows by a fifth for 14 °C less heat (reference, page 5).
 */
final readonly class Heat
{
    /** Power with which time grows: with thickness (reference, page 5), with the volume of a mould (its 15 to 90 ml), with the mass in a dish. */
    private const WITH_SIZE = ['mm' => 1.1, 'ml' => 0.48, 'g' => 0.8];

    private const FIRST_LOOK = 0.8;

    private const FAN = 20;

    /** Drying this cool makes no meat safe by itself. */
    private const COOL = 95;

    /** Finished so hot for ten minutes, it is. */
    private const FINISH = 135;

    private const FARTHEST_GAS_MARK = 15.0;

    /** Classes whose short end leaves a piece soft and whose long end leaves it hard. */
    private const BY_FEEL = ['dough', 'ball', 'drop'];

    /**
     * @param  list<HeatStage>  $stages  in order
     * @param  list<Core>  $cores  what raw food must reach inside
     */
    private function __construct(public array $stages, public array $cores, public ?string $coreStep, public bool $fan) {}

    /**
     * @param  ?Oven  $oven  the baker's own; the row's own temperature where it says none
     * @param  ?Process  $process  what is done to it; null: baked, frozen or set, as the texture says
     * @param  bool  $isFilled  whether a filling is baked in it
     * @param  ?float  $toGrams  what it is to weigh when it is dry
     * @param  float  $longer  how much longer this kitchen's take, as it learned
     */
    public static function of(Cut $cut, Texture $texture, Dough $dough, ?Oven $oven = null, ?Process $process = null, bool $isFilled = false, ?float $toGrams = null, float $longer = 1.0): self
    {
        $oven ??= new Oven;
        $process ??= $texture->isHeated ? new OvenHeat : new NoHeat;
        $class = HeatClass::of($cut, $texture, $process, $dough, $isFilled);
        $sizes = ['mm' => $cut->thicknessMm(), 'ml' => $cut->pieceMl(), 'g' => $dough->grams->best > 0.0 ? $dough->grams->best : null];
        $stages = [];
        foreach (HeatRow::stages($class) as $rows) {
            $row = self::bySize($rows, $sizes[$rows[0]->by] ?? null);
            if ($row->does === 'dry' && ($row->class === 'dried' || $toGrams !== null)) {
                $row = self::dried($row, $cut, $dough, $toGrams ?? $class->bakedGrams($texture, $dough->grams, $dough->solids)->best, $oven);
            }
            $stages[] = self::stage($row->within($longer * $row->minutesLow, $longer * $row->minutesHigh), $texture, $oven, $stages === []);
        }
        $cores = Core::of($dough);
        $first = $stages[0]->celsius ?? null;
        $isCool = $texture->id === 'jerky' || $class->name === 'dried' || ($first !== null && $first + self::fan($oven) <= self::COOL);
        $step = $cores !== [] && $process->killsRaw() && $isCool
            ? 'No drying up to '.self::COOL.' °C makes meat safe by itself: bring it to '.$cores[0]->celsius.' °C at the core first, or finish 10 min at '.(self::FINISH - self::fan($oven)).' °C.' : null;

        return new self($stages, $cores, $step, $oven->fan);
    }

    private static function dried(HeatRow $row, Cut $cut, Dough $dough, float $toGrams, Oven $oven): HeatRow
    {
        $lost = $dough->grams->best <= 0.0 ? 0.0 : max(0.0, 1 - $toGrams / $dough->grams->best);
        $minutes = Drying::minutes($lost, $cut->thicknessMm(), $oven->celsius ?? $row->celsius ?? self::COOL, $oven);
        $coarse = static fn (float $one): float => 5 * round($one / 5);

        return $row->within($coarse($minutes->low), $coarse($minutes->high));
    }

    /** °F to the nearest 5. */
    public static function fahrenheit(float $celsius): int
    {
        return 5 * (int) round(($celsius * 9 / 5 + 32) / 5);
    }

    /** The heat of a gas mark; null for one that no oven has. */
    public static function ofGasMark(float $mark): ?float
    {
        $marks = [(string) $mark => true] + ($mark === 0.25 ? ['¼' => true] : []) + ($mark === 0.5 ? ['½' => true] : []);
        foreach (Compiled::tables()['gasMarks'] as $row) {
            if (isset($marks[$row['mark']])) {
                return $row['celsius'];
            }
        }

        return null;
    }

    /** @return list<array{mark: string, celsius: float}> the marks of a gas oven, each with its heat */
    public static function gasMarks(): array
    {
        return array_map(static fn (array $row): array => ['mark' => $row['mark'], 'celsius' => $row['celsius']], Compiled::tables()['gasMarks']);
    }

    /** The gas mark whose temperature lies nearest. */
    public static function gasMark(float $celsius): ?string
    {
        $mark = null;
        $nearest = self::FARTHEST_GAS_MARK;
        foreach (Compiled::tables()['gasMarks'] as $row) {
            $off = abs($row['celsius'] - $celsius);
            if ($off < $nearest) {
                [$mark, $nearest] = [$row['mark'], $off];
            }
        }

        return $mark;
    }

    private static function fan(Oven $oven): int
    {
        return $oven->fan ? self::FAN : 0;
    }

    private static function stage(HeatRow $row, Texture $texture, Oven $oven, bool $isFirst): HeatStage
    {
        [$low, $high] = [$row->minutesLow, $row->minutesHigh];
        if (in_array($row->class, self::BY_FEEL, true)) {
            [$low, $high] = match (true) {
                $texture->id === 'soft' => [$low, ($low + $high) / 2],
                $texture->isHard() => [($low + $high) / 2, $high],
                default => [$low, $high],
            };
        }
        $set = null;
        if ($row->celsius !== null && $oven->celsius !== null && $isFirst) {
            // drying reckons with the heat itself
            $factor = $row->class === 'dried' ? 1.0 : min(2.0, max(0.5, 1 + 0.2 * ($row->celsius - $oven->celsius - self::fan($oven)) / 14));
            [$low, $high, $set] = [$low * $factor, $high * $factor, (int) round($oven->celsius)];
        } elseif ($row->celsius !== null) {
            $set = (int) $row->celsius - self::fan($oven);
        }
        $from = max(1, (int) round($low));

        return new HeatStage(
            $row->does, $from, max($from, (int) round($high)), max(1, (int) floor(self::FIRST_LOOK * $from)), $set, $row->sign, $row->turn === '' ? null : $row->turn,
            $set === null ? null : self::fahrenheit($set), $set === null ? null : self::gasMark($set + self::fan($oven)),
        );
    }

    /**
     * Between two sizes of a class by the power that joins them; beyond, by thickness with the power 1.1, by volume and mass as a mould
     * or a dish of that size does.
     *
     * @param  non-empty-list<HeatRow>  $rows  by size
     */
    private static function bySize(array $rows, ?float $size): HeatRow
    {
        $first = $rows[0];
        $last = $rows[count($rows) - 1];
        if ($first->size === null || $last->size === null || $size === null) {
            return $rows[intdiv(count($rows), 2)];
        }
        foreach ([[$first, $first->size, $size <= $first->size], [$last, $last->size, $size >= $last->size]] as [$row, $at, $isBeyond]) {
            if ($isBeyond) {
                $factor = ($size / $at) ** (self::WITH_SIZE[$row->by] ?? 1.0);

                return $row->within($row->minutesLow * $factor, $row->minutesHigh * $factor);
            }
        }
        foreach ($rows as $n => $row) {
            $next = $rows[$n + 1] ?? $row;
            if ($next->size !== null && $row->size !== null && $size <= $next->size) {
                $at = log($size / $row->size) / log($next->size / $row->size);

                return ($at < 0.5 ? $row : $next)->within(
                    $row->minutesLow * ($next->minutesLow / $row->minutesLow) ** $at,
                    $row->minutesHigh * ($next->minutesHigh / $row->minutesHigh) ** $at,
                );
            }
        }

        return $last;
    }
}

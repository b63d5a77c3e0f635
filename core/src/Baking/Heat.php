<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Kitchen\Oven;

/**
 * How long and how hot, as starting points: by texture, shape, thickness and oven. The kitchen's own log corrects them.
 * Rows stand in heat.csv; time grows with thickness to the power 1.1 within a class, by a fifth for 14 °C less heat (reference, page 5).
 */
final readonly class Heat
{
    private const WITH_THICKNESS = 1.1;

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

    /** @param  ?Oven  $oven  the baker's own; the row's own temperature where it says none */
    public static function of(Cut $cut, Texture $texture, Dough $dough, ?Oven $oven = null): self
    {
        $oven ??= new Oven;
        $stages = [];
        foreach (HeatRow::stages($cut->shape(), $texture->id) as $rows) {
            $stages[] = self::stage($rows, $cut->thicknessMm(), $texture, $oven, $stages === []);
        }
        $cores = Core::of($dough);
        $first = $stages[0]->celsius ?? null;
        $isCool = $texture->id === 'jerky' || ($first !== null && $first + self::fan($oven) <= self::COOL);
        $step = $cores !== [] && $texture->isHeated && $isCool
            ? 'No drying up to '.self::COOL.' °C makes meat safe by itself: bring it to '.$cores[0]->celsius.' °C at the core first, or finish 10 min at '.(self::FINISH - self::fan($oven)).' °C.' : null;

        return new self($stages, $cores, $step, $oven->fan);
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

    /** @param  non-empty-list<HeatRow>  $rows */
    private static function stage(array $rows, ?float $thicknessMm, Texture $texture, Oven $oven, bool $isFirst): HeatStage
    {
        $row = self::byThickness($rows, $thicknessMm);
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
            $factor = min(2.0, max(0.5, 1 + 0.2 * ($row->celsius - $oven->celsius - self::fan($oven)) / 14));
            [$low, $high, $set] = [$low * $factor, $high * $factor, (int) round($oven->celsius)];
        } elseif ($row->celsius !== null) {
            $set = (int) $row->celsius - self::fan($oven);
        }

        return new HeatStage(
            $row->does, (int) round($low), (int) max(round($low), round($high)), (int) floor(self::FIRST_LOOK * $low), $set, $row->sign,
            $set === null ? null : self::fahrenheit($set), $set === null ? null : self::gasMark($set + self::fan($oven)),
        );
    }

    /**
     * Between two thicknesses of a class by the power that joins them; beyond, with the power 1.1.
     *
     * @param  non-empty-list<HeatRow>  $rows  by thickness
     */
    private static function byThickness(array $rows, ?float $thicknessMm): HeatRow
    {
        $first = $rows[0];
        $last = $rows[count($rows) - 1];
        if ($first->thicknessMm === null || $last->thicknessMm === null || $thicknessMm === null) {
            return $rows[intdiv(count($rows), 2)];
        }
        foreach ([[$first, $first->thicknessMm, $thicknessMm <= $first->thicknessMm], [$last, $last->thicknessMm, $thicknessMm >= $last->thicknessMm]] as [$row, $mm, $isBeyond]) {
            if ($isBeyond) {
                $factor = ($thicknessMm / $mm) ** self::WITH_THICKNESS;

                return $row->within($row->minutesLow * $factor, $row->minutesHigh * $factor);
            }
        }
        foreach ($rows as $n => $row) {
            $next = $rows[$n + 1] ?? $row;
            if ($next->thicknessMm !== null && $row->thicknessMm !== null && $thicknessMm <= $next->thicknessMm) {
                $at = log($thicknessMm / $row->thicknessMm) / log($next->thicknessMm / $row->thicknessMm);

                return ($at < 0.5 ? $row : $next)->within(
                    $row->minutesLow * ($next->minutesLow / $row->minutesLow) ** $at,
                    $row->minutesHigh * ($next->minutesHigh / $row->minutesHigh) ** $at,
                );
            }
        }

        return $last;
    }
}

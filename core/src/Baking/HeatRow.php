<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;

/**
 * One row of heat.csv: how long and how hot for a class of treat at one thickness.
 *
 * @phpstan-import-type HeatRow from Compiled as HeatCells
 */
final readonly class HeatRow
{
    /** @param  ?float  $thicknessMm  null where the class has one time for every thickness */
    private function __construct(public string $class, public string $does, public ?float $thicknessMm, public float $minutesLow, public float $minutesHigh, public ?float $celsius, public string $sign) {}

    /**
     * The rows of each stage in turn for a texture and a shape: a class may bake, then dry. A class made for the shape takes the place of
     * the one for any dough.
     *
     * @return list<non-empty-list<self>> by thickness within a stage
     */
    public static function stages(string $shape, string $texture): array
    {
        $by = [];
        $shaped = null;
        foreach (Compiled::tables()['heat'] as $row) {
            if (! in_array($texture, $row['textures'], true)) {
                continue;
            }
            if ($row['shapes'] !== []) {
                if (! in_array($shape, $row['shapes'], true)) {
                    continue;
                }
                $shaped = $row['class'];
            }
            $by[$row['class']][$row['does']][] = self::row($row);
        }
        if ($shaped !== null) {
            unset($by['dough']);
        }
        $stages = [];
        foreach ($by as $does) {
            array_push($stages, ...array_values($does));
        }

        return $stages;
    }

    /** @param  HeatCells  $row */
    private static function row(array $row): self
    {
        return new self($row['class'], $row['does'], $row['thicknessMm'], $row['minutesLow'], $row['minutesHigh'], $row['celsius'], $row['sign']);
    }

    /** The same row at another thickness. */
    public function within(float $low, float $high): self
    {
        return new self($this->class, $this->does, $this->thicknessMm, $low, $high, $this->celsius, $this->sign);
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;

/**
 * One row of heat.csv: how long and how hot for a class of treat at one size.
 *
 * @phpstan-import-type HeatRow from Compiled as HeatCells
 */
final readonly class HeatRow
{
    /**
     * @param  string  $by  what its size is: mm thick, ml of a mould or a scoop, g in the dish; empty where the class has one time for all
     */
    private function __construct(
        public string $class,
        public string $does,
        public string $by,
        public ?float $size,
        public float $minutesLow,
        public float $minutesHigh,
        public ?float $celsius,
        public string $sign,
        public string $turn,
    ) {}

    /**
     * The rows of each stage in turn: a class may bake, then dry.
     *
     * @return list<non-empty-list<self>> by size within a stage
     */
    public static function stages(HeatClass $class): array
    {
        $by = [];
        foreach ($class->rows as $row) {
            $by["{$row['class']} {$row['does']}"][] = self::row($row);
        }

        return array_values($by);
    }

    /** @param  HeatCells  $row */
    private static function row(array $row): self
    {
        return new self($row['class'], $row['does'], $row['by'], $row['size'], $row['minutesLow'] ?? 0.0, $row['minutesHigh'] ?? 0.0, $row['celsius'], $row['sign'], $row['turn']);
    }

    /** The same row at another size. */
    public function within(float $low, float $high): self
    {
        return new self($this->class, $this->does, $this->by, $this->size, $low, $high, $this->celsius, $this->sign, $this->turn);
    }
}

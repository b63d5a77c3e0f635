<?php

declare(strict_types=1);

namespace MildBowl\Core\Raid;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Sources;

/** A row of toxic-doses.csv: from how much of a substance per kg signs begin, and how they go on. */
final readonly class ToxicDose
{
    /** Share of the least figure from which it is near. */
    private const NEAR = 0.5;

    /**
     * @param  string  $unit  of the amounts per kg
     * @param  list<Threshold>  $thresholds  the least first; empty where no figure is known
     * @param  bool  $isBadInAnyAmount  no dose of it is known to be safe
     */
    private function __construct(public string $substance, public string $name, public string $unit, public array $thresholds, public string $remark, public string $source, public bool $isBadInAnyAmount = false, public bool $isForFatProne = false) {}

    /** @return list<self> */
    public static function all(): array
    {
        $all = [];
        foreach (Compiled::tables()['toxicDoses'] as $row) {
            $thresholds = [];
            foreach ($row['thresholds'] as [$at, $sign]) {
                $thresholds[] = new Threshold($at, $sign);
            }
            $all[] = new self($row['substance'], $row['name'], $row['unit'], $thresholds, $row['remark'], Sources::name($row['source']), $row['anyAmount'], $row['who'] === 'fat-prone');
        }

        return $all;
    }

    /** Whether so much per kg comes near where signs begin. */
    public function isNearAt(float $perKg): bool
    {
        return $this->thresholds !== [] && $perKg >= self::NEAR * $this->thresholds[0]->at;
    }

    /** The worst sign that so much per kg may bring; null under all of them. */
    public function reachedAt(float $perKg): ?string
    {
        $reached = null;
        foreach ($this->thresholds as $threshold) {
            $reached = $perKg >= $threshold->at ? $threshold->sign : $reached;
        }

        return $reached;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Tokenizer;
use RuntimeException;

/** What is measured: units, and what a cup, a piece or 100 g of a food weighs, takes up or holds. */
final readonly class Measures
{
    public function __construct(private string $folder) {}

    /** @return array{names: array<string, string>, sizes: array<string, array<string, array{string, float}>>} */
    public function units(): array
    {
        $names = $sizes = [];
        foreach (Rows::of($this->folder, 'units') as $row) {
            foreach ($row['names'] as $name) {
                Phrases::once(array_diff($names, [$row['unit']]), Tokenizer::key($name), "units.csv, {$row['unit']}");
                $names[Tokenizer::key($name)] = $row['unit'];
            }
            foreach (Unit::SYSTEMS as $system) {
                $sizes[$system][$row['unit']] = [$row['kind'], $row[$system]];
            }
        }

        return ['names' => $names, 'sizes' => $sizes];
    }

    /** @return array{names: array<string, string>, sizes: array<string, array{string, float, float, float}>} */
    public function measures(): array
    {
        $names = $sizes = [];
        foreach (Rows::of($this->folder, 'measures') as $row) {
            foreach ($row['names'] as $name) {
                Phrases::once(array_diff($names, [$row['unit']]), Tokenizer::key($name), "measures.csv, {$row['unit']}");
                $names[Tokenizer::key($name)] = $row['unit'];
            }
            $sizes[$row['unit']] = [$row['kind'], ...$this->ordered($row, "measures.csv, {$row['unit']}")];
        }

        return ['names' => $names, 'sizes' => $sizes];
    }

    /** @return array<string, array<string, array{float, float, float}>> */
    public function densities(): array
    {
        $result = [];
        foreach (Rows::of($this->folder, 'densities') as $row) {
            $result[$row['ingredient']][$row['form']] = $this->ordered($row, "densities.csv, {$row['ingredient']}");
        }

        return $result;
    }

    /** @return array<string, array<string, array{float, float, float}>> keyed by ingredient, then "unit:size" */
    public function pieces(): array
    {
        $result = [];
        foreach (Rows::of($this->folder, 'pieces') as $row) {
            $result[$row['ingredient']]["{$row['unit']}:{$row['size']}"] = $this->ordered($row, "pieces.csv, {$row['ingredient']}");
        }

        return $result;
    }

    /** @return array<string, array{float, string}> */
    public function uptake(): array
    {
        $result = [];
        foreach (Rows::of($this->folder, 'uptake') as $row) {
            $result[$row['ingredient']] = [$row['uptake'], $row['kind']];
        }

        return $result;
    }

    /** @return array<string, array<string, array{float, float, float}>> per 100 g, keyed by ingredient and substance */
    public function actives(): array
    {
        $result = [];
        foreach (Rows::of($this->folder, 'actives') as $row) {
            $result[$row['ingredient']][$row['substance']] = $this->ordered($row, "actives.csv, {$row['ingredient']}");
        }

        return $result;
    }

    /** @return list<string> groups that have a row of their own, in the order of the file: the narrower stands first */
    public function groupsWith(string $table): array
    {
        $groups = [];
        foreach (Rows::of($this->folder, $table) as $row) {
            if (str_starts_with($row['ingredient'], 'group:')) {
                $groups[substr($row['ingredient'], 6)] = true;
            }
        }

        return array_map(strval(...), array_keys($groups));
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array{float, float, float}
     */
    private function ordered(array $row, string $place): array
    {
        [$low, $best, $high] = [$row['low'], $row['best'], $row['high']];
        if (! ($low >= 0 && $low <= $best && $best <= $high)) {
            throw new RuntimeException("$place: low, best and high are not in order.");
        }

        return [$low, $best, $high];
    }
}

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
        $sizes = [];
        foreach (Row::of($this->folder, 'units') as $row) {
            foreach (Unit::SYSTEMS as $system) {
                $sizes[$system][$row->text('unit')] = [$row->text('kind'), $row->number($system)];
            }
        }

        return ['names' => $this->names('units'), 'sizes' => $sizes];
    }

    /** @return array{names: array<string, string>, sizes: array<string, array{string, float, float, float}>} */
    public function measures(): array
    {
        $sizes = [];
        foreach (Row::of($this->folder, 'measures') as $row) {
            $sizes[$row->text('unit')] = [$row->text('kind'), ...$this->ordered($row, "measures.csv, {$row->text('unit')}")];
        }

        return ['names' => $this->names('measures'), 'sizes' => $sizes];
    }

    /** @return array<string, array<string, array{float, float, float}>> */
    public function densities(): array
    {
        $result = [];
        foreach (Row::of($this->folder, 'densities') as $row) {
            $result[$row->text('ingredient')][$row->text('form')] = $this->ordered($row, "densities.csv, {$row->text('ingredient')}");
        }

        return $result;
    }

    /** @return array<string, array<string, array{float, float, float}>> keyed by ingredient, then "unit:size" */
    public function pieces(): array
    {
        $result = [];
        foreach (Row::of($this->folder, 'pieces') as $row) {
            $result[$row->text('ingredient')]["{$row->text('unit')}:{$row->text('size')}"] = $this->ordered($row, "pieces.csv, {$row->text('ingredient')}");
        }

        return $result;
    }

    /** @return array<string, float> by parameter */
    public function doughParameters(): array
    {
        $values = [];
        foreach (Row::of($this->folder, 'dough-parameters') as $row) {
            $values[$row->text('parameter')] = $row->number('value');
        }

        return $values;
    }

    /** @return array<string, array{float, string}> the uptake of a dough at rest times what the class drinks of it */
    public function uptake(): array
    {
        $parameters = $this->doughParameters();
        $result = [];
        foreach (Row::of($this->folder, 'uptake') as $row) {
            $result[$row->text('ingredient')] = [$row->number('uptake') * $parameters[$row->text('class')], $row->text('kind')];
        }

        return $result;
    }

    /** @return array<string, array<string, array{float, float, float}>> per 100 g, keyed by ingredient and substance */
    public function actives(): array
    {
        $result = [];
        foreach (Row::of($this->folder, 'actives') as $row) {
            $result[$row->text('ingredient')][$row->text('substance')] = $this->ordered($row, "actives.csv, {$row->text('ingredient')}");
        }

        return $result;
    }

    /** @return list<string> groups that have a row of their own, in the order of the file: the narrower stands first */
    public function groupsWith(string $table): array
    {
        $groups = [];
        foreach (Row::of($this->folder, $table) as $row) {
            if (str_starts_with($row->text('ingredient'), 'group:')) {
                $groups[substr($row->text('ingredient'), 6)] = true;
            }
        }

        return array_map(strval(...), array_keys($groups));
    }

    /** @return array{float, float, float} */
    private function ordered(Row $row, string $place): array
    {
        [$low, $best, $high] = [$row->number('low'), $row->number('best'), $row->number('high')];
        if (! ($low >= 0 && $low <= $best && $best <= $high)) {
            throw new RuntimeException("$place: low, best and high are not in order.");
        }

        return [$low, $best, $high];
    }

    /** @return array<string, string> unit by the keys of its names, none of which means two */
    private function names(string $file): array
    {
        $names = [];
        foreach (Row::of($this->folder, $file) as $row) {
            foreach ($row->list('names') as $name) {
                Phrases::once(array_diff($names, [$row->text('unit')]), Tokenizer::key($name), "$file.csv, {$row->text('unit')}");
                $names[Tokenizer::key($name)] = $row->text('unit');
            }
        }

        return $names;
    }

    /**
     * A carrot that was cooked weighs a little less than it did: what nobody weighed cooked is taken from the raw one.
     *
     * @param  array<string, array<string, array{float, float, float}>>  $pieces
     * @param  array<string, array<string, string>>  $forms
     * @return array<string, array<string, array{float, float, float}>>
     */
    public static function inherited(array $pieces, array $forms): array
    {
        foreach ($forms as $id => $becomes) {
            foreach (['cooked', 'boiled'] as $form) {
                $cooked = $becomes[$form] ?? null;
                if ($cooked !== null && $cooked !== $id && ! isset($pieces[$cooked]) && isset($pieces[$id])) {
                    $pieces[$cooked] = array_map(static fn (array $one): array => [0.8 * $one[0], 0.9 * $one[1], $one[2]], $pieces[$id]);
                }
            }
        }

        return $pieces;
    }
}

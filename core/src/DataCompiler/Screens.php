<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use RuntimeException;

/** What is said of foods and dogs: rules, findings, exclusions, cross-reactions, swaps, breeds, each by what it is looked up with. */
final readonly class Screens
{
    public function __construct(private string $folder) {}

    /** @return list<array<string, mixed>> */
    public function rules(): array
    {
        $rules = [];
        $seen = [];
        foreach (Rows::of($this->folder, 'rules') as $row) {
            $rules[] = [
                'id' => $row['code'].(($seen[$row['code']] = ($seen[$row['code']] ?? 0) + 1) === 1 ? '' : '-'.$seen[$row['code']]),
                'words' => Phrases::keys($row['words']),
                'unless' => Phrases::keys($row['unless']),
            ] + $row;
        }

        return $rules;
    }

    /**
     * @param  list<array<string, mixed>>  $rules
     * @return array<string, list<int>> numbers of the rules that speak of a group
     */
    public static function byGroup(array $rules): array
    {
        $rows = [];
        foreach ($rules as $number => $rule) {
            /** @var list<string> $groups */
            $groups = $rule['groups'];
            foreach ($groups as $group) {
                $rows[$group][] = $number;
            }
        }

        return $rows;
    }

    /**
     * @param  array<string, list<int>>  $byGroup
     * @param  array<string, array<string, mixed>>  $entries
     * @return array<string, list<int>> numbers of the rules that speak of a food, in the order they are looked at
     */
    public static function byFood(array $byGroup, array $entries): array
    {
        $byFood = [];
        foreach ($entries as $id => $entry) {
            $numbers = [];
            /** @var array<string, true> $groups */
            $groups = $entry['groups'];
            foreach (['*', ...array_keys($groups)] as $group) {
                foreach ($byGroup[$group] ?? [] as $number) {
                    $numbers[$number] = $number;
                }
            }
            $byFood[$id] = array_values($numbers);
        }

        return $byFood;
    }

    /** @return array<string, list<array<string, mixed>>> rows in the order of the file, by code and what they are about */
    public function findings(): array
    {
        $result = [];
        foreach (Rows::of($this->folder, 'findings') as $row) {
            $result["{$row['code']}|{$row['about']}"][] = $row;
        }

        return $result;
    }

    /** @return array<string, list<array<string, mixed>>> keyed by condition */
    public function exclusions(): array
    {
        $result = [];
        foreach (Rows::of($this->folder, 'exclusions') as $row) {
            $result[$row['condition']][] = ['unless' => Phrases::keys($row['unless'])] + $row;
        }

        return $result;
    }

    /** @return array<string, list<array<string, mixed>>> keyed by allergy */
    public function cross(): array
    {
        $result = [];
        foreach (Rows::of($this->folder, 'cross') as $row) {
            $result[$row['allergy']][] = ['unless' => Phrases::keys($row['unless'])] + $row;
        }

        return $result;
    }

    /** @return array<string, list<array<string, mixed>>> by the food or group taken out */
    public function swaps(): array
    {
        $result = $seen = [];
        foreach (Rows::of($this->folder, 'swaps') as $n => $row) {
            $in = implode(';', array_keys($row['in']));
            foreach ($row['out'] as $out) {
                $key = "$out, $in, {$row['job']}";
                if (isset($seen[$key])) {
                    throw new RuntimeException('swaps.csv, row '.($n + 2).", column out: \"$key\" stands in row {$seen[$key]} too.");
                }
                $seen[$key] = $n + 2;
                $result[$out][] = ['except' => $row['except'], 'in' => $row['in'], 'job' => $row['job'], 'rank' => $row['rank'], 'note' => $row['note'], 'source' => $row['source']];
            }
        }

        return $result;
    }

    /** @return array<string, array<string, mixed>> */
    public function breeds(): array
    {
        $result = [];
        foreach (Rows::of($this->folder, 'breeds') as $row) {
            $entry = [
                'breed' => $row['breed'],
                'terrier' => $row['terrier'],
                'research' => $row['research'],
                'fragile' => $row['fragile'],
                'note' => $row['note'],
                'groups' => $row['group'],
                'kgLow' => $row['kgLow'],
                'kgHigh' => $row['kgHigh'],
                'source' => $row['source'],
            ];
            foreach ([$row['breed'], ...$row['aliases']] as $name) {
                Phrases::once($result, $name, "breeds.csv, {$row['breed']}");
                $result[$name] = $entry;
            }
        }

        return $result;
    }
}

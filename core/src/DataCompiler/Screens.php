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
        foreach (Row::of($this->folder, 'rules') as $row) {
            $rules[] = [
                'id' => $row->text('code').(($seen[$row->text('code')] = ($seen[$row->text('code')] ?? 0) + 1) === 1 ? '' : '-'.$seen[$row->text('code')]),
                'words' => Phrases::keys($row->list('words')),
                'unless' => Phrases::keys($row->list('unless')),
            ] + $row->typed();
        }

        return $rules;
    }

    /** @return array<string, array<string, mixed>> what a form does to a food that has no figures for it, by the form */
    public function changes(): array
    {
        $changes = [];
        foreach (Row::of($this->folder, 'changes') as $row) {
            $changes[$row->text('form')] = ['applies' => array_fill_keys($row->list('applies'), true), 'exempt' => array_fill_keys($row->list('exempt'), true)] + $row->typed();
        }

        return $changes;
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
        foreach (Row::of($this->folder, 'findings') as $row) {
            $result["{$row->text('code')}|{$row->text('about')}"][] = $row->typed();
        }

        return $result;
    }

    /** @return array<string, list<array<string, mixed>>> keyed by condition */
    public function exclusions(): array
    {
        $result = [];
        foreach (Row::of($this->folder, 'exclusions') as $row) {
            $result[$row->text('condition')][] = ['unless' => Phrases::keys($row->list('unless'))] + $row->typed();
        }

        return $result;
    }

    /** @return array<string, list<array<string, mixed>>> keyed by allergy */
    public function cross(): array
    {
        $result = [];
        foreach (Row::of($this->folder, 'cross') as $row) {
            $result[$row->text('allergy')][] = ['unless' => Phrases::keys($row->list('unless'))] + $row->typed();
        }

        return $result;
    }

    /** @return array<string, list<array<string, mixed>>> by the food or group taken out */
    public function swaps(): array
    {
        $result = $seen = [];
        foreach (Row::of($this->folder, 'swaps') as $n => $row) {
            $in = $row->ratios('in');
            $with = implode(';', array_keys($in));
            foreach ($row->list('out') as $out) {
                $key = "$out, $with, {$row->text('job')}, {$row->text('state')}";
                if (isset($seen[$key])) {
                    throw new RuntimeException('swaps.csv, row '.($n + 2).", column out: \"$key\" stands in row {$seen[$key]} too.");
                }
                $seen[$key] = $n + 2;
                $result[$out][] = ['except' => $row->list('except'), 'in' => $in, 'job' => $row->text('job'), 'state' => $row->text('state'), 'rank' => $row->number('rank'), 'note' => $row->text('note'), 'source' => $row->text('source')];
            }
        }

        return $result;
    }

    /** @return array<string, array<string, mixed>> */
    public function breeds(): array
    {
        $result = [];
        foreach (Row::of($this->folder, 'breeds') as $row) {
            $entry = [
                'breed' => $row->text('breed'),
                'terrier' => $row->flag('terrier'),
                'research' => $row->numberOrNull('research'),
                'fragile' => $row->flag('fragile'),
                'note' => $row->text('note'),
                'groups' => $row->list('group'),
                'kgLow' => $row->numberOrNull('kgLow'),
                'kgHigh' => $row->numberOrNull('kgHigh'),
                'source' => $row->text('source'),
            ];
            foreach ([$row->text('breed'), ...$row->list('aliases')] as $name) {
                Phrases::once($result, $name, "breeds.csv, {$row->text('breed')}");
                $result[$name] = $entry;
            }
        }

        return $result;
    }
}

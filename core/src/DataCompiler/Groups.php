<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

/** What only the tables together can show: groups that nobody asks about, and figures that no food of a group has. */
final class Groups
{
    /** Columns that ask about a group, and what divides several. */
    private const ASKED = ['rules' => 'groups', 'exclusions' => 'groups', 'cross' => 'group', 'cores' => 'group', 'breeds' => 'group', 'free-water' => 'of', 'most' => 'of'];

    private const BY_GROUP = ['densities' => 'ingredient', 'pieces' => 'ingredient', 'swaps' => 'out'];

    /**
     * @param  array<string, list<array<string, string>>>  $tables
     * @return list<string>
     */
    public static function unused(array $tables): array
    {
        $held = [];
        foreach (['ingredients', 'entries'] as $file) {
            foreach ($tables[$file] as $row) {
                foreach (Table::parts($row['groups'], ';') as $group) {
                    $held[$group] = true;
                }
            }
        }
        foreach ($tables['derived'] as $row) {
            $held += array_fill_keys(Table::parts($row['adds'], ';'), true);
        }
        $asked = array_fill_keys(Vocabulary::TRAITS_IN_CODE, true);
        foreach (self::ASKED as $file => $column) {
            foreach (array_column($tables[$file], $column) as $cell) {
                $asked += array_fill_keys(Table::parts($cell, ';'), true);
            }
        }
        foreach ([...$tables['changes'], ...array_map(static fn (array $row): array => ['applies' => $row['groups'], 'exempt' => strtr($row['except'], '|', ';')], $tables['derived'])] as $row) {
            $asked += array_fill_keys([...Table::parts($row['applies'], ';'), ...Table::parts($row['exempt'], ';')], true);
        }
        foreach (self::BY_GROUP as $file => $column) {
            foreach (array_column($tables[$file], $column) as $cell) {
                foreach (Table::parts($cell) as $one) {
                    if (str_starts_with($one, 'group:')) {
                        $asked[substr($one, 6)] = true;
                    }
                }
            }
        }
        $slips = [];
        foreach ($tables['traits'] as $n => $row) {
            $place = 'traits.csv, row '.($n + 2).', column trait';
            if (! isset($held[$row['trait']])) {
                $slips[] = "$place: no food is \"{$row['trait']}\".";
            } elseif (! isset($asked[$row['trait']])) {
                $slips[] = "$place: nothing asks whether a food is \"{$row['trait']}\".";
            }
        }
        $parents = $allergies = [];
        foreach ($tables['groups'] as $row) {
            $parents += array_fill_keys(Table::parts($row['parents'], ';'), true);
        }
        $allergies = array_fill_keys(array_column($tables['cross'], 'allergy'), true);
        foreach ($tables['groups'] as $n => $row) {
            if (! isset($held[$row['group']]) && ! isset($parents[$row['group']]) && ! isset($allergies[$row['group']])) {
                $slips[] = 'groups.csv, row '.($n + 2).", column group: no food is of the group \"{$row['group']}\".";
            }
        }

        return $slips;
    }

    /**
     * @param  array<string, list<array<string, string>>>  $tables
     * @return list<string>
     */
    public static function implausible(array $tables): array
    {
        $spans = $excepted = $needed = $slips = [];
        foreach ($tables['plausible'] as $row) {
            $spans[$row['group']][$row['nutrient']] = [(float) $row['low'], (float) $row['high']];
        }
        foreach ($tables['exceptions'] as $row) {
            $excepted[$row['ingredient']][$row['check']] = true;
        }
        foreach ($tables['ingredients'] as $n => $row) {
            foreach (Table::parts($row['groups'], ';') as $group) {
                foreach ($spans[$group] ?? [] as $nutrient => [$low, $high]) {
                    $value = Table::number($row[$nutrient]);
                    if ($value === null || ($value >= $low && $value <= $high)) {
                        continue;
                    }
                    $needed[$row['id']][$nutrient] = true;
                    if (! isset($excepted[$row['id']][$nutrient])) {
                        $slips[] = 'ingredients.csv, row '.($n + 2).", column $nutrient: {$row['id']} has $value, but $group has from $low to $high (plausible.csv). If it is right, exceptions.csv says why.";
                    }
                }
            }
        }
        foreach ($tables['exceptions'] as $n => $row) {
            if (! in_array($row['check'], ['energy', 'both'], true) && ! isset($needed[$row['ingredient']][$row['check']])) {
                $slips[] = 'exceptions.csv, row '.($n + 2).", column ingredient: {$row['ingredient']} needs no exception for {$row['check']}.";
            }
        }

        return $slips;
    }

    /**
     * Exceptions of a swap that are none: it speaks of one food, or of a group that the excepted food is not in.
     *
     * @param  array<string, list<array<string, string>>>  $tables
     * @return list<string>
     */
    public static function idleExceptions(array $tables): array
    {
        $parents = $groups = $slips = [];
        foreach ($tables['groups'] as $row) {
            $parents[$row['group']] = Table::parts($row['parents'], ';');
        }
        foreach (['ingredients', 'entries'] as $file) {
            foreach ($tables[$file] as $row) {
                $open = Table::parts($row['groups'], ';');
                while ($open !== []) {
                    $group = array_pop($open);
                    if (! isset($groups[$row['id']][$group])) {
                        $groups[$row['id']][$group] = true;
                        $open = [...$open, ...$parents[$group] ?? []];
                    }
                }
            }
        }
        foreach ($tables['swaps'] as $n => $row) {
            foreach (Table::parts($row['except']) as $food) {
                if (array_filter(Table::parts($row['out']), static fn (string $out): bool => str_starts_with($out, 'group:') && isset($groups[$food][substr($out, 6)])) === []) {
                    $slips[] = 'swaps.csv, row '.($n + 2).", column except: {$row['out']} holds no {$food} that could be excepted.";
                }
            }
        }

        return $slips;
    }
}

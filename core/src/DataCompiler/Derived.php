<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use MildBowl\Core\Pantry\Composition;

/**
 * Foods that follow from others by derived.csv: dried mango from mango, smoked hake from hake. What is in a food stays in it when its water
 * leaves, so the figures are worked out and not remembered; they are estimates, and shown as ranges. A row of forms.csv comes first.
 *
 * @phpstan-type Entry array{name: string, groups: array<string, true>, jobs: list<string>, composition: ?list<?float>, source: string, confidence: string, like?: string}
 */
final readonly class Derived
{
    private const WATER = 0;

    private const SODIUM = 8;

    /** @var list<Row> */
    private array $rows;

    /** @param  callable(list<string>): array<string, true>  $closure  groups with all their parents */
    public function __construct(string $folder, private mixed $closure)
    {
        $this->rows = Row::of($folder, 'derived');
    }

    /**
     * @param  array<string, Entry>  $entries
     * @param  array<string, array<string, string>>  $forms  what a food becomes in a form, by rows of their own
     * @return array{array<string, Entry>, array<string, array<string, string>>} the derived foods, and what becomes them
     */
    public function of(array $entries, array $forms): array
    {
        $foods = $becomes = $same = [];
        foreach ($entries as $id => $entry) {
            // what is itself only known by another food gives no figures to a third
            if ($entry['composition'] === null || isset($entry['like'])) {
                continue;
            }
            foreach ($this->rows as $row) {
                $form = $row->text('form');
                $new = $id.'-'.$row->text('id');
                if (preg_match('/\\b('.implode('|', $row->list('named')).')/u', $entry['name']) === 1 || isset($forms[$id][$form]) || isset($becomes[$id][$form]) || isset($entries[$new]) || ! isset($entry['groups'][$row->text('groups')])
                    || array_intersect($row->list('except'), [$id, ...array_keys($entry['groups'])]) !== []) {
                    continue;
                }
                $composition = $this->composition($row, $entry['composition'], $entries);
                if ($composition === null) {
                    continue;
                }
                $like = in_array($row->text('by'), ['yield', 'as'], true) ? $id : $row->text('like');
                $foods[$new] = [
                    'name' => str_replace('{name}', self::plain($entry['name']), $row->text('name')), 'groups' => $this->groups($row, $entry['groups']), 'jobs' => $entry['jobs'],
                    'composition' => $composition, 'source' => $row->text('source'), 'confidence' => 'C', 'like' => $like,
                ];
                $becomes[$id][$form] = $new;
                if ($row->text('by') === 'as') {
                    $same[$new] = $id;
                }
                if ($form === 'tinned' || $form === 'salted') {
                    $becomes[$new]['unsalted'] = $id;
                }
            }
        }

        foreach ($same as $new => $id) {
            // cooked mince is what the meat is when it is cooked
            $becomes[$new] = array_diff(($forms[$id] ?? []) + ($becomes[$id] ?? []), [$new]) + ($becomes[$new] ?? []);
        }

        return [$foods, $becomes];
    }

    /** "salmon, raw" is called salmon. */
    private static function plain(string $name): string
    {
        return trim(explode(',', $name)[0]);
    }

    /**
     * @param  array<string, true>  $groups
     * @return array<string, true>
     */
    private function groups(Row $row, array $groups): array
    {
        $groups = array_diff_key($groups, array_fill_keys($row->list('drops'), true)) + ($this->closure)($row->list('adds'));
        ksort($groups);

        return $groups;
    }

    /**
     * @param  list<?float>  $of
     * @param  array<string, Entry>  $entries
     * @return list<?float>|null null where there is too little water to leave
     */
    private function composition(Row $row, array $of, array $entries): ?array
    {
        $best = $row->number('best');
        $water = $of[self::WATER] ?? 0.0;
        $new = match ($row->text('by')) {
            'water' => $water <= $best + 5 ? null : self::scaled($of, (100 - $best) / (100 - $water), $best),
            'yield' => self::scaled($of, min(1 / $best, 95 / max(1.0, 100 - $water)), null),
            'sugar' => self::sugared($of, $best / 100),
            'like' => $entries[$row->text('like')]['composition'] ?? null,
            default => $of,
        };
        $salt = $row->numberOrNull('sodium');
        if ($new !== null && $salt !== null) {
            $new[self::SODIUM] = ($new[self::SODIUM] ?? 0.0) + $salt;
        }

        return $new === null ? null : array_values($new);
    }

    /**
     * @param  list<?float>  $of
     * @return array<int, ?float>
     */
    private static function scaled(array $of, float $factor, ?float $water): array
    {
        $new = array_map(static fn (?float $value): ?float => $value === null ? null : round($value * $factor, 2), $of);
        $new[self::WATER] = $water ?? round(100 - (100 - ($of[self::WATER] ?? 0.0)) * $factor, 2);

        return $new;
    }

    /**
     * @param  list<?float>  $of
     * @return array<int, ?float>
     */
    private static function sugared(array $of, float $share): array
    {
        $new = array_map(static fn (?float $value): ?float => $value === null ? null : round($value * (1 - $share), 2), $of);
        foreach (['kcal' => 387, 'carbohydrate' => 100, 'sugars' => 100] as $column => $ofSugar) {
            $n = (int) array_search($column, Composition::COLUMNS, true);
            $new[$n] = round(($new[$n] ?? 0.0) + $share * $ofSugar, 2);
        }

        return $new;
    }
}

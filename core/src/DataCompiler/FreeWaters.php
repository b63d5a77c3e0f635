<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use MildBowl\Core\Pantry\Composition;

/** What of each food wets a flour: the first row of free-water.csv that covers it, and what its fat softens besides. */
final readonly class FreeWaters
{
    /** For what no row covers: whole or diced vegetables, cheese, cooked grains and pulses. */
    private const REST = 'free-bound';

    /** @var list<array{of: string, form: string, counts: string, parameter: string}> */
    private array $rows;

    /** @param  array<string, float>  $parameters */
    public function __construct(string $folder, private array $parameters)
    {
        $this->rows = array_map(
            static fn (Row $row): array => ['of' => $row->text('of'), 'form' => $row->text('form'), 'counts' => $row->text('counts'), 'parameter' => $row->text('parameter')], Row::of($folder, 'free-water'),
        );
    }

    /**
     * @param  array<string, array<string, mixed>>  $entries  as Foods makes them
     * @return array<string, array{forms: array<string, float>, plain: float}> g of free liquid in a g of food
     */
    public function of(array $entries): array
    {
        $free = [];
        foreach ($entries as $id => $entry) {
            /** @var array{groups: array<string, true>, composition: ?list<?float>} $entry */
            $composition = $entry['composition'] === null ? null : array_combine(Composition::COLUMNS, $entry['composition']);
            $forms = [];
            $plain = null;
            $fat = 0.0;
            foreach ($this->rows as $row) {
                if ($row['of'] !== $id && ! isset($entry['groups'][$row['of']])) {
                    continue;
                }
                if ($row['counts'] === 'fat') {
                    $fat = $fat > 0.0 ? $fat : $this->parameters[$row['parameter']] * ($composition['fat'] ?? 100.0) / 100;
                } elseif ($row['form'] !== '') {
                    $forms[$row['form']] ??= $plain ?? $this->share($row, $composition);
                } else {
                    $plain ??= $this->share($row, $composition);
                }
            }
            $plain ??= $this->parameters[self::REST] * ($composition['water'] ?? 0.0) / 100;
            $free[$id] = ['forms' => array_map(static fn (float $one): float => $one + $fat, $forms), 'plain' => $plain + $fat];
        }

        return $free;
    }

    /**
     * @param  array{of: string, form: string, counts: string, parameter: string}  $row
     * @param  array<string, ?float>|null  $composition
     */
    private function share(array $row, ?array $composition): float
    {
        return $this->parameters[$row['parameter']] * ($row['counts'] === 'mass' ? 1.0 : ($composition['water'] ?? 0.0) / 100);
    }
}

<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use App\Models\OwnFood;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\OwnFoodReader;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;

/** The foods that this kitchen added. A cell that is empty is not known, and never 0. */
final class Foods implements Table
{
    private const PER = ' in 100 g';

    public function columns(): array
    {
        return ['name' => true, 'other names' => false, 'groups' => false, ...array_fill_keys(array_map(static fn (string $one): string => $one.self::PER, OwnFoodReader::FIGURES), false), 'g a cup' => false, 'g each' => false, 'ingredients' => false];
    }

    public function rows(): iterable
    {
        foreach (OwnFood::query()->orderBy('name')->orderBy('id')->get() as $one) {
            /** @var OwnFood $one */
            $fields = $one->fields;
            $per = is_array($fields['per100g'] ?? null) ? $fields['per100g'] : [];
            $number = static fn (mixed $value): string => is_int($value) || is_float($value) ? Cells::number($value) : '';
            yield [$one->name, Cells::several($fields['names'] ?? []), Cells::several($fields['groups'] ?? []), ...array_map(static fn (string $key): string => $number($per[$key] ?? null), OwnFoodReader::FIGURES), $number($fields['gramsPerCup'] ?? null), $number($fields['gramsEach'] ?? null), Cells::text($fields['ingredients'] ?? '')];
        }
    }

    public function take(Row $row): string
    {
        $name = $row->text('name', 80);
        $per = [];
        foreach (OwnFoodReader::FIGURES as $key) {
            $column = mb_strtolower($key.self::PER);
            if ($row->has($column)) {
                $per[$key] = $row->number($column, 0, 1e6);
            }
        }
        $fields = array_filter(['names' => $row->several('other names'), 'groups' => $row->several('groups'), 'per100g' => $per, 'gramsPerCup' => $row->number('g a cup', 0.1, 2000), 'gramsEach' => $row->number('g each', 0.1, 5000), 'ingredients' => $row->maybe('ingredients', 5000)], static fn (mixed $one): bool => $one !== null && $one !== []);
        try {
            OwnFoodReader::one(Node::decode(json_encode(['name' => $name] + $fields, JSON_THROW_ON_ERROR)), Kitchen::shipped()->catalogue);
        } catch (RequestRefused $refused) {
            $at = explode('/', $refused->path);
            throw new CellRefused(match ($at[1] ?? '') {
                'names' => 'other names',
                'per100g' => isset($at[2]) ? $at[2].self::PER : 'name',
                'gramsPerCup' => 'g a cup',
                'gramsEach' => 'g each',
                default => $at[1] ?? 'name',
            }, $refused->getMessage());
        }
        $kept = OwnFood::query()->whereRaw('lower(name) = lower(?)', [$name])->first();
        if ($kept !== null && $kept->name === $name && $kept->fields == $fields) {
            return 'same';
        }
        ($kept ?? new OwnFood())->fill(['name' => $name, 'fields' => $fields])->save();

        return $kept === null ? 'new' : 'changed';
    }

    public function finish(): void {}
}

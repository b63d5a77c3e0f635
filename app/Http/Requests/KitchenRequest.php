<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use MildBowl\Core\Formulate\Policy;

final class KitchenRequest extends StrictRequest
{
    private const COLUMNS = [
        'name' => 'name', 'energySchool' => 'energy_school', 'calorieConvention' => 'calorie_convention', 'garlic' => 'garlic', 'units' => 'units',
        'pseudoGrains' => 'pseudo_grains', 'budgetPercent' => 'budget_percent', 'amountsAs' => 'amounts_as', 'temperature' => 'temperature',
    ];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $rules = [
            'name' => ['sometimes', 'required', 'string', 'max:120'],
            'budgetPercent' => ['nullable', 'numeric', 'between:0,10'],
            'amountsAs' => ['sometimes', Rule::in(['grams', 'cups'])],
            'temperature' => ['sometimes', Rule::in(['C', 'F'])],
        ];
        foreach (Policy::CHOICES as $key => $choices) {
            $rules[$key] = ['sometimes', Rule::in($choices)];
        }

        return $rules;
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $columns = [];
        foreach ($this->validated() as $key => $value) {
            $columns[self::COLUMNS[$key]] = $value;
        }

        return $columns;
    }
}

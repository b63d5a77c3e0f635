<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Dog;
use App\Support\KitchenClock;
use App\Support\KitchenParts;
use Carbon\CarbonImmutable;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use MildBowl\Core\Contract\Choices;
use MildBowl\Core\Dogs\Weight;

final class DogRequest extends StrictRequest
{
    private const COLUMNS = [
        'name' => 'name', 'weightKg' => 'weight_kg', 'bornOn' => 'born_on', 'sex' => 'sex', 'neutered' => 'neutered', 'bodyCondition' => 'body_condition',
        'activity' => 'activity', 'breed' => 'breed', 'expectedAdultWeightKg' => 'expected_adult_weight_kg', 'stage' => 'stage', 'teeth' => 'teeth',
        'eating' => 'eating', 'allergies' => 'allergies', 'allowList' => 'allow_list', 'conditions' => 'conditions', 'medicines' => 'medicines',
        'newIngredients' => 'new_ingredients', 'dislikes' => 'dislikes', 'foodKcalPer100g' => 'food_kcal_per_100g', 'budgetPercent' => 'budget_percent', 'atTable' => 'at_table', 'meals' => 'meals',
    ];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $choices = Choices::all();
        $kg = ['nullable', 'numeric', 'between:'.Weight::LIGHTEST_KG.','.Weight::HEAVIEST_KG];

        return [
            'name' => [$this->isMethod('POST') ? 'required' : 'sometimes', 'bail', 'filled', 'string', 'max:60', self::free(Dog::class, 'name', $this->route('dog'), $this->messages()['name.unique'])],
            'weightKg' => $kg,
            'weight' => ['nullable', 'string', 'max:40', $this->isWeight(...)],
            'expectedAdultWeight' => ['nullable', 'string', 'max:40', $this->isWeight(...)],
            'meals' => ['nullable', 'integer', 'between:1,10'],
            'ageMonths' => ['nullable', 'numeric', 'between:0,400'],
            'bornOn' => ['nullable', 'date_format:Y-m-d', 'before_or_equal:'.app(KitchenClock::class)->today()->format('Y-m-d'), 'after:-35 years'],
            'sex' => ['nullable', Rule::in($choices['sexes'])],
            'neutered' => ['nullable', 'boolean:strict'],
            'bodyCondition' => ['nullable', 'integer', 'between:1,9'],
            'activity' => ['sometimes', Rule::in($choices['activities'])],
            'breed' => ['nullable', 'string', 'max:80'],
            'expectedAdultWeightKg' => $kg,
            'stage' => ['nullable', Rule::in($choices['stages'])],
            'teeth' => ['sometimes', Rule::in($choices['teeth'])],
            'eating' => ['sometimes', Rule::in($choices['eating'])],
            'allergies' => ['sometimes', 'array', 'max:50'],
            'allergies.*' => [self::food()],
            'allowList' => ['nullable', 'array', 'max:200'],
            'allowList.*' => [self::food()],
            'newIngredients' => ['sometimes', 'array', 'max:200'],
            'newIngredients.*' => [self::food()],
            'conditions' => ['sometimes', 'array', 'max:30'],
            'conditions.*' => [Rule::in(array_column($choices['conditions'], 'id'))],
            'medicines' => ['sometimes', 'array', 'max:30'],
            'medicines.*' => [Rule::in(array_column($choices['medicines'], 'id'))],
            'dislikes' => ['sometimes', 'array', 'max:100'],
            'dislikes.*' => ['string', 'max:80'],
            'foodKcalPer100g' => ['nullable', 'numeric', 'between:20,900'],
            'budgetPercent' => ['nullable', 'numeric', 'between:0,10'],
            'atTable' => ['sometimes', 'boolean:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the dog a name.',
            'name.filled' => 'Give the dog a name.',
            'name.unique' => 'There is a dog of that name already: choose another.',
            'weightKg.between' => 'A dog weighs from 0.3 to 120 kg.',
            'weightKg.numeric' => 'The weight should be a number, in kg.',
            'expectedAdultWeightKg.between' => 'A grown dog weighs from 0.3 to 120 kg.',
            'ageMonths.between' => 'The age should be from 0 to 400 months.',
            'bodyCondition.between' => 'Body condition runs from 1 to 9.',
            'foodKcalPer100g.between' => 'Food holds from 20 to 900 kcal per 100 g.',
            'meals.between' => 'From 1 to 10 meals a day.',
            'budgetPercent.between' => 'The treat budget may be lowered, never raised above 10 %.',
            'bornOn.before_or_equal' => 'The birth date lies in the future.',
        ];
    }

    private function isWeight(string $path, mixed $value, \Closure $fail): void
    {
        $range = is_string($value) ? Weight::read($value) : null;
        if ($range === null) {
            $fail('The weight should be a number, such as 17, 38 lb, or 50 to 60 lb.');
        } elseif ($range->low < Weight::LIGHTEST_KG || $range->high > Weight::HEAVIEST_KG) {
            $fail('A dog weighs from 0.3 to 120 kg.');
        }
    }

    public function withValidator(Validator $validator): void
    {
        parent::withValidator($validator);
        $validator->after(function (Validator $validator): void {
            $weight = is_string($this->input('weight')) ? Weight::read($this->input('weight'))?->high : $this->input('weightKg');
            $expected = is_string($this->input('expectedAdultWeight')) ? Weight::read($this->input('expectedAdultWeight'))?->high : $this->input('expectedAdultWeightKg');
            if (is_numeric($weight) && is_numeric($expected) && (float) $expected < (float) $weight) {
                $validator->errors()->add('expectedAdultWeightKg', 'The expected adult weight is under the present one. Leave it empty for a grown dog.');
            }
        });
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $columns = [];
        foreach ($this->validated() as $key => $value) {
            if (isset(self::COLUMNS[$key])) {
                $columns[self::COLUMNS[$key]] = in_array($key, ['allergies', 'allowList', 'newIngredients'], true) && is_array($value)
                    ? array_values(array_unique(array_map(static fn (mixed $food): string => (string) app(KitchenParts::class)->catalogue()->resolveGroupOrId((string) $food), $value)))
                    : $value;
            }
        }
        // of a range the low end is taken: less energy, and fewer treats
        $said = $this->validated('weight');
        if ($this->has('weight')) {
            $range = is_string($said) ? Weight::read($said) : null;
            $columns['weight_kg'] = $range === null ? null : round($range->low, 2);
            // a plain figure in kg says no more than the figure
            $isPlain = preg_match('/^\s*[\d.,]+\s*(kg)?\s*$/i', (string) $said) === 1;
            $columns['weight_said'] = $range === null || ($range->isExact() && $isPlain) ? null : trim((string) $said);
        } elseif ($this->has('weightKg')) {
            $columns['weight_said'] = null;
        }
        if ($this->has('expectedAdultWeight')) {
            $grown = $this->validated('expectedAdultWeight');
            $range = is_string($grown) ? Weight::read($grown) : null;
            // of a range the high end is taken: a longer time of growing, and the more careful figures
            $columns['expected_adult_weight_kg'] = $range === null ? null : round($range->high, 2);
        }
        $age = $this->validated('ageMonths');
        if ($this->has('ageMonths') && ! $this->filled('bornOn')) {
            $columns['born_on'] = $age === null ? null : Dog::bornOn((float) $age);
        } elseif (is_string($columns['born_on'] ?? null)) {
            $columns['born_on'] = CarbonImmutable::parse($columns['born_on']);
        }

        return $columns;
    }
}

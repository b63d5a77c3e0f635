<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use MildBowl\Core\Kitchen\Policy;

final class KitchenRequest extends StrictRequest
{
    private const COLUMNS = [
        'name' => 'name', 'energySchool' => 'energy_school', 'calorieConvention' => 'calorie_convention', 'garlic' => 'garlic', 'units' => 'units',
        'pseudoGrains' => 'pseudo_grains', 'budgetPercent' => 'budget_percent', 'amountsAs' => 'amounts_as', 'temperature' => 'temperature',
        'trayWidthMm' => 'tray_width_mm', 'trayLengthMm' => 'tray_length_mm', 'trayGapMm' => 'tray_gap_mm', 'traysAtOnce' => 'trays_at_once', 'ovenFan' => 'oven_fan', 'timezone' => 'timezone', 'weightsAs' => 'weights_as', 'sizesAs' => 'sizes_as', 'datesAs' => 'dates_as', 'baker' => 'baker',
        'backupsKept' => 'backups_kept', 'labelLanguages' => 'label_languages',
    ];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $rules = [
            'name' => ['sometimes', 'required', 'string', 'max:120'],
            'budgetPercent' => ['nullable', 'numeric', 'between:0,10'],
            'amountsAs' => ['sometimes', Rule::in(['grams', 'cups'])],
            'baker' => ['sometimes', 'required', 'string', 'max:120'],
            'temperature' => ['sometimes', Rule::in(['C', 'F', 'gas'])],
            'weightsAs' => ['sometimes', Rule::in(['kg', 'lb'])],
            'sizesAs' => ['sometimes', Rule::in(['mm', 'in'])],
            'datesAs' => ['sometimes', Rule::in(['dmy', 'mdy', 'ymd'])],
            'trayWidthMm' => ['sometimes', 'numeric', 'between:50,2000'],
            'trayLengthMm' => ['sometimes', 'numeric', 'between:50,2000'],
            'trayGapMm' => ['sometimes', 'numeric', 'between:0,100'],
            'traysAtOnce' => ['sometimes', 'integer', 'between:1,20'],
            'ovenFan' => ['sometimes', 'boolean:strict'],
            'backupsKept' => ['sometimes', 'integer', 'between:1,100'],
            'labelLanguages' => ['sometimes', self::labelLanguages()],
            'timezone' => ['sometimes', 'required', 'string', 'max:64', 'timezone:all'],
        ];
        foreach (Policy::CHOICES as $key => $choices) {
            $rules[$key] = ['sometimes', Rule::in($choices)];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'trayWidthMm.between' => 'A tray is from 50 to 2000 mm wide.', 'trayLengthMm.between' => 'A tray is from 50 to 2000 mm long.',
            'trayGapMm.between' => 'Leave from 0 to 100 mm between pieces.', 'traysAtOnce.between' => 'From 1 to 20 trays at once.',
            'backupsKept.between' => 'From 1 to 100 nightly backups are kept.',
            'timezone.timezone' => 'This is no time zone: write one such as Europe/London.',
        ];
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

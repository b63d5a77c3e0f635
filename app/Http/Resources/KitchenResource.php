<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Kitchen;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Kitchen */
final class KitchenResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'name' => $this->name,
            'baker' => $this->baker,
            'policy' => [
                'energySchool' => $this->energy_school,
                'calorieConvention' => $this->calorie_convention,
                'garlic' => $this->garlic,
                'units' => $this->units,
                'pseudoGrains' => $this->pseudo_grains,
                'budgetPercent' => $this->budget_percent,
            ],
            'amountsAs' => $this->amounts_as,
            'temperature' => $this->temperature,
            'tray' => ['widthMm' => $this->tray_width_mm, 'lengthMm' => $this->tray_length_mm, 'gapMm' => $this->tray_gap_mm, 'atOnce' => $this->trays_at_once],
            'ovenFan' => $this->oven_fan,
            'timezone' => $this->timezone,
            'weightsAs' => $this->weights_as, 'sizesAs' => $this->sizes_as, 'datesAs' => $this->dates_as,
            'backupsKept' => $this->backups_kept, 'labelLanguages' => $this->label_languages,
            'version' => $this->version,
        ];
    }
}

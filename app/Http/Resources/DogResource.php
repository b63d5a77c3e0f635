<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Dog;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Dog */
final class DogResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'weightKg' => $this->weight_kg,
            'ageMonths' => $this->ageMonths(),
            'bornOn' => $this->born_on?->format('Y-m-d'),
            'sex' => $this->sex,
            'neutered' => $this->neutered,
            'bodyCondition' => $this->body_condition,
            'activity' => $this->activity,
            'breed' => $this->breed,
            'expectedAdultWeightKg' => $this->expected_adult_weight_kg,
            'stage' => $this->stage,
            'teeth' => $this->teeth,
            'eating' => $this->eating,
            'allergies' => $this->allergies,
            'allowList' => $this->allow_list,
            'conditions' => $this->conditions,
            'medicines' => $this->medicines,
            'newIngredients' => $this->new_ingredients,
            'dislikes' => $this->dislikes,
            'foodKcalPer100g' => $this->food_kcal_per_100g,
            'budgetPercent' => $this->budget_percent,
            'meals' => $this->meals,
            'weightSaid' => $this->weight_said,
            'atTable' => $this->at_table,
        ];
    }
}

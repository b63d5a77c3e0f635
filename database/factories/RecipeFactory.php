<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Recipe;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Recipe> */
final class RecipeFactory extends Factory
{
    protected $model = Recipe::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['title' => 'Plain rounds', 'text' => "2 cups oat flour\n1 egg\n1/4 cup water"];
    }
}

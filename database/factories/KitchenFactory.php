<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Kitchen;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Kitchen> */
final class KitchenFactory extends Factory
{
    protected $model = Kitchen::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['slug' => 'kitchen-'.$this->faker->unique()->numberBetween(1, 1_000_000), 'name' => 'A kitchen', 'baker' => 'A baker'];
    }
}

<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Dog;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Dog> */
final class DogFactory extends Factory
{
    protected $model = Dog::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Dog '.$this->faker->unique()->numberBetween(1, 1_000_000),
            'weight_kg' => $this->faker->randomFloat(1, 3, 60),
            'born_on' => Dog::bornOn(48),
            'neutered' => true,
            'body_condition' => 5,
        ];
    }
}

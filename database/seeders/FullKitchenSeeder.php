<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Dog;
use App\Models\Recipe;
use App\Support\CurrentKitchen;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/** What years leave behind: 5,000 recipes and 60 dogs beside the demo kitchen's own, all made up, to measure by. */
final class FullKitchenSeeder extends Seeder
{
    private const RECIPES = 5000;

    private const DOGS = 60;

    private const FLOURS = ['oat', 'barley', 'rye', 'sorghum', 'brown rice', 'chickpea', 'millet', 'spelt'];

    private const FOODS = ['beetroot', 'carrot', 'parsnip', 'pear', 'blueberries', 'pumpkin', 'celery', 'melon', 'turkey', 'venison', 'hake', 'mussels', 'sardines', 'lentils', 'cottage cheese'];

    private const SHAPES = ['rounds', 'coins', 'fingers', 'squares', 'crisps', 'twists', 'drops'];

    public function run(DatabaseSeeder $demo, CurrentKitchen $current): void
    {
        $demo->run($current);
        $kitchen = $current->id();
        $dogs = Dog::query()->count();
        for ($n = $dogs; $n < self::DOGS; $n++) {
            Dog::query()->create(['name' => 'Deckhand '.$n, 'breed' => 'crossbreed', 'born_on' => Dog::bornOn(30.0 + $n), 'weight_kg' => 4 + $n % 40, 'position' => $n, 'at_table' => false, 'conditions' => $n % 5 === 0 ? ['heart'] : [], 'allergies' => $n % 3 === 0 ? ['chicken'] : []]);
        }
        $rows = [];
        for ($n = 0; $n < self::RECIPES; $n++) {
            $flour = self::FLOURS[$n % count(self::FLOURS)];
            $food = self::FOODS[intdiv($n, 8) % count(self::FOODS)];
            $rows[] = [
                'id' => (string) Str::uuid7(), 'kitchen_id' => $kitchen, 'title' => ucfirst($food)." and $flour ".self::SHAPES[$n % 7].' '.$n,
                'text' => (1 + $n % 3)." cups $flour flour\n".(40 + $n % 200)." g $food\n1 egg\n".(1 + $n % 4).' tbsp water', 'steps' => "Mix.\nRoll to 6 mm and stamp out.\nBake at 175 °C for 20 minutes.",
                'created_at' => now(), 'updated_at' => now()->subMinutes($n), 'tags' => json_encode($n % 10 === 0 ? ['autumn'] : []),
            ];
        }
        foreach (array_chunk($rows, 500) as $some) {
            Recipe::query()->toBase()->insert($some);
        }
    }
}

<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Dog;
use App\Models\Occasion;
use App\Models\Recipe;
use App\Support\KitchenClock;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/** A birthday of eleven dogs on the basin, and the tins for the boats at midwinter: made up. */
final class OccasionSeeder extends Seeder
{
    /**
     * Name, kg, months, allergies, conditions: null where nobody asked yet.
     *
     * @var list<array{string, ?float, ?float, list<string>|null, list<string>|null}>
     */
    private const GUESTS = [
        ['Pim', 7.0, 30.0, [], []],
        ['Hettie', 28.0, 60.0, ['beef'], []],
        ['Moss', 21.0, null, null, null],
        ['Juno', 4.5, 20.0, [], []],
        ['Clove', 33.0, 96.0, ['egg'], []],
    ];

    private const TINS = ['the boat Halcyon' => 40, 'the boat Merle' => 40, 'the lock office' => 60, 'the boat Old Thrift' => 40];

    public function run(KitchenClock $clock): void
    {
        $recipes = Recipe::query()->pluck('id', 'title');
        $guests = array_map(static fn (array $one): array => ['id' => (string) Str::uuid(), 'name' => $one[0], 'weightKg' => $one[1], 'ageMonths' => $one[2], 'allergies' => $one[3], 'conditions' => $one[4], 'medicines' => []], self::GUESTS);
        $rounds = $recipes['Beetroot and barley rounds'];
        $coins = $recipes['Venison and parsnip coins'];
        Occasion::query()->create([
            'name' => 'Quill is twelve', 'on' => $clock->today()->addDays(9)->format('Y-m-d'), 'at' => '15:00', 'place' => 'the lawn by the upper lock', 'transport_minutes' => 15,
            'words' => 'Cake for the people, rounds for the dogs. Bring a towel: the grass will be wet.', 'dogs' => Dog::query()->orderBy('position')->pluck('id')->all(), 'guests' => $guests,
            'treats' => [['recipeId' => $rounds, 'bakeOn' => null], ['recipeId' => $coins, 'bakeOn' => null]], 'shares' => [],
            'boxes' => [['id' => (string) Str::uuid(), 'for' => 'Pim', 'dog' => $guests[0]['id'], 'recipeId' => $rounds, 'pieces' => 12, 'in' => 'box'], ['id' => (string) Str::uuid(), 'for' => 'Hettie', 'dog' => $guests[1]['id'], 'recipeId' => $coins, 'pieces' => 20, 'in' => 'box']],
        ]);
        $tins = [];
        foreach (self::TINS as $for => $pieces) {
            $tins[] = ['id' => (string) Str::uuid(), 'for' => $for, 'dog' => null, 'recipeId' => $rounds, 'pieces' => $pieces, 'in' => 'tin'];
        }
        Occasion::query()->create([
            'name' => 'Midwinter tins', 'on' => $clock->today()->addDays(23)->format('Y-m-d'), 'at' => null, 'place' => '', 'transport_minutes' => null, 'words' => '', 'dogs' => [], 'guests' => [],
            'treats' => [['recipeId' => $rounds, 'bakeOn' => null]], 'shares' => [], 'boxes' => $tins,
        ]);
    }
}

<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Dog;
use App\Models\Kitchen;
use App\Models\Price;
use App\Models\Recipe;
use App\Models\Weighing;
use App\Support\CurrentKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** The demo kitchen: Lock Cottage, its six dogs and eight recipes. All made up. */
final class DatabaseSeeder extends Seeder
{
    /** kg by weeks ago, made up. */
    private const WEIGHED = ['Biscay' => [10 => 8.6, 8 => 10.4, 6 => 12.1, 4 => 13.9, 2 => 15.6, 0 => 17.0], 'Ferris' => [16 => 34.8, 8 => 35.5, 0 => 36.0], 'Bosun' => [10 => 18.4, 6 => 18.7, 3 => 19.0]];

    /** Body condition by weeks ago, where somebody looked. */
    private const LOOKED = ['Ferris' => [16 => 6, 8 => 7, 0 => 7], 'Bosun' => [10 => 4, 6 => 5, 3 => 5]];

    /** Ingredient, grams of a pack, what it costs: made up. */
    private const PRICES = [
        ['barley-flour', 1000, 2.4], ['rolled-oats', 1000, 1.6], ['egg', 360, 2.1], ['rapeseed-oil', 920, 3.2], ['beetroot', 500, 0.9], ['parsley', 30, 0.8], ['sorghum-flour', 500, 2.9], ['oat-flour', 1000, 2.2],
        ['parsnip', 500, 0.8], ['ground-flaxseed', 250, 1.9], ['venison-mince', 400, 5.8], ['millet-flour', 500, 2.3], ['brown-rice-flour', 1000, 2.6],
    ];

    /** As a whole or not at all: a first start may be interrupted here. */
    public function run(CurrentKitchen $current): void
    {
        DB::transaction(function () use ($current): void {
            $this->fill($current);
        });
    }

    private function fill(CurrentKitchen $current): void
    {
        $kitchen = Kitchen::query()->firstOrCreate(['slug' => 'lock-cottage'], ['name' => 'Lock Cottage', 'baker' => 'Ines Marlow']);
        $isNew = $kitchen->wasRecentlyCreated;
        $current->open($kitchen->refresh());
        // one that was cleared, or begun empty, is not filled again by the next version
        if (! $isNew) {
            return;
        }
        foreach ($this->dogs() as $position => $dog) {
            $age = $dog['age'];
            unset($dog['age']);
            $kept = Dog::query()->create($dog + ['born_on' => Dog::bornOn($age), 'position' => $position, 'meals' => $age < 12 ? 3 : 2]);
            foreach (self::WEIGHED[$dog['name']] ?? [] as $weeksAgo => $kg) {
                Weighing::query()->create(['dog_id' => $kept->id, 'weighed_on' => CarbonImmutable::today()->subWeeks($weeksAgo), 'kg' => $kg, 'body_condition' => self::LOOKED[$dog['name']][$weeksAgo] ?? null]);
            }
        }
        foreach ($this->recipes() as $recipe) {
            Recipe::query()->create($recipe);
        }
        foreach (self::PRICES as [$ingredient, $grams, $price]) {
            Price::query()->create(['ingredient' => $ingredient, 'grams' => $grams, 'price' => $price]);
        }
        $this->call(BatchSeeder::class);
        $this->call(JarSeeder::class);
        $this->call(WatchSeeder::class);
        $this->call(OccasionSeeder::class);
    }

    /** @return list<array<string, mixed>> */
    private function dogs(): array
    {
        return [
            ['name' => 'Biscay', 'breed' => 'Newfoundland cross', 'age' => 5.0, 'weight_kg' => 17, 'expected_adult_weight_kg' => 48, 'sex' => 'male', 'neutered' => false, 'body_condition' => 5, 'activity' => 'normal', 'food_kcal_per_100g' => 385, 'at_table' => true],
            ['name' => 'Quill', 'breed' => 'whippet', 'age' => 146.0, 'weight_kg' => 12.5, 'sex' => 'female', 'neutered' => true, 'body_condition' => 5, 'teeth' => 'few', 'conditions' => ['heart'], 'food_kcal_per_100g' => 360, 'at_table' => true],
            ['name' => 'Tuppence', 'breed' => 'border terrier', 'age' => 49.0, 'weight_kg' => 9, 'sex' => 'female', 'neutered' => true, 'body_condition' => 5, 'allergies' => ['gluten', 'chicken'], 'dislikes' => ['raw apple'], 'food_kcal_per_100g' => 350, 'at_table' => false],
            ['name' => 'Ferris', 'breed' => 'lurcher cross', 'age' => 75.0, 'weight_kg' => 36, 'sex' => 'male', 'neutered' => true, 'body_condition' => 7, 'conditions' => ['pancreatitis'], 'food_kcal_per_100g' => 330, 'at_table' => false],
            ['name' => 'Odette', 'breed' => 'Dalmatian', 'age' => 38.0, 'weight_kg' => 24, 'sex' => 'female', 'neutered' => true, 'body_condition' => 5, 'conditions' => ['urate-stones'], 'food_kcal_per_100g' => 345, 'at_table' => true],
            ['name' => 'Bosun', 'breed' => 'working collie', 'age' => 40.0, 'weight_kg' => 19, 'sex' => 'male', 'neutered' => false, 'body_condition' => 5, 'activity' => 'working-moderate', 'eating' => 'gulps', 'food_kcal_per_100g' => 400, 'at_table' => true],
        ];
    }

    /** @return list<array<string, mixed>> */
    private function recipes(): array
    {
        return [
            [
                'title' => 'Beetroot and barley rounds',
                'text' => "For the dough:\n2 cups barley flour\n1/2 cup rolled oats\n1 medium beetroot, grated\n1 large egg\n1 tbsp rapeseed oil\n2 tbsp parsley, chopped\n1/4 cup water",
                'steps' => "Stir the grated beetroot into the egg and oil.\nWork in the flour and oats, then the water a spoonful at a time.\nRoll to 6 mm and stamp out.\nBake at 175 °C for 20 minutes, turning once.",
                'cut' => ['shape' => 'round', 'diameterMm' => 25, 'thicknessMm' => 6], 'texture' => 'biscuit',
            ],
            [
                'title' => 'Venison and parsnip coins',
                'text' => "300 g minced venison\n2 small parsnips, grated\n1 1/2 cups sorghum flour\n1 large egg\n1 tbsp ground flaxseed\n2 tbsp water",
                'steps' => "Cook the venison through to 71 °C and let it cool.\nMix everything, form a log and slice it.\nBake at 170 °C for 25 minutes.",
                'cut' => ['shape' => 'log', 'diameterMm' => 28, 'sliceMm' => 7], 'texture' => 'soft',
            ],
            [
                'title' => 'Mussel and millet fingers',
                'text' => "150 g cooked mussels, chopped\n1 3/4 cups millet flour\n1/2 cup plain pumpkin purée\n1 tbsp chia seeds\n1 tbsp olive oil\n3 tbsp water",
                'steps' => "Soak the chia in the water for 10 minutes.\nBlend the mussels with the purée.\nMix, roll out and cut into fingers.\nBake at 170 °C for 25 minutes.",
                'cut' => ['shape' => 'rectangle', 'widthMm' => 12, 'lengthMm' => 40, 'thicknessMm' => 7], 'texture' => 'biscuit',
            ],
            [
                'title' => 'Iced melon and fennel coins',
                'text' => "2 cups melon, puréed\n1/2 cup plain yogurt\n1/4 cup fennel, grated\n1 tsp fresh mint, chopped",
                'steps' => "Blend until smooth.\nPour into small moulds and freeze for 4 hours.",
                'cut' => ['shape' => 'mould', 'cavityMl' => 6, 'cavities' => 40], 'texture' => 'frozen',
            ],
            [
                'title' => 'Lentil and celery crisps',
                'text' => "1 1/2 cups cooked red lentils, drained\n1 cup brown rice flour\n2 stalks celery, finely grated\n1 tbsp sunflower oil\n1 tsp dried oregano",
                'steps' => "Mash the lentils.\nMix, roll to 3 mm and cut.\nBake at 165 °C for 22 minutes and leave in the cooling oven.",
                'cut' => ['shape' => 'square', 'sideMm' => 22, 'thicknessMm' => 3], 'texture' => 'hard',
            ],
            [
                'title' => 'Clipped winter loaf',
                'text' => "For the loaf:\n2 1/4 cups whole wheat flour\n1/2 cup raisins\n2 tsp mixed spice\n1/3 cup candied peel\n1/4 cup cocoa powder\n1/2 cup honey\n2 large eggs\n3/4 cup milk\n1 tsp baking powder",
                'steps' => "Mix the dry things, then the wet.\nDust the tin with cocoa.\nBake at 180 °C for 50 minutes.",
                'cut' => ['shape' => 'slices', 'count' => 16], 'texture' => 'cake',
            ],
            [
                'title' => 'Pear and sorghum squares',
                'text' => "2 cups sorghum flour\n2 ripe pears, cored and grated\n1 large egg\n2 tbsp tahini\n1/2 tsp Ceylon cinnamon",
                'steps' => "Mix and press into a lined tray.\nBake at 170 °C for 40 minutes, then cut into squares.",
                'cut' => ['shape' => 'grid', 'sheetWidthMm' => 180, 'sheetLengthMm' => 240, 'depthMm' => 15, 'columns' => 9, 'rows' => 12], 'texture' => 'tray',
            ],
            [
                'title' => 'Crisp hake-skin twists',
                'text' => "250 g hake skin\n1 tsp olive oil\n1 tsp dried parsley",
                'steps' => "Dry the skins well, oil them and twist.\nBake at 120 °C for 60 minutes; bring to 63 °C at the core first.",
                'cut' => ['shape' => 'pieces', 'count' => 40], 'texture' => 'jerky',
            ],
        ];
    }
}

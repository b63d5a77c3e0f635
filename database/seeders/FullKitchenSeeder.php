<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Bag;
use App\Models\Batch;
use App\Models\Dog;
use App\Models\Place;
use App\Models\Recipe;
use App\Support\CurrentKitchen;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use MildBowl\Core\Data\Compiled;

/** What years leave behind: 5,000 recipes and 60 dogs beside the demo kitchen's own, all made up, to measure by. */
final class FullKitchenSeeder extends Seeder
{
    private const RECIPES = 5000;

    private const DOGS = 60;

    private const FLOURS = ['oat', 'barley', 'rye', 'sorghum', 'brown rice', 'chickpea', 'millet', 'spelt'];

    private const FOODS = ['beetroot', 'carrot', 'parsnip', 'pear', 'blueberries', 'pumpkin', 'celery', 'melon', 'turkey', 'venison', 'hake', 'mussels', 'sardines', 'lentils', 'cottage cheese'];

    private const BATCHES = 2000;

    private const ENTRIES = 25;

    private const BAGS = 300;

    /** Of them thawed or never frozen: what a day is reckoned with. */
    private const OPEN_BAGS = 12;

    private const LEDGER = 50_000;

    private const FED = 10;

    private const A_DAY = 7;

    private const EATEN = 80;

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
        for ($n = Recipe::query()->count(); $n < self::RECIPES; $n++) {
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
        $this->batches($kitchen);
        $this->bags();
        $this->ledger($kitchen);
    }

    /** Two years of treats and of what was seen, each day of each dog reckoned already, as the page finds it. */
    private function ledger(int $kitchen): void
    {
        $foods = array_slice(array_keys(array_filter(Compiled::tables()['entries'], static fn (array $one): bool => $one['composition'] !== null)), 0, self::EATEN);
        $dogs = Dog::query()->orderBy('position')->limit(self::FED)->pluck('id')->all();
        $days = intdiv(self::LEDGER, self::FED * self::A_DAY);
        $at = now();
        for ($ago = $days; $ago > 0; $ago--) {
            $on = now()->subDays($ago)->format('Y-m-d');
            $given = $reckoned = $seen = [];
            foreach ($dogs as $n => $dog) {
                for ($m = 0; $m < self::A_DAY; $m++) {
                    $id = (string) Str::uuid7();
                    $given[] = ['kitchen_id' => $kitchen, 'id' => $id, 'gift' => $id, 'dog_id' => $dog, 'on' => $on, 'at' => "$on 09:00:00+00", 'by' => 'Ines', 'kind' => 'text', 'words' => '5 g carrot', 'unsure' => false, 'came_at' => $at];
                }
                $ate = array_map(static fn (int $k): string => $foods[($ago * 7 + $n * 3 + $k * $k) % self::EATEN], range(0, 5));
                $reckoned[] = ['kitchen_id' => $kitchen, 'dog_id' => $dog, 'on' => $on, 'kcal' => 20 + $ago % 30, 'budget_kcal' => 60, 'garlic_g' => 0, 'predator_fish' => false, 'over' => false, 'foods' => json_encode(array_values(array_unique($ate)))];
                $seen[] = ['kitchen_id' => $kitchen, 'id' => (string) Str::uuid7(), 'dog_id' => $dog, 'on' => $on, 'at' => "$on 20:00:00+00", 'by' => 'Ines', 'kind' => 'sign', 'said' => json_encode(['sign' => 'skin', 'score' => $ago % 7]), 'came_at' => $at];
            }
            DB::table('ledger_entries')->insert($given);
            DB::table('dog_days')->insertOrIgnore($reckoned);
            DB::table('diary_entries')->insert($seen);
        }
    }

    /** Bags of one batch after another, most of them frozen. */
    private function bags(): void
    {
        $places = Place::query()->pluck('id', 'kind')->all();
        $batches = Batch::query()->where('begun_at', '<', now()->subDays(20))->orderByDesc('begun_at')->limit(self::BAGS)->get(['kitchen_id', 'id', 'title', 'begun_at']);
        $number = (int) Bag::query()->max('number');
        $keeps = ['class' => 'biscuit', 'days' => ['jar' => 10, 'fridge' => 21, 'freezer' => 120], 'atMost' => ['jar' => 10, 'fridge' => 21, 'freezer' => 120], 'thawedDays' => 21, 'isDry' => false];
        for ($n = Bag::query()->count(); $n < self::BAGS; $n++) {
            $isOpen = $n % intdiv(self::BAGS, self::OPEN_BAGS) === 0;
            $batch = $batches[$n % ($isOpen ? 8 : $batches->count())];
            assert($batch instanceof Batch);
            Bag::query()->create([
                'number' => ++$number, 'title' => $batch->title, 'content' => 'treats', 'batch_id' => $batch->id, 'made' => $batch->begun_at->format('Y-m-d'), 'keeps' => $keeps, 'because' => 'A biscuit.', 'for_dogs' => [],
                'place_id' => $places[$isOpen ? 'fridge' : 'freezer'], 'pieces' => 6 + $n % 20, 'put_pieces' => 26, 'best_before' => now()->addDays(3 + $n % 90)->format('Y-m-d'), 'at_most' => now()->addDays(3 + $n % 90)->format('Y-m-d'),
                'frozen' => ! $isOpen, 'thawed_days' => 21, 'state' => 'here',
            ]);
        }
    }

    /** Copies of a finished batch of the demo kitchen, each with a log of its own. */
    private function batches(int $kitchen): void
    {
        if (Batch::query()->doesntExist()) {
            // a kitchen of a version before the oven
            $this->call(BatchSeeder::class);
        }
        $one = Batch::query()->where('title', 'Beetroot and barley rounds')->firstOrFail();
        $log = $one->entries()->get();
        for ($n = Batch::query()->count(); $n < self::BATCHES; $n++) {
            $id = (string) Str::uuid7();
            $begun = $one->begun_at->subDays($n);
            DB::table('batches')->insert(['id' => $id, 'begun_at' => $begun, 'summary' => json_encode($one->summary)] + array_diff_key($one->getAttributes(), ['id' => 1, 'begun_at' => 1, 'summary' => 1]));
            $entries = [];
            for ($m = 0; $m < self::ENTRIES; $m++) {
                $like = $log[$m % $log->count()];
                $entries[] = ['kitchen_id' => $kitchen, 'id' => (string) Str::uuid7(), 'batch_id' => $id, 'at' => $begun->addMinutes($m), 'by' => $like->by, 'kind' => $m < $log->count() ? $like->kind : 'note', 'said' => $m < $log->count() ? $like->said : '{"about":"other","text":"noted"}', 'came_at' => $begun];
            }
            DB::table('batch_entries')->insert($entries);
        }
    }
}

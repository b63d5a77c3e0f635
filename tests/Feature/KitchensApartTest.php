<?php

declare(strict_types=1);

use App\Backup\BackupShelf;
use App\Backup\Reason;
use App\Models\AcceptedFactor;
use App\Models\Bag;
use App\Models\Batch;
use App\Models\Confirmation;
use App\Models\DiaryEntry;
use App\Models\Dog;
use App\Models\Kitchen;
use App\Models\LedgerEntry;
use App\Models\Occasion;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Photo;
use App\Models\Place;
use App\Models\PlannedBake;
use App\Models\Price;
use App\Models\Product;
use App\Models\Recipe;
use App\Models\StockItem;
use App\Models\Trial;
use App\Models\Weighing;
use App\Support\CurrentKitchen;
use App\Support\NoKitchenOpen;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Schema;
use Tests\TestCase;

/** @return array<string, Model> what another kitchen owns, by the names of the routes */
function othersThings(TestCase $test): array
{
    $other = Kitchen::factory()->create();
    app(CurrentKitchen::class)->open($other);
    $product = Product::query()->create(['name' => 'Strange tub']);
    $product->readings()->create(['ingredients' => 'oats', 'read_on' => '2026-05-14', 'worst' => 'clear', 'data_version' => 'x']);
    $things = [
        'dog' => Dog::factory()->create(['name' => 'Stranger']),
        'recipe' => Recipe::factory()->create(['title' => 'Strange rounds']),
        'product' => $product,
        'name' => OwnName::query()->create(['words' => 'strange words', 'ingredient' => 'oat-flour']),
        'food' => OwnFood::query()->create(['name' => 'Strange food', 'fields' => []]),
        'swap' => OwnSwap::query()->create(['out' => 'raisin', 'in' => 'pear', 'note' => 'Strange swap']),
        'weighing' => null,
        'photo' => Photo::query()->create(['media_type' => 'image/png', 'bytes' => 'x']),
        'price' => Price::query()->create(['ingredient' => 'raisin', 'grams' => 500, 'price' => 7.77]),
        'confirmation' => Confirmation::query()->create([
            'code' => 'broth',
            'level' => 'check-label',
            'words' => 'Strange saying',
            'said_by' => 'Somebody',
            'data_version' => 'x',
            'said_at' => now(),
        ]),
    ];
    $things['accepted'] = AcceptedFactor::query()->create(['oven' => 'the oven', 'class' => 'biscuit', 'of' => 'minutes', 'factor' => 1.1, 'says' => 'Strange lesson', 'by' => 'Somebody']);
    $things['batch'] = Batch::query()->create(['title' => 'Strange batch', 'oven' => 'the oven', 'question' => '{}', 'answer' => '{}', 'plan' => '{}', 'data_version' => 'x', 'begun_at' => now(), 'begun_by' => 'Somebody', 'summary' => ['state' => 'making', 'lots' => []]]);
    $things['place'] = Place::query()->create(['name' => 'Strange tin', 'kind' => 'jar']);
    $things['bag'] = Bag::query()->create(['number' => 1, 'title' => 'Strange bag', 'content' => 'treats', 'made' => '2026-06-20', 'keeps' => [], 'because' => '', 'for_dogs' => [], 'pieces' => 3, 'put_pieces' => 3, 'frozen' => false, 'thawed_days' => 1, 'state' => 'here', 'place_id' => $things['place']->id]);
    $gift = fake()->uuid();
    $things['gift'] = LedgerEntry::query()->create(['id' => $gift, 'gift' => $gift, 'dog_id' => $things['dog']->id, 'on' => '2026-06-20', 'at' => now(), 'by' => 'Somebody', 'kind' => 'text', 'words' => 'Strange scrap', 'unsure' => false, 'came_at' => now()]);
    $things['stock'] = StockItem::query()->create(['ingredient' => 'oat-flour', 'state' => 'out']);
    $things['planned'] = PlannedBake::query()->create(['recipe_id' => $things['recipe']->id, 'on' => '2026-06-20']);
    $things['occasion'] = Occasion::query()->create(['name' => 'Strange feast', 'on' => '2026-06-20', 'place' => '', 'words' => '', 'dogs' => [], 'guests' => [], 'treats' => [], 'shares' => [], 'boxes' => []]);
    $things['entry'] = DiaryEntry::query()->create(['id' => fake()->uuid(), 'dog_id' => $things['dog']->id, 'on' => '2026-06-19', 'at' => now(), 'by' => 'Somebody', 'kind' => 'note', 'said' => ['text' => 'Strange ear'], 'came_at' => now()]);
    $things['trial'] = Trial::query()->create(['dog_id' => $things['dog']->id, 'kind' => 'new-food', 'foods' => ['pear'], 'from' => '2026-06-19', 'days' => 14]);
    $things['backup'] = (object) ['id' => app(BackupShelf::class)->make($other, Reason::ByHand)];
    $things['form'] = (object) ['id' => 'md'];
    $things['weighing'] = Weighing::query()->create(['dog_id' => $things['dog']->id, 'weighed_on' => '2026-05-14', 'kg' => 9]);
    $test->open('lock-cottage');

    return $things;
}

it('throws where no kitchen is open', function (): void {
    app(CurrentKitchen::class)->close();
    Dog::query()->get();
})->throws(NoKitchenOpen::class);

it('shows and changes nothing of another kitchen on any route', function (): void {
    $things = othersThings($this);
    $tried = 0;
    foreach (Route::getRoutes() as $route) {
        $names = $route->parameterNames();
        if (! str_starts_with($route->uri(), 'api/') || $names === [] || $names === ['table']) {
            continue;
        }
        $uri = preg_replace_callback('/\{(\w+)\??\}/', static fn (array $name): string => $things[$name[1]]->id, str_replace('{kind}/{id}', 'dogs/{dog}', $route->uri()));
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $this->json($method, "/$uri", ['title' => 'Mine now', 'name' => 'Mine now'])->assertStatus(404);
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThanOrEqual(17);
    foreach (
        [
            'dogs' => 'Stranger',
            'recipes' => 'Strange rounds',
            'products' => 'Strange tub',
            'names' => 'strange words',
            'foods' => 'Strange food',
            'own-swaps' => 'Strange swap',
            'confirmations' => 'Strange saying',
            'kitchen' => 'trange',
            'shelf' => 'trange',
            'trash' => 'trange',
            'changes?after=0' => 'trange',
            'places' => 'trange',
            'bags' => 'trange',
            'day' => 'trange',
            'trials' => 'trange',
            'calendar' => 'trange',
        ] as $list => $name
    ) {
        expect(
            $this->getJson("/api/$list")
                ->assertOk()
                ->getContent()
        )->not->toContain($name);
    }
    app(CurrentKitchen::class)->open($things['dog']->kitchen()->firstOrFail());
    expect(Dog::query()->pluck('name')->all())
        ->toBe(['Stranger'])
        ->and(Recipe::query()->pluck('title')->all())
        ->toBe(['Strange rounds']);
});

it('keeps kitchen_id first in every key of every kept table', function (): void {
    foreach (Schema::getTableListing('public', false) as $table) {
        if (in_array($table, ['migrations', 'kitchens'], true)) {
            continue;
        }
        expect(Schema::hasColumn($table, 'kitchen_id'))->toBeTrue($table);
        foreach (Schema::getIndexes($table) as $index) {
            if ($index['unique']) {
                expect($index['columns'][0])->toBe('kitchen_id', "$table, {$index['name']}");
            }
        }
        expect(array_column(Schema::getForeignKeys($table), 'columns'))->toContain(['kitchen_id']);
    }
});

it('refuses in the database too what no dog can be', function (array $columns): void {
    $kitchen = $this->open('lock-cottage');
    expect(fn () => DB::table('dogs')->insert($columns + ['kitchen_id' => $kitchen->id, 'id' => fake()->uuid(), 'name' => 'Rex']))->toThrow(
        QueryException::class
    );
})->with([
    [['weight_kg' => 0]],
    [['weight_kg' => 121]],
    [['name' => ' ']],
    [['body_condition' => 10]],
    [['activity' => 'idle']],
    [['teeth' => 'gold']],
    [['budget_percent' => 11]],
    [['name' => 'Quill']],
    [['allergies' => '{}']],
]);

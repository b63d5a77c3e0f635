<?php

declare(strict_types=1);

use App\Backup\BackupShelf;
use App\Backup\Reason;
use App\Devices\LabelShelf;
use App\Devices\ShelfProduct;
use App\Http\Requests\AcceptedFactorRequest;
use App\Http\Requests\BatchRequest;
use App\Http\Requests\ConfirmationRequest;
use App\Http\Requests\DogRequest;
use App\Http\Requests\JudgeRequest;
use App\Http\Requests\KitchenRequest;
use App\Http\Requests\LabelPhotoRequest;
use App\Http\Requests\OwnNameRequest;
use App\Http\Requests\PhotoRequest;
use App\Http\Requests\PlaceRequest;
use App\Http\Requests\ProductRequest;
use App\Http\Requests\RecipeRequest;
use App\Http\Requests\TableRequest;
use App\Http\Requests\WeighingRequest;
use App\Models\Bag;
use App\Models\Dog;
use App\Models\Kitchen;
use App\Models\Place;
use App\Models\Product;
use App\Models\Recipe;
use App\Models\Weighing;
use App\Support\Problem;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route;
use Tests\TestCase;

// What is said to somebody who sent something that cannot be, up to the last letter and the first one too many.

beforeEach(fn () => $this->open('lock-cottage'));

/** @return array<string, array{class-string, string, string, array<string, mixed>}> by the message's key: request, method, uri, what was sent */
function mistakes(): array
{
    $dog = static fn (array $fields): array => [DogRequest::class, 'POST', '/api/dogs', $fields + ['name' => 'Kelso']];
    $kitchen = static fn (array $fields): array => [KitchenRequest::class, 'PATCH', '/api/kitchen', $fields];
    $product = static fn (array $fields): array => [ProductRequest::class, 'POST', '/api/products', $fields + ['name' => 'Tub', 'ingredients' => 'oats']];
    $weighing = static fn (array $fields): array => [WeighingRequest::class, 'POST', '/api/dogs/{dog}/weighings', $fields + ['on' => '2026-05-14', 'kg' => 9]];

    $batch = static fn (array $fields): array => [BatchRequest::class, 'POST', '/api/batches', $fields + ['asked' => ['recipe' => ['text' => '200 g oat flour']], 'at' => '2026-06-20T12:00:00.000Z', 'startAt' => '2026-06-20T14:00', 'by' => 'Ines']];
    $accepted = static fn (array $fields): array => [AcceptedFactorRequest::class, 'POST', '/api/accepted', $fields + ['oven' => 'the oven', 'class' => 'biscuit', 'of' => 'minutes', 'factor' => 1.1, 'says' => '10 % longer', 'by' => 'Ines']];
    $place = static fn (array $fields): array => [PlaceRequest::class, 'POST', '/api/places', $fields + ['name' => 'The blue tin', 'kind' => 'jar']];
    $saying = static fn (array $fields): array => [ConfirmationRequest::class, 'POST', '/api/confirmations', $fields + ['code' => 'heart', 'level' => 'ask-vet', 'words' => 'Ask.']];

    return [
        'batch asked.required' => $batch(['asked' => null]),
        'batch asked.array' => $batch(['asked' => 'rounds']),
        'batch title.max' => $batch(['title' => str_repeat('t', 201)]),
        'batch by.required' => $batch(['by' => null]),
        'batch by.filled' => $batch(['by' => '']),
        'batch by.max' => $batch(['by' => str_repeat('I', 61)]),
        'batch oven.max' => $batch(['oven' => str_repeat('o', 61)]),
        'batch oven.filled' => $batch(['oven' => ' ']),
        'batch ovens.between' => $batch(['ovens' => 11]),
        'batch trays.between' => $batch(['trays' => 0]),
        'batch at.regex' => $batch(['at' => 'now']),
        'batch startAt.regex' => $batch(['startAt' => '14:00']),
        'accepted class.in' => $accepted(['class' => 'crumbly']),
        'accepted of.in' => $accepted(['of' => 'love']),
        'accepted factor.between' => $accepted(['factor' => 11]),
        'place name.required' => $place(['name' => null]),
        'place name.filled' => [PlaceRequest::class, 'PATCH', '/api/places/{place}', ['name' => '']],
        'place name.max' => $place(['name' => str_repeat('n', 61)]),
        'place name.unique' => $place(['name' => 'The FRIDGE']),
        'place kind.required' => $place(['kind' => null]),
        'place kind.in' => $place(['kind' => 'cellar']),
        'place celsius.between' => $place(['celsius' => 51]),
        'dog name.required' => $dog(['name' => '']),
        'dog name.filled' => [DogRequest::class, 'PATCH', '/api/dogs/{dog}', ['name' => '']],
        'dog name.unique' => $dog(['name' => 'Quill']),
        'dog weightKg.between' => $dog(['weightKg' => 0.2]),
        'dog weightKg.numeric' => $dog(['weightKg' => 'heavy']),
        'dog expectedAdultWeightKg.between' => $dog(['expectedAdultWeightKg' => 121]),
        'dog ageMonths.between' => $dog(['ageMonths' => 401]),
        'dog bodyCondition.between' => $dog(['bodyCondition' => 0]),
        'dog foodKcalPer100g.between' => $dog(['foodKcalPer100g' => 901]),
        'dog meals.between' => $dog(['meals' => 11]),
        'dog budgetPercent.between' => $dog(['budgetPercent' => 10.1]),
        'dog bornOn.before_or_equal' => $dog(['bornOn' => '2999-01-01']),
        'kitchen trayWidthMm.between' => $kitchen(['trayWidthMm' => 49]),
        'kitchen trayLengthMm.between' => $kitchen(['trayLengthMm' => 2001]),
        'kitchen trayGapMm.between' => $kitchen(['trayGapMm' => 101]),
        'kitchen traysAtOnce.between' => $kitchen(['traysAtOnce' => 21]),
        'kitchen backupsKept.between' => $kitchen(['backupsKept' => 0]),
        'kitchen timezone.timezone' => $kitchen(['timezone' => 'Atlantis']),
        'recipe title.required' => [RecipeRequest::class, 'POST', '/api/recipes', ['title' => ' ', 'text' => '']],
        'recipe title.filled' => [RecipeRequest::class, 'PATCH', '/api/recipes/{recipe}', ['title' => ' ']],
        'product name.required' => $product(['name' => '']),
        'product name.filled' => [ProductRequest::class, 'PATCH', '/api/products/{product}', ['name' => '']],
        'product ingredients.filled' => [ProductRequest::class, 'PATCH', '/api/products/{product}', ['ingredients' => '']],
        'product name.unique' => $product(['name' => 'Taken tub']),
        'product ingredients.required' => $product(['ingredients' => '']),
        'product photoId.exists' => $product(['photoId' => '018f2f6e-0000-7000-8000-00000000dead']),
        'product photoId.uuid' => $product(['photoId' => 'the one of yesterday']),
        'product number.regex' => $product(['number' => '12a']),
        'weighing kg.between' => $weighing(['kg' => 121]),
        'weighing bodyCondition.*' => $weighing(['bodyCondition' => 10]),
        'weighing kg.required_without' => $weighing(['kg' => null]),
        'weighing kg.numeric' => $weighing(['kg' => 'much']),
        'weighing on.before_or_equal' => $weighing(['on' => '2999-01-01']),
        'weighing on.date_format' => $weighing(['on' => 'May']),
        'saying holdsUntil.after_or_equal' => $saying(['holdsUntil' => now()->subDay()->format('Y-m-d')]),
        'saying holdsUntil.before_or_equal' => $saying(['holdsUntil' => now()->addYears(3)->addDays(2)->format('Y-m-d')]),
        'saying holdsUntil.date_format' => $saying(['holdsUntil' => 'in May']),
        'judge recipes.max' => [JudgeRequest::class, 'POST', '/api/shelf/judge', ['recipes' => array_map(static fn (): string => fake()->uuid(), range(1, 25))]],
        'photo image.required' => [PhotoRequest::class, 'POST', '/api/photos', ['image' => '']],
        'label-photo image.required' => [LabelPhotoRequest::class, 'POST', '/api/ask/label-photo', ['image' => '']],
        'label-photo image.max' => [LabelPhotoRequest::class, 'POST', '/api/ask/label-photo', ['image' => str_repeat('a', 8_400_001)]],
        'photo image.max' => [PhotoRequest::class, 'POST', '/api/photos', ['image' => str_repeat('a', 2_800_001)]],
    ];
}

function withIds(string $uri): string
{
    return str_replace(
        ['{dog}', '{recipe}', '{product}', '{place}'],
        [
            Dog::query()->where('name', 'Quill')->firstOrFail()->id,
            str_contains($uri, '{recipe}') ? Recipe::query()->create(['title' => 'Rounds', 'text' => '1 egg'])->id : '',
            str_contains($uri, '{product}') ? Product::query()->where('name', 'Taken tub')->firstOrFail()->id : '',
            str_contains($uri, '{place}') ? Place::query()->firstOrFail()->id : '',
        ],
        $uri,
    );
}

it('says the message that was written for that mistake, beside its field', function (string $key): void {
    Product::query()->create(['name' => 'Taken tub']);
    [$request, $method, $uri, $fields] = mistakes()[$key];
    $name = explode(' ', $key)[1];
    $this->json($method, withIds($uri), $fields)
        ->assertStatus(422)
        ->assertJsonPath('path', '/'.explode('.', $name)[0])
        ->assertJsonPath('code', fn (string $code): bool => $code !== '' && (preg_match('/required|filled/', $name) === 1) === ($code === 'missing'))
        ->assertJsonPath('message', (new $request())->messages()[$name]);
})->with(fn (): array => array_combine(array_keys(mistakes()), array_map(static fn (string $key): array => [$key], array_keys(mistakes()))));

it('has a mistake for every message that is written', function (): void {
    $written = [];
    foreach (['batch' => BatchRequest::class, 'accepted' => AcceptedFactorRequest::class, 'place' => PlaceRequest::class, 'dog' => DogRequest::class, 'kitchen' => KitchenRequest::class, 'product' => ProductRequest::class, 'recipe' => RecipeRequest::class, 'weighing' => WeighingRequest::class, 'saying' => ConfirmationRequest::class, 'judge' => JudgeRequest::class, 'photo' => PhotoRequest::class, 'label-photo' => LabelPhotoRequest::class] as $short => $request) {
        foreach (array_keys((new $request())->messages()) as $name) {
            $written[] = "$short $name";
        }
    }
    foreach ([OwnNameRequest::class, TableRequest::class] as $request) {
        expect((new $request())->messages())->toBe([], $request);
    }
    expect(array_keys(mistakes()))->toEqualCanonicalizing($written);
});

it('takes the last one that fits and refuses the next', function (string $method, string $uri, string $key, mixed $fits, mixed $tooMuch, array $with = []): void {
    $this->json($method, withIds($uri), [$key => $tooMuch] + $with)
        ->assertStatus(422)
        ->assertJsonPath('path', fn (string $path): bool => $path === "/$key" || str_starts_with($path, "/$key/"));
    $this->json($method, withIds($uri), [$key => $fits] + $with)->assertSuccessful();
})->with(function (): array {
    $text = static fn (int $length): string => str_repeat('a', $length);
    $of = static fn (int $count, mixed $one): array => array_fill(0, $count, $one);
    $dog = static fn (string $key, mixed $fits, mixed $tooMuch): array => ['PATCH', '/api/dogs/{dog}', $key, $fits, $tooMuch];
    $kitchen = static fn (string $key, mixed $fits, mixed $tooMuch): array => ['PATCH', '/api/kitchen', $key, $fits, $tooMuch];
    $recipe = static fn (string $key, mixed $fits, mixed $tooMuch): array => ['POST', '/api/recipes', $key, $fits, $tooMuch, ['title' => 'x', 'text' => '1 egg']];
    $product = static fn (string $key, mixed $fits, mixed $tooMuch): array => ['POST', '/api/products', $key, $fits, $tooMuch, ['name' => 'Tub', 'ingredients' => 'oats']];
    $weighing = static fn (string $key, mixed $fits, mixed $tooMuch): array => ['POST', '/api/dogs/{dog}/weighings', $key, $fits, $tooMuch, ['on' => '2026-05-14', 'kg' => 9]];
    $said = ['code' => 'broth', 'level' => 'check-label', 'words' => 'plain'];
    $saying = static fn (string $key, mixed $fits, mixed $tooMuch): array => ['POST', '/api/confirmations', $key, $fits, $tooMuch, $said];
    // a data set is made before any test has set the clock
    $now = CarbonImmutable::parse(TestCase::TODAY);
    $today = $now->format('Y-m-d');
    $tomorrow = $now->addDay()->format('Y-m-d');

    return [
        'dog name' => $dog('name', $text(60), $text(61)),
        'dog lightest' => $dog('weightKg', 0.3, 0.29),
        'dog heaviest' => $dog('weightKg', 120, 120.1),
        'dog said lightest' => $dog('weight', '0.3 kg', '0.29 kg'),
        'dog said heaviest' => $dog('weight', '110 to 120 kg', '110 to 121 kg'),
        'dog said long' => $dog('weight', '17 kg'.str_repeat(' ', 30).'to 18', '17 kg'.str_repeat(' ', 31).'to 18'),
        'dog fewest meals' => $dog('meals', 1, 0),
        'dog most meals' => $dog('meals', 10, 11),
        'dog newborn' => $dog('ageMonths', 0, -0.1),
        'dog oldest' => $dog('ageMonths', 400, 400.1),
        'dog born today' => $dog('bornOn', $today, $tomorrow),
        'dog born long ago' => $dog('bornOn', $now->subYears(34)->format('Y-m-d'), $now->subYears(36)->format('Y-m-d')),
        'dog thinnest' => $dog('bodyCondition', 1, 0),
        'dog roundest' => $dog('bodyCondition', 9, 10),
        'dog breed' => $dog('breed', $text(80), $text(81)),
        'dog leanest food' => $dog('foodKcalPer100g', 20, 19.9),
        'dog richest food' => $dog('foodKcalPer100g', 900, 900.1),
        'dog no treats' => $dog('budgetPercent', 0, -0.1),
        'dog most treats' => $dog('budgetPercent', 10, 10.1),
        'dog allergies' => $dog('allergies', $of(50, 'beef'), $of(51, 'beef')),
        'dog allow list' => $dog('allowList', $of(200, 'beef'), $of(201, 'beef')),
        'dog new foods' => $dog('newIngredients', $of(200, 'beef'), $of(201, 'beef')),
        'dog conditions' => $dog('conditions', $of(30, 'kidney'), $of(31, 'kidney')),
        'dog dislikes' => $dog('dislikes', $of(100, 'kale'), $of(101, 'kale')),
        'dog dislike' => $dog('dislikes', [$text(80)], [$text(81)]),
        'kitchen name' => $kitchen('name', $text(120), $text(121)),
        'kitchen amounts' => $kitchen('amountsAs', 'grams', 'buckets'),
        'kitchen amounts in cups' => $kitchen('amountsAs', 'cups', 'Cups'),
        'kitchen narrowest tray' => $kitchen('trayWidthMm', 50, 49.9),
        'kitchen widest tray' => $kitchen('trayWidthMm', 2000, 2000.1),
        'kitchen shortest tray' => $kitchen('trayLengthMm', 50, 49.9),
        'kitchen longest tray' => $kitchen('trayLengthMm', 2000, 2000.1),
        'kitchen no gap' => $kitchen('trayGapMm', 0, -0.1),
        'kitchen widest gap' => $kitchen('trayGapMm', 100, 100.1),
        'kitchen one tray' => $kitchen('traysAtOnce', 1, 0),
        'kitchen fewest nights' => $kitchen('backupsKept', 1, 0),
        'kitchen most nights' => $kitchen('backupsKept', 100, 101),
        'kitchen languages' => $kitchen('labelLanguages', ['en', 'de', 'fr', 'es', 'it'], ['en', 'nl']),
        'kitchen languages twice' => $kitchen('labelLanguages', ['en'], ['en', 'en']),
        'kitchen most trays' => $kitchen('traysAtOnce', 20, 21),
        'kitchen no budget' => $kitchen('budgetPercent', 0, -0.1),
        'kitchen most budget' => $kitchen('budgetPercent', 10, 10.1),
        'recipe title' => $recipe('title', $text(200), $text(201)),
        'recipe notes' => $recipe('notes', $text(5000), $text(5001)),
        'recipe source' => $recipe('source', $text(500), $text(501)),
        'recipe yield' => $recipe('yield', $text(200), $text(201)),
        'recipe minutes' => $recipe('prepMinutes', 99999, 100000),
        'recipe no minutes' => $recipe('prepMinutes', 0, -1),
        'recipe baking' => $recipe('bakeMinutes', 99999, 100000),
        'recipe no baking' => $recipe('bakeMinutes', 0, -1),
        'product name' => $product('name', $text(120), $text(121)),
        'product number' => $product('number', str_repeat('1', 32), str_repeat('1', 33)),
        'product list' => $product('ingredients', $text(5000), $text(5001)),
        'weighing light' => $weighing('kg', 0.3, 0.2),
        'weighing heavy' => $weighing('kg', 120, 121),
        'weighing starved' => $weighing('bodyCondition', 1, 0),
        'weighing very fat' => $weighing('bodyCondition', 9, 10),
        'weighing today' => $weighing('on', $today, $tomorrow),
        'weighing long ago' => $weighing('on', $now->subYears(34)->format('Y-m-d'), $now->subYears(36)->format('Y-m-d')),
        'saying words' => $saying('words', $text(2000), $text(2001)),
        'saying of whom' => $saying('saidBy', $text(120), $text(121)),
        'saying level' => $saying('level', 'ask-vet', 'unsafe'),
        'saying line' => $saying('line', $text(2000), $text(2001)),
        'name' => ['POST', '/api/names', 'words', $text(80), $text(81), ['ingredient' => 'oat-flour']],
        'table' => ['PUT', '/api/table', 'dogs', [], null],
    ];
});

it('asks whether it may before it changes or takes away anything', function (): void {
    Gate::before(static fn (?Authenticatable $anybody): bool => false);
    $things = thingsOf($this);
    $asked = 0;
    foreach (Route::getRoutes() as $route) {
        $names = $route->parameterNames();
        if (! str_starts_with($route->uri(), 'api/') || $names === []) {
            continue;
        }
        $uri = preg_replace_callback('/\{(\w+)\??\}/', static fn (array $name): string => $things[$name[1]], str_replace('{kind}/{id}', 'dogs/{dog}', $route->uri()));
        foreach (array_intersect($route->methods(), ['POST', 'PATCH', 'DELETE']) as $method) {
            $body = match ($route->uri()) {
                'api/foods/{food}' => ['name' => 'My crumb', 'groups' => ['wheat'], 'per100g' => ['kcal' => 400, 'proteinG' => 10]],
                'api/dogs/{dog}/weighings' => ['on' => '2026-05-15', 'kg' => 9],
                default => [],
            };
            expect($this->json($method, "/$uri", $body)->status())->toBe(403, "$method /$uri");
            $asked++;
        }
    }
    expect($asked)->toBeGreaterThanOrEqual(13);
});

/** @return array<string, string> an id of this kitchen for every name in a route */
function thingsOf(TestCase $test): array
{
    $post = static fn (string $uri, array $fields): string => (string) $test->postJson("/api/$uri", $fields)->assertSuccessful()->json('id');
    $dog = Dog::query()->where('name', 'Quill')->firstOrFail()->id;

    return [
        'dog' => $dog,
        'weighing' => Weighing::query()->create(['dog_id' => $dog, 'weighed_on' => '2026-05-14', 'kg' => 9])->id,
        'recipe' => Recipe::query()->create(['title' => 'Rounds', 'text' => '1 egg'])->id,
        'product' => Product::query()->create(['name' => 'Tub'])->id,
        'name' => $post('names', ['words' => 'crumbly stuff', 'ingredient' => 'oat-flour']),
        'swap' => $post('own-swaps', ['out' => 'raisin', 'in' => 'pear', 'note' => 'softer', 'rating' => 'good']),
        'price' => $post('prices', ['ingredient' => 'oat-flour', 'grams' => 500, 'price' => 2]),
        'photo' => $post('photos', ['image' => base64_encode("\xFF\xD8\xFF picture")]),
        'food' => $post('foods', ['name' => 'My crumb', 'groups' => ['wheat'], 'per100g' => ['kcal' => 400, 'proteinG' => 10]]),
        'accepted' => $post('accepted', ['oven' => 'the oven', 'class' => 'biscuit', 'of' => 'minutes', 'factor' => 1.1, 'says' => '10 % longer', 'by' => 'Ines']),
        'place' => $post('places', ['name' => 'A tin of ours', 'kind' => 'jar']),
        'gift' => (string) $test->postJson('/api/given', ['id' => '018f2f6e-0000-7000-8000-000000000009', 'at' => '2026-06-20T09:00:00.000Z', 'by' => 'Ines', 'text' => '3 g carrot', 'dogs' => [['dog' => $dog]]])->assertCreated()->json('given.0.gift'),
        'entry' => $post('diary', ['id' => '018f2f6e-0000-7000-8000-00000000000a', 'at' => '2026-06-20T07:00:00.000Z', 'by' => 'Ines', 'dog' => $dog, 'on' => '2026-06-19', 'kind' => 'well']),
        'trial' => $post('trials', ['dogId' => $dog, 'kind' => 'new-food', 'foods' => ['pear'], 'from' => '2026-06-19']),
        'backup' => app(BackupShelf::class)->make(Kitchen::query()->firstOrFail(), Reason::ByHand),
        'table' => 'weights',
        'form' => 'md',
        'planned' => $post('planned', ['recipeId' => Recipe::query()->firstOrFail()->id, 'on' => now()->addDays(3)->format('Y-m-d')]),
        'occasion' => $post('occasions', ['name' => 'Tins', 'on' => '2026-12-20']),
        'stock' => $post('stock', ['ingredient' => 'oat-flour', 'state' => 'low']),
        'bag' => Bag::query()->where('state', 'here')->firstOrFail()->id,
        'batch' => $post('batches', ['asked' => ['recipe' => ['text' => '200 g oat flour']], 'at' => '2026-05-14T12:00:00.000Z', 'startAt' => '2026-05-14T14:00', 'by' => 'Ines']),
        'confirmation' => $post('confirmations', ['code' => 'broth', 'level' => 'check-label', 'words' => 'plain']),
    ];
}

it('says of every way in which a database can be away that it is away', function (string|int $code, string $says, int $status): void {
    $cause = new class($says) extends PDOException
    {
        public function as(string|int $code): self
        {
            $this->code = $code;

            return $this;
        }
    };
    $answer = Problem::of(new QueryException('pgsql', 'select 1', [], $cause->as($code)));
    expect($answer->getStatusCode())->toBe($status);
    expect(Problem::page($cause)?->getStatusCode())->toBe($status === 503 ? 503 : null);
})->with([
    'no answer' => [7, 'gone', 503],
    'no connection' => ['08006', 'gone', 503],
    'shutting down' => ['57P01', 'gone', 503],
    'refused' => [0, 'Connection refused', 503],
    'another mistake' => ['42601', 'syntax', 500],
]);

it('finds a product of the shelf by its name alone', function (): void {
    $expected = array_map(static fn (ShelfProduct $one): string => $one->name, app(LabelShelf::class)->byName('peanut smooth'));
    $found = $this->getJson('/api/label-shelf?name=peanut smooth')->assertOk()->json('products.*.name');
    expect($found)->not->toBe([])->toBe($expected);
    foreach ($found as $name) {
        expect(mb_strtolower($name))->toContain('peanut');
    }
    $this->getJson('/api/label-shelf?name[]=peanut')->assertOk();
});

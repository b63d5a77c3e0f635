<?php

declare(strict_types=1);

use MildBowl\Core\Contract\GoalReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Questions\Question;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Swaps\Goals\Goals;
use MildBowl\Core\Swaps\Jobs;
use MildBowl\Core\Swaps\Rescue;
use MildBowl\Core\Swaps\Solver;
use MildBowl\Core\Tests\Support\Asking;

/** @return array<string, mixed> */
function rescue(string $text, array $more = []): array
{
    $answer = Asking::json('rescue', (
        json_encode(
            ['version' => 1, 'recipe' => ['text' => $text] + ($more['recipe'] ?? []), 'cut' => ['shape' => 'pieces', 'count' => 120]] +
                array_diff_key($more, ['recipe' => 1]),
            JSON_THROW_ON_ERROR
        )
    )
    );
    expect(schemaErrors($answer, 'rescue-answer'))->toBe('');

    return $answer;
}

/** What keeps a dog from being cleared in an answer, labels aside. @return list<string> */
function openFor(array $answer, string $dog): array
{
    $open = [];
    foreach (
        [...$answer['lines'], ...$answer['steps'], ...array_filter($answer['verdict']['dogs'], static fn (array $one): bool => $one['name'] === $dog)] as $part
    ) {
        foreach ($part['findings'] as $finding) {
            if (
                ($finding['dog'] === null || $finding['dog'] === $dog) &&
                in_array($finding['level'], ['never', 'unknown', 'allergen', 'ask-vet'], true)
            ) {
                $open[] = "{$finding['code']}: ".($part['text'] ?? '');
            }
        }
    }

    return $open;
}

const RESCUE_DOGS = [
    ['name' => 'Tuppence', 'weightKg' => 9, 'ageMonths' => 49, 'allergies' => ['gluten', 'chicken']],
    ['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40],
    ['name' => 'Odette', 'weightKg' => 24, 'ageMonths' => 38, 'conditions' => ['urate-stones']],
];

const LOAF = "For the loaf:\n2 1/4 cups whole wheat flour\n1/2 cup raisins\n2 tsp mixed spice\n1/3 cup candied peel\n1/4 cup cocoa powder\n1/2 cup honey\n2 large eggs\n3/4 cup milk\n1 tsp baking powder";

/** @return array{string, list<array<string, mixed>>} a random broken recipe and its dogs */
function brokenRecipe(int $seed, int $lines): array
{
    mt_srand($seed);
    $pool = [
        '1/2 cup raisins',
        '2 tsp mixed spice',
        '1/4 cup cocoa powder',
        '1/2 onion, chopped',
        '2 cloves garlic',
        '1 tbsp soy sauce',
        '1/4 cup chocolate chips',
        '1 tbsp rum',
        '200 g minced chicken',
        '1 cup white flour',
        '100 g beef liver',
        '1 leek',
        '1/2 cup rye flour',
        '1 stock cube',
        '1 cup pumpkin pie filling',
        '1 cup oat flour',
        '1/2 cup water',
        '1 tbsp olive oil',
        '2 carrots, grated',
        '1 large egg',
        '1/2 cup plain yogurt',
        '1 tbsp honey',
        '1/2 cup spinach',
        '100 g cod',
        '1 cup cooked brown rice',
        '1/2 cup blueberries',
    ];
    shuffle($pool);
    $dogs = RESCUE_DOGS;
    shuffle($dogs);

    return [implode("\n", ['2 cups millet flour', ...array_slice($pool, 0, $lines - 1)]), array_slice($dogs, 0, 1 + ($seed % 3))];
}

it('holds at least 120 swaps over all jobs, each with a source and a food that stands in the catalogue', function (): void {
    $rows = table('swaps');
    expect(count($rows))->toBeGreaterThanOrEqual(120);
    foreach ($rows as $row) {
        expect(Compiled::tables()['sources'])
            ->toHaveKey($row['source'])
            ->and((float) $row['rank'])
            ->toBeGreaterThanOrEqual(0);
    }
    expect(array_values(array_unique(array_column($rows, 'job'))))->toContain(
        'bind',
        'bulk',
        'thicken',
        'wet',
        'fat',
        'protein',
        'sweeten',
        'flavour',
        'leaven',
        'coat'
    );
});

it('keeps the treat and loses the trouble', function (): void {
    $answer = rescue(LOAF, ['dogs' => RESCUE_DOGS, 'recipe' => ['steps' => "Mix.\nFold in the raisins.\nDust the tin with cocoa."]]);
    $plan = $answer['rescues'][0];
    $after = answer($plan['recipeText'], [
        'dogs' => RESCUE_DOGS,
        'cut' => ['shape' => 'pieces', 'count' => 120],
        'recipe' => ['steps' => $plan['steps']],
    ]);

    expect($plan['servedDogs'])
        ->toBe(['Tuppence', 'Bosun', 'Odette'])
        ->and($plan['optimal'])
        ->toBeTrue()
        ->and($answer['tables'])
        ->toBe([['Tuppence', 'Bosun', 'Odette']])
        ->and(explode("\n", $plan['recipeText']))
        ->toContain('For the loaf:', '1/2 cup honey', '2 large eggs', '1 tsp baking powder')
        ->and(abs($plan['wetness']['after'] - $plan['wetness']['before']))
        ->toBeLessThan(0.06)
        ->and($plan['steps'])
        ->not->toContain('raisins')
        ->not->toContain('cocoa')
        ->and(count($answer['rescues']))
        ->toBeGreaterThanOrEqual(2)
        ->and(array_unique(array_column($answer['rescues'], 'recipeText')))
        ->toHaveCount(count($answer['rescues']));
    foreach ($plan['servedDogs'] as $dog) {
        expect(openFor($after, $dog))->toBe([]);
    }
});

it('clears what it says it clears', function (int $seed): void {
    [$text, $dogs] = brokenRecipe($seed, 9);
    $cut = ['shape' => 'pieces', 'count' => 120];
    foreach (rescue($text, ['dogs' => $dogs])['rescues'] as $plan) {
        $after = answer($plan['recipeText'], ['dogs' => $dogs, 'cut' => $cut]);
        foreach ($plan['servedDogs'] as $dog) {
            expect(openFor($after, $dog))
                ->toBe([])
                ->and(array_column($after['rations'], 'ifCleared', 'dog')[$dog])
                ->toBeGreaterThanOrEqual(0.25);
        }
        $changed = array_column($plan['changes'], 'line');
        foreach (explode("\n", $text) as $line) {
            expect(in_array($line, $changed, true) || in_array($line, explode("\n", $plan['recipeText']), true))->toBeTrue($line);
        }
    }
})->with(range(1, 60));

it('finds nothing dearer than trying everything', function (int $seed, array $goals): void {
    [$text, $dogs] = brokenRecipe($seed, 4);
    $request = Asking::question(
        json_encode(
            ['version' => 1, 'recipe' => ['text' => $text], 'dogs' => $dogs, 'cut' => ['shape' => 'pieces', 'count' => 120]],
            JSON_THROW_ON_ERROR
        )
    );
    $rescue = new Rescue($request, Asking::kitchen()->reader->read($text, ''), GoalReader::read(new Node($goals, '/goals'), $request->dogs), []);
    $all = (1 << count($dogs)) - 1;
    $best = INF;
    $try = function (array $choice, float $cost) use (&$try, &$best, $rescue, $all): void {
        $line = count($choice);
        if ($line === count($rescue->options)) {
            $sums = array_fill(0, count($rescue->bowls[0][0]), 0.0);
            foreach ($choice as $at => $index) {
                foreach ($rescue->bowls[$at][$index] as $n => $amount) {
                    $sums[$n] += $amount;
                }
            }
            $rest = $rescue->price->rest($choice, $sums, $all);
            $best = $rest === null ? $best : min($best, $cost + $rest);

            return;
        }
        foreach ($rescue->options[$line] as $index => $option) {
            if (($option->serves & $all) === $all) {
                $try([...$choice, $index], $cost + $option->cost);
            }
        }
    };
    $try([], 0.0);
    $solved = Solver::solve(
        $rescue->options,
        $rescue->bowls,
        $all,
        fn (array $choice, array $sums, float $limit): ?float => $rescue->price->rest($choice, $sums, $all, $limit)
    );

    expect($solved['cost'] ?? INF)->toEqualWithDelta($best, 1e-9);
    // the whole question, with its bounds and narrower searches
    $answer = rescue($text, ['dogs' => $dogs, 'goals' => $goals]);
    expect($answer['why'] === null)->toBe($best < INF);
    if ($answer['why'] === null) {
        expect($answer['rescues'][0]['cost'])
            ->toEqualWithDelta($best, 1e-4)
            ->and($answer['rescues'][0]['optimal'])
            ->toBeTrue();
    }
})->with(function () {
    for ($seed = 1; $seed <= 40; $seed++) {
        yield "$seed, cleared" => [$seed, []];
    }
    foreach (['fewer-calories:5', 'fewer-calories:15', 'low-fat', 'low-sodium', 'single-protein', 'meat-first', 'gluten-free'] as $goal) {
        for ($seed = 1; $seed <= 6; $seed++) {
            yield "$seed, $goal" => [$seed, [$goal]];
        }
    }
    yield 'two goals' => [3, ['low-fat', 'fewer-calories:10']];
});

it('reaches each goal on a recipe that is already clear', function (string $goal, string $text, callable $reached): void {
    $plan =
        rescue($text, ['dogs' => [['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40, 'newIngredients' => ['venison']]], 'goals' => [$goal]])[
            'rescues'
        ][0] ?? null;
    expect($plan)->not->toBeNull();
    $after = answer($plan['recipeText'], ['cut' => ['shape' => 'pieces', 'count' => 120]]);
    $before = answer($text, ['cut' => ['shape' => 'pieces', 'count' => 120]]);
    expect($reached($after, $before))->toBeTrue($plan['recipeText']);
})->with(function () {
    $lacks = static fn (string $group): callable => static fn (array $after): bool => array_filter(
        $after['lines'],
        static fn (array $line): bool => Asking::food($line['ingredient'])->inGroup($group)
    ) === [];
    $text = "2 cups whole wheat flour\n1 large egg\n1/2 cup milk\n2 tbsp olive oil\n1/4 cup cheddar, grated";
    yield ['gluten-free', $text, $lacks('gluten')];
    yield ['grain-free', $text, $lacks('grain')];
    yield ['egg-free', $text, $lacks('egg')];
    yield ['dairy-free', $text, $lacks('dairy')];
    yield [
        'low-fat',
        "2 cups barley flour\n1/2 cup water\n3 tbsp olive oil",
        static fn (array $after): bool => $after['piece']['nutrients']['fatG'] / $after['piece']['kcal']['best'] <= 0.025,
    ];
    yield [
        'low-sodium',
        "2 cups barley flour\n1/2 cup water\n100 g cheddar, grated",
        static fn (array $after): bool => $after['piece']['nutrients']['sodiumMg'] / $after['piece']['kcal']['best'] <= 0.8,
    ];
    yield [
        'single-protein',
        "2 cups barley flour\n200 g minced turkey\n100 g minced beef\n1/4 cup water",
        static function (array $after): bool {
            return count(
                array_unique(
                    array_filter(
                        array_map(
                            static fn (array $line): ?string => array_values(
                                array_filter(
                                    ['turkey', 'beef', 'pork', 'rabbit', 'venison', 'fish', 'egg', 'dairy', 'chicken', 'lamb'],
                                    static fn (string $animal): bool => Asking::food($line['ingredient'])->inGroup($animal)
                                )
                            )[0] ?? null,
                            $after['lines']
                        )
                    )
                )
            ) <= 1;
        },
    ];
    yield [
        'fewer-calories:20',
        "1 cup barley flour\n1/2 cup olive oil\n1/2 cup water",
        static fn (array $after, array $before): bool => $after['batch']['kcal']['best'] / $after['batch']['doughGrams']['best'] <=
            ((0.8 * $before['batch']['kcal']['best']) / $before['batch']['doughGrams']['best']) * 1.03,
    ];
    yield [
        'nothing-new:Bosun',
        "2 cups barley flour\n100 g minced venison\n1/4 cup water",
        static fn (array $after): bool => ! in_array('venison-mince', array_column($after['lines'], 'ingredient'), true),
    ];
    yield [
        'meat-first',
        "300 g minced turkey\n1 cup barley flour",
        static fn (array $after): bool => $after['lines'][0]['ingredient'] === 'turkey-mince',
    ];
});

it('leaves the fewest dogs out, says who and why, and splits the table', function (): void {
    $dogs = [
        ['name' => 'Only', 'weightKg' => 10, 'ageMonths' => 40, 'allowList' => ['rabbit', 'parsnip']],
        ['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40],
    ];
    $answer = rescue("2 cups barley flour\n1 large egg\n1/2 cup water", ['dogs' => $dogs]);

    expect($answer['rescues'][0]['servedDogs'])
        ->toBe(['Bosun'])
        ->and($answer['rescues'][0]['leftOut'][0]['dog'])
        ->toBe('Only')
        ->and($answer['rescues'][0]['leftOut'][0]['line'])
        ->toBe('2 cups barley flour')
        ->and($answer['why'])
        ->toContain('impossible');
    $vet = rescue("2 cups barley flour\n1/4 cup raisins", [
        'dogs' => [
            ['name' => 'Quill', 'weightKg' => 12, 'ageMonths' => 100, 'conditions' => ['heart']],
            ['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40],
        ],
    ]);
    expect($vet['rescues'][0]['servedDogs'])
        ->toBe(['Bosun'])
        ->and($vet['rescues'][0]['leftOut'][0]['reason'])
        ->toContain('Once your vet agrees');
});

it('minds dislikes, what is at hand and what is new', function (): void {
    $bosun = ['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40];
    $text = "2 cups barley flour\n1/2 cup raisins\n1/4 cup water";
    expect(rescue($text, ['dogs' => [$bosun]])['rescues'][0]['recipeText'])
        ->toContain('blueberries')
        ->and(rescue($text, ['dogs' => [$bosun], 'dislikes' => ['Bosun' => ['blueberry']]])['rescues'][0]['recipeText'])
        ->not->toContain('blueberries')
        ->and(rescue($text, ['dogs' => [$bosun], 'atHand' => ['apple', 'barley-flour']])['rescues'][0]['recipeText'])
        ->toContain('apple')
        ->and(rescue($text, ['dogs' => [$bosun + ['newIngredients' => ['blueberry']]]])['rescues'][0]['recipeText'])
        ->not->toContain('blueberries');
});

it('never brings two foods new to a sensitive dog at once', function (): void {
    $isOne = static fn (string $id): bool => array_filter(
        ['flour', 'meat', 'fish', 'poultry', 'organ', 'egg', 'dairy'],
        static fn (string $group): bool => Asking::food($id)->inGroup($group)
    ) !== [];
    // what a swap may bring in, not what only follows from other foods
    $brings = array_fill_keys(array_merge(...array_map(static fn (array $row): array => array_map(static fn (string $one): string => explode('=', $one)[0], explode(';', $row['in'])), table('swaps'))), true);
    $new = array_values(array_filter(Catalogue::ids(), static fn (string $id): bool => isset($brings[$id]) && $isOne($id)));
    $brought = static fn (array $conditions): array => array_map(
        static fn (array $plan): int => count(array_intersect(array_column(answer($plan['recipeText'])['lines'], 'ingredient'), $new)),
        rescue("200 g whole wheat flour\n150 g ground chicken\n60 g water", [
            'dogs' => [
                [
                    'name' => 'Bosun',
                    'weightKg' => 19,
                    'ageMonths' => 40,
                    'allergies' => ['wheat', 'chicken'],
                    'conditions' => $conditions,
                    'newIngredients' => $new,
                ],
            ],
        ])['rescues']
    );
    expect($brought([])[0])
        ->toBe(2)
        ->and(max($brought(['sensitive-stomach'])))
        ->toBeLessThan(2);
});

it('leaves out of a large table only the dog that cannot be served, wherever it sits', function (int $at): void {
    $dogs = array_map(
        static fn (int $n): array => ['name' => "D$n", 'weightKg' => 19, 'ageMonths' => 40, 'conditions' => $n === $at ? ['diabetes'] : []],
        range(0, 9)
    );
    $answer = rescue("2 cups oat flour\n1/2 cup raisins\n1/4 cup water", ['dogs' => $dogs])['rescues'][0];
    expect(array_column($answer['leftOut'], 'dog'))->toBe(["D$at"]);
})->with([0, 1, 5, 9]);

it('writes a swapped line as a weight where the line was one, and in cups where it was not', function (string $line, bool $byWeight): void {
    $plan = rescue("$line whole wheat flour\n1/4 cup water", [
        'dogs' => [['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40, 'allergies' => ['wheat']]],
    ])['rescues'][0];
    expect(preg_match('/^[\d.]+ k?g /', $plan['changes'][0]['to']) === 1)->toBe($byWeight, $plan['changes'][0]['to']);
})->with([
    ['200 g', true],
    ['0.3 kg', true],
    ['250000 mg', true],
    ['400 ml', true],
    ['0.5 l', true],
    ['4 dl', true],
    ['40 cl', true],
    ['8 oz', true],
    ['1 lb', true],
    ['2 cups', false],
    ['8 tbsp', false],
]);

it('says plainly why there is nothing to do', function (string $text, array $more, string $why): void {
    $answer = rescue($text, $more);
    expect($answer['rescues'])->toBe([])->and($answer['why'])->toContain($why);
})->with([
    ['2 cups oat flour', [], 'No dog is at the table'],
    ['For the dough:', ['dogs' => [dog()]], 'no line'],
    ["2 cups oat flour\n1 cup flurbl", ['dogs' => [dog()]], 'Settle these lines first'],
    ["2 cups oat flour\n1/4 cup water", ['dogs' => [dog()], 'goals' => ['meat-first']], 'cannot be reached'],
    ['2 cups oat flour', ['dogs' => [['name' => 'Rex']]], 'weight is not known'],
]);

it('refuses goals that are none', function (array $more, string $path): void {
    try {
        rescue('2 cups oat flour', $more);
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->path)->toBe($path);
})->with([
    [['dogs' => [dog()], 'goals' => ['tastier']], '/goals/0'],
    [['dogs' => [dog()], 'goals' => ['nothing-new:Nobody']], '/goals/0'],
    [['dogs' => [dog()], 'goals' => ['fewer-calories:lots']], '/goals/0'],
    [['dogs' => [dog()], 'dislikes' => ['Nobody' => ['apple']]], '/dislikes/Nobody'],
    [['dogs' => [dog()], 'atHand' => ['flurbl']], '/atHand/0'],
]);

it('infers jobs from share and company', function (string $text, int $line, string $job): void {
    $request = Asking::question(json_encode(['version' => 1, 'recipe' => ['text' => $text]], JSON_THROW_ON_ERROR));
    $rescue = new Rescue($request, Asking::kitchen()->reader->read($text, ''), new Goals(), []);
    expect(Jobs::of($rescue->dough->weighed)[$line])->toContain($job);
})->with([
    ["2 cups oat flour\n1 large egg\n1 tbsp olive oil\n1/4 cup water", 0, 'bulk'],
    ["2 cups oat flour\n1 large egg\n1 tbsp olive oil\n1/4 cup water", 1, 'bind'],
    ["2 cups barley flour\n1 tbsp olive oil", 1, 'fat'],
    ["2 cups barley flour\n1/2 cup water", 1, 'wet'],
    ["2 cups barley flour\n1/2 cup mashed banana", 1, 'bind'],
    ["2 cups barley flour\n1 tbsp honey", 1, 'sweeten'],
    ["2 cups barley flour\n1 tsp baking soda", 1, 'leaven'],
    ["2 cups barley flour\n100 g minced turkey", 1, 'protein'],
    ["2 cups barley flour\n1 tsp ginger", 1, 'flavour'],
]);

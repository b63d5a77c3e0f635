<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;

/**
 * @param  array<string, mixed>  $more
 * @return list<string> every candidate as it would be written, the best first
 */
function standIns(string $text, int $line, array $more = []): array
{
    return array_map(static fn (array $one): string => implode(' + ', $one['texts']), array_values(array_filter(
        Asking::of('swaps', array_replace_recursive(['version' => 1, 'recipe' => ['text' => $text], 'dogs' => [dog()], 'line' => $line], $more))['candidates'],
        static fn (array $one): bool => $one['action'] === 'swap',
    )));
}

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function firstRescue(string $text, array $dogs, array $more = []): array
{
    $answer = Asking::of('rescue', array_replace_recursive(['version' => 1, 'recipe' => ['text' => $text], 'dogs' => $dogs], $more));
    expect(schemaErrors($answer, 'rescue-answer'))->toBe('')->and($answer['rescues'])->not->toBe([], $answer['why'] ?? '');

    return $answer['rescues'][0];
}

it('leaves what is creamy creamy, spreadable spreadable, a slice a slice, dry dry', function (string $text, int $line, array $more, string $first, string $never): void {
    $all = standIns($text, $line, $more);
    expect($all)->not->toBe([])->and($all[0])->toMatch("/$first/");
    foreach ($all as $one) {
        expect($one)->not->toMatch("/$never/");
    }
})->with([
    'yogurt in frozen pops' => ["500 g plain yogurt\n200 g blueberries", 0, ['bake' => ['texture' => 'frozen'], 'cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 24], 'dogs' => [['allergies' => ['dairy']]]], 'yogurt|banana', 'water|drink|broth'],
    'a cream cheese frosting' => ["For the cake:\n200 g oat flour\n2 eggs\n100 g water\nFor the frosting:\n200 g cream cheese", 3, ['bake' => ['texture' => 'cake'], 'dogs' => [['allergies' => ['dairy']]]], 'sweet potato|potato|yogurt|pumpkin', 'yeast|carrot|water'],
    'a frosting for a dog that may have dairy' => ["For the cake:\n200 g oat flour\n2 eggs\n100 g water\nFor the frosting:\n200 g cream cheese", 3, ['bake' => ['texture' => 'cake']], 'yogurt|cottage|ricotta', 'yeast|carrot|water'],
    'dried slices of sweet potato' => ['1 kg sweet potato, sliced', 0, ['recipe' => ['parts' => [['section' => null, 'process' => 'dried']]], 'bake' => ['texture' => 'chewy'], 'dogs' => [['conditions' => ['oxalate-stones']]]], 'squash|carrot|apple', 'pur[ée]'],
    'chicken jerky' => ['800 g chicken breast, sliced', 0, ['bake' => ['texture' => 'jerky'], 'dogs' => [['allergies' => ['chicken']]]], 'turkey breast|pork loin|lean beef|rabbit|venison', 'minced|insect|egg'],
    'dry barley' => ["200 g pearl barley\n300 g water", 0, ['dogs' => [['allergies' => ['gluten']]]], 'brown rice|millet|quinoa', '200 g cooked'],
    'dry lentils' => ["100 g dried lentils\n200 g oat flour\n200 g water", 0, [], 'split pea', '100 g (cooked|chickpeas, cooked|lentils, cooked)'],
    'soy sauce' => ["200 g oat flour\n1 tbsp soy sauce\n100 g water", 1, [], 'parsley|celery', 'courgette|green bean'],
    'cottage cheese in a dough' => ["200 g plain flour\n200 g cottage cheese\n1 egg", 1, ['dogs' => [['allergies' => ['dairy']]]], 'pumpkin|potato|tofu', '^(\d+ g|.* cups?) carrot$'],
    'crumbs in a meat dough' => ["500 g minced turkey\n40 g breadcrumbs\n1 egg", 1, ['dogs' => [['allergies' => ['gluten']]]], 'oats|rice|flour', '4[0-9] g cooked'],
]);

it('takes the narrower bound where two hold', function (): void {
    // dried oregano is an herb, and a dried one
    $oregano = array_values(array_filter(standIns("250 g whole wheat flour\n1 onion\n120 ml water", 1), static fn (string $one): bool => str_contains($one, 'oregano')));
    expect($oregano)->toHaveCount(1)->and(answer($oregano[0])['lines'][0]['grams']['best'])->toBeLessThan(0.006 * 480);
});

it('puts no more of an herb, a spice or a gum in a bowl than a bowl takes', function (string $text, int $line, string $food, float $percent): void {
    $bowl = answer($text)['batch']['doughGrams']['best'];
    $found = false;
    foreach (standIns($text, $line) as $one) {
        foreach (explode(' + ', $one) as $part) {
            $read = answer($part)['lines'][0];
            if ($read['ingredient'] === $food) {
                $found = true;
                expect($read['grams']['best'])->toBeLessThanOrEqual($bowl * $percent / 100 + 3, $part);
            }
        }
    }
    expect($found)->toBeTrue();
})->with([
    'parsley for an onion' => ["300 g oat flour\n1 large onion, chopped\n120 g water", 1, 'parsley', 2],
    'yeast for cheese' => ["200 g oat flour\n200 g cheddar, grated\n100 g water", 1, 'nutritional-yeast', 2],
    'psyllium for eggs' => ["300 g oat flour\n4 eggs\n60 g water", 1, 'psyllium', 2.5],
]);

it('brings a binder where over half the flour loses its gluten, and none where egg or seed binds already', function (string $text, bool $binds): void {
    foreach (standIns($text, 0, ['dogs' => [['allergies' => ['gluten']]]]) as $one) {
        if (preg_match('/coconut/', $one) !== 1) {
            expect(str_contains($one, 'flax') || str_contains($one, 'chia') || str_contains($one, 'egg'))->toBe($binds, $one);
        }
    }
})->with([
    'wheat alone' => ["300 g plain flour\n160 g water", true],
    'an egg binds' => ["300 g plain flour\n1 egg\n110 g water", false],
    'flax binds' => ["300 g plain flour\n20 g ground flaxseed\n180 g water", false],
    'under half' => ["100 g plain flour\n200 g rice flour\n160 g water", false],
]);

it('lets no purée stand in for the egg that holds a dough of coconut or ground nuts', function (): void {
    foreach (["60 g coconut flour\n4 eggs\n60 g mashed banana", "200 g ground almonds\n2 eggs\n20 g coconut oil"] as $text) {
        foreach (standIns($text, 1, ['dogs' => [['allergies' => ['egg']]]]) as $one) {
            expect($one)->toMatch('/flax|chia|psyllium|gelatin/');
        }
    }
});

it('puts what is smooth first where it was mashed, and writes it as it is shown', function (): void {
    expect(standIns("200 g sweet potato, mashed\n200 g oat flour", 0, ['dogs' => [['conditions' => ['oxalate-stones']]]])[0])->toBe('200 g plain pumpkin purée')
        ->and(standIns("200 g sweet potato, grated\n200 g oat flour", 0, ['dogs' => [['conditions' => ['oxalate-stones']]]])[0])->toBe('200 g courgette');
    foreach (["1 cup milk\n2 cups oat flour\n1 tsp cinnamon", "60 ml milk\n200 g oat flour\n1 egg", "250 g oat flour\n1/2 cup milk\n1 egg"] as $text) {
        $line = (int) (substr_count(strstr($text, 'milk', true), "\n"));
        foreach (Asking::of('swaps', ['version' => 1, 'recipe' => ['text' => $text], 'dogs' => [dog('Rex', ['allergies' => ['dairy']])], 'line' => $line])['candidates'] as $one) {
            expect(explode("\n", $one['recipeText']))->toContain(...$one['texts']);
        }
    }
});

it('measures what it mends in cups and spoons where the recipe does', function (): void {
    $all = standIns("1 cup milk\n2 cups oat flour\n1 tsp cinnamon", 0, ['dogs' => [['allergies' => ['dairy']]]]);
    expect($all[0])->toBe('⅞ cup plus 2 tsp water');
    foreach ($all as $one) {
        expect($one)->not->toMatch('/^\d+ g/')->and(answer($one)['lines'][0]['findings'] ?? [])->toBe(array_filter(answer($one)['lines'][0]['findings'] ?? [], static fn (array $finding): bool => $finding['level'] !== 'unknown'));
    }
});

it('holds back what is poured, never a part of an egg', function (): void {
    $rescued = Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => "100 g peanut butter\n200 g oat flour\n1 egg\n60 ml milk"], 'dogs' => [dog()], 'goals' => ['nut-free', 'dairy-free']])['rescues'];
    foreach ($rescued as $rescue) {
        expect($rescue['recipeText'])->toContain("\n1 egg");
    }
    $held = array_values(array_filter(array_merge(...array_column($rescued, 'changes')), static fn (array $one): bool => str_ends_with($one['to'] ?? '', 'g water')));
    expect($held)->not->toBe([])->and((int) $held[0]['to'])->toBeLessThan(60);
});

it('asks what a broth of our own is made of where a dog reacts to a meat', function (): void {
    $asks = static fn (string $line, array $allergies): bool => ! answer("200 g buckwheat flour\n$line\n1 egg", ['dogs' => [dog('Tup', ['allergies' => $allergies])]])['verdict']['cleared'];
    foreach (['chicken', 'beef', 'turkey', 'pork', 'lamb', 'duck', 'fish'] as $allergy) {
        expect($asks('150 ml home broth', [$allergy]))->toBeTrue($allergy);
    }
    expect($asks('150 ml home broth', ['dairy']))->toBeFalse()->and($asks('150 ml water', ['chicken']))->toBeFalse();
});

it('takes no water out of the shell for what happens in its filling', function (): void {
    $answer = Asking::of('swaps', ['version' => 1, 'recipe' => ['text' => "For the biscuits:\n200 g oat flour\n110 g water\nFor the filling:\n150 g peanut butter"], 'dogs' => [dog('Rex', ['allergies' => ['peanut']])], 'line' => 2]);
    expect($answer['candidates'])->not->toBe([]);
    foreach ($answer['candidates'] as $one) {
        expect($one['recipeText'])->toContain("200 g oat flour\n110 g water");
    }
});

it('writes amounts a kitchen can measure', function (): void {
    foreach (["250 g oat flour\n1/4 tsp nutmeg\n1 egg\n110 g water", "2 cups oat flour\n1 pinch salt\n1/2 cup water\n1 tbsp honey", "100 g rice flour\n3 g garlic\n60 g water"] as $text) {
        for ($line = 0; $line < 4; $line++) {
            foreach ($line < substr_count($text, "\n") + 1 ? standIns($text, $line) : [] as $one) {
                expect($one)->not->toMatch('/(^|[^\d.])0\.[1-4] g|\d\.\d{2,}/', $one);
            }
        }
    }
});

it('says of each swap what a person would say', function (): void {
    $answer = Asking::of('swaps', ['version' => 1, 'recipe' => ['text' => "250 g whole wheat flour\n40 g raisins\n130 g water"], 'dogs' => [dog()], 'line' => 1]);
    foreach ($answer['candidates'] as $one) {
        expect($one['reason'])->toMatch('/^Raisins: .+\. .+\.$/')->not->toContain('..');
    }
});

it('takes out first what hurts a dog, and asks the vet besides', function (string $text, array $dogs, string $gone): void {
    $rescue = firstRescue($text, $dogs);
    expect($rescue['recipeText'])->not->toContain($gone)
        ->and($rescue['leftOut'])->not->toBe([])
        ->and(implode(' ', array_column($rescue['leftOut'], 'reason')))->toContain('vet')
        ->and(implode(' ', array_column($rescue['changes'], 'reason')))->toContain('It brings');
})->with([
    'salt' => ["250 g oat flour\n160 ml water\n2 tsp salt", [dog('Heart', ['conditions' => ['heart']]), dog('Kidney', ['conditions' => ['kidney']])], 'salt'],
    'bacon' => ["200 g oat flour\n200 g bacon\n100 ml water", [dog('Past', ['conditions' => ['pancreatitis'], 'weightKg' => 30]), dog('Heart', ['conditions' => ['heart']])], 'bacon'],
    'dripping' => ["200 g rye flour\n100 g beef dripping\n80 ml water", [dog('Past', ['conditions' => ['pancreatitis'], 'weightKg' => 30])], 'dripping'],
]);

it('takes a little salt for a healthy dog as it is, and a lot out', function (): void {
    expect(firstRescue("250 g oat flour\n160 ml water\n1/4 tsp salt", [dog()])['says'])->toBe('Nothing needs to change.')
        ->and(firstRescue("250 g oat flour\n160 ml water\n1 tbsp salt", [dog()])['recipeText'])->not->toContain('salt');
});

it('cuts smaller before it rewrites', function (): void {
    $rescue = firstRescue("200 g plain flour\n300 g mashed banana\n2 eggs\n60 g rapeseed oil", [dog('Pip', ['weightKg' => 1.5])], ['cut' => ['shape' => 'slices', 'count' => 10], 'bake' => ['texture' => 'cake'], 'recipe' => ['title' => 'Banana bread']]);
    expect(array_filter($rescue['changes'], static fn (array $one): bool => $one['action'] !== 'keep'))->toBe([])
        ->and($rescue['cut']['count'])->toBeGreaterThan(10)
        ->and($rescue['says'])->toContain('Cut it into')
        ->and($rescue['servedDogs'])->toBe(['Pip']);
    $rounds = firstRescue("200 g oat flour\n40 g rapeseed oil\n90 g water", [dog('Pip', ['weightKg' => 1.5])], ['cut' => ['shape' => 'round', 'diameterMm' => 90, 'thicknessMm' => 10]]);
    expect($rounds['cut']['shape'])->toBe('round')->and($rounds['cut']['diameterMm'])->toBeLessThan(90)->and($rounds['servedDogs'])->toBe(['Pip']);
});

it('leaves a treat what it is', function (): void {
    $squares = firstRescue("300 g sorghum flour\n300 g pear, cored and grated\n2 eggs\n1 onion\n60 g water", [dog()], ['recipe' => ['title' => 'Pear squares']]);
    expect($squares['recipeText'])->toContain('pear')->toContain('sorghum')->not->toContain('onion');
    $diabetic = firstRescue("200 g plain flour\n120 g butter\n60 g honey\n50 g water", [dog('Dia', ['conditions' => ['diabetes']])]);
    expect($diabetic['recipeText'])->toContain('butter')->not->toContain('honey');
    foreach ($diabetic['changes'] as $change) {
        expect($change['reason'])->not->toContain('Nothing else depends');
    }
});

it('changes the batch by a quarter at most', function (): void {
    foreach (["250 g oat flour\n2 tbsp raisins\n130 g water", "2 cups oats\n1/2 cup raisins\n1/4 cup honey\n2 bananas", "500 g minced chicken\n90 g oat flour\n1 egg", "200 g minced beef\n150 g barley flour\n60 g water", "1 cup rolled oats\n1/2 cup chocolate chips\n1/4 cup peanut butter\n2 tbsp honey"] as $text) {
        foreach (Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => $text], 'dogs' => [dog('Rex', ['allergies' => ['chicken', 'beef']])]])['rescues'] as $n => $rescue) {
            $grams = answer($rescue['recipeText'])['batch']['doughGrams']['best'] / answer($text)['batch']['doughGrams']['best'];
            expect(abs($grams - 1) <= 0.27 || ($n > 0 && str_contains($rescue['says'], 'The batch becomes')))->toBeTrue("$text -> {$rescue['recipeText']}");
        }
    }
});

it('serves whom it says, on the very sheet it lays on the bench', function (string $text, string $steps, array $dogs, array $more): void {
    $answer = Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => $text, 'steps' => $steps], 'dogs' => $dogs] + $more);
    expect($answer['rescues'])->not->toBe([]);
    foreach ($answer['rescues'] as $rescue) {
        $after = answer($rescue['recipeText'], ['recipe' => ['steps' => $rescue['steps']], 'dogs' => $dogs] + ($rescue['cut'] === null ? [] : ['cut' => array_diff_key($rescue['cut'], ['label' => 1, 'name' => 1])]) + ($rescue['bake'] === null ? [] : ['bake' => $rescue['bake']]) + $more);
        foreach ($after['verdict']['dogs'] as $dog) {
            expect($dog['cleared'])->toBe(in_array($dog['name'], $rescue['servedDogs'], true), "{$rescue['recipeText']}: {$dog['name']}");
        }
    }
})->with([
    'porridge oats' => ["200 g porridge oats\n150 g chicken broth\n1 egg", "Warm the broth.\nStir in the oats.", [dog('Tup', ['allergies' => ['gluten', 'chicken']]), dog()], []],
    'a broth that is swapped' => ["250 g rice flour\n150 g chicken broth\n1 egg", 'Warm the broth and stir it in.', [dog('Tup', ['allergies' => ['chicken']])], []],
    'raisins in the method' => ["250 g oat flour\n50 g raisins\n130 g water", "Soak the raisins.\nFold in the raisins and bake.", [dog(), dog('Ada', ['allergies' => ['dairy']])], []],
    'a loaf for a small dog' => ["200 g plain flour\n300 g mashed banana\n2 eggs\n60 g butter", '', [dog('Pip', ['weightKg' => 1.5])], ['cut' => ['shape' => 'slices', 'count' => 10], 'bake' => ['texture' => 'cake']]],
    'an ill dog' => ["250 g oat flour\n160 ml water\n2 tsp salt", '', [dog('Heart', ['conditions' => ['heart']]), dog()], []],
]);

it('knows the goals people name', function (string $goal, string $text, string $never): void {
    foreach (Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => $text], 'dogs' => [dog()], 'goals' => [$goal]])['rescues'] as $n => $rescue) {
        expect($rescue['recipeText'])->not->toMatch("/$never/i");
    }
    expect($n ?? -1)->toBeGreaterThanOrEqual(0);
})->with([
    ['no-added-sugar', "250 g oat flour\n3 tbsp honey\n1 egg\n90 g water", 'honey|syrup|sugar'],
    ['low-purine', "250 g oat flour\n100 g chicken liver\n60 g water", 'liver|sardine|mackerel'],
    ['low-oxalate', "250 g rice flour\n100 g spinach\n1 egg\n60 g water", 'spinach|beet|sweet potato'],
    ['low-phosphorus', "250 g rice flour\n150 g bone broth\n1 egg", 'bone broth'],
    ['novel-protein', "300 g minced chicken\n80 g rice flour\n20 g ground flaxseed", 'chicken|beef|lamb|pork|turkey'],
    ['nut-free', "250 g oat flour\n80 g peanut butter\n110 g water", 'peanut|almond|cashew'],
    ['soy-free', "250 g oat flour\n100 g tofu\n90 g water", 'tofu|soy'],
    ['vegetarian', "250 g oat flour\n60 g cooked chicken, diced\n110 g water", 'chicken|turkey|beef|cod|rabbit|venison|fish'],
]);

it('makes it softer, harder or smaller without touching the bowl', function (): void {
    $text = "250 g oat flour\n130 g water\n40 g rapeseed oil";
    $plan = static fn (string $goal, string $texture = 'biscuit'): array => firstRescue($text, [dog()], ['goals' => [$goal], 'bake' => ['texture' => $texture], 'cut' => ['shape' => 'square', 'sideMm' => 30, 'thicknessMm' => 8]]);
    expect($plan('softer')['bake'])->toBe(['texture' => 'chewy'])
        ->and($plan('softer')['recipeText'])->toBe($text)
        ->and($plan('harder')['bake'])->toBe(['texture' => 'hard'])
        ->and($plan('softer', 'soft')['bake'])->toBeNull()
        ->and($plan('smaller')['cut']['sideMm'])->toBeLessThan(22)
        ->and($plan('smaller')['says'])->toContain('Cut it smaller');
});

it('takes the calories off the baked piece', function (int $percent, array $cut): void {
    $text = "250 g oat flour\n80 g rapeseed oil\n60 g honey\n90 g water";
    $rescue = firstRescue($text, [dog()], ['goals' => ["fewer-calories:$percent"], 'cut' => $cut]);
    $kcal = static fn (string $recipe): float => answer($recipe, ['cut' => $cut])['piece']['kcal']['best'];
    expect($kcal($rescue['recipeText']))->toBeLessThanOrEqual((1 - $percent / 100) * $kcal($text) * 1.03, $rescue['recipeText']);
})->with([[15, ['shape' => 'pieces', 'count' => 60]], [30, ['shape' => 'pieces', 'count' => 60]], [15, ['shape' => 'square', 'sideMm' => 20, 'thicknessMm' => 6]], [30, ['shape' => 'square', 'sideMm' => 20, 'thicknessMm' => 6]]]);

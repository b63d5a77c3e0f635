<?php

declare(strict_types=1);

use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function rescued(string $text, array $more): array
{
    return Asking::json('rescue', (
        json_encode(
            $more + ['version' => 1, 'recipe' => ['text' => $text], 'dogs' => [dog()], 'cut' => ['shape' => 'pieces', 'count' => 100]],
            JSON_THROW_ON_ERROR
        )
    )
    );
}

const PLAIN_LOAF = "1 cup whole wheat flour\n1 cup oat flour\n1 large egg\n1/2 cup plain yogurt\n2 tbsp olive oil\n1/4 cup water";

it('keeps out what a goal names, in every answer', function (string $goal, string $group): void {
    $answer = rescued(PLAIN_LOAF, ['goals' => [$goal]]);
    expect($answer['rescues'])->not->toBe([]);
    foreach ($answer['rescues'] as $rescue) {
        foreach (answer($rescue['recipeText'])['lines'] as $line) {
            expect($line['ingredient'])
                ->not->toBeNull()
                ->and(Asking::food($line['ingredient'])->isCoveredBy($group))
                ->toBeFalse("{$rescue['recipeText']} is not $goal");
        }
    }
})->with([['gluten-free', 'gluten'], ['grain-free', 'grain'], ['egg-free', 'egg'], ['dairy-free', 'dairy']]);

it('reaches a goal that is a figure', function (string $goal, callable $holds): void {
    $before = answer(PLAIN_LOAF, ['cut' => ['shape' => 'pieces', 'count' => 100]]);
    $answer = rescued(PLAIN_LOAF, ['goals' => [$goal]]);
    expect($answer['rescues'])->not->toBe([]);
    foreach ($answer['rescues'] as $rescue) {
        expect($holds($before, answer($rescue['recipeText'], ['cut' => ['shape' => 'pieces', 'count' => 100]])))->toBeTrue($rescue['recipeText']);
    }
})->with([
    'low fat' => [
        'low-fat',
        fn (array $before, array $after): bool => (100 * $after['piece']['nutrients']['fatG']) / $after['piece']['kcal']['best'] <= 2.55,
    ],
    'low sodium' => [
        'low-sodium',
        fn (array $before, array $after): bool => (100 * $after['piece']['nutrients']['sodiumMg']) / $after['piece']['kcal']['best'] <= 81.0,
    ],
    'a tenth fewer calories' => [
        'fewer-calories:10',
        fn (array $before, array $after): bool => $after['piece']['kcal']['best'] <= 0.905 * $before['piece']['kcal']['best'],
    ],
]);

const MEATS = [
    'turkey' => '100 g turkey breast',
    'chicken' => '100 g chicken breast',
    'duck' => '100 g duck breast',
    'beef' => '100 g minced beef',
    'lamb' => '100 g minced lamb',
    'pork' => '100 g minced pork',
    'venison' => '100 g venison',
    'rabbit' => '100 g rabbit',
    'bison' => '100 g ground bison',
    'kangaroo' => '100 g kangaroo',
    'horse' => '100 g horse meat',
    'goat' => '100 g goat',
    'fish' => '100 g cod',
    'shellfish' => '100 g cooked mussels',
    'egg' => '1 large egg',
    'dairy' => '100 g cottage cheese',
    'insect' => '20 g insect meal',
];

it('leaves one animal in a recipe that is to have one', function (string $other): void {
    $answer = rescued("200 g minced turkey\n1 cup oat flour\n$other\n1/4 cup water", ['goals' => ['single-protein']]);
    foreach ($answer['rescues'] as $rescue) {
        $animals = [];
        foreach (answer($rescue['recipeText'])['lines'] as $line) {
            foreach (MEATS as $animal => $words) {
                if (Asking::food((string) $line['ingredient'])->inGroup($animal)) {
                    $animals[$animal] = true;
                }
            }
        }
        expect(count($animals))->toBeLessThanOrEqual(1, $rescue['recipeText']);
    }
    expect($answer['rescues'])->not->toBe([]);
})->with(MEATS);

it('brings nothing new to a dog that is to have nothing new, and only what an allow-list names', function (): void {
    $dogs = [dog('Ferris', ['newIngredients' => ['sorghum-flour', 'millet-flour']]), dog('Tuppence', ['allergies' => ['gluten']])];
    foreach (rescued(PLAIN_LOAF, ['dogs' => $dogs, 'goals' => ['nothing-new:Ferris']])['rescues'] as $rescue) {
        expect($rescue['recipeText'])->not->toContain('sorghum')->not->toContain('millet');
    }
    $listed = [dog('Tuppence', ['allowList' => ['rabbit', 'parsnip', 'sorghum-flour', 'water', 'egg', 'olive-oil']])];
    foreach (rescued(PLAIN_LOAF, ['dogs' => $listed, 'goals' => ['allow-list']])['rescues'] as $rescue) {
        foreach (answer($rescue['recipeText'])['lines'] as $line) {
            expect(in_array($line['ingredient'], ['rabbit', 'parsnip', 'sorghum-flour', 'water', 'egg', 'olive-oil'], true))->toBeTrue(
                $rescue['recipeText']
            );
        }
    }
});

it('leaves no dog out that has an allow-list, where the goal is to keep to it', function (): void {
    $listed = dog('Tuppence', ['allowList' => ['rabbit', 'parsnip', 'sorghum-flour', 'water', 'egg', 'olive-oil']]);
    $vet = dog('Ada', ['conditions' => ['diabetes']]);
    $left = static fn (array $dogs): array => array_map(
        static fn (array $rescue): array => array_column($rescue['leftOut'], 'dog'),
        rescued(PLAIN_LOAF, ['dogs' => $dogs, 'goals' => ['allow-list']])['rescues']
    );
    expect($left([$listed, dog('Ada')])[0])
        ->toBe([])
        ->and($left([$listed, $vet])[0])
        ->toBe(['Ada'])
        ->and($left([$vet, $listed])[0])
        ->toBe(['Ada'])
        ->and($left([dog('Tuppence', ['allowList' => ['rabbit'], 'conditions' => ['diabetes']]), dog('Ada')]))
        ->toBe([]);
});

it('uses what is at hand where it can, and what a dog likes', function (): void {
    $dogs = [dog('Ada', ['allergies' => ['wheat']])];
    $text = "2 cups whole wheat flour\n1 large egg\n1/2 cup water";
    // left to itself it takes none of these
    expect(rescued($text, ['dogs' => $dogs])['rescues'][0]['recipeText'])->toContain('buckwheat flour');
    foreach (['millet-flour' => 'millet', 'sorghum-flour' => 'sorghum', 'brown-rice-flour' => 'brown rice'] as $atHand => $word) {
        $rescue = rescued($text, ['dogs' => $dogs, 'atHand' => [$atHand, 'egg', 'water']])['rescues'][0];
        expect($rescue['recipeText'])
            ->toContain("$word flour")
            ->not->toContain('buckwheat');
    }
    $loaf = "2 cups oat flour\n1/4 cup raisins\n1/2 cup water";
    expect(rescued($loaf, ['dogs' => [dog('Ada')]])['rescues'][0]['recipeText'])
        ->toContain('blueberries')
        ->and(rescued($loaf, ['dogs' => [dog('Ada')], 'dislikes' => ['Ada' => ['blueberry']]])['rescues'][0]['recipeText'])
        ->not->toContain('blueberries')
        ->not->toContain('raisins');
});

it('says plainly when goals cannot be reached together', function (): void {
    $answer = rescued("2 cups oat flour\n1/2 cup water", ['goals' => ['meat-first', 'grain-free']]);
    expect($answer['rescues'])->toBe([])->and($answer['why'])->not->toBe('');
});

it('refuses goals that nobody knows', function (string $goal, string $path): void {
    try {
        rescued(PLAIN_LOAF, ['goals' => [$goal]]);
        $found = null;
    } catch (RequestRefused $refused) {
        $found = $refused->path;
    }
    expect($found)->toBe($path);
})->with([
    ['tasty', '/goals/0'],
    ['fewer-calories:0', '/goals/0'],
    ['fewer-calories:95', '/goals/0'],
    ['fewer-calories:many', '/goals/0'],
    ['nothing-new:Nobody', '/goals/0'],
]);

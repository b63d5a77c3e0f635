<?php

declare(strict_types=1);

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Values\Level;

it('stops every name of the never list, alone and behind other words', function (): void {
    $missed = [];
    $tried = 0;
    foreach (cases('never.txt') as $row) {
        [$code, $lines] = explode(':', $row, 2);
        foreach (array_map(trim(...), explode('|', $lines)) as $line) {
            $tried++;
            $levels = array_column(answer($line)['lines'][0]['findings'] ?? [], 'level', 'code');
            if (($levels[$code] ?? '') !== 'never' || ! in_array("never:$code", found(answer("1 cup oat flour mixed with $line")), true)) {
                $missed[] = "$code: $line";
            }
        }
    }
    expect($missed)->toBe([])->and($tried)->toBeGreaterThan(200);
});

it('does not slander a look-alike', function (): void {
    $slandered = array_filter(
        cases('lookalikes.txt'),
        static fn (string $line): bool => array_filter(
            found(answer($line)),
            static fn (string $finding): bool => ! str_starts_with($finding, 'caution') && ! str_starts_with($finding, 'check-label')
        ) !== []
    );
    expect(array_values($slandered))->toBe([]);
});

it('silences only what a negation names', function (string $row): void {
    [$line, $ingredient] = array_map(trim(...), explode('|', $row));
    $answer = answer($line);

    expect($answer['lines'][0]['ingredient'])
        ->toBe($ingredient)
        ->and(array_filter(found($answer), static fn (string $finding): bool => str_starts_with($finding, 'never')))
        ->toBe([]);
})->with(fn () => cases('negations.txt'));

it('is not silenced by what is no negation', function (string $line, string $code): void {
    expect(found(answer($line)))->toContain("never:$code");
})->with([
    ['1 cup oats, no salt, with raisins', 'grape'],
    ['no need to peel the onion', 'allium'],
    ['do not omit the raisins', 'grape'],
    ['not only raisins but apple', 'grape'],
    ['2 onions, no skin', 'allium'],
    ['1 cup raisins (no stems)', 'grape'],
    ['never leave out the chocolate', 'chocolate'],
    ['no more than 2 tbsp cocoa powder', 'chocolate'],
    ['gluten-free chocolate', 'chocolate'],
    ["don't forget the raisins", 'grape'],
    ['never ever leave out the raisins', 'grape'],
    ['200 g oat flour, no need to leave out the raisins', 'grape'],
    ["200 g oat flour, you don't have to skip the raisins", 'grape'],
    ['never without raisins', 'grape'],
    ['cannot leave out the raisins', 'grape'],
    ['sugar-free milk chocolate', 'chocolate'],
    ['no onion but garlic powder, 1 tsp', 'allium'],
]);

it('takes a negation for one', function (string $line): void {
    expect(found(answer($line)))->not->toContain('never:grape');
})->with([
    '200 g oat flour, leave out the raisins',
    '200 g oat flour, for ever leave out the raisins',
    '200 g oat flour, never ever add raisins',
    '200 g oat flour, you need to leave out the raisins',
    '200 g oat flour, you have to omit the raisins',
    "200 g oat flour, don't forget to leave out the raisins",
]);

/** @return array<string, mixed> */
function dogOfKind(string $kind): array
{
    [$what, $value] = [...explode(' ', $kind, 2), ''];

    return dog(
        'Rex',
        match (true) {
            $kind === 'puppy' => ['ageMonths' => 5, 'weightKg' => 6],
            $kind === 'large puppy' => ['ageMonths' => 5, 'weightKg' => 17, 'expectedAdultWeightKg' => 40],
            $what === 'condition' => ['conditions' => [$value]],
            $what === 'medicine' => ['medicines' => [$value]],
            default => [],
        }
    );
}

it('finds what the reference says of a food, for the dogs it says it of and for no other', function (
    string $line,
    string $texture,
    string $garlic,
    string $kind,
    string $says,
    string $emergency
): void {
    $ask = static fn (string $texture, string $garlic): array => answer($line, [
        'dogs' => [dogOfKind($kind), dog('Other')],
        'bake' => ['texture' => $texture],
        'policy' => ['garlic' => $garlic],
    ]);
    $findings = static fn (array $answer): array => array_values(
        array_filter(
            array_merge(...array_column($answer['lines'], 'findings')),
            static fn (array $one): bool => "{$one['level']}:{$one['code']}" === $says
        )
    );
    $here = $findings($ask($texture, $garlic));

    expect($here)
        ->not->toBe([])
        ->and(array_values(array_unique(array_column($here, 'dog'))))
        ->toBe([$kind === 'any' ? null : 'Rex'])
        ->and(array_unique(array_column($here, 'emergency')))
        ->toBe([$emergency === 'emergency'])
        ->and($here[0]['advice'])
        ->not->toBe('')
        ->and($here[0]['source'])
        ->not->toBe('');
    if ($texture === 'none') {
        // baked through it is another matter
        expect($findings($ask('biscuit', $garlic)))->toBe([]);
    }
    if (str_contains($line, 'garlic') && $kind === 'any') {
        expect($findings($ask($texture, $garlic === 'avoid' ? 'measured' : 'avoid')))->toBe([]);
    }
})->with(fn (): array => Cases::cells('rules.txt'));

it('has a case of every rule, and sets each off by its own example', function (): void {
    $cases = array_map(static fn (array $row): string => $row[4], Cases::cells('rules.txt'));
    foreach (
        array_count_values(array_map(static fn (array $rule): string => "{$rule['level']}:{$rule['code']}", Compiled::tables()['rules'])) as $rule => $rows
    ) {
        expect(array_count_values($cases)[$rule] ?? 0)->toBeGreaterThanOrEqual($rows, "cases/rules.txt has too few cases of $rule");
    }
    expect(array_values(array_diff(array_column(Compiled::tables()['rules'], 'example'), array_column(Cases::cells('rules.txt'), 0))))->toBe([]);
});

it('names a source and advice in every rule', function (): void {
    foreach (Compiled::tables()['rules'] as $rule) {
        expect(Compiled::tables()['sources'])
            ->toHaveKey($rule['source'])
            ->and($rule['advice'])
            ->not->toBe('')
            ->and(Level::tryFrom($rule['level']))
            ->not->toBeNull();
    }
});

it('closes allergen groups from the specific to the group', function (string $allergy, string $line, string $finding): void {
    expect(found(answer($line, ['dogs' => [dog('Rex', ['allergies' => [$allergy]])]])))->toContain($finding);
})->with([
    ['chicken', '1 cup cooked chicken', 'allergen:allergy-chicken'],
    ['chicken', '100 g chicken livers', 'allergen:allergy-chicken'],
    ['chicken', '1 tbsp schmaltz', 'allergen:allergy-chicken'],
    ['chicken', '1 cup chicken broth', 'allergen:allergy-chicken'],
    ['chicken', '1 cup cooked turkey', 'caution:cross-chicken'],
    ['chicken', '1 egg', 'caution:cross-chicken'],
    ['beef', '100 g veal', 'allergen:allergy-beef'],
    ['beef', '1 tbsp dripping', 'allergen:allergy-beef'],
    ['beef', '10 g gelatin', 'check-label:cross-beef'],
    ['beef', '1 cup milk', 'caution:cross-beef'],
    ['dairy', '50 g goat cheese', 'allergen:allergy-dairy'],
    ['dairy', '1 tbsp ghee', 'allergen:allergy-dairy'],
    ['dairy', '1 cup lactose-free milk', 'allergen:allergy-dairy'],
    ['dairy', '1 tbsp whey powder', 'allergen:allergy-dairy'],
    ['wheat', '1 cup spelt flour', 'allergen:allergy-wheat'],
    ['wheat', '1 cup flour', 'allergen:allergy-wheat'],
    ['wheat', '1 cup couscous', 'allergen:allergy-wheat'],
    ['wheat', '1 cup breadcrumbs', 'allergen:allergy-wheat'],
    ['gluten', '1 cup barley flour', 'allergen:allergy-gluten'],
    ['gluten', '1 cup rye flour', 'allergen:allergy-gluten'],
    ['gluten', '1 cup rolled oats', 'check-label:cross-gluten'],
    ['gluten', '1 cup flour', 'allergen:allergy-gluten'],
    ['grain', '1 cup brown rice flour', 'allergen:allergy-grain'],
    ['grain', '1 cup millet flour', 'allergen:allergy-grain'],
    ['grain', '1 cup rolled oats', 'allergen:allergy-grain'],
    ['corn', '1 cup polenta', 'allergen:allergy-corn'],
    ['corn', '1 tbsp cornstarch', 'allergen:allergy-corn'],
    ['fish', '1 tbsp fish oil', 'allergen:allergy-fish'],
    ['fish', '100 g cod', 'allergen:allergy-fish'],
    ['egg', '1 tbsp mayonnaise', 'allergen:allergy-egg'],
    ['egg', '1 egg white', 'allergen:allergy-egg'],
    ['soy', '100 g tofu', 'allergen:allergy-soy'],
    ['pork', '1 tbsp lard', 'allergen:allergy-pork'],
]);

it('keeps a dog to its allow-list', function (): void {
    $dogs = [dog('Rex', ['allowList' => ['rabbit', 'parsnip']])];

    expect(found(answer('1 cup sorghum flour', ['dogs' => $dogs])))
        ->toContain('allergen:not-on-list')
        ->and(found(answer('100 g parsnip', ['dogs' => $dogs])))
        ->not->toContain('allergen:not-on-list')
        ->and(found(answer("100 g parsnip\n2 tbsp water", ['dogs' => $dogs])))
        ->not->toContain('allergen:not-on-list');
});

it('takes pseudo-grains as grain only where the kitchen says so', function (): void {
    $dogs = [dog('Rex', ['allergies' => ['grain']])];

    expect(found(answer('1 cup buckwheat flour', ['dogs' => $dogs])))
        ->not->toContain('allergen:allergy-grain')
        ->and(found(answer('1 cup buckwheat flour', ['dogs' => $dogs, 'policy' => ['pseudoGrains' => 'grain']])))
        ->toContain('allergen:allergy-grain');
});

it('excludes by condition', function (string $condition, string $line): void {
    expect(found(answer($line, ['dogs' => [dog('Rex', ['conditions' => [$condition]])]])))->toContain("allergen:excluded-$condition");
})->with([
    ['copper-storage', '100 g beef liver'],
    ['copper-storage', '100 g cooked mussels'],
    ['copper-storage', '1 cup chickpeas, tinned'],
    ['oxalate-stones', '1 cup spinach'],
    ['oxalate-stones', '1 sweet potato, boiled'],
    ['oxalate-stones', '1 beetroot'],
    ['oxalate-stones', '1 cup buckwheat flour'],
    ['urate-stones', '100 g chicken livers'],
    ['urate-stones', '1 tin sardines, drained'],
    ['urate-stones', '1 tbsp nutritional yeast'],
    ['shunt', '100 g kidney, ox'],
    ['diabetes', '1 tbsp honey'],
    ['diabetes', '2 tbsp molasses'],
]);

it('refuses garlic to those who may never have it, even measured', function (array $more): void {
    expect(found(answer('1 clove garlic', ['dogs' => [dog('Rex', $more)], 'policy' => ['garlic' => 'measured']])))->toContain('never:allium');
})->with([
    [['ageMonths' => 5]],
    [['conditions' => ['anaemia']]],
    [['conditions' => ['pregnant']]],
    [['breed' => 'Akita']],
    [['medicines' => ['anticoagulant']]],
    [['medicines' => ['surgery-planned']]],
    [['conditions' => ['liver']]],
]);

it('caps measured garlic by the dose for this weight', function (): void {
    $ration = answer("2 cups oat flour\n1 egg\n1 clove garlic", [
        'dogs' => [dog()],
        'cut' => ['shape' => 'pieces', 'count' => 20],
        'policy' => ['garlic' => 'measured'],
    ])['rations'][0];
    $limit = array_column($ration['limits'], 'piecesPerDay', 'code')['garlic'];

    // 3 g of garlic in 20 pieces; 0.1 g per kg a day for 10 kg is 1 g
    expect($limit)->toEqualWithDelta(1.0 / (3 / 20), 0.01);
});

it('judges raw fish by the heat it gets', function (string $texture, string $finding): void {
    expect(found(answer('100 g salmon', ['bake' => ['texture' => $texture]])))->toContain($finding);
})->with([['biscuit', 'caution:raw-salmonid-heat'], ['frozen', 'never:raw-salmonid'], ['none', 'never:raw-salmonid']]);

it('finds a food named only in a step, and its poison', function (): void {
    $answer = answer("2 cups oat flour\n1 egg", ['recipe' => ['steps' => "Mix the flour and egg.\nDust with cocoa."]]);

    expect(array_map(static fn (array $finding): string => "{$finding['level']}:{$finding['code']}", $answer['steps'][1]['findings']))
        ->toContain('never:chocolate')
        ->toContain('unknown:named-only-in-step')
        ->and($answer['steps'][0]['findings'])
        ->toBe([])
        ->and($answer['verdict']['cleared'])
        ->toBeFalse();
});

it('settles a label check by the label bound to the line', function (): void {
    $good = ['name' => 'peanut butter', 'ingredients' => 'roasted peanuts'];
    $bad = ['name' => 'peanut butter', 'ingredients' => 'peanuts, sweetener (xylitol), salt'];

    expect(found(answer('2 tbsp peanut butter')))
        ->toContain('check-label:nut-butter')
        ->and(found(answer('2 tbsp peanut butter', ['labels' => [$good]])))
        ->not->toContain('check-label:nut-butter')
        ->and(found(answer('2 tbsp Peanut Butter', ['labels' => [$bad]])))
        ->toContain('never:xylitol');
});

it('takes a confirmation for a label or the vet and for nothing else', function (): void {
    $confirmed = [['code' => 'nut-butter', 'line' => '2 tbsp peanut butter', 'dog' => null], ['code' => 'grape', 'line' => null, 'dog' => null]];
    $text = "2 cups oat flour\n1 egg\n2 tbsp peanut butter";

    expect(answer($text, ['confirmed' => $confirmed])['verdict']['cleared'])
        ->toBeTrue()
        ->and(answer($text)['verdict']['cleared'])
        ->toBeFalse()
        ->and(answer("$text\n1 tbsp raisins", ['confirmed' => $confirmed])['verdict']['cleared'])
        ->toBeFalse();
});

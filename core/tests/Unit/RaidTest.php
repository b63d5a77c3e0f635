<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;

/** @return array<string, mixed> */
function raid(array $what, array $dog = []): array
{
    $answer = Asking::json('raid', (json_encode(['version' => 1, 'dog' => dog('Tuppence', $dog + ['weightKg' => 9])] + $what, JSON_THROW_ON_ERROR))
    );
    expect(schemaErrors($answer, 'raid-answer'))->toBe('');

    return $answer;
}

it('counts each poison per kilo against its thresholds', function (string $food, string $substance, float $perKg, ?string $reached): void {
    $answer = raid(['food' => $food]);
    $dose = array_column($answer['doses'], null, 'substance')[$substance];

    expect($dose['perKg']['best'])
        ->toEqualWithDelta($perKg, 0.02 * $perKg)
        ->and($dose['reached'])
        ->toBe($reached)
        ->and($answer['emergency'])
        ->toBeTrue()
        ->and($answer['words'])
        ->toContain('vet or an animal poison line at once');
})->with([
    ['100 g dark chocolate', 'theobromineMg', 100, 'seizures'],
    ['20 g milk chocolate', 'theobromineMg', 4.444, null],
    ['90 g raisins', 'raisinG', 10, 'kidney failure was seen'],
    ['1 g xylitol', 'xylitolMg', 111.1, 'low blood sugar'],
    ['5 g xylitol', 'xylitolMg', 555.6, 'liver failure'],
    ['90 g onion', 'onionG', 10, 'red cells change'],
    ['10 g onion powder', 'onionG', 8.889, 'red cells change'],
    ['18 g macadamia nuts', 'macadamiaG', 2, 'weak in the legs'],
    ['40 g salt', 'saltG', 4.444, 'deaths'],
]);

it('tells what a dose is known to do from the dose on, and not a hundredth before', function (string $food, string $grams, string $told): void {
    $signs = static function (float $grams) use ($food): array {
        $told = [];
        foreach (raid(['food' => number_format($grams, 6, '.', '')." g $food"], ['weightKg' => 10])['doses'] as $dose) {
            foreach ($dose['thresholds'] as $threshold) {
                if ($dose['perKg']['high'] >= $threshold['at']) {
                    $told[] = $threshold['sign'];
                }
            }
            // the worst that is reached is what is said
            expect($dose['reached'])->toBe(
                array_column(array_filter($dose['thresholds'], static fn (array $one): bool => $dose['perKg']['high'] >= $one['at']), 'sign')[
                    array_key_last(array_filter($dose['thresholds'], static fn (array $one): bool => $dose['perKg']['high'] >= $one['at'])) ?? -1
                ] ?? null
            );
        }

        return $told;
    };
    expect($signs((float) $grams * 1.01))
        ->toContain($told)
        ->and($signs((float) $grams * 0.99))
        ->not->toContain($told);
})->with(fn (): array => Cases::cells('toxic-doses.txt'));

it('holds of a gram from the least to the most that the reference says', function (
    string $food,
    string $substance,
    string $low,
    string $best,
    string $high
): void {
    $doses = array_column(raid(['food' => "100 g $food"])['doses'], 'amount', 'substance');
    if (isset($doses[$substance])) {
        expect($doses[$substance])->toEqual(['low' => 100 * (float) $low, 'best' => 100 * (float) $best, 'high' => 100 * (float) $high]);
    } else {
        // what is dosed day by day has no threshold at one time
        expect($substance)->toBeIn(['coumarinMg', 'kelpG', 'rootSpiceG']);
    }
})->with(fn (): array => Cases::cells('contents.txt'));

it('counts so many pieces of a recipe', function (): void {
    $answer = raid([
        'recipe' => [
            'title' => 'Winter loaf',
            'text' => "200 g oat flour\n160 g raisins",
            'cut' => ['shape' => 'slices', 'count' => 16],
            'pieces' => 4,
        ],
    ]);
    expect(array_column($answer['doses'], null, 'substance')['raisinG']['amount']['best'])
        ->toEqualWithDelta(40, 1e-6)
        ->and($answer['what'])
        ->toBe('4 pieces of Winter loaf')
        ->and(implode(' ', $answer['sheet']))
        ->toContain('160 g raisins');
});

it('answers where nothing of the recipe could be weighed, whatever the cut', function (array $cut): void {
    $answer = raid(['recipe' => ['title' => 'Odd', 'text' => "flurbl\nsome raisins", 'cut' => $cut, 'pieces' => 3]]);
    expect($answer['unread'])->not->toBe([])->and(json_encode($answer))->toContain('raisins');
})->with([
    [['shape' => 'pieces', 'count' => 20]],
    [['shape' => 'round', 'diameterMm' => 30, 'thicknessMm' => 6]],
    [['shape' => 'scoop', 'ml' => 5]],
]);

it('takes the most a product may have held', function (): void {
    $answer = raid(['product' => ['name' => 'spread', 'ingredients' => 'peanuts, sugar, birch sugar', 'grams' => 90]]);
    $dose = array_column($answer['doses'], null, 'substance')['xylitolMg'];
    expect($dose['amount']['high'])->toEqualWithDelta(30000, 1)->and($dose['reached'])->toBe('liver failure');
});

it('says what it does not know, and calls no plain thing an emergency', function (): void {
    expect(raid(['food' => '1 cup flurbl'])['unread'])
        ->toBe(['1 cup flurbl'])
        ->and(raid(['food' => '1 cup flurbl'])['words'])
        ->toContain('Call a vet')
        ->and(raid(['food' => 'raisins'])['unread'])
        ->toBe(['how much of raisins'])
        ->and(raid(['food' => 'raisins'])['emergency'])
        ->toBeTrue()
        ->and(raid(['food' => '2 carrots'])['emergency'])
        ->toBeFalse()
        ->and(raid(['food' => '2 carrots'])['never'])
        ->toBe([]);
});

it('wants one thing that was taken', function (): void {
    expect(fn () => raid([]))
        ->toThrow(MildBowl\Core\Questions\RequestRefused::class)
        ->and(fn () => raid(['food' => 'x', 'product' => ['name' => 'x', 'ingredients' => 'y', 'grams' => 1]]))
        ->toThrow(MildBowl\Core\Questions\RequestRefused::class);
});

it('calls for help where no dose is known to be safe, however little', function (string $food, bool $emergency): void {
    expect(raid(['food' => $food], ['weightKg' => 40])['emergency'])->toBe($emergency);
})->with([
    ['5 g christmas cake', true],
    ['10 g muesli', true],
    ['10 g trail mix', true],
    ['1 piece of chewing gum', true],
    ['1 g oat flour', false],
    ['50 ml cola', true],
    ['1 tsp stevia', false],
]);

it('says of each raid what a vet would want to hear', function (string $food, array $dog, bool $emergency, string $words, array $doses): void {
    $answer = raid(['food' => $food], $dog);
    expect($answer['emergency'])->toBe($emergency)
        ->and($answer['words'])->toContain($words)->not->toContain('Watch the dog')
        ->and(array_column($answer['doses'], 'substance'))->toContain(...$doses);
})->with([
    'bacon, past pancreatitis' => ['100 g bacon', ['weightKg' => 8, 'conditions' => ['pancreatitis'], 'breed' => 'miniature schnauzer'], true, 'Ring your vet today', ['fatG']],
    'butter, a breed that is inclined' => ['50 g butter', ['weightKg' => 8, 'breed' => 'miniature schnauzer'], true, 'Ring your vet today', ['fatG']],
    'fat, but little of it' => ['10 g lard', ['conditions' => ['hyperlipidaemia']], false, 'ring your vet', ['fatG']],
    'half a day as fat' => ['16 g lard', ['weightKg' => 7, 'conditions' => ['hyperlipidaemia', 'weight-loss'], 'activity' => 'inactive', 'bodyCondition' => 9], true, 'Ring your vet', ['fatG']],
    'a slice of christmas cake' => ['1 slice christmas cake', [], true, 'at once', ['raisinG']],
    'hot cross buns' => ['2 hot cross buns', [], true, 'at once', ['raisinG']],
    'muesli' => ['100 g muesli', [], true, 'at once', ['raisinG']],
    'cola' => ['1 can cola', [], true, 'at once', ['theobromineMg']],
    'caffeine tablets' => ['10 caffeine tablets', [], true, 'at once', ['theobromineMg']],
    'wine' => ['200 ml red wine', [], true, 'at once', ['alcoholG', 'grapeG']],
    'spirits' => ['50 ml vodka', [], true, 'at once', ['alcoholG']],
    'iron' => ['5 iron tablets', [], true, 'at once', ['ironMg']],
    'vitamin D' => ['2 vitamin D tablets', [], true, 'at once', ['vitaminDMg']],
    'nutmeg' => ['1 tsp nutmeg', [], true, 'at once', ['nutmegG']],
    'chewing gum' => ['3 pieces of chewing gum', [], true, 'at once', ['xylitolMg']],
    'stock cubes' => ['2 stock cubes', [], false, 'at once', ['saltG']],
    'near where salt harms' => ['1 tbsp salt', ['weightKg' => 15], false, 'Ring your vet today', ['saltG']],
    'biscuits whose label nobody read' => ['10 peanut butter biscuits', [], false, 'Ring your vet today', []],
    'a carrot, an ill dog' => ['20 g carrot', ['conditions' => ['diabetes']], false, 'ask before you wait', []],
    'a carrot, a puppy' => ['20 g carrot', ['ageMonths' => 4], false, 'ask before you wait', []],
    'a carrot' => ['20 g carrot', [], false, 'Nothing on the never list', []],
    'butter, a dog that is not inclined' => ['20 g butter', [], false, 'Nothing on the never list', []],
]);

it('names the label that nobody read, and the amount that nobody knows', function (): void {
    expect(implode(' ', raid(['food' => '10 peanut butter biscuits'])['unread']))->toContain('the label of 10 peanut butter biscuits')->toContain('xylitol')
        ->and(raid(['food' => 'raisins'])['unread'])->toBe(['how much of raisins'])
        ->and(implode(' ', raid(['food' => 'raisins'])['sheet']))->toContain('Not known: how much of raisins');
});

it('takes ranges and "about" at their most', function (): void {
    $raisins = static fn (string $food): float => array_column(raid(['food' => $food])['doses'], null, 'substance')['raisinG']['amount']['high'];
    expect($raisins('about 30 g raisins'))->toBeGreaterThanOrEqual(30)->and($raisins('20-40 g raisins'))->toEqualWithDelta(40, 1e-6)->and($raisins('half a packet of raisins'))->toBeGreaterThan(100);
});

it('asks for no call where even a tenth of the dog in weight would harm nobody', function (string $food, bool $isCalm, array $dog): void {
    $answer = raid(['food' => $food], $dog + ['weightKg' => 19, 'ageMonths' => 40]);
    expect(str_contains($answer['words'], 'Give it water and its quiet'))->toBe($isCalm, $answer['words'])
        ->and($answer['emergency'])->toBeFalse();
    if ($answer['kcal'] === null) {
        expect(implode(' ', $answer['unread']))->toContain("how much of $food");
    }
})->with([
    ['a bowl of porridge', true, []], ['some carrots', true, []], ['a bag of rice', true, []], ['an apple core', true, []], ['half a tub of cream cheese', true, []],
    ['some butter', false, []], ['some peanut butter', false, []], ['some stock', false, []],
    ['some mascarpone', false, ['conditions' => ['pancreatitis']]], ['some butter', false, ['breed' => 'miniature schnauzer']], ['a bowl of porridge', false, ['conditions' => ['kidney']]],
]);

it('says of a drink no fat that it cannot hold', function (string $food): void {
    $answer = raid(['food' => $food], ['conditions' => ['pancreatitis']]);
    expect(array_column($answer['doses'], 'substance'))->not->toContain('fatG')->and($answer['emergency'])->toBeTrue();
})->with(['2 cups of coffee', '30 ml vodka', '10 iron tablets', '1 caffeine tablet']);

it('lets nobody lose fat who does not know it', function (): void {
    foreach (['100 g blue cheese', '100 g salted crisps', '50 g mocha', '200 g raw yeast dough'] as $food) {
        expect(in_array('fatG', array_column(raid(['food' => $food], ['conditions' => ['pancreatitis']])['doses'], 'substance'), true))->toBeTrue($food);
    }
});

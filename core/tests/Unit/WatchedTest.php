<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;

/** @param  array<string, mixed>  $watched  @param  array<string, mixed>  $dog  @return array<string, mixed> */
function judgedFor(array $watched, string $text = "200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil", array $dog = []): array
{
    $request = ['version' => 1, 'recipe' => ['text' => $text], 'cut' => ['shape' => 'pieces', 'count' => 60], 'bake' => ['texture' => 'biscuit'], 'dogs' => [$dog + ['name' => 'Tuppence', 'weightKg' => 9, 'ageMonths' => 48, 'watched' => (object) $watched]]];
    expect(schemaErrors(json_decode((string) json_encode($request)), 'formulate-request'))->toBe('');

    return Asking::of('formulate', $request);
}

/** @return list<string> codes of what is said to the one dog, of lines and of the whole */
function saidToDog(array $answer): array
{
    $codes = array_column($answer['verdict']['dogs'][0]['findings'], 'code');
    sort($codes);

    return $codes;
}

it('holds the ration of what is in trial by the day of the trial', function (): void {
    $full = judgedFor([])['rations'][0]['piecesPerDay'];
    foreach ([1 => 0.25, 2 => 0.25, 3 => 0.5, 4 => 0.5, 5 => 1.0, 20 => 1.0] as $day => $share) {
        $ration = judgedFor(['broughtIn' => [['food' => 'beetroot', 'day' => $day]]])['rations'][0];
        expect($ration['piecesPerDay'])->toEqualWithDelta(floor($full * $share * 4) / 4, 0.26)->and($ration['heldBy'] === 'new-ingredient')->toBe($share < 1.0);
    }
    // of two days that are told of one food the earlier holds
    expect(judgedFor(['broughtIn' => [['food' => 'beetroot', 'day' => 9], ['food' => 'beetroot', 'day' => 1]]])['rations'][0]['heldBy'])->toBe('new-ingredient');
    expect(judgedFor(['broughtIn' => [['food' => 'mackerel', 'day' => 1]]])['rations'][0])->toEqual(judgedFor([])['rations'][0]);
    // and of a food that is new besides, the first days hold
    expect(judgedFor(['broughtIn' => [['food' => 'beetroot', 'day' => 9]]], dog: ['newIngredients' => ['rapeseed oil']])['rations'][0]['heldBy'])->toBe('new-ingredient');
});

it('asks about what is left out and what went badly, and of any food of its kind', function (): void {
    $out = judgedFor(['leftOut' => [['food' => 'root', 'until' => '2026-06-01'], ['food' => 'rice', 'until' => '2026-06-01']]]);
    expect($out['lines'][0]['findings'][0])->toMatchArray(['code' => 'left-out-rice', 'level' => 'ask-vet', 'message' => 'White rice flour: left out for Tuppence until 1 June 2026.']);
    $badly = judgedFor(['wentBadly' => [['food' => 'beetroot', 'saw' => 'its ears were red']]]);
    expect($badly['lines'][1]['findings'][0])->toMatchArray(['code' => 'went-badly-beetroot', 'level' => 'ask-vet'])->and($badly['lines'][1]['findings'][0]['message'])->toContain('when Tuppence tried it, its ears were red')
        ->and($badly['verdict']['dogs'][0]['worst'])->toBe('ask-vet');
    // a kitchen's own food that was taken away is passed over
    expect(saidToDog(judgedFor(['wentBadly' => [['food' => 'stardust', 'saw' => 'it itched']]])))->toBe(saidToDog(judgedFor([])));
});

it('brings a sensitive dog to one food at a time, across all recipes', function (array $dog, array $watched, bool $said): void {
    $answer = judgedFor($watched, dog: $dog);
    expect(str_contains((string) json_encode($answer), 'beside-trial'))->toBe($said);
})->with([
    'new, beside another in trial' => [['allergies' => ['chicken'], 'newIngredients' => ['beetroot']], ['broughtIn' => [['food' => 'mackerel', 'day' => 3]]], true],
    'the food in trial itself' => [['allergies' => ['chicken'], 'newIngredients' => ['beetroot']], ['broughtIn' => [['food' => 'beetroot', 'day' => 3]]], false],
    'nothing new in it' => [['allergies' => ['chicken']], ['broughtIn' => [['food' => 'mackerel', 'day' => 3]]], false],
    'a dog that bears much' => [['newIngredients' => ['beetroot']], ['broughtIn' => [['food' => 'mackerel', 'day' => 3]]], false],
    'nothing in trial' => [['allergies' => ['chicken'], 'newIngredients' => ['beetroot']], [], false],
    'one food did not do' => [['newIngredients' => ['beetroot']], ['broughtIn' => [['food' => 'mackerel', 'day' => 3]], 'wentBadly' => [['food' => 'pork', 'saw' => 'it itched']]], true],
]);

it('takes no finding away, whatever is watched', function (): void {
    $text = "200 g rice flour\n90 g cooked beetroot\n20 g raisins\n40 g minced chicken\n10 g cheddar";
    $plain = saidToDog(judgedFor([], $text, ['allergies' => ['chicken'], 'conditions' => ['pancreatitis']]));
    foreach ([['broughtIn' => [['food' => 'raisin', 'day' => 9]]], ['leftOut' => [['food' => 'beetroot', 'until' => '2026-06-01']]], ['wentBadly' => [['food' => 'raisin', 'saw' => 'it itched']]], ['tastes' => [['food' => 'raisin', 'took' => 9, 'of' => 9]]]] as $watched) {
        $now = saidToDog(judgedFor($watched, $text, ['allergies' => ['chicken'], 'conditions' => ['pancreatitis']]));
        expect(array_diff($plain, $now))->toBe([]);
    }
});

it('tells every food that was eaten, and no food that was not', function (): void {
    $day = static function (array $given): array {
        $request = ['version' => 1, 'date' => '2026-05-14', 'dogs' => [['name' => 'Quill', 'weightKg' => 12, 'ageMonths' => 90]], 'given' => $given, 'batches' => [
            ['id' => 'b', 'question' => ['version' => 1, 'recipe' => ['text' => "200 g rice flour\n90 g cooked beetroot or carrot\n60 ml water\n5 g moondust\n1 egg"], 'cut' => ['shape' => 'pieces', 'count' => 60]]],
        ]];

        return Asking::of('day', $request)['dogs'][0]['ate'];
    };
    expect($day([]))->toBe([]);
    expect($day([['dog' => 'Quill', 'batch' => 'b', 'pieces' => 1]]))->toContain('white-rice-flour', 'beetroot-cooked', 'egg', '5 g moondust')->not->toContain('water');
    expect($day([['dog' => 'Quill', 'text' => '20 g cooked chicken'], ['dog' => 'Quill', 'text' => 'half a glorp']]))->toBe(['chicken-breast-cooked', 'half a glorp']);
    expect($day([['dog' => 'Quill', 'label' => ['name' => 'bought chew', 'kcal' => 35], 'pieces' => 1]]))->toBe(['bought chew']);
    expect($day([['dog' => 'Quill', 'label' => ['name' => 'bought chew', 'kcal' => 35, 'ingredients' => 'Barley flour, duck. May contain peanuts'], 'pieces' => 1]]))->toBe(['barley-flour', 'duck-meat']);
});

it('takes a food that it bears for new no more, though a wider group is, until it is tried again', function (): void {
    $held = static fn (array $watched): ?string => judgedFor($watched, "200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil", ['newIngredients' => ['vegetable']])['rations'][0]['heldBy'];
    expect($held([]))->toBe('new-ingredient')->and($held(['bears' => ['beetroot']]))->not->toBe('new-ingredient')->and($held(['bears' => ['carrot']]))->toBe('new-ingredient');
    expect($held(['bears' => ['beetroot'], 'broughtIn' => [['food' => 'beetroot', 'day' => 1]]]))->toBe('new-ingredient');
});

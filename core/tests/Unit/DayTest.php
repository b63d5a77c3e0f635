<?php

declare(strict_types=1);

use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;

const KENNEL = [
    ['id' => 'd1', 'name' => 'Quill', 'weightKg' => 12.5, 'ageMonths' => 144, 'neutered' => true, 'bodyCondition' => 5, 'conditions' => ['heart'], 'foodKcalPer100g' => 360],
    ['id' => 'd2', 'name' => 'Tuppence', 'weightKg' => 9, 'ageMonths' => 48, 'neutered' => true, 'bodyCondition' => 5, 'allergies' => ['chicken', 'gluten'], 'foodKcalPer100g' => 350],
    ['id' => 'd3', 'name' => 'Ferris', 'weightKg' => 36, 'ageMonths' => 72, 'neutered' => true, 'bodyCondition' => 7, 'conditions' => ['pancreatitis']],
    ['id' => 'd4', 'name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 36, 'neutered' => false, 'bodyCondition' => 5, 'activity' => 'active'],
    ['id' => 'd5', 'name' => 'Biscay', 'weightKg' => 17, 'ageMonths' => 5, 'expectedAdultWeightKg' => 48, 'newIngredients' => ['beetroot']],
];

/** What a vet said of their conditions, so that they are judged by their limits. */
const SAID = [['code' => 'ask-vet', 'dog' => 'Quill'], ['code' => 'ask-vet', 'dog' => 'Ferris']];

/** @return array<string, mixed> */
function treat(string $text, int $count = 60, string $texture = 'biscuit'): array
{
    return ['version' => 1, 'recipe' => ['text' => $text], 'cut' => ['shape' => 'pieces', 'count' => $count], 'bake' => ['texture' => $texture], 'confirmed' => SAID];
}

/** @return list<array<string, mixed>> */
function batches(): array
{
    return [
        ['id' => 'beet', 'question' => treat("200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil")], ['id' => 'liver', 'question' => treat("200 g rice flour\n150 g beef liver\n60 g water", 50)],
        ['id' => 'salty', 'question' => treat("200 g rice flour\n1/2 tsp salt\n100 g cheddar\n60 g water", 40)], ['id' => 'fowl', 'question' => treat("200 g oat flour\n150 g minced chicken", 80)],
        ['id' => 'tuna', 'question' => treat("200 g rice flour\n120 g tinned tuna in water\n1 large egg", 50)],
    ];
}

/** @param  array<string, mixed>  $more  @return array<string, array<string, mixed>> by dog */
function dayOf(array $more): array
{
    $request = $more + ['version' => 1, 'date' => '2026-05-14', 'dogs' => KENNEL, 'batches' => batches()];
    expect(schemaErrors(json_decode((string) json_encode($request)), 'day-request'))->toBe('');
    $answer = Asking::of('day', $request);
    expect(schemaErrors($answer, 'day-answer'))->toBe('');

    return array_column($answer['dogs'], null, 'dog');
}

/** @param  array<string, mixed>  $dog  @return array<string, array{?float, ?string}> */
function mayHave(array $dog): array
{
    return array_column(array_map(static fn (array $may): array => [$may['batch'], [$may['pieces'] === null ? null : (float) $may['pieces'], $may['heldBy']]], $dog['may']), 1, 0);
}

/** @param  array<string, array<string, mixed>>  $day  @return array<string, array{float, ?float, list<?float>, list<string>}> */
function rounded(array $day): array
{
    return array_map(static fn (array $dog): array => [
        round($dog['given']['kcal']['best'], 6), $dog['leftKcal'] === null ? null : round($dog['leftKcal'], 6), array_column($dog['may'], 'pieces'), array_column($dog['findings'], 'code'),
    ], $day);
}

/** @return list<array<string, mixed>> */
function someGiven(int $most): array
{
    $given = [];
    for ($n = mt_rand(1, $most); $n > 0; $n--) {
        $dog = KENNEL[mt_rand(0, 4)];
        $given[] = match (mt_rand(0, 3)) {
            0 => ['dog' => $dog['name'], 'text' => mt_rand(2, 30).' g '.['cooked chicken', 'carrot', 'cheddar', 'cooked rice', 'tinned tuna'][mt_rand(0, 4)]],
            1 => ['dog' => $dog['id'], 'label' => ['name' => 'bought chew', 'kcal' => mt_rand(1, 20), 'sodiumMg' => [null, 4, 60][mt_rand(0, 2)], 'fatG' => [null, 0.4][mt_rand(0, 1)]], 'pieces' => mt_rand(1, 4) / 2],
            default => ['dog' => $dog['name'], 'batch' => ['beet', 'liver', 'salty', 'fowl', 'tuna'][mt_rand(0, 4)], 'pieces' => mt_rand(1, 8) / 4],
        };
    }

    return $given;
}

it('tells of a day without treats what formulate tells of each batch', function (): void {
    $day = dayOf([]);
    foreach (batches() as $batch) {
        $alone = Asking::of('formulate', ['dogs' => KENNEL] + $batch['question']);
        foreach ($alone['rations'] as $ration) {
            $dog = $day[$ration['dog']];
            expect(mayHave($dog)[$batch['id']])->toBe([$ration['piecesPerDay'] === null ? null : (float) $ration['piecesPerDay'], $ration['heldBy']], "{$ration['dog']}: {$batch['id']}")
                ->and($dog['budgetKcal'])->toBe($ration['treatBudgetKcal'])->and($dog['leftKcal'])->toBe($ration['treatBudgetKcal']);
        }
    }
    expect($day['Tuppence']['may'][3]['heldBy'])->toBe('not-cleared')->and($day['Biscay']['may'][0]['heldBy'])->toBe('new-ingredient')->and(array_column($day, 'dogId'))->toBe(['d1', 'd2', 'd3', 'd4', 'd5']);
});

it('takes a piece off the budget and off every limit, and never gives more for it', function (): void {
    mt_srand(77);
    for ($n = 0; $n < 60; $n++) {
        $given = someGiven(5);
        $before = dayOf(['given' => array_slice($given, 0, -1)]);
        $after = dayOf(['given' => $given]);
        $last = $given[count($given) - 1];
        foreach ($after as $name => $dog) {
            $gave = in_array($last['dog'], [$name, $dog['dogId']], true);
            $kcal = $dog['given']['kcal']['best'] - $before[$name]['given']['kcal']['best'];
            expect($gave ? $kcal > 0.0 : $kcal === 0.0)->toBeTrue()
                ->and($dog['leftKcal'])->toEqualWithDelta($before[$name]['leftKcal'] - $kcal, 1e-9)
                ->and($dog['over'])->toBe($dog['leftKcal'] < 0.0 && $dog['leftKcal'] < -1e-9);
            foreach (mayHave($dog) as $batch => [$pieces]) {
                expect($pieces)->toBeLessThanOrEqual(mayHave($before[$name])[$batch][0] ?? 0.0);
            }
            if ($dog['over']) {
                expect(array_filter(array_column($dog['may'], 'pieces')))->toBe([]);
            }
            // what was found is still found
            expect(array_diff(array_column($before[$name]['findings'], 'code'), array_column($dog['findings'], 'code')))->toBe([]);
        }
    }
});

it('does not mind who gave it, in which order, or in how many bites', function (): void {
    mt_srand(78);
    for ($n = 0; $n < 40; $n++) {
        $given = someGiven(6);
        $one = rounded(dayOf(['given' => $given]));
        $bites = [];
        foreach ($given as $bite) {
            array_push($bites, ...isset($bite['pieces']) ? [['pieces' => $bite['pieces'] * 0.25] + $bite, ['pieces' => $bite['pieces'] * 0.75] + $bite] : [$bite]);
        }
        shuffle($bites);
        $two = rounded(dayOf(['given' => $bites]));
        foreach ($one as $name => $dog) {
            sort($dog[3]);
            sort($two[$name][3]);
            expect($two[$name])->toBe($dog);
        }
    }
});

it('never lets the pieces that it still allows run over the budget or a dose', function (): void {
    mt_srand(79);
    for ($n = 0; $n < 40; $n++) {
        $given = someGiven(3);
        $day = dayOf(['given' => $given]);
        $batch = ['beet', 'liver', 'salty', 'fowl', 'tuna'][mt_rand(0, 4)];
        foreach ($day as $name => $dog) {
            $pieces = mayHave($dog)[$batch][0] ?? 0.0;
            if ($pieces > 0.0) {
                $then = dayOf(['given' => [...$given, ['dog' => $name, 'batch' => $batch, 'pieces' => $pieces]]])[$name];
                $limits = array_filter($then['findings'], static fn (array $finding): bool => $finding['level'] === 'limit');
                expect($then['over'])->toBeFalse("$name, $batch: $pieces")->and(mayHave($then)[$batch][0])->toBe(0.0)
                    ->and(array_diff(array_column($limits, 'code'), array_column($dog['findings'], 'code')))->toBe([], "$name, $batch");
            }
        }
    }
});

it('reckons with what an occasion borrowed, and gives nothing of it to a dose', function (): void {
    $plain = dayOf([]);
    $borrowed = dayOf(['borrowed' => [['dog' => 'Bosun', 'kcal' => 6.0], ['dog' => 'd4', 'kcal' => 4.0], ['dog' => 'Quill', 'kcal' => 500]]]);
    expect($borrowed['Bosun']['leftKcal'])->toEqualWithDelta($plain['Bosun']['leftKcal'] - 10.0, 1e-9)->and($borrowed['Bosun']['given']['kcal']['best'])->toBe(0.0)
        ->and($borrowed['Quill']['over'])->toBeTrue()->and(array_filter(array_column($borrowed['Quill']['may'], 'pieces')))->toBe([])
        ->and($borrowed['Ferris'])->toBe($plain['Ferris'])->and($borrowed['Quill']['holdBackGrams'])->toBe(0.0);
});

it('holds back of its own food what the treats had', function (): void {
    $dog = dayOf(['given' => [['dog' => 'Quill', 'text' => '20 g carrot'], ['dog' => 'Ferris', 'text' => '20 g carrot']]]);
    expect($dog['Quill']['holdBackGrams'])->toEqualWithDelta($dog['Quill']['given']['kcal']['best'] / 3.6, 1e-9)->and($dog['Ferris']['holdBackGrams'])->toBeNull();
});

it('tells with the emergency words what should never have been given', function (array $given, string $level, string $code, bool $emergency): void {
    $dog = dayOf(['given' => [$given + ['dog' => 'Tuppence']]])['Tuppence'];
    $found = array_values(array_filter($dog['findings'], static fn (array $finding): bool => $finding['code'] === $code));
    expect($found)->not->toBe([])->and($found[0]['level'])->toBe($level)->and($found[0]['emergency'])->toBe($emergency);
})->with([
    'a raisin bun' => [['text' => '2 raisins'], 'never', 'grape', true],
    'chicken' => [['text' => '20 g cooked chicken'], 'allergen', 'allergy-chicken', false],
    'a piece of the chicken batch' => [['batch' => 'fowl', 'pieces' => 0.5], 'allergen', 'allergy-chicken', false],
    'a bar by its name' => [['label' => ['name' => 'dark chocolate bar', 'kcal' => 20], 'pieces' => 1], 'never', 'chocolate', true],
    'a chew by its list' => [['label' => ['name' => 'Cabin Chew', 'kcal' => 20, 'ingredients' => 'rice, chicken meal, xylitol'], 'pieces' => 1], 'never', 'xylitol', true],
    'what nobody can read' => [['text' => '1 bite of blorp'], 'unknown', 'given-unknown', false],
    'how much, nobody said' => [['text' => 'cooked rice'], 'unknown', 'given-unknown', false],
    'a label without any figure' => [['label' => ['name' => 'Cabin Chew'], 'pieces' => 1], 'unknown', 'given-unknown', false],
]);

it('speaks of what was eaten, not of a line to be mended', function (): void {
    $found = array_column(dayOf(['given' => [['dog' => 'Quill', 'text' => '1 bite of blorp']]])['Quill']['findings'], 'message', 'code');
    expect($found['unrecognised'])->toBe('Nobody here knows what "1 bite of blorp" is.')->and($found['given-unknown'])->toContain('"1 bite of blorp"');
});

it('tells no more pieces where nobody knows what was eaten, and holds by the most where a label is silent', function (): void {
    $pieces = static fn (array $given, string $dog, string $batch): array => mayHave(dayOf(['given' => [$given + ['dog' => $dog]]])[$dog])[$batch];
    expect($pieces(['text' => 'cooked rice'], 'Bosun', 'beet'))->toBe([0.0, 'unknown-energy'])
        ->and($pieces(['label' => ['name' => 'Cabin Chew'], 'pieces' => 1], 'Bosun', 'beet'))->toBe([0.0, 'unknown-energy'])
        // 5 g of anything are 45 kcal at most, 22.5 at best
        ->and($pieces(['label' => ['name' => 'Cabin Chew', 'grams' => 5], 'pieces' => 1], 'Bosun', 'beet'))->toBe($pieces(['label' => ['name' => 'Cabin Chew', 'kcal' => 45], 'pieces' => 1], 'Bosun', 'beet')[0] === null ? [] : [$pieces(['label' => ['name' => 'Cabin Chew', 'kcal' => 45], 'pieces' => 1], 'Bosun', 'beet')[0], 'unknown-energy']);
    $silent = dayOf(['given' => [['dog' => 'Quill', 'label' => ['name' => 'Cabin Chew', 'kcal' => 10], 'pieces' => 2]]])['Quill'];
    $told = dayOf(['given' => [['dog' => 'Quill', 'label' => ['name' => 'Cabin Chew', 'kcal' => 10, 'sodiumMg' => 1, 'fatG' => 0.1], 'pieces' => 2]]])['Quill'];
    expect($silent['given']['sodiumMg'])->toEqual(['low' => 0, 'best' => 0, 'high' => 40])->and($told['given']['sodiumMg'])->toEqual(['low' => 2, 'best' => 2, 'high' => 2])
        ->and(mayHave($silent)['salty'])->toBe([0.0, 'sodium'])->and(mayHave($told)['liver'][0])->toBeGreaterThanOrEqual(mayHave($silent)['liver'][0]);
});

it('keeps to the rules of a week', function (array $before, array $policy, string $batch, ?string $heldBy): void {
    $before = array_map(static fn (int $ago, array $had): array => ['on' => (new DateTimeImmutable('2026-05-14'))->modify("-$ago days")->format('Y-m-d'), 'dog' => 'Bosun'] + $had, array_keys($before), $before);
    $question = treat("200 g rice flour\n1/4 clove garlic\n60 g water", 80);
    $day = dayOf(['before' => $before, 'policy' => $policy + ['garlic' => 'avoid'], 'batches' => [...batches(), ['id' => 'garlic', 'question' => $question]]]);
    [$pieces, $held] = mayHave($day['Bosun'])[$batch];
    expect($heldBy === null ? $pieces > 0.0 : $pieces === 0.0)->toBeTrue()->and($heldBy === null || $held === $heldBy)->toBeTrue();
    // another dog's week is its own
    expect(mayHave($day['Biscay'])['tuna'][0])->toBeGreaterThan(0.0);
})->with([
    'tuna yesterday' => [[1 => ['predatorFish' => true]], [], 'tuna', 'predator-fish'],
    'tuna six days ago' => [[6 => ['predatorFish' => true]], [], 'tuna', 'predator-fish'],
    'tuna a week ago' => [[7 => ['predatorFish' => true]], [], 'tuna', null],
    'other fish' => [[1 => ['predatorFish' => false]], [], 'tuna', null],
    'tuna holds no other batch' => [[1 => ['predatorFish' => true]], [], 'liver', null],
    'garlic on five of six days' => [[1 => ['garlicG' => 0.1], 2 => ['garlicG' => 0.1], 3 => ['garlicG' => 0.1], 5 => ['garlicG' => 0.1], 6 => ['garlicG' => 0.1]], ['garlic' => 'measured'], 'garlic', 'garlic'],
    'garlic on four days' => [[1 => ['garlicG' => 0.1], 2 => ['garlicG' => 0.1], 3 => ['garlicG' => 0.1], 6 => ['garlicG' => 0.1]], ['garlic' => 'measured'], 'garlic', null],
    'the fifth a week ago' => [[1 => ['garlicG' => 0.1], 2 => ['garlicG' => 0.1], 3 => ['garlicG' => 0.1], 4 => ['garlicG' => 0.1], 7 => ['garlicG' => 0.1]], ['garlic' => 'measured'], 'garlic', null],
]);

it('tells of a fish for one day of the week that was given on a second', function (): void {
    $given = ['given' => [['dog' => 'Bosun', 'batch' => 'tuna', 'pieces' => 1]]];
    $again = dayOf($given + ['before' => [['on' => '2026-05-12', 'dog' => 'Bosun', 'predatorFish' => true]]])['Bosun'];
    expect(array_column($again['findings'], 'level', 'code')['predator-fish'] ?? null)->toBe('limit')->and(array_column(dayOf($given)['Bosun']['findings'], 'code'))->not->toContain('predator-fish');
});

it('lets a quarter of a day be of new food, whatever it comes in', function (): void {
    $full = mayHave(dayOf(['dogs' => [['newIngredients' => []] + KENNEL[4]]])['Biscay'])['beet'][0];
    $first = mayHave(dayOf([])['Biscay'])['beet'][0];
    expect($first)->toBeLessThanOrEqual($full / 4 + 0.25)->and($first)->toBeGreaterThan(0.0);
    $had = dayOf(['given' => [['dog' => 'Biscay', 'batch' => 'beet', 'pieces' => $first]]])['Biscay'];
    expect(mayHave($had)['beet'])->toBe([0.0, 'new-ingredient'])->and(mayHave($had)['liver'][0])->toBeGreaterThan(0.0);
    $scrap = dayOf(['given' => [['dog' => 'Biscay', 'text' => '80 g cooked beetroot']]])['Biscay'];
    expect(mayHave($scrap)['beet'][0])->toBeLessThan($first);
});

it('ignores the dogs and the policy of a batch, and whom its portions are for', function (): void {
    $batches = batches();
    $plain = dayOf([]);
    $batches[0]['question'] += ['dogs' => [['name' => 'Odette', 'weightKg' => 24]], 'policy' => ['budgetPercent' => 1]];
    expect(dayOf(['batches' => $batches]))->toEqual($plain);
    $batches[0]['question']['dogs'][] = ['name' => 'Quill', 'weightKg' => 3];
    $batches[0]['question']['portions'] = [['name' => 'small', 'dogs' => ['Odette', 'Quill'], 'share' => 0.5, 'cut' => ['shape' => 'pieces', 'count' => 300]]];
    $divided = dayOf(['batches' => $batches]);
    expect(mayHave($divided['Quill'])['beet'][0])->toBeGreaterThan(mayHave($plain['Quill'])['beet'][0]);
});

it('gives nothing to a dog without a weight, and to one that is nursing', function (): void {
    $day = dayOf(['dogs' => [['name' => 'Quill'], ['name' => 'Odette', 'weightKg' => 24, 'conditions' => ['nursing']]], 'given' => [['dog' => 'Quill', 'batch' => 'beet', 'pieces' => 1]]]);
    expect($day['Quill']['budgetKcal'])->toBeNull()->and($day['Quill']['leftKcal'])->toBeNull()->and($day['Quill']['over'])->toBeFalse()->and($day['Quill']['given']['kcal']['best'])->toBeGreaterThan(0)
        ->and(array_filter(array_column($day['Odette']['may'], 'pieces')))->toBe([]);
});

it('says what is wrong with a request, and where', function (array $more, string $path): void {
    try {
        Asking::of('day', $more + ['version' => 1, 'date' => '2026-05-14', 'dogs' => KENNEL, 'batches' => batches()]);
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->path)->toBe($path);
})->with([
    [['date' => '2026-13-01'], '/date'], [['dogs' => [['name' => 'Quill', 'weightKg' => -3]]], '/dogs/0/weightKg'], [['policy' => ['garlic' => 'lots']], '/policy/garlic'],
    [['given' => [['dog' => 'Nobody', 'text' => '3 g carrot']]], '/given/0/dog'], [['given' => [['dog' => 'Quill']]], '/given/0/batch'], [['given' => [['dog' => 'Quill', 'batch' => 'loaf', 'pieces' => 1]]], '/given/0/batch'],
    [['given' => [['dog' => 'Quill', 'batch' => 'beet']]], '/given/0/pieces'], [['given' => [['dog' => 'Quill', 'batch' => 'beet', 'pieces' => 0]]], '/given/0/pieces'], [['given' => [['dog' => 'Quill', 'batch' => 'beet', 'pieces' => 2000]]], '/given/0/pieces'],
    [['given' => [['dog' => 'Quill', 'text' => '3 g carrot', 'pieces' => 2]]], '/given/0/pieces'], [['given' => [['dog' => 'Quill', 'label' => ['name' => 'x', 'kcal' => -1], 'pieces' => 2]]], '/given/0/label/kcal'],
    [['borrowed' => [['dog' => 'Quill', 'kcal' => -30000]]], '/borrowed/0/kcal'], [['before' => [['on' => 'monday', 'dog' => 'Quill']]], '/before/0/on'],
    [['batches' => [['id' => 'a', 'question' => treat('1 egg')], ['id' => 'a', 'question' => treat('1 egg')]]], '/batches/1/id'], [['batches' => [['id' => 'a', 'question' => ['version' => 1, 'recipe' => ['text' => '']]]]], '/batches/0/question/recipe/text'],
    [['batches' => [['id' => 'a', 'question' => ['recipe' => ['text' => '100 g oats', 'asMade' => [['row' => 7, 'grams' => 3]]]] + treat('100 g oats')]]], '/batches/0/question/recipe/asMade/0/row'],
]);

<?php

declare(strict_types=1);

use MildBowl\Core\Dogs\Liking;
use MildBowl\Core\Dogs\Taste;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @param  list<array<string, mixed>>  $offered  @return array<string, mixed> */
function likesOf(array $offered): array
{
    $request = ['version' => 1, 'dog' => 'Tuppence', 'offered' => $offered];
    expect(schemaErrors(json_decode((string) json_encode($request)), 'likes-request'))->toBe('');
    $answer = Asking::of('likes', $request);
    expect(schemaErrors($answer, 'likes-answer'))->toBe('');

    return $answer;
}

/** @return list<array<string, mixed>> */
function offeredTimes(int $times, string $how, array $foods, string $on = '2026-05-01', ?string $texture = null, ?string $shape = null): array
{
    return array_fill(0, $times, ['on' => $on, 'how' => $how, 'foods' => $foods] + array_filter(['texture' => $texture, 'shape' => $shape]));
}

it('says nothing of what was offered fewer than three times, and liked from four of five on', function (float $took, int $of, Liking $liking): void {
    expect((new Taste($took, $of))->liking())->toBe($liking);
})->with([
    [2, 2, Liking::Unknown], [3, 3, Liking::Liked], [4, 5, Liking::Liked], [3, 4, Liking::Mixed], [2, 4, Liking::Mixed], [1, 3, Liking::Refused], [2, 5, Liking::Mixed], [0, 3, Liking::Refused],
]);

it('counts by food, texture and shape, what is taken most surely in front', function (): void {
    $answer = likesOf([
        ...offeredTimes(5, 'first', ['venison-cooked', 'parsnip'], '2026-05-02', 'biscuit', 'round'), ...offeredTimes(1, 'again', ['venison-cooked'], '2026-05-09', 'soft'),
        ...offeredTimes(4, 'refused', ['cod'], '2026-05-03', 'jerky', 'strip'), ...offeredTimes(1, 'left', ['cod', 'parsnip']),
    ]);
    $foods = array_column($answer['foods'], null, 'what');
    expect(array_keys($foods))->toBe(['venison-cooked', 'parsnip', 'cod'])
        ->and($foods['venison-cooked'])->toMatchArray(['took' => 6, 'of' => 6, 'again' => 1, 'liking' => 'liked', 'lastOn' => '2026-05-09'])
        ->and($foods['parsnip'])->toMatchArray(['took' => 5, 'of' => 6, 'liking' => 'liked'])->and($foods['cod'])->toMatchArray(['took' => 0, 'of' => 5, 'liking' => 'refused']);
    expect(array_column($answer['textures'], 'of', 'what'))->toBe(['biscuit' => 5, 'soft' => 1, 'jerky' => 4])->and(array_column($answer['shapes'], 'what'))->toBe(['round', 'strip']);
    expect($answer['says'])->toBe('Takes cooked venison (6 of 6), parsnip (5 of 6). Leaves cod, raw (0 of 5).');
    expect(likesOf([])['says'])->toContain('Nobody has written down yet how Tuppence takes')->and(likesOf(offeredTimes(2, 'first', ['pear']))['says'])->toContain('Too few times to tell: Tuppence was watched 2 times.');
});

it('answers the same in any order, and loses no time that something was offered', function (): void {
    $chance = new Randomizer(new Mt19937(7));
    for ($n = 0; $n < 20; $n++) {
        $offered = [];
        for ($i = 0; $i < 40; $i++) {
            $offered[] = ['on' => sprintf('2026-05-%02d', $chance->getInt(1, 28)), 'how' => ['first', 'again', 'left', 'refused'][$chance->getInt(0, 3)], 'foods' => [['pear', 'cod', 'beef', 'oat flour'][$chance->getInt(0, 3)], 'the neighbour\'s biscuits'], 'texture' => 'biscuit'];
        }
        $answer = likesOf($offered);
        expect(likesOf($chance->shuffleArray($offered)))->toEqual($answer)->and(array_sum(array_column($answer['foods'], 'of')))->toBe(80)->and($answer['textures'][0]['of'])->toBe(40);
        $took = count(array_filter($offered, static fn (array $one): bool => in_array($one['how'], ['first', 'again'], true)));
        expect($answer['textures'][0]['took'])->toBe($took);
    }
});

it('prefers in a swap what the dog takes to what it leaves', function (): void {
    $ask = static fn (array $tastes): array => array_map(static fn (array $one): string => implode(' + ', $one['texts']), Asking::of('swaps', ['version' => 1, 'line' => 1, 'recipe' => ['text' => "200 g rice flour\n90 g minced chicken\n20 g rapeseed oil"], 'dogs' => [
        ['name' => 'Tuppence', 'weightKg' => 9, 'ageMonths' => 48, 'allergies' => ['chicken'], 'watched' => ['tastes' => $tastes]],
    ]])['candidates']);
    $plain = $ask([]);
    $isRabbit = static fn (string $text): bool => str_contains($text, 'rabbit');
    $place = static fn (array $list): int => (int) array_key_first(array_filter($list, $isRabbit));
    $liked = $ask([['food' => 'rabbit', 'took' => 6, 'of' => 6]]);
    $refused = $ask([['food' => 'rabbit', 'took' => 0, 'of' => 6]]);
    expect($place($liked))->toBeLessThan($place($plain))->and($place($refused))->toBeGreaterThan($place($plain));
    // what stands against a food or speaks for it moves it, and takes nothing away
    sort($liked);
    sort($refused);
    sort($plain);
    expect($liked)->toBe($plain)->and($refused)->toBe($plain);
});

it('puts into a rescue what the dogs take, where all else is alike, and never changes more for it', function (): void {
    $rescued = static function (array $tastes): array {
        $answer = Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => "200 g rice flour\n90 g minced chicken\n20 g rapeseed oil\n30 g raisins"], 'cut' => ['shape' => 'pieces', 'count' => 60], 'dogs' => [
            ['name' => 'Tuppence', 'weightKg' => 9, 'ageMonths' => 48, 'allergies' => ['chicken'], 'watched' => ['tastes' => $tastes]],
        ]]);

        return $answer['rescues'][0];
    };
    $plain = $rescued([]);
    $rabbit = $rescued([['food' => 'rabbit', 'took' => 9, 'of' => 9]]);
    expect($plain['recipeText'])->not->toContain('rabbit')->and($rabbit['recipeText'])->toContain('rabbit');
    $all = $rescued(array_map(static fn (string $food): array => ['food' => $food, 'took' => 5, 'of' => 5], array_slice(MildBowl\Core\Pantry\Catalogue::ids(), 0, 1500)));
    expect(count($all['changes']))->toBe(count($plain['changes']))->and(count($rabbit['changes']))->toBe(count($plain['changes']));
    expect($rescued([['food' => 'turkey', 'took' => 0, 'of' => 9]])['recipeText'])->not->toContain('turkey');
});

it('refuses in words what cannot be', function (array $change, string $path): void {
    try {
        Asking::of('likes', ['version' => 1, 'dog' => 'Tuppence', 'offered' => [$change + ['on' => '2026-05-01', 'how' => 'first', 'foods' => ['pear']]]]);
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->path)->toBe($path);
})->with([[['how' => 'gladly'], '/offered/0/how'], [['texture' => 'mush'], '/offered/0/texture'], [['shape' => 'moon'], '/offered/0/shape'], [['foods' => ['']], '/offered/0/foods/0'], [['on' => 'today'], '/offered/0/on']]);

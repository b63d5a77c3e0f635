<?php

declare(strict_types=1);

use MildBowl\Core\Keeping\ShelfLife;
use MildBowl\Core\Keeping\ToldKeeping;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;

/** @param  array<string, mixed>  $more  @param  array<string, mixed>  $question  @return array<string, mixed> */
function kept(string $text, string $texture = 'biscuit', array $more = [], array $question = []): array
{
    $request = $more + ['version' => 1, 'question' => $question + ['version' => 1, 'recipe' => ['text' => $text], 'cut' => ['shape' => 'pieces', 'count' => 60], 'bake' => ['texture' => $texture]], 'made' => '2026-05-14', 'roomCelsius' => 20];
    expect(schemaErrors(json_decode((string) json_encode($request)), 'keep-request'))->toBe('');
    $answer = Asking::of('keep', $request);
    expect(schemaErrors($answer, 'keep-answer'))->toBe('');

    return $answer;
}

/** @param  array<string, mixed>  $answer  @return array<string, int> */
function daysOf(array $answer, string $key = 'days'): array
{
    return array_column($answer['places'], $key, 'place');
}

it('knows how long what was made keeps, and at most', function (string $row): void {
    [$recipe, $texture, $as, $room, $class, $jar, $fridge, $freezer] = array_map(trim(...), explode('|', $row));
    $answer = kept(strtr($recipe, ['; ' => "\n"]), $texture, ['as' => $as, 'roomCelsius' => (float) $room]);
    $shown = array_map(static fn (array $place): string => "{$place['days']} ({$place['atMost']})", $answer['places']);
    expect([$answer['class'], ...$shown])->toBe([$class, $jar, $fridge, $freezer])
        ->and($answer['thawedDays'])->toBe(daysOf($answer)['fridge'])->and($answer['because'])->not->toBe('');
})->with(static fn (): array => array_combine(Cases::rows('keep.txt'), array_map(static fn (string $row): array => [$row], Cases::rows('keep.txt'))));

it('has every class of the reference, as it stands there', function (): void {
    $said = [
        'hard-biscuit' => [21, 42, 180], 'biscuit' => [10, 21, 120], 'chewy' => [2, 7, 90], 'dry-with-meat' => [0, 14, 90], 'plant-chews' => [7, 21, 120], 'roasted-seeds' => [7, 21, 120],
        'dough' => [0, 2, 60], 'dough-with-meat' => [0, 1, 30], 'soft' => [1, 5, 90], 'moist' => [0, 3, 60], 'jerky' => [0, 14, 120], 'no-bake' => [0, 5, 60], 'frozen' => [0, 1, 60],
    ];
    foreach (table('keeping') as $row) {
        $life = ShelfLife::of($row['class']);
        expect([$life->jarDays, $life->fridgeDays, $life->freezerDays])->toBe($said[$row['class']] ?? []);
    }
    expect(array_column(table('keeping'), 'class'))->toBe(array_keys($said));
});

it('counts the days from the day it was made, and puts pieces away', function (): void {
    $answer = kept("200 g oat flour\n80 g pumpkin puree", 'biscuit', ['split' => [['place' => 'fridge', 'pieces' => 12, 'bags' => 1], ['place' => 'freezer', 'pieces' => 40, 'bags' => 4], ['place' => 'jar', 'pieces' => 3.5]]]);
    expect(array_column($answer['places'], 'bestBefore', 'place'))->toBe(['jar' => '2026-05-24', 'fridge' => '2026-06-04', 'freezer' => '2026-09-11'])
        ->and(array_column($answer['split'], 'bestBefore'))->toBe(['2026-06-04', '2026-09-11', '2026-05-24'])
        ->and(array_column($answer['split'], 'bags'))->toBe([1, 4, 1])->and($answer['left'])->toBe(4.5);
    $meat = kept("200 g oat flour\n400 g minced turkey", 'soft', ['split' => [['place' => 'jar', 'pieces' => 12]]]);
    expect($meat['split'][0]['bestBefore'])->toBeNull()->and(array_column($meat['places'], 'bestBefore', 'place')['jar'])->toBeNull();
});

it('refuses what cannot be, with its place', function (array $more, string $path, string $says): void {
    try {
        Asking::of('keep', $more + ['version' => 1, 'question' => ['version' => 1, 'recipe' => ['text' => '200 g oat flour'], 'cut' => ['shape' => 'pieces', 'count' => 60]], 'made' => '2026-05-14']);
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->path)->toBe($path)->and($refused?->getMessage())->toContain($says);
})->with([
    'more than there is' => [['split' => [['place' => 'jar', 'pieces' => 50], ['place' => 'fridge', 'pieces' => 11]]], '/split/1/pieces', '60 pieces in all'],
    'a bag of none' => [['split' => [['place' => 'jar', 'pieces' => 0]]], '/split/0/pieces', 'more than 0'],
    'no bags' => [['split' => [['place' => 'jar', 'pieces' => 1, 'bags' => 0]]], '/split/0/bags', 'from 1'],
    'a place nobody knows' => [['split' => [['place' => 'cellar', 'pieces' => 1]]], '/split/0/place', 'jar, fridge, freezer'],
    'no such day' => [['made' => '2026-02-30'], '/made', 'a date'],
    'an oven for a room' => [['roomCelsius' => 200], '/roomCelsius', '°C'],
    'no such lot' => [['lot' => 'crumbs'], '/lot', 'no lot'],
    'as nobody has it' => [['as' => 'raw'], '/as', 'baked, dough'],
    'inside the question' => [['question' => ['version' => 1, 'recipe' => ['text' => '']]], '/question/recipe/text', 'empty'],
]);

it('questions a keeping time that the recipe tells, where it is longer than ours', function (): void {
    $because = static fn (string $method): string => kept("200 g oat flour\n80 g pumpkin puree", 'biscuit', [], ['recipe' => ['text' => "200 g oat flour\n80 g pumpkin puree", 'steps' => $method]])['because'];
    expect($because('Bake. Keep in a tin for 3 weeks.'))->toContain('"Bake. Keep in a tin for 3 weeks."')->toContain('at most 10 days in the jar')
        ->and($because('Bake. Keep in a tin for 10 days.'))->not->toContain('Our table');
});

it('keeps a divided batch by the lot that spoils first, or one lot by itself', function (): void {
    $portions = ['portions' => [['name' => 'soft ones', 'share' => 0.5, 'bake' => ['texture' => 'soft']]]];
    expect(kept("200 g oat flour\n80 g pumpkin puree", 'hard', [], $portions)['class'])->toBe('soft')
        ->and(kept("200 g oat flour\n80 g pumpkin puree", 'hard', ['lot' => 'soft ones'], $portions)['class'])->toBe('soft');
});

it('is drier where what was weighed says so, and wetter', function (): void {
    $at = static fn (?float $grams): string => kept("200 g oat flour\n80 g water", 'biscuit', [], ['measured' => ['bakedGrams' => $grams, 'count' => 60]])['class'];
    // 183 g of solids
    expect($at(195.0))->toBe('hard-biscuit')->and($at(204.0))->toBe('biscuit')->and($at(230.0))->toBe('chewy')->and($at(260.0))->toBe('soft');
});

it('never keeps longer for meat, for warmth, or for more water', function (): void {
    mt_srand(1509);
    for ($n = 0; $n < 120; $n++) {
        $texture = ['hard', 'biscuit', 'chewy', 'soft', 'cake', 'jerky', 'none', 'frozen'][mt_rand(0, 7)];
        $text = mt_rand(80, 300)." g oat flour\n".mt_rand(10, 200).' g '.['water', 'pumpkin puree', 'mashed banana', 'plain yoghurt', 'rapeseed oil'][mt_rand(0, 4)];
        $room = mt_rand(5, 35);
        $plain = daysOf(kept($text, $texture, ['roomCelsius' => $room]));
        $meaty = daysOf(kept("$text\n".mt_rand(1, 400).' g '.['minced chicken', 'beef liver', 'cod', 'cottage cheese', 'egg'][mt_rand(0, 4)], $texture, ['roomCelsius' => $room]));
        $warm = daysOf(kept($text, $texture, ['roomCelsius' => $room + mt_rand(1, 15)]));
        foreach (['jar', 'fridge', 'freezer'] as $place) {
            // what meat makes wet or dry is another matter: dried meat is of its own row
            expect($texture === 'jerky' || $meaty[$place] <= $plain[$place])->toBeTrue("$text / $texture / $place")->and($warm[$place])->toBeLessThanOrEqual($plain[$place]);
        }
        $most = daysOf(kept($text, $texture, ['roomCelsius' => $room]), 'atMost');
        expect(min(array_map(static fn (int $a, int $b): int => $a - $b, $most, $plain)))->toBeGreaterThanOrEqual(0);
    }
});

it('does not mind the order of the lines', function (): void {
    $lines = ['200 g oat flour', '60 g minced chicken', '80 g pumpkin puree', '1 large egg'];
    $first = kept(implode("\n", $lines));
    foreach ([[3, 2, 1, 0], [1, 0, 3, 2], [2, 3, 0, 1]] as $order) {
        $answer = kept(implode("\n", array_map(static fn (int $n): string => $lines[$n], $order)));
        expect($answer)->toBe($first);
    }
    // a line in two halves is the same line
    expect(kept("200 g oat flour\n30 g minced chicken\n30 g minced chicken\n80 g pumpkin puree\n1 large egg")['class'])->toBe($first['class']);
});

it('compares a keeping time that a recipe tells, in words or figures', function (string $row, bool $isAsked): void {
    $life = ShelfLife::of('soft');
    expect(ToldKeeping::question($row, static fn (): ShelfLife => $life) !== null)->toBe($isAsked);
})->with(static function (): array {
    // soft: a day in the jar, five in the fridge, ninety in the freezer
    $rows = [];
    foreach (['one' => 1, 'a' => 1, 'two' => 2, 'a couple of' => 2, 'three' => 3, 'a few' => 3, 'several' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12] as $word => $number) {
        $rows["$word days in the fridge"] = ["Keeps $word days in the fridge.", $number > 5];
        $rows["$word weeks frozen"] = ["Store in the freezer for up to $word weeks.", $number * 7 > 90];
    }

    return $rows + [
        'a fortnight' => ['Keeps a fortnight in the fridge.', true], 'a range by its end' => ['Good for 3-6 days in the fridge.', true], 'a range within' => ['Good for 3 to 5 days in the fridge.', false],
        'a year frozen' => ['Will last a year in the freezer.', true], 'a month frozen' => ['Will last a month in the freezer.', false], 'nowhere in particular' => ['Keeps two days.', true], 'nothing of keeping' => ['Bake for 6 days in the fridge.', false],
    ];
});

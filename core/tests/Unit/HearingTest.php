<?php

declare(strict_types=1);

use MildBowl\Core\Hearing\HeardRecipe;
use MildBowl\Core\Hearing\Spoken;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Tests\Support\Measured;
use MildBowl\Core\Tests\Support\Narration;

/** @return list<HeardRecipe> */
function heard(string $talk): array
{
    return (new Spoken(Asking::kitchen()->reader))->read($talk)[0];
}

/** @return list<array<string, mixed>> */
function sheetsOf(string $talk): array
{
    return Asking::of('read', ['version' => 1, 'content' => $talk])['recipes'];
}

it('hears what goes in, and how much', function (string $talk, string $lines = ''): void {
    $heard = [];
    foreach (heard($talk) as $recipe) {
        foreach ($recipe->lines as $line) {
            $heard[] = ($line['sure'] ? '' : '? ').$line['text'];
        }
    }
    expect(implode(' ; ', $heard))->toBe($lines);
})->with(fn (): array => Cases::cells('told.txt'));

it('makes the sheets that a person would write', function (string $set, float $least): void {
    $score = Measured::of($set);
    $missed = array_map(static fn (string $miss): string => explode(':', $miss)[0], $score->misses);

    expect($score->right / $score->of)->toBeGreaterThanOrEqual($least, implode("\n", $score->misses))
        ->and(array_values(array_diff($missed, Cases::rows('hard.txt'))))->toBe([], implode("\n", $score->misses));
})->with([['narrations', 0.9], ['wild', 1.0]]);

it('hears the heat, the time and the thickness', function (): void {
    $wrong = [];
    foreach (Narration::all() as $one) {
        array_push($wrong, ...$one->wrongBaking(sheetsOf($one->talk)));
    }
    expect(count($wrong))->toBeLessThanOrEqual(15, implode("\n", $wrong));
});

it('lets no food out of a warning onto a sheet', function (): void {
    foreach (Narration::all() as $one) {
        $sheets = sheetsOf($one->talk);
        foreach ($one->sheets as $n => $sheet) {
            $foods = array_column(Asking::of('formulate', ['version' => 1, 'recipe' => ['text' => $sheets[$n]['text'] ?? '1 egg']])['lines'], 'ingredient');
            $nevers = array_intersect($foods, ['onion', 'garlic', 'raisin', 'grape', 'chocolate', 'xylitol', 'nutmeg', 'macadamia', 'clove', 'chive', 'leek', 'onion-powder', 'blue-cheese', 'coffee', 'wine']);
            expect(array_values($nevers))->toBe([], "$one->name: {$sheet['title']}");
        }
    }
});

it('hears the same when a film cuts the words into rows', function (): void {
    $broken = [];
    $count = 0;
    foreach (Narration::all() as $one) {
        if (preg_match('/\d:\d\d/', $one->talk) === 1 || ! str_contains($one->talk, '. ') || $one->wrongs(sheetsOf($one->talk)) !== []) {
            continue;
        }
        $count++;
        $rows = array_map(null, array_chunk(preg_split('/\s+/u', trim($one->talk)) ?: [], 8));
        $captions = implode("\n", array_map(static fn (array $words, int $n): string => sprintf('[%02d:%02d] ', intdiv($n * 3, 60), $n * 3 % 60).implode(' ', $words), $rows, array_keys($rows)));
        if ($one->wrongs(sheetsOf($captions)) !== []) {
            $broken[] = $one->name;
        }
    }
    expect($count)->toBeGreaterThan(100)->and(count($broken))->toBeLessThanOrEqual(0.04 * $count, implode(', ', $broken));
});

it('shows for each line the words it came from', function (): void {
    foreach (Narration::all() as $one) {
        foreach (sheetsOf($one->talk) as $sheet) {
            foreach ($sheet['lines'] ?? [] as $line) {
                foreach ($line['spans'] as [$from, $to]) {
                    expect($from)->toBeGreaterThanOrEqual(0)->and($to)->toBeGreaterThan($from)->and($to)->toBeLessThanOrEqual(mb_strlen($one->talk), $one->name);
                }
            }
        }
    }
});

it('asks which amount holds when it was told more than once', function (): void {
    $sheet = sheetsOf('Hello everybody and welcome to my kitchen, it is raining and the dog is asleep on my foot. You need 400 grams of spelt flour. One egg. Sorry, no, it is 300 grams of spelt flour. Roll it out and bake it at 180 for 20 minutes. Thank you for watching.')[0];
    $question = array_values(array_filter($sheet['questions'], static fn (array $one): bool => $one['about'] === 'spelt flour'))[0];

    expect($question['options'])->toBe(['300 g', '400 g'])->and($sheet['text'])->toContain('300 g spelt flour');
});

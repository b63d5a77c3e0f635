<?php

declare(strict_types=1);

use MildBowl\Core\Hearing\Breaths;
use MildBowl\Core\Hearing\HeardRecipe;
use MildBowl\Core\Hearing\Spoken;
use MildBowl\Core\Pantry\Lexicon;
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

/**
 * @param  callable(string): string  $change
 * @return array{list<string>, int} the talks that come out wrong when they are changed, of how many that are right as they are
 */
function brokenBy(callable $change): array
{
    $broken = [];
    $count = 0;
    foreach (Narration::all() as $one) {
        if (preg_match('/\d:\d\d/', $one->talk) === 1 || ! str_contains($one->talk, '. ') || $one->wrongs(sheetsOf($one->talk)) !== []) {
            continue;
        }
        $count++;
        if ($one->wrongs(sheetsOf(captions($change($one->talk)))) !== []) {
            $broken[] = $one->name;
        }
    }

    return [$broken, $count];
}

/** The words in rows of eight, as a film shows them. */
function captions(string $talk): string
{
    $rows = array_chunk(preg_split('/\s+/u', trim($talk)) ?: [], 8);

    return implode("\n", array_map(static fn (array $words, int $n): string => sprintf('[%02d:%02d] ', intdiv($n * 3, 60), $n * 3 % 60).implode(' ', $words), $rows, array_keys($rows)));
}

/** The words as a machine writes them down: small, and without a mark. */
function unmarked(string $talk): string
{
    return mb_strtolower((string) preg_replace('/[.!?;:,"…—]+(?=\s|$)/u', '', $talk));
}

it('hears the same when a film cuts the words into rows', function (): void {
    [$broken, $count] = brokenBy(static fn (string $talk): string => $talk);
    expect($count)->toBeGreaterThan(100)->and(count($broken))->toBeLessThanOrEqual(0.04 * $count, implode(', ', $broken));
});

it('hears more than half of the talks without a mark', function (): void {
    [$broken, $count] = brokenBy(unmarked(...));
    expect(count($broken))->toBeLessThanOrEqual(0.45 * $count, implode(', ', $broken));
});

it('cuts a talk without marks where it takes breath, and loses no letter', function (): void {
    foreach (Narration::all() as $one) {
        $talk = unmarked($one->talk);
        expect(implode('', Breaths::of($talk, Lexicon::shipped())))->toBe($talk, $one->name);
    }
    $talk = 'so you want half a pound of ground turkey i cook mine and drain it two eggs and a cup and a half of oat flour i would never put onion in here then roll it out and bake it at 180 for an hour';
    expect(array_map(trim(...), Breaths::of($talk, Lexicon::shipped())))->toBe([
        'so you want half a pound of ground turkey', 'i cook mine and drain it', 'two eggs', 'and a cup and a half of oat flour', 'i would never put onion in here', 'then roll it out and bake it at 180 for an hour',
    ]);
});

it('loses no poison that is told among the foods, with marks and without', function (): void {
    $poisons = [['two tablespoons of raisins', 'raisins'], ['half an onion', 'onion'], ['a handful of grapes', 'grapes'], ['one clove of garlic', 'garlic'], ['a cup of dark chocolate chips', 'chocolate']];
    $told = 0;
    $missed = [];
    foreach (Narration::all() as $n => $one) {
        foreach (['' => $one->talk, 'unmarked ' => unmarked($one->talk)] as $how => $talk) {
            [$said, $word] = $poisons[$n % 5];
            $talk = (string) preg_replace('/\b(?:grams|cups?|tablespoons) of (?:oats|oat flour|wholemeal flour|peanut butter|pumpkin|plain flour|rice flour)\b/iu', $how === '' ? "$0, $said" : "$0 and $said", $talk, 1, $count);
            if ($count === 0 || substr_count($talk, "\n") > 40) {
                continue;
            }
            $told++;
            $sheets = sheetsOf($talk);
            if (! str_contains(implode("\n", array_column($sheets, 'text')), $word)) {
                $missed[] = "$how$one->name: $said";
                expect(str_contains((string) json_encode(array_column($sheets, 'warnings')), $word))->toBeTrue("$how$one->name: $said");
            }
        }
    }
    expect($told)->toBeGreaterThan(150)->and(count($missed))->toBeLessThanOrEqual(2, implode("\n", $missed));
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

<?php

declare(strict_types=1);

use MildBowl\Core\Data\Compiled;

/** What the margin says of a line in a kitchen that reads cups. */
function inCups(string $line): ?string
{
    return answer($line, ['explain' => true])['lines'][0]['explain']['measure'];
}

it('tells nothing in cups that is counted', function (): void {
    foreach (Compiled::tables()['pieces'] as $food => $rows) {
        if (str_starts_with($food, 'group:')) {
            continue;
        }
        foreach (array_keys($rows) as $key) {
            [$unit, $size] = explode(':', $key);
            if ($unit !== 'each') {
                continue;
            }
            $line = trim("2 $size ".str_replace('-', ' ', $food));
            $read = answer($line, ['explain' => true])['lines'][0];
            if ($read['ingredient'] === $food) {
                expect($read['explain']['measure'])->toBeNull($line);
            }
        }
    }
});

it('tells no egg in cups that was not', function (string $line, ?string $measure): void {
    expect(inCups($line))->toBe($measure);
})->with([
    ['1 large egg', null], ['2-3 eggs', null], ['1/2 egg', null], ['125 g egg', null], ['4 oz beaten egg', null], ['40 g egg yolk', null], ['1 egg white', null], ['3 quail eggs', null],
    ['1/2 cup beaten egg', '½ cup'], ['2 tbsp egg white', '2 tbsp'], ['20 g dried whole egg', '¼ cup'],
]);

it('tells a measure of what a cup or a spoon holds', function (string $line, ?string $measure): void {
    expect(inCups($line))->toBe($measure);
})->with([
    ['250 g oat flour', '2 ⅝ cups'], ['1 handful oats', '⅜ cup'], ['1 stick butter', '½ cup'], ['juice of 1 lemon', '¼ cup'], ['1 chicken breast', null], ['1 tin sardines in water', null], ['2 slices bread', null], ['3 sprigs parsley', null], ['2 carrots', null], ['1 cup grated carrot', '1 cup'],
]);

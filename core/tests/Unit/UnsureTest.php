<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Tests\Support\Generated;

/** @return list<array{span: array{int, int}, question: string, instead: list<string>}> */
function unsure(string $line): array
{
    return answer($line, ['explain' => true])['lines'][0]['explain']['unsure'];
}

it('asks about a number that can be meant in two ways, and about no other', function (string $line, string $written, string $instead): void {
    $unsure = unsure($line);

    expect(array_map(static fn (array $one): string => implode('; ', $one['instead']), $unsure))->toBe($instead === '' ? [] : [$instead]);
    foreach ($unsure as $one) {
        expect(mb_substr($line, $one['span'][0], $one['span'][1] - $one['span'][0]))->toBe($written)
            ->and($one['question'])->toContain($written);
    }
})->with(fn () => Cases::cells('two-meanings.txt'));

it('takes the first meaning until somebody says otherwise, and asks no more once it is said', function (string $line, string $written, string $instead): void {
    $read = static fn (string $text): array => answer($text, ['explain' => true])['lines'][0];
    $grams = $read($line)['grams'];
    [$taken, $other] = explode('; ', $instead);

    expect($read(str_replace($written, $taken, $line))['grams'])->toEqual($grams)
        ->and($read(str_replace($written, $other, $line))['grams']['best'])->not->toEqualWithDelta($grams['best'], 1e-6)
        ->and(unsure(str_replace($written, $taken, $line)))->toBe([])
        ->and(unsure(str_replace($written, $other, $line)))->toBe([]);
})->with(fn () => array_filter(Cases::cells('two-meanings.txt'), static fn (array $row): bool => $row[1] !== ''));

it('tells of every word where it stands', function (): void {
    $generated = new Generated(20261126);
    for ($round = 0; $round < 60; $round++) {
        $rows = $generated->lines(5);
        foreach (answer(implode("\n", $rows), ['explain' => true])['lines'] as $line) {
            $row = $rows[$line['row']];
            $last = $line['span'][0];
            foreach ($line['explain']['words'] as $word) {
                [$from, $to] = $word['span'];
                expect($from)->toBeGreaterThanOrEqual($last)->and($to)->toBeLessThanOrEqual($line['span'][1])
                    ->and(mb_strtolower(mb_substr($row, $from, $to - $from)))->toBe(mb_strtolower($word['text']));
                $last = $to;
            }
        }
    }
});

it('tells where words stand in a row that was cleaned or holds several lines', function (string $row, array $words): void {
    $found = [];
    foreach (answer($row, ['explain' => true])['lines'] as $line) {
        foreach ($line['explain']['words'] as $word) {
            $found[] = mb_substr($row, $word['span'][0], $word['span'][1] - $word['span'][0]);
        }
    }

    expect($found)->toBe($words);
})->with([
    'a fraction that was written onto its number' => ['1½ cups oat flour', ['1', '½', 'cups', 'oat', 'flour']],
    'signs nobody sees' => ["2 c\u{200B}ups o\u{00AD}at flour", ['2', "c\u{200B}ups", "o\u{00AD}at", 'flour']],
    'a bullet' => ['- 2 cups oat flour', ['2', 'cups', 'oat', 'flour']],
    'letters outside the basic plane' => ['𝟐 cups 🥕 carrots', ['𝟐', 'cups', '🥕', 'carrots']],
    'a told row' => ['Mix 1½ cups oat flour with one egg until smooth.', ['1', '½', 'cups', 'oat', 'flour', 'one', 'egg']],
]);

it('asks about each of several numbers, in the order of the line', function (): void {
    $asked = answer('11/2 cups oat flour or 1.500 g rice flour, 21/4 cups water', ['explain' => true])['lines'];

    expect(array_merge(...array_map(static fn (array $line): array => array_column($line['explain']['unsure'], 'instead'), $asked)))->toBe([['5.5', '1 1/2'], ['1.5', '1500'], ['5.25', '2 1/4']]);
});

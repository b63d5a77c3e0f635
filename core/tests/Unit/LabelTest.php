<?php

declare(strict_types=1);

use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;

it('reads parts in order with brackets, percents and traces', function (): void {
    $parts = labelled(
        'Ingredients: Roasted peanuts (95%), vegetable oils (rapeseed, palm), salt 0.8%, emulsifier (E471, soya lecithin). Contains 2% or less of: pectin. May contain traces of macadamia nuts, milk. Store in a cool place.'
    )['parts'];

    expect(array_column($parts, 'text'))
        ->toBe([
            'Roasted peanuts',
            'vegetable oils',
            'rapeseed',
            'palm',
            'salt 0.8%',
            'emulsifier',
            'E471',
            'soya lecithin',
            'Contains 2% or less of: pectin',
            'macadamia nuts',
            'milk',
        ])
        ->and(array_column($parts, 'percent'))
        ->toEqual([95, null, null, null, 0.8, null, null, null, null, null, null])
        ->and(array_column($parts, 'depth'))
        ->toBe([0, 0, 1, 1, 0, 0, 1, 1, 0, 0, 0])
        ->and(array_keys(array_filter(array_column($parts, 'trace'))))
        ->toBe([9, 10])
        ->and($parts[2]['ingredient'])
        ->toBe('rapeseed-oil');
});

it('gives the verdict of the worst part', function (string $ingredients, string $worst): void {
    expect(labelled($ingredients)['worst'])->toBe($worst);
})->with([
    ['roasted peanuts, salt 0.8%', 'clear'],
    ['peanuts', 'clear'],
    ['pumpkin', 'clear'],
    ['peanuts, birch sugar', 'never'],
    ['peanuts, sweetener (E967)', 'never'],
    ['sweetener', 'check-label'],
    ['water, chicken, onion powder', 'never'],
    ['chicken, flavouring', 'check-label'],
    ['milk, sugar, cocoa mass', 'never'],
    ['Zucker, Zwiebelpulver, Salz', 'never'],
    ['eau, sel, ail', 'never'],
    ['oats, flurbl', 'unknown'],
    ['raisins (12 %), oats', 'never'],
    ['dried cranberries (cranberries, grape juice concentrate)', 'never'],
    ['acid: E334', 'never'],
    ['nutmeg', 'never'],
    ['milk, live cultures (L. acidophilus, B. lactis)', 'clear'],
    ['wheat flour (with calcium, iron, niacin, thiamin), rapeseed oil, E471, lecithin, ascorbic acid, pectin, phosphates, E330', 'clear'],
]);

it('reads two foods that "and" joins, each for itself', function (string $text, string $worst): void {
    expect(labelled($text)['worst'])->toBe($worst);
})->with([
    ['oats and raisins', 'never'],
    ['raisins and oats', 'never'],
    ['oats and flurbl', 'unknown'],
    ['flurbl and oats', 'unknown'],
    ['raisins and flurbl', 'never'],
    ['oats and barley', 'clear'],
    ['Hafer und Rosinen', 'never'],
    ['oats, E-967', 'never'],
    ['oats, E 967', 'never'],
    ['oats, E967', 'never'],
]);

it('reads the same whatever parts the parts', function (string $between): void {
    $parts = ['oat flour', 'raisins 2%', 'rapeseed oil', 'salt'];
    $read = static fn (string $text): array => array_map(
        static fn (array $part): array => [$part['text'], $part['ingredient'], $part['percent'], $part['depth']],
        labelled($text)['parts']
    );
    expect($read(implode($between, $parts)))
        ->toBe($read(implode(', ', $parts)))
        ->and(array_column($read(implode($between, $parts)), 0))
        ->toBe($parts);
})->with(['commas' => [', '], 'no blanks' => [','], 'semicolons' => ['; '], 'lines' => ["\n"], 'bars' => [' | '], 'full stops' => ['. '], 'both' => [",\n"]]);

it('takes a new line as an end of the traces before it, and a bar as none', function (string $between, array $traces): void {
    expect(array_keys(array_filter(array_column(labelled("oats. May contain milk{$between}raisins")['parts'], 'trace'))))->toBe($traces);
})->with([
    ['. ', [1]],
    ["\n", [1]],
    [', ', [1, 2]],
    [' | ', [1, 2]],
    ['; ', [1, 2]],
]);

it('ends a trace where its bracket ends', function (): void {
    $parts = labelled('oats (may contain nuts), raisins')['parts'];
    expect(end($parts)['trace'])->toBeFalse()->and(labelled('oats (may contain nuts), raisins')['worst'])->toBe('never');
});

it('asks about a trace of this dog\'s allergen', function (): void {
    expect(labelled('oats. May contain milk.', [dog('Rex', ['allergies' => ['dairy']])])['worst'])
        ->toBe('check-label')
        ->and(labelled('oats, milk', [dog('Rex', ['allergies' => ['dairy']])])['worst'])
        ->toBe('allergen');
});

it('reads five thousand characters, brackets and all', function (string $text, int $parts, string $worst): void {
    $answer = labelled(mb_substr($text, 0, 5000));
    expect(count($answer['parts']))
        ->toBe($parts)
        ->and($answer['worst'])
        ->toBe($worst);
})->with([
    'brackets' => [str_repeat('(', 5000), 0, 'unknown'],
    'foods' => [str_repeat('oats, ', 800), 800, 'clear'],
    'traces' => [str_repeat('may contain ', 400), 0, 'unknown'],
    'nested' => [str_repeat('E471 (', 800), 800, 'clear'],
    'one word' => [str_repeat('x', 5000), 1, 'unknown'],
]);

it('refuses a label that is none', function (string $json, string $path): void {
    expect(fn () => Asking::json('label', ($json)))->toThrow(fn (RequestRefused $e) => expect($e->path)->toBe($path));
})->with([
    ['{"version":1}', '/ingredients'],
    ['{"version":1,"ingredients":" "}', '/ingredients'],
    ['{"version":1,"ingredients":"'.str_repeat('x', 5001).'"}', '/ingredients'],
    ['{"version":1,"ingredients":"x","y":1}', '/y'],
]);

it('tells what a printed share comes to on the line the label is bound to', function (): void {
    $answer = answer("100 g oat flour\n50 g hazelnut spread", [
        'labels' => [['name' => 'hazelnut spread', 'ingredients' => 'Sugar, palm oil, hazelnuts 13 %, fat-reduced cocoa (7.4 %), skimmed milk powder']],
    ]);
    $messages = implode(' ', array_column($answer['lines'][1]['findings'], 'message'));
    expect($messages)->toContain('fat-reduced cocoa, 3.7 g of the 50 g')->and($messages)->not->toContain('Sugar,');
});

it('reads everyday foods in nine languages', function (string $id, string ...$names): void {
    foreach ($names as $name) {
        $part = labelled("water, $name")['parts'][1];
        expect($part['ingredient'] === $id || str_starts_with((string) $part['ingredient'], explode('-', $id)[0]))->toBeTrue("$name is {$part['ingredient']}, not $id")
            ->and(array_column($part['findings'], 'code'))->not->toContain('unrecognised', "$name is not recognised");
    }
})->with(fn (): array => Cases::cells('label-everyday.txt'));

it('takes vitamins and minerals of a list for what they are, and never as a line', function (): void {
    $parts = labelled('wheat, vitamins (A, D3, E), minerals (zinc, copper)')['parts'];
    expect(array_column($parts, 'ingredient'))->toBe(['bulgur', 'nutrient-pure', 'vitamin-a-pure', 'vitamin-d-pure', 'ascorbic-acid', 'nutrient-pure', 'nutrient-pure', 'nutrient-pure'])
        ->and(Asking::of('formulate', ['version' => 1, 'recipe' => ['text' => '5 g vitamins']])['lines'][0]['ingredient'])->toBeNull();
});

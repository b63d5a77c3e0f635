<?php

declare(strict_types=1);

use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Tests\Support\Asking;

it('reads amount and food of a plain line', function (string $row): void {
    [$line, $ingredient, $grams] = array_map(trim(...), explode('|', $row));
    $read = answer($line)['lines'];

    expect($read)
        ->toHaveCount(1)
        ->and($read[0]['ingredient'])
        ->toBe($ingredient)
        ->and($read[0]['grams']['best'])
        ->toEqualWithDelta((float) $grams, max(0.6, 0.02 * (float) $grams));
})->with(fn () => cases('plain.txt'));

it('reads every form of number', function (string $text, float $low, float $best, float $high): void {
    $quantity = answer("$text cups oat flour")['lines'][0]['quantity'];

    expect($quantity['low'])
        ->toEqualWithDelta($low, 1e-9)
        ->and($quantity['best'])
        ->toEqualWithDelta($best, 1e-9)
        ->and($quantity['high'])
        ->toEqualWithDelta($high, 1e-9);
})->with([
    ['1½', 1.5, 1.5, 1.5],
    ['1 1/2', 1.5, 1.5, 1.5],
    ['1.5', 1.5, 1.5, 1.5],
    ['1,5', 1.5, 1.5, 1.5],
    ['1 1⁄2', 1.5, 1.5, 1.5],
    ['one and a half', 1.5, 1.5, 1.5],
    ['two to three', 2, 2.5, 3],
    ['2–3', 2, 2.5, 3],
    ['2-3', 2, 2.5, 3],
    ['1/2 + 1/8', 0.625, 0.625, 0.625],
    ['three quarters of a', 0.75, 0.75, 0.75],
    ['half a', 0.5, 0.5, 0.5],
    ['about 2', 1.8, 2, 2.2],
    ['a', 1, 1, 1],
    ['1-1/2', 1.5, 1.5, 1.5],
    ['scant 1', 1, 1, 1],
]);

it('weighs in the cups of the kitchen', function (string $units, float $grams): void {
    expect(answer('1 cup water', ['policy' => ['units' => $units]])['lines'][0]['grams']['best'])->toEqualWithDelta($grams, 1.0);
})->with([['us', 236.6], ['metric', 250], ['imperial', 284], ['australian', 250]]);

it('keeps headings as sections, alternatives and conditions', function (): void {
    $lines = answer("For the dough:\n2 cups oat or rice flour\nFilling:\n1/4 cup applesauce, leave out if the purée is sweet")['lines'];

    expect($lines)
        ->toHaveCount(2)
        ->and($lines[0]['section'])
        ->toBe('For the dough')
        ->and($lines[0]['ingredient'])
        ->toBe('oat-flour')
        ->and($lines[0]['alternatives'])
        ->toBe(['white-rice-flour'])
        ->and($lines[1]['section'])
        ->toBe('Filling')
        ->and($lines[1]['condition'])
        ->toContain('leave out if');
});

it('screens the alternative too', function (): void {
    expect(found(answer('1/4 cup blueberries or raisins')))->toContain('never:grape');
});

it('splits a recipe told in sentences', function (): void {
    $read = Asking::kitchen()->reader->read(
        'Mix two cups of oat flour, half a cup of plain pumpkin purée and an egg. Do not put raisins in this. Bake for 20 minutes.',
        ''
    );

    expect(array_map(static fn ($line) => $line->food?->id, $read->lines))->toBe(['oat-flour', 'pumpkin-puree', 'egg']);
});

it('leaves times, heat and lengths out of the amounts', function (string $step): void {
    expect(answer("2 cups oat flour\n1 egg\n$step")['lines'])->toHaveCount(2);
})->with([
    'Bake at 350°F for 20-25 minutes until golden',
    'Roll out to 1/4 inch and cut into 30 biscuits',
    'Preheat the oven to 180C',
    'Chill for 1 hour',
]);

it('shows an unreadable line as unknown and never drops it', function (): void {
    $answer = answer("2 cups oat flour\n3 tbsp flurbl");

    expect($answer['lines'])
        ->toHaveCount(2)
        ->and($answer['lines'][1]['ingredient'])
        ->toBeNull()
        ->and($answer['lines'][1]['grams'])
        ->toBeNull()
        ->and(found($answer))
        ->toContain('unknown:unrecognised')
        ->and($answer['verdict']['cleared'])
        ->toBeFalse()
        ->and(array_column($answer['assumptions'], 'code'))
        ->toContain('line-left-out');
});

it('asks for a missing amount, but not for water, dusting or taste', function (): void {
    expect(found(answer('oat flour')))
        ->toContain('unknown:amount-missing')
        ->and(found(answer("1 cup oat flour\nwater")))
        ->not->toContain('unknown:amount-missing')
        ->and(found(answer("1 cup oat flour\noat flour for dusting")))
        ->not->toContain('unknown:amount-missing');
});

it('reads through invisible and look-alike letters, and says so', function (): void {
    expect(found(answer("2 tbsp со\u{200B}соа powder")))
        ->toContain('never:chocolate')
        ->toContain('unknown:look-alike-letters')
        ->and(found(answer("1 tbsp rai\u{200B}sins")))
        ->toContain('never:grape')
        ->and(found(answer("\u{202E}1 tbsp raisins")))
        ->toContain('never:grape');
});

it('never clears hostile text', function (string $text): void {
    $answer = answer($text);
    expect($answer['verdict']['cleared'])->toBeFalse()->and(schemaErrors($answer, 'formulate-answer'))->toBe('');
})->with([
    'digits' => str_repeat('9', 19000),
    'fractions' => str_repeat('1/2 ', 4000),
    'brackets' => str_repeat('(', 15000),
    'commas' => str_repeat('no onion, ', 1500),
    'one word' => str_repeat('a', 19000),
    'markup' => str_repeat('<script>', 2000),
    'marks' => str_repeat("a\u{0301}", 6000),
]);

it('makes a line of each food of a told sentence', function (string $told, array $foods): void {
    expect(array_column(answer($told)['lines'], 'ingredient'))->toBe($foods);
})->with([
    ['Take 2 cups oat flour, raisins and honey.', ['oat-flour', 'raisin', 'honey']],
    ['Take 2 cups oat flour, raisins & honey', ['oat-flour', 'raisin', 'honey']],
    ['I take one cup of oat flour with peanut butter and two eggs, then a pinch of salt', ['oat-flour', 'peanut-butter', 'egg', 'salt']],
    ['Mix 2 cups oat flour and 1 cup of pumpkin, then bake.', ['oat-flour', 'pumpkin']],
]);

it('reads a dozen and its half as so many, whatever they are counted in', function (string $said, string $counted): void {
    [$dozen, $plain] = [answer($said)['lines'][0], answer($counted)['lines'][0]];
    expect($dozen['grams'])
        ->not->toBeNull()
        ->toEqual($plain['grams'])
        ->and($dozen['ingredient'])
        ->toBe($plain['ingredient']);
})->with([
    ['half a dozen large eggs', '6 large eggs'],
    ['half dozen eggs', '6 eggs'],
    ['half a dozen of eggs', '6 eggs'],
    ['a dozen eggs', '12 eggs'],
    ['half a dozen cloves of garlic', '6 cloves of garlic'],
    ['half a dozen cups oat flour', '6 cups oat flour'],
    ['half a dozen tbsp honey', '6 tbsp honey'],
]);

it('takes a short imperative for a step, not for a food', function (string $verb): void {
    $answer = answer("2 cups oat flour\n1 egg\n$verb overnight");
    expect(array_column($answer['lines'], 'text'))->toBe(['2 cups oat flour', '1 egg']);
})->with(['Mix', 'Stir', 'Bake', 'Preheat', 'Roll', 'Combine', 'Add', 'Use', 'Dust', 'Knead', 'Sprinkle', 'Fold', 'Beat', 'Whisk', 'Freeze', 'Serve']);

it('reads a letter with a mark as the letter', function (string $marked, string $plain): void {
    foreach (preg_split('/ /', $marked) ?: [] as $one) {
        expect(Tokenizer::fold($one))
            ->toBe($plain, $one)
            ->and(Tokenizer::fold(mb_strtoupper($one)))
            ->toBe($plain, $one)
            ->and(Tokenizer::fold(Normalizer::normalize($one, Normalizer::FORM_D) ?: ''))
            ->toBe($plain, $one);
    }
})->with([
    ['à á â ã ä å ā ă ą', 'a'],
    ['ç ć č', 'c'],
    ['è é ê ë ē ě ę', 'e'],
    ['ì í î ï ī', 'i'],
    ['ñ ń ň', 'n'],
    ['ò ó ô õ ö ø ō ő', 'o'],
    ['ù ú û ü ū ů ű', 'u'],
    ['ý ÿ', 'y'],
    ['š ś ş', 's'],
    ['ž ź ż', 'z'],
    ['œ', 'oe'],
    ['æ', 'ae'],
    ['ß', 'ss'],
    ['œufs', 'oeufs'],
    ['crème', 'creme'],
    ['jalapeño', 'jalapeno'],
]);

it('takes "for the …" of up to seven words for a heading', function (string $heading, int $lines): void {
    expect(answer("$heading\n2 cups oat flour\n1 egg")['lines'])->toHaveCount($lines);
})->with([
    ['For the dough', 2],
    ['For the very best dogs we know', 2],
    ['For the very best dogs we all know, and an egg', 3],
    ['For the dough, oat flour', 3],
]);

it('finds what a word means when it is a measure as well as a food, beside what is left out', function (string $line, string $food): void {
    $read = answer($line)['lines'][0];
    expect($read['ingredient'])
        ->toBe($food)
        ->and(found(answer($line)))
        ->not->toContain('never:allium')
        ->not->toContain('never:nutmeg')
        ->not->toContain('never:grape');
})->with([
    ['2 ribs celery, no onion', 'celery'],
    ['2 stalks celery without onion or raisins', 'celery'],
    ['1 leaf kale, never nutmeg', 'kale'],
    ['1 ear corn without onion', 'sweetcorn'],
]);

it('reads a negation over six small words, and not over seven', function (string $line, bool $told): void {
    expect(in_array('never:allium', found(answer($line)), true))->toBe($told);
})->with([
    ['1 cup broth without onion', false],
    ['1 cup broth without any onion', false],
    ['1 cup broth without even a trace of onion', false],
    ['1 cup broth without even the a trace of onion', false],
    ['1 cup broth without ever the a trace of any onion', false],
    ['1 cup broth without ever even the a trace of any onion', true],
]);

it('reads a thousand that is written apart', function (string $amount, float $grams): void {
    expect(answer("$amount oat flour")['lines'][0]['grams']['best'])->toEqual($grams);
})->with([['1 000 g', 1000], ['2 000 g', 2000], ['12 000 g', 12000]]);

it('takes no end off a word that is none', function (string $word): void {
    expect(Tokenizer::stem($word))->toBe($word);
})->with(['molasses', 'hummus', 'couscous', 'asparagus', 'citrus', 'hibiscus', 'gas', 'plus', 'swiss', 'brussels', 'less', 'octopus']);

it('reads a whole and a fraction that a hyphen joins', function (string $amount, float $cups): void {
    $gramsPerCup = answer('1 cup oat flour')['lines'][0]['grams']['best'];
    expect(answer("$amount cups oat flour")['lines'][0]['grams']['best'])->toEqualWithDelta($cups * $gramsPerCup, 0.01);
})->with([['1-1/2', 1.5], ['2-1/2', 2.5], ['1-3/4', 1.75], ['1 1/2', 1.5]]);

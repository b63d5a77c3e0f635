<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Generated;

/** @param  list<array<string, mixed>>  $made  @param  array<string, mixed>  $more  @return array<string, mixed> */
function made(string $text, array $made, array $more = []): array
{
    return answer($text, ['recipe' => ['asMade' => $made] + ($more['recipe'] ?? [])] + $more);
}

/** What of an answer must not depend on how it was said. @param  array<string, mixed>  $answer  @return array<string, mixed> */
function whatComesOfIt(array $answer): array
{
    $found = [];
    foreach ([...$answer['lines'], ...$answer['steps']] as $part) {
        foreach ($part['findings'] as $one) {
            $found[] = "{$one['dog']} {$one['level']} {$one['code']} {$one['message']}";
        }
    }
    sort($found);
    $figures = [];
    foreach (['batch', 'piece', 'rations'] as $key) {
        array_walk_recursive($answer[$key], static function (mixed $value, string|int $name) use (&$figures, $key): void {
            $figures[] = "$key $name ".(is_float($value) || is_int($value) ? (string) round($value, 6) : json_encode($value));
        });
    }

    return ['found' => $found, 'figures' => $figures, 'verdict' => $answer['verdict']];
}

/**
 * A recipe by chance, what was done with it by chance, and the same written out.
 *
 * @return array{array<string, mixed>, list<array<string, mixed>>, string}
 */
function madeByChance(Generated $made): array
{
    $request = $made->request();
    $entries = $out = [];
    foreach (explode("\n", $request['recipe']['text']) as $row => $line) {
        preg_match('/^(\d+) g (.+)$/', $line, $part);
        $to = match ($made->number(0, 4)) {
            0 => ['share' => $made->number(1, 10) / 10],
            1 => ['grams' => $made->number(1, 400)],
            2 => ['grams' => 0],
            default => null,
        };
        if ($to !== null) {
            $entries[] = ['row' => $row] + $to;
        }
        $grams = isset($to['share']) ? $to['share'] * (int) $part[1] : $to['grams'] ?? (int) $part[1];
        $out = $grams == 0 ? $out : [...$out, "$grams g $part[2]"];
    }
    foreach ($made->lines($made->number(0, 2)) as $line) {
        $entries[] = ['text' => $line];
        $out[] = $line;
    }

    return [$request, $entries, implode("\n", $out)];
}

it('answers as made as it answers what was made written out', function (): void {
    always(120, static function (Generated $made): ?string {
        [$request, $entries, $out] = madeByChance($made);
        if ($out === '') {
            return null;
        }
        $asMade = answerTo(['recipe' => $request['recipe'] + ['asMade' => $entries]] + $request);
        $written = answerTo(['recipe' => ['text' => $out]] + $request);
        if (whatComesOfIt($asMade) != whatComesOfIt($written)) {
            return json_encode($entries).' is not '.json_encode($out);
        }
        $sum = array_sum(array_map(static fn (array $line): float => $line['ingredient'] === null ? 0.0 : $line['madeGrams']['best'], $asMade['lines']));

        return abs($sum - $asMade['batch']['doughGrams']['best']) < 1e-6 ? null : "the lines come to $sum g";
    });
});

it('writes out what was made so that it reads back as that', function (): void {
    always(60, static function (Generated $made): ?string {
        [$request, $entries, $out] = madeByChance($made);
        if ($out === '') {
            return null;
        }
        $asMade = answerTo(['recipe' => $request['recipe'] + ['asMade' => $entries], 'explain' => true] + $request);
        $again = answerTo(['recipe' => ['text' => $asMade['explain']['writtenOut']]] + $request);
        foreach ($again['lines'] as $line) {
            $was[] = [$line['ingredient'], round($line['grams']['best'] ?? 0.0)];
        }
        foreach (answerTo(['recipe' => ['text' => $out]] + $request)['lines'] as $line) {
            $is[] = [$line['ingredient'], round($line['grams']['best'] ?? 0.0)];
        }
        foreach ($is ?? [] as $n => [$food, $grams]) {
            if ($food !== ($was[$n][0] ?? null) || abs($grams - $was[$n][1]) > max(1.0, 0.01 * $grams)) {
                return "$out\nwas written as\n{$asMade['explain']['writtenOut']}";
            }
        }

        return null;
    });
});

it('changes nothing where nothing was done otherwise, whatever the order it is told in', function (): void {
    always(40, static function (Generated $made): ?string {
        [$request, $entries] = madeByChance($made);
        $asked = static fn (array $entries): array => answerTo(['recipe' => $request['recipe'] + ['asMade' => $entries]] + $request);
        if (whatComesOfIt(answerTo(['recipe' => $request['recipe'] + ['asMade' => [['row' => 0, 'share' => 1]]]] + $request)) != whatComesOfIt(answerTo($request))) {
            return 'all of a line is not the line';
        }

        return whatComesOfIt($asked($entries)) == whatComesOfIt($asked(array_reverse($entries))) ? null : 'the order matters: '.json_encode($entries);
    });
});

it('removes no finding by what was added', function (): void {
    $kinds = ['never', 'unknown', 'allergen', 'ask-vet', 'check-label'];
    always(60, static function (Generated $made) use ($kinds): ?string {
        $request = $made->request(6, 2);
        $told = static fn (array $answer): array => array_values(array_unique(array_map(
            static fn (array $one): string => "{$one['dog']} {$one['level']} {$one['code']}",
            array_filter(array_merge(...array_column($answer['lines'], 'findings')), static fn (array $one): bool => in_array($one['level'], $kinds, true)),
        )));
        $before = $told(answerTo($request));
        $after = $told(answerTo(['recipe' => $request['recipe'] + ['asMade' => [['text' => $made->lines(1)[0]]]]] + $request));

        return array_diff($before, $after) === [] ? null : 'gone: '.implode('; ', array_diff($before, $after));
    });
});

const BOWL = "For the dough:\n300 g oat flour\n1 large egg\n2 parsnips, grated\n\nFor the frosting:\n50 g cream cheese\n\nMix 100 g raisins with 60 ml milk.";

it('keeps what is written beside what went in', function (): void {
    $answer = made(BOWL, [['row' => 1, 'grams' => 312], ['row' => 3, 'share' => 0.5], ['row' => 2, 'grams' => 0], ['text' => '1 tbsp rice flour', 'section' => 'For the dough'], ['text' => 'a pinch of salt']], ['explain' => true]);
    $lines = array_column($answer['lines'], null, 'text');
    expect([$lines['300 g oat flour']['grams']['best'], $lines['300 g oat flour']['madeGrams']['best']])
        ->toEqual([300, 312])
        ->and($lines['300 g oat flour']['kcal']['best'])
        ->toEqualWithDelta(312 * 4.04, 60)
        ->and([$lines['1 large egg']['grams']['best'], $lines['1 large egg']['madeGrams']['best'], $lines['1 large egg']['findings']])
        ->toEqual([50, 0, []])
        ->and($lines['2 parsnips, grated']['madeGrams']['best'])
        ->toEqual($lines['2 parsnips, grated']['grams']['best'] / 2)
        ->and($lines['50 g cream cheese']['madeGrams'])
        ->toEqual($lines['50 g cream cheese']['grams'])
        ->and(array_map(static fn (array $line): array => [$line['text'], $line['added'] ?? false, $line['row'], $line['in'], $line['span'], $line['section']], array_slice($answer['lines'], -2)))
        ->toBe([['1 tbsp rice flour', true, null, null, null, 'For the dough'], ['a pinch of salt', true, null, null, null, null]])
        ->and($answer['explain']['writtenOut'])
        ->toBe("a pinch of salt\nFor the dough:\n312 g oat flour\n1 parsnip, grated\n1 tbsp rice flour\n\nFor the frosting:\n50 g cream cheese\n\nMix 100 g raisins with 60 ml milk.");
});

it('takes the later word about a line, and weighs what had no amount', function (): void {
    expect(made('300 g oat flour', [['row' => 0, 'share' => 0.5], ['row' => 0, 'grams' => 280]])['batch']['doughGrams']['best'])
        ->toEqual(280)
        ->and(found(made("300 g oat flour\nparsnips", [['row' => 1, 'grams' => 90]], ['explain' => true])))
        ->not->toContain('unknown:amount-missing')
        ->and(made("300 g oat flour\nparsnips", [['row' => 1, 'grams' => 90]], ['explain' => true])['explain']['writtenOut'])
        ->toBe("300 g oat flour\n90 g parsnips")
        ->and(found(made("300 g oat flour\nparsnips", [['row' => 1, 'share' => 0.5]])))
        ->toContain('unknown:amount-missing')
        ->and(found(made("300 g oat flour\n90000 kg honey", [['row' => 1, 'grams' => 20]])))
        ->not->toContain('unknown:number-odd');
});

it('screens what was added as if it had been written', function (string $text, string $found): void {
    expect(found(made('300 g oat flour', [['text' => $text]])))->toContain($found);
})->with([
    'a poison' => ['a handful of raisins', 'never:grape'],
    'what nobody knows' => ['10 g flurbl', 'unknown:unrecognised'],
    'what is no line of a list' => ['Makes 24', 'unknown:unrecognised'],
    'what is no food' => ['a bit of love', 'unknown:unrecognised'],
    'several foods' => ['1 tsp honey and 2 tbsp cocoa powder', 'never:chocolate'],
    'without an amount' => ['some honey', 'unknown:amount-missing'],
    'a warning is passed over by nobody' => ['no raisins', 'unknown:unrecognised'],
    'in two rows' => ["1 tsp water\na handful of raisins", 'never:grape'],
]);

it('lets a food that was left out be named by the method only', function (): void {
    $steps = ['recipe' => ['steps' => 'Fold in the raisins.']];
    expect(found(made("300 g oat flour\n20 g raisins", [['row' => 1, 'grams' => 0]], $steps)))
        ->toContain('unknown:named-only-in-step')
        ->and(made('100 g raisins', [['row' => 0, 'share' => 0]])['verdict']['cleared'])
        ->toBeFalse();
});

it('refuses what fits no line, at its place', function (mixed $entry, string $path, string $says): void {
    $refused = refusalOf('formulate', ['recipe' => ['text' => BOWL, 'asMade' => [['row' => 1, 'share' => 1], $entry]]]);
    expect($refused->path)->toBe($path)->and($refused->getMessage())->toContain($says);
})->with([
    'a heading' => [['row' => 0, 'grams' => 5], '/recipe/asMade/1/row', 'Row 0 of the recipe holds no line'],
    'a row behind the last' => [['row' => 40, 'grams' => 5], '/recipe/asMade/1/row', 'Row 40 of the recipe holds no line'],
    'a row of several' => [['row' => 8, 'grams' => 5], '/recipe/asMade/1/row', 'Row 8 holds several lines: say which, with span. There are: [4, 17] "100 g raisins"; [23, 33] "60 ml milk".'],
    'a span where nothing stands' => [['row' => 8, 'span' => [4, 5], 'grams' => 5], '/recipe/asMade/1/span', 'No line of row 8 stands there.'],
    'half a span' => [['row' => 8, 'span' => [4], 'grams' => 5], '/recipe/asMade/1/span', 'first code point'],
    'more than all' => [['row' => 1, 'share' => 1.2], '/recipe/asMade/1/share', 'from 0 to 1'],
    'less than nothing' => [['row' => 1, 'grams' => -1], '/recipe/asMade/1/grams', 'from 0 to 100000 g'],
    'both' => [['row' => 1, 'share' => 0.5, 'grams' => 5], '/recipe/asMade/1/share', 'not both'],
    'neither' => [['row' => 1], '/recipe/asMade/1', 'A share of the row or the grams'],
    'nothing' => [new stdClass, '/recipe/asMade/1', 'A row that was written, or a text'],
    'an addition in a row' => [['row' => 1, 'text' => '1 tsp water'], '/recipe/asMade/1/row', 'stands in no row'],
    'a row with a section' => [['row' => 1, 'grams' => 5, 'section' => 'For the dough'], '/recipe/asMade/1/section', 'has its section already'],
    'an empty addition' => [['text' => ' '], '/recipe/asMade/1/text', 'must not be empty'],
    'no entry' => ['1 tsp water', '/recipe/asMade/1', 'an object'],
]);

it('asks about what is written where it changes what is written', function (string $question, array $more): void {
    $refused = refusalOf($question, ['recipe' => ['text' => BOWL, 'asMade' => [['row' => 1, 'grams' => 5]]]] + $more);
    expect($refused->path)->toBe('/recipe/asMade')->and($refused->getMessage())->toContain('write out what was made');
})->with([['rescue', []], ['scale', ['by' => ['factor' => 2]]], ['swaps', ['line' => 0]]]);

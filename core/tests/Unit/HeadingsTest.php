<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Tests\Support\Generated;

it('cooks a broth on the hob and leaves what is laid on a piece unheated, whatever the heading is called', function (string $role, string $process): void {
    $answer = inParts("For the cake:\n200 g oat flour\n100 g water\nExtras:\n100 g milk\n1 egg", [], ['parts' => [['section' => 'Extras', 'role' => $role]]]);
    expect(partsOf($answer)['Extras']['process'])->toBe($process);
})->with([['liquid', 'hob'], ['topping', 'none'], ['frosting', 'none'], ['coating', 'none'], ['filling', 'oven'], ['dusting', 'oven']]);

it('reads a frosting beside lines without a heading, and two jellies as one', function (): void {
    $answer = inParts("200 g oat flour\n1 egg\n\nFrosting:\n100 g cream cheese\n1 egg");
    expect(array_column($answer['parts'], 'role'))
        ->toBe(['body', 'frosting'])
        ->and(array_column($answer['lines'][1]['findings'], 'code'))
        ->not->toContain('raw-egg')
        ->and(array_column($answer['lines'][3]['findings'], 'code'))
        ->toContain('raw-egg');
    $jellies = inParts("Green jelly:\n200 g water\n4 g gelatin\nRed jelly:\n200 g water\n4 g gelatin", ['bake' => ['texture' => 'none']])['parts'];
    expect(array_column($jellies, 'role'))->toBe(['body'])->and($jellies[0]['sections'])->toHaveCount(2);
});

it('refuses what cannot be said of a part, with the place', function (array $parts, string $path, string $says): void {
    try {
        inParts(CAKE."\n\nBroth:\n1 l water\n200 g of the broth", [], ['parts' => $parts]);
        expect(true)->toBeFalse('it was not refused');
    } catch (RequestRefused $refused) {
        expect($refused->path)->toBe($path)->and($refused->getMessage())->toContain($says);
    }
})->with([
    'keeps more than it holds' => [[['section' => 'For the frosting', 'keeps' => ['grams' => 900]]], '/recipe/parts/0/keeps/grams', 'It keeps 900 g, but holds'],
    'a little more than it holds' => [[['section' => 'For the frosting', 'keeps' => ['grams' => 260.6]]], '/recipe/parts/0/keeps/grams', 'It keeps 261 g, but holds 260 g: say at most that.'],
    'two bodies' => [[['section' => 'For the cake', 'role' => 'body'], ['section' => 'For the frosting', 'role' => 'body']], '/recipe/parts/1/role', 'Two parts are the body'],
    'no body' => [[['section' => 'For the cake', 'role' => 'topping'], ['section' => 'For the frosting', 'role' => 'frosting'], ['section' => 'Broth', 'role' => 'topping']], '/recipe/parts/0/role', 'No part is the body'],
    'a share over the whole' => [[['section' => 'For the frosting', 'gramsPerPiece' => 90]], '/recipe/parts/0/gramsPerPiece', 'more than the'],
    'a share over the whole, said of the second part' => [[['section' => 'For the cake', 'role' => 'body'], ['section' => 'For the frosting', 'gramsPerPiece' => 90]], '/recipe/parts/1/gramsPerPiece', 'more than the'],
    'an unknown section' => [[['section' => 'For the icing']], '/recipe/parts/0/section', 'The headings are: For the cake; For the frosting; Broth'],
    'twice the same' => [[['section' => 'Broth', 'role' => 'topping'], ['section' => 'broth:']], '/recipe/parts/1/section', 'say it once'],
    'a broth that goes into itself' => [[['section' => 'Broth', 'role' => 'liquid']], '/recipe/parts/0/role', 'goes into itself'],
    'grams of the body' => [[['section' => 'For the cake', 'gramsPerPiece' => 5]], '/recipe/parts/0/gramsPerPiece', 'follows from its cut'],
    'an unknown role' => [[['section' => 'Broth', 'role' => 'soup']], '/recipe/parts/0/role', 'This must be one of: body'],
    'an unknown process' => [[['section' => 'Broth', 'process' => 'smoked']], '/recipe/parts/0/process', 'This must be one of: oven'],
    'an unknown key' => [[['section' => 'Broth', 'rôle' => 'body']], '/recipe/parts/0/rôle', 'There are: section, role'],
    'nothing kept' => [[['section' => 'Broth', 'keeps' => ['grams' => 0]]], '/recipe/parts/0/keeps/grams', 'more than 0'],
]);

it('has exactly one body, whatever is said that is not refused', function (): void {
    $headings = ['For the cake:', ...array_slice(HEADINGS, 1), 'Bone broth:', 'Jelly:', 'Wet:'];
    always(120, static function (Generated $made) use ($headings): ?string {
        $request = $made->request();
        $chosen = array_values(array_unique(array_map(static fn (): string => $made->one($headings), range(1, $made->number(1, 4)))));
        $text = implode("\n\n", array_map(static fn (string $heading): string => "$heading\n".implode("\n", $made->lines(2)), $chosen));
        $said = [];
        foreach ($chosen as $heading) {
            if ($made->number(0, 1) === 1) {
                $said[] = ['section' => rtrim($heading, ':'), 'role' => $made->one(Role::ids())];
            }
        }
        try {
            $answer = answerTo(['recipe' => ['text' => $text, 'parts' => $said]] + $request);
        } catch (RequestRefused) {
            return null;
        }
        $bodies = count(array_filter($answer['parts'], static fn (array $part): bool => $part['role'] === 'body'));
        $told = array_column($said, 'role', 'section');
        foreach ($answer['parts'] as $part) {
            $own = $told[$part['section'] ?? ''] ?? $part['role'];
            if ($own !== $part['role'] && count($part['sections']) === 1 && ! ($bodies === 1 && $part['role'] === 'body')) {
                return "{$part['section']} was said to be $own and is {$part['role']}";
            }
        }

        return $bodies === 1 ? null : "$bodies bodies of ".implode(', ', $chosen).' by '.json_encode($said);
    });
});

it('takes as much as a refusal says it may be at most', function (): void {
    always(40, static function (Generated $made): ?string {
        [$blocks, $request] = blocksOf($made);
        unset($request['portions'], $request['measured']);
        $text = implode("\n\n", $blocks);
        $part = answerTo(['recipe' => ['text' => $text]] + $request)['parts'][1];
        foreach ([['gramsPerPiece', '/most ([\d.]+) g\.$/'], ['keeps', '/but holds ([\d.]+) g/']] as [$key, $most]) {
            $say = static fn (float $grams): array => answerTo(
                ['recipe' => ['text' => $text, 'parts' => [['section' => $part['section'], $key => $key === 'keeps' ? ['grams' => $grams] : $grams]]]] + $request
            );
            try {
                $say(4999.0);
            } catch (RequestRefused $refused) {
                if (preg_match($most, $refused->getMessage(), $found) === 1 && (float) $found[1] > 0.0) {
                    $say((float) $found[1]);
                }
            }
        }

        return null;
    });
});

it('cuts the heaviest where no heading names what is cut, and a broth last of all', function (string $text, string $body): void {
    expect(array_column(inParts($text)['parts'], 'section', 'role')['body'])->toBe($body);
})->with([
    ["Frosting:\n200 g cream cheese\nTopping:\n20 g carrot", 'Frosting'],
    ["Topping:\n20 g carrot\nFrosting:\n200 g cream cheese", 'Frosting'],
    ["Topping:\n220 g carrot\nFrosting:\n200 g cream cheese", 'Topping'],
    ["Broth:\n1 l water\nTopping:\n20 g carrot", 'Topping'],
    ["Topping:\n20 g carrot\nBroth:\n1 l water", 'Topping'],
]);

it('refuses no guess', function (string $text): void {
    expect(inParts($text)['parts'])->not->toBe([]);
})->with([
    'all roles but a body' => ["Frosting:\n200 g cream cheese\nTopping:\n20 g carrot"],
    'a broth by itself' => ["Broth:\n1 l water\n200 g of the broth"],
    'a heading with no line' => ["For the cake:\nFrosting:\n200 g cream cheese"],
    'two broths that name each other' => ["Bone broth:\n1 l water\n100 g of the stock\nStock:\n1 l water\n100 g of the broth\nDough:\n200 g oat flour"],
]);

it('takes a jelly for set and never heated, whatever comes of the rest, unless another role is said of it', function (): void {
    $jelly = static fn (array $recipe): array => inParts("For the jelly:\n400 g water\n8 g gelatin\n1 egg", ['bake' => ['texture' => 'biscuit']], $recipe);
    $codes = static fn (array $answer): array => array_column($answer['lines'][2]['findings'], 'code');
    expect($jelly([])['parts'][0]['process'])->toBe('set')->and($codes($jelly([])))->toContain('raw-egg');
    $beside = inParts("For the cake:\n200 g oat flour\n100 g water\nFor the jelly:\n400 g water\n8 g gelatin\n1 egg", [], ['parts' => [['section' => 'For the jelly', 'role' => 'filling']]]);
    expect(partsOf($beside)['For the jelly']['process'])->toBe('oven')->and(array_column($beside['lines'][4]['findings'], 'code'))->not->toContain('raw-egg');
});

it('takes the right word of a heading', function (string $heading, string $role): void {
    expect(partsOf(inParts("Dough:\n200 g oat flour\n100 g water\n\n$heading:\n50 g cream cheese"))[$heading]['role'] ?? 'body')->toBe($role);
})->with([
    ['For the frosting', 'frosting'],
    ['Icing (optional)', 'frosting'],
    ['Carob glaze', 'coating'],
    ['To dip', 'coating'],
    ['For the topping', 'topping'],
    ['To decorate', 'topping'],
    ['Filling for the cake', 'filling'],
    ['Peanut butter filling', 'filling'],
    ['Jelly', 'topping'],
    ['For dusting', 'dusting'],
    ['Bone broth', 'liquid'],
    ['Broth biscuits', 'body'],
    ['Wet', 'body'],
    ['Add-ins', 'body'],
]);

it('knows of every process what it does to what was raw, and whether it dries', function (): void {
    $is = [];
    foreach (Processes::all() as $process) {
        $is[$process->id()] = [$process->killsRaw() ? 'yes' : 'no', $process->dries() ? 'yes' : 'no', $process->texture()];
    }
    $wanted = [];
    foreach (Cases::cells('processes.txt') as [$id, $killsRaw, $dries, $texture]) {
        $wanted[$id] = [$killsRaw, $dries, $texture];
    }
    ksort($is);
    ksort($wanted);
    expect($is)->toBe($wanted);
});

it('dries a part to its texture where the process does, and leaves its water where it does not', function (): void {
    foreach (Cases::cells('processes.txt') as [$id, , $dries]) {
        $part = partsOf(inParts("Dough:\n200 g oat flour\n100 g water\nTopping:\n100 g mashed sweet potato", [], ['parts' => [['section' => 'Topping', 'process' => $id, 'texture' => 'jerky']]]))['Topping'];
        expect($part['keptGrams']['best'] < $part['doughGrams']['best'] - 1)->toBe($dries === 'yes', $id);
    }
});

it('asks every process what a safety check reads', function (): void {
    foreach (Processes::all() as $process) {
        $answer = inParts("Dough:\n200 g oat flour\n100 g water\nTopping:\n1 egg", [], ['parts' => [['section' => 'Topping', 'process' => $process->id()]]]);
        expect(in_array('raw-egg', array_column($answer['lines'][2]['findings'], 'code'), true))
            ->toBe(! $process->killsRaw(), $process->id())
            ->and($answer['parts'][1]['process'])
            ->toBe($process->id());
        $body = inParts("200 g oat flour\n1 egg", [], ['parts' => [['section' => null, 'process' => $process->id()]]]);
        expect(in_array('raw-egg', array_column($body['lines'][1]['findings'], 'code'), true))->toBe(! $process->killsRaw(), $process->id());
        Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => "200 g oat flour\n1 egg", 'parts' => [['section' => null, 'process' => $process->id()]]]]);
    }
});

it('takes a filling for heated only where the pieces are', function (string $heading, string $texture, array $parts, bool $raw): void {
    $answer = inParts("Dough:\n200 g rolled oats\n100 g water\n\n$heading:\n100 g cream cheese\n1 egg", ['bake' => ['texture' => $texture]], ['parts' => $parts]);
    expect(in_array('raw-egg', array_column($answer['lines'][3]['findings'], 'code'), true))->toBe($raw);
})->with([
    ['Filling', 'cake', [], false],
    ['Filling', 'none', [], true],
    ['Filling', 'frozen', [], true],
    ['For dusting', 'none', [], true],
    ['For dusting', 'biscuit', [], false],
    ['Filling', 'cake', [['section' => 'Filling', 'joins' => 'after']], true],
    ['Filling', 'none', [['section' => 'Dough', 'process' => 'hob']], false],
    ['Filling', 'cake', [['section' => 'Dough', 'process' => 'dried']], true],
    ['Filling', 'none', [['section' => 'Filling', 'process' => 'microwave']], false],
    ['Frosting', 'cake', [], true],
]);

it('is told no less of a food for standing under a heading that is guessed', function (): void {
    always(60, static function (Generated $made): ?string {
        $request = ['bake' => ['texture' => $made->one(['none', 'frozen'])]] + $made->request();
        $lines = $made->lines(6);
        $heading = $made->one(['For the filling:', 'Frosting:', 'To dip:', 'Topping:', 'For dusting:']);
        $headed = answerTo(['recipe' => ['text' => implode("\n", ['Dough:', ...array_slice($lines, 0, 3), $heading, ...array_slice($lines, 3)])]] + $request);
        $plain = answerTo(['recipe' => ['text' => implode("\n", $lines)]] + $request);
        $codes = static fn (array $answer): array => array_map(
            static fn (array $line): array => array_column(array_filter($line['findings'], static fn (array $one): bool => $one['dog'] === null && $one['level'] !== 'limit'), 'code'),
            $answer['lines'],
        );
        foreach ($codes($plain) as $n => $found) {
            $lost = array_diff($found, $codes($headed)[$n], ['baking-soda']);
            if ($lost !== []) {
                return implode(', ', $lost)." lost under $heading";
            }
        }

        return null;
    });
});

it('takes at most twenty parts', function (): void {
    $parts = static fn (int $count): array => array_map(static fn (int $n): array => ['section' => "Part $n"], range(1, $count));
    $text = implode("\n", array_map(static fn (int $n): string => "Part $n:\n10 g oat flour", range(1, 21)));
    expect(inParts($text, [], ['parts' => $parts(20)])['parts'])->toHaveCount(1);
    expect(fn () => inParts($text, [], ['parts' => $parts(21)]))->toThrow(RequestRefused::class);
});

it('names the food that only a heading names', function (): void {
    $found = array_merge(...array_column(answer("For the raisin topping:\n100 g oat flour")['lines'], 'findings'));
    expect(array_column($found, 'message', 'code')['named-only-in-heading'] ?? '')->toContain('Raisins');
});

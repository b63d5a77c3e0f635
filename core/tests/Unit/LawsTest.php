<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Generated;

const LEVELS = ['never', 'unknown', 'allergen', 'limit', 'ask-vet', 'check-label', 'caution', 'clear'];

/** Everything that is said of one dog: on the lines, of itself, and its ration. @param  array<string, mixed>  $answer @return array<string, mixed> */
function saidOf(string $name, array $answer): array
{
    $lines = [];
    foreach ($answer['lines'] as $line) {
        $found = array_map(
            static fn (array $one): string => "{$one['level']}:{$one['code']}:{$one['message']}",
            array_filter($line['findings'], static fn (array $one): bool => $one['dog'] === $name)
        );
        sort($found);
        $lines[$line['text']] = $found;
    }
    ksort($lines);

    return [$lines, array_column($answer['verdict']['dogs'], null, 'name')[$name], array_column($answer['rations'], null, 'dog')[$name]];
}

it('never gives more energy than is left of the budget', function (): void {
    always(150, static function (Generated $made): ?string {
        $request = $made->request();
        $answer = answerTo($request);
        foreach ($answer['rations'] as $n => $ration) {
            $left = max(0.0, ($ration['treatBudgetKcal'] ?? 0.0) - ($request['dogs'][$n]['alreadyToday']['kcal'] ?? 0));
            $kcal = $answer['piece']['kcal']['best'];
            foreach (['piecesPerDay', 'ifCleared'] as $key) {
                if ($kcal > 0 && ($ration[$key] ?? 0.0) * $kcal > $left + 1e-6) {
                    return "{$ration[$key]} pieces of $kcal kcal, $left left";
                }
            }
        }

        return null;
    });
});

it('judges a dog alike alone and beside others', function (): void {
    always(60, static function (Generated $made): ?string {
        $request = $made->request();
        $together = answerTo($request);
        foreach ($request['dogs'] as $dog) {
            $alone = answerTo(['dogs' => [$dog]] + $request);
            if (saidOf($dog['name'], $alone) != saidOf($dog['name'], $together)) {
                return "{$dog['name']} is judged otherwise alone";
            }
        }

        return null;
    });
});

it('says of a dog only what another of its kind without the reason is not told', function (): void {
    always(120, static function (Generated $made): ?string {
        $request = $made->request(8, 1);
        $dog = $request['dogs'][0];
        $plain =
            [
                'allergies' => [],
                'conditions' => [],
                'medicines' => [],
                'newIngredients' => [],
                'breed' => null,
                'teeth' => 'full',
                'eating' => 'normal',
                'bodyCondition' => 5,
            ] + $dog;
        $findings = saidOf($dog['name'], answerTo(['dogs' => [$plain]] + $request));
        $codes = [];
        foreach (
            [
                ...array_merge(...array_values($findings[0])),
                ...array_map(static fn (array $one): string => "{$one['level']}:{$one['code']}", $findings[1]['findings']),
            ] as $one
        ) {
            $codes[] = explode(':', $one)[1];
        }
        // what is left is of its age, its weight against the piece, and its doses
        $odd = array_diff($codes, [
            'sodium',
            'fat',
            'added-sugar',
            'coumarin',
            'vitamin-a',
            'vitamin-d',
            'calcium',
            'fibre',
            'kelp',
            'garlic',
            'root-spice',
            'too-rich',
            'bite',
            'texture-young',
            'raw-puppy',
            'salt-puppy',
            'honey-raw',
            'added-calcium-growth',
            'allium',
        ]);

        return $odd === [] ? null : 'told to a healthy dog: '.implode(', ', $odd);
    });
});

it('never gives a worse dog more', function (): void {
    always(60, static function (Generated $made): ?string {
        $request = $made->request(7, 1);
        $dog = $request['dogs'][0];
        $before = answerTo($request)['rations'][0];
        $worse = [
            ...array_map(static fn (string $one): array => ['conditions' => [...$dog['conditions'], $one]], [
                'pancreatitis',
                'kidney',
                'heart',
                'heart-advanced',
                'diabetes',
                'urate-stones',
                'copper-storage',
                'sensitive-stomach',
                'gut-protein-loss',
                'pregnant',
                'nursing',
                'megaoesophagus',
                'immunocompromised',
                'anaemia',
                'liver',
            ]),
            ['allergies' => [...$dog['allergies'], 'gluten', 'beef', 'dairy']],
            ['medicines' => ['chemotherapy', 'bromide', 'anticoagulant']],
            ['allowList' => ['rabbit']],
            ['newIngredients' => ['oat', 'egg', 'beef', 'water']],
            ['alreadyToday' => ['kcal' => 25, 'sodiumMg' => 40, 'fatG' => 1.0]],
            ['budgetPercent' => 2],
        ];
        foreach ($worse as $change) {
            $after = answerTo(['dogs' => [$change + $dog]] + $request);
            $ration = $after['rations'][0];
            // where nothing limits there is nothing to compare
            if (
                ($before['ifCleared'] !== null && ($ration['ifCleared'] ?? 0.0) > $before['ifCleared'] + 1e-9) ||
                ($ration['piecesPerDay'] ?? 0.0) > ($before['piecesPerDay'] ?? INF) + 1e-9
            ) {
                return json_encode($change)." gives {$ration['ifCleared']} instead of {$before['ifCleared']}";
            }
        }

        return null;
    });
});

it('is never helped by more of a bad thing', function (string $food, string $code): void {
    always(20, static function (Generated $made) use ($food, $code): ?string {
        $base = $made->request(5, 2);
        $before = null;
        foreach ([1, 3, 9, 27, 81] as $grams) {
            $answer = answerTo(
                [
                    'recipe' => ['text' => "{$base['recipe']['text']}\n$grams g $food"],
                    'policy' => ['garlic' => 'measured'],
                    'cut' => ['shape' => 'pieces', 'count' => 50],
                ] + $base
            );
            $now = array_map(
                static fn (array $ration): float => array_column($ration['limits'], 'piecesPerDay', 'code')[$code] ?? INF,
                $answer['rations']
            );
            foreach ($now as $n => $pieces) {
                if ($before !== null && $pieces > $before[0][$n] + 1e-9) {
                    return "$grams g $food leaves more by $code";
                }
                $worst = array_search($answer['verdict']['dogs'][$n]['worst'], LEVELS, true);
                if ($before !== null && $worst > $before[1][$n] && $answer['verdict']['dogs'][$n]['worst'] === 'clear') {
                    return "$grams g $food clears a dog";
                }
            }
            $before = [$now, array_map(static fn (array $dog): int|false => array_search($dog['worst'], LEVELS, true), $answer['verdict']['dogs'])];
        }

        return null;
    });
})->with([
    ['salt', 'sodium'],
    ['olive oil', 'fat'],
    ['sugar', 'added-sugar'],
    ['cassia cinnamon', 'coumarin'],
    ['beef liver', 'vitamin-a'],
    ['cod liver oil', 'vitamin-d'],
    ['psyllium husk', 'fibre'],
    ['kelp powder', 'kelp'],
    ['fresh garlic', 'garlic'],
    ['raisins', 'budget'],
    ['flurbl', 'budget'],
]);

it('removes no finding when a line is added, and clears nothing by it', function (): void {
    $lasting = static fn (array $answer): array => array_values(
        array_filter(
            found($answer),
            static fn (string $one): bool => preg_match(
                '/^(limit|caution):(sodium|fat|added-sugar|coumarin|vitamin-.|calcium|fibre|kelp|garlic|root-spice|too-rich|legume-heart|baking-soda)$/',
                $one
            ) !== 1
        )
    );
    always(100, static function (Generated $made) use ($lasting): ?string {
        $request = $made->request(6);
        $more = $made->lines(2);
        $before = answerTo($request);
        $after = answerTo(['recipe' => ['text' => $request['recipe']['text']."\n".implode("\n", $more)]] + $request);
        $lost = array_diff($lasting($before), $lasting($after));

        return $lost !== [] ? implode(', ', $lost).' lost by '.implode(', ', $more) : null;
    });
});

it('changes nothing when keys, lines and dogs change places', function (): void {
    always(60, static function (Generated $made): ?string {
        $request = $made->request();
        $answer = answerTo($request);
        if (answerTo($made->shuffledKeys($request)) != $answer) {
            return 'another order of keys changes the answer';
        }
        $lines = explode("\n", $request['recipe']['text']);
        $turned = answerTo(['recipe' => ['text' => implode("\n", array_reverse($lines))], 'dogs' => array_reverse($request['dogs'])] + $request);
        foreach ($request['dogs'] as $dog) {
            [$one, $two] = [saidOf($dog['name'], $answer), saidOf($dog['name'], $turned)];
            if (
                $one[0] != $two[0] ||
                $one[1]['cleared'] !== $two[1]['cleared'] ||
                $one[1]['worst'] !== $two[1]['worst'] ||
                $one[2]['ifCleared'] !== $two[2]['ifCleared'] ||
                $one[2]['heldBy'] !== $two[2]['heldBy']
            ) {
                return "{$dog['name']} is judged otherwise in another order";
            }
        }

        return abs($turned['batch']['kcal']['best'] - $answer['batch']['kcal']['best']) < 1e-6 &&
            $turned['verdict']['cleared'] === $answer['verdict']['cleared']
            ? null
            : 'another order changes the batch';
    });
});

it('weighs and screens a line alike whole and in two', function (): void {
    always(60, static function (Generated $made): ?string {
        $request = $made->request(6);
        $lines = explode("\n", $request['recipe']['text']);
        $grams = (int) $lines[0];
        $food = preg_replace('/^\d+ g /', '', $lines[0]);
        $split = [
            number_format($grams * 0.3, 3, '.', '')." g $food",
            number_format($grams * 0.7, 3, '.', '')." g $food",
            ...array_slice($lines, 1),
        ];
        [$one, $two] = [answerTo($request), answerTo(['recipe' => ['text' => implode("\n", $split)]] + $request)];
        $same =
            abs($one['batch']['doughGrams']['best'] - $two['batch']['doughGrams']['best']) < 1e-6 &&
            abs($one['batch']['kcal']['best'] - $two['batch']['kcal']['best']) < 1e-6 &&
            array_column($one['rations'], 'ifCleared') === array_column($two['rations'], 'ifCleared') &&
            $one['verdict']['cleared'] === $two['verdict']['cleared'];
        $codes = static fn (array $answer): array => array_values(
            array_filter(array_unique(found($answer)), static fn (string $code): bool => $code !== 'caution:baking-soda')
        );
        [$a, $b] = [$codes($one), $codes($two)];
        sort($a);
        sort($b);

        return $same && $a === $b ? null : "$lines[0] in two: ".implode(', ', [...array_diff($a, $b), ...array_diff($b, $a)]);
    });
});

it('holds energy and mass to the amounts, whatever the cut and the texture', function (): void {
    always(60, static function (Generated $made): ?string {
        $request = $made->request(6, 1);
        $answer = answerTo($request);
        // what nobody knows lies between nothing and pure fat
        $kcal = static fn (array $line): float => $line['kcal']['best'] ?? ($line['ingredient'] === null ? 0.0 : 4.5 * ($line['grams']['best'] ?? 0.0));
        $whole = array_sum(array_map($kcal, $answer['lines']));
        $grams = array_sum(
            array_map(static fn (array $line): float => $line['ingredient'] === null ? 0.0 : $line['grams']['best'] ?? 0.0, $answer['lines'])
        );

        return abs($whole - $answer['batch']['kcal']['best']) < 1e-6 * max(1, $whole) &&
            abs($grams - $answer['batch']['doughGrams']['best']) < 1e-6 * max(1, $grams) &&
            $answer['batch']['bakedGrams']['best'] <= $grams + 1e-6
            ? null
            : "$whole kcal in $grams g, the batch says {$answer['batch']['kcal']['best']} in {$answer['batch']['doughGrams']['best']}";
    });
});

it('never lowers a label\'s verdict by a word that nobody knows', function (): void {
    always(80, static function (Generated $made): ?string {
        $parts = $made->label($made->number(1, 6));
        $dogs = [$made->dog('Rex')];
        $worst = static fn (array $parts): int => (int) array_search(labelled(implode(', ', $parts), $dogs)['worst'], LEVELS, true);
        $before = $worst($parts);
        $with = $parts;
        array_splice($with, $made->number(0, count($parts)), 0, ['gnarp']);

        return $worst($with) <= min($before, (int) array_search('unknown', LEVELS, true))
            ? null
            : implode(', ', $with).' is judged milder than without the word';
    });
});

it('never lowers a label\'s verdict by another part, nor by their order', function (): void {
    always(60, static function (Generated $made): ?string {
        $parts = $made->label(5);
        $dogs = [$made->dog('Rex')];
        $worst = static fn (array $parts): int => (int) array_search(labelled(implode(', ', $parts), $dogs)['worst'], LEVELS, true);
        $all = $worst($parts);

        return $all <= $worst(array_slice($parts, 0, 4)) && $all === $worst(array_reverse($parts)) ? null : implode(', ', $parts);
    });
});

it('scales masses and energy by the amounts, and no finding but doses of a fixed piece', function (): void {
    always(40, static function (Generated $made): ?string {
        $request = ['cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6]] + $made->request(6);
        $times = static fn (float $k): array => [
            'recipe' => [
                'text' => (string) preg_replace_callback(
                    '/^\d+/m',
                    static fn (array $found): string => (string) ($k * (int) $found[0]),
                    $request['recipe']['text']
                ),
            ],
        ] + $request;
        $one = answerTo($request);
        $more = answerTo($times(3));
        $codes = static fn (array $answer): array => array_values(
            array_filter(found($answer), static fn (string $code): bool => $code !== 'caution:baking-soda')
        );

        return abs($more['batch']['kcal']['best'] - 3 * $one['batch']['kcal']['best']) < 1e-6 * max(1, $more['batch']['kcal']['best']) &&
            $codes($one) === $codes($more) &&
            array_map(static fn (array $ration): ?float => $ration['ifCleared'], $one['rations']) ===
                array_map(static fn (array $ration): ?float => $ration['ifCleared'], $more['rations'])
            ? null
            : $request['recipe']['text'];
    });
});

<?php

declare(strict_types=1);

use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;

/** @return array<string, mixed> */
function clip(string $content, ?string $kind = null): array
{
    $answer = Asking::json('read', (json_encode(array_filter(['version' => 1, 'content' => $content, 'kind' => $kind, 'explain' => true]), JSON_THROW_ON_ERROR))
    );
    expect(schemaErrors($answer, 'read-answer'))->toBe('');

    return $answer;
}

const LD = '{"@context":"https://schema.org","@graph":[{"@type":"WebPage","name":"x"},{"@type":["Recipe"],"name":"Pumpkin &amp; oat bites","recipeYield":["24","24 bites"],"prepTime":"PT15M","cookTime":"PT1H5M","recipeIngredient":["2 cups oat flour","1 cup <b>plain</b> pumpkin purée","1/4 cup raisins"],"recipeInstructions":[{"@type":"HowToSection","name":"Dough","itemListElement":[{"@type":"HowToStep","text":"Mix all."}]},{"@type":"HowToStep","text":"Bake at 80 °C for 25 minutes.<img src=x onerror=alert(1)>"}],"author":{"@type":"Person","name":"A. Clipper"}}]}';

it('reads JSON-LD, bare or in a page', function (string $content): void {
    $recipe = clip($content)['recipes'][0];

    expect($recipe['title'])
        ->toBe('Pumpkin & oat bites')
        ->and($recipe['text'])
        ->toBe("2 cups oat flour\n1 cup plain pumpkin purée\n1/4 cup raisins")
        ->and($recipe['steps'])
        ->toBe("Dough:\nMix all.\nBake at 80 °C for 25 minutes.")
        ->and($recipe['yield'])
        ->toBe('24; 24 bites')
        ->and($recipe['times'])
        ->toEqual(['prepMinutes' => 15, 'bakeMinutes' => 65])
        ->and($recipe['source'])
        ->toBe('A. Clipper');
    expect(found(answer($recipe['text'], ['recipe' => ['steps' => $recipe['steps']]])))->toContain('never:grape');
})->with([
    [LD],
    ['['.LD.']'],
    [
        '<!doctype html><html><head><script>var x="<div>";</script><script type="application/ld+json">'.
        LD.
        '</script></head><body><p>words</p></body></html>',
    ],
    ["<html><script type='application/ld+json'>\n<!-- ".LD.' --></script></html>'],
]);

it('takes every recipe of a document', function (): void {
    $recipes = clip(
        "# Harbour rounds\n\nMakes: 30 rounds\nPrep time: 20 min\n\n## Ingredients\n- 2 cups oat flour\n- 1 egg\n\n## Method\n1. Mix.\n2. Bake.\n\n## Notes\nGreat fun.\n\n# Second rounds\n\n## Ingredients\n* 1 cup rice flour\n\n## Directions\nBake it."
    )['recipes'];

    expect(array_column($recipes, 'title'))
        ->toBe(['Harbour rounds', 'Second rounds'])
        ->and($recipes[0]['text'])
        ->toBe("2 cups oat flour\n1 egg")
        ->and($recipes[0]['steps'])
        ->toBe("Mix.\nBake.")
        ->and($recipes[0]['yield'])
        ->toBe('30 rounds')
        ->and($recipes[0]['times']['prepMinutes'])
        ->toEqual(20);
    $plain = clip("First bites\nIngredients:\n1 cup oat flour\nMethod:\nMix.\n\nSecond bites\nIngredients:\n1 cup rice flour\nMethod:\nBake.")[
        'recipes'
    ];
    expect(array_column($plain, 'title'))->toBe(['First bites', 'Second bites']);
});

it('reads a plain note without headings', function (): void {
    $recipe = clip("Grandma's dog bites\n2 cups oat flour\n1 egg\n1/4 cup water\nMix everything and roll out.\nBake for 20 minutes.")['recipes'][0];

    expect($recipe['title'])
        ->toBe("Grandma's dog bites")
        ->and($recipe['text'])
        ->toBe("2 cups oat flour\n1 egg\n1/4 cup water")
        ->and($recipe['steps'])
        ->toBe("Mix everything and roll out.\nBake for 20 minutes.");
});

it('reads a page that holds no structured data, and runs nothing of it', function (): void {
    $answer = clip(
        '<html><head><title>Bites</title><style>p{}</style></head><body><nav>Home</nav><h1>Oat bites</h1><h2>Ingredients</h2><ul><li>2 cups oat flour</li><li>1 egg<script>alert(1)</script></li></ul><h2>Method</h2><ol><li>Bake.</li></ol></body></html>'
    );

    expect($answer['recipes'][0]['title'])
        ->toBe('Oat bites')
        ->and($answer['recipes'][0]['text'])
        ->toBe("2 cups oat flour\n1 egg")
        ->and(json_encode($answer))
        ->not->toContain('<')
        ->not->toContain('alert');
});

it('lists what it did not understand', function (string $content): void {
    $answer = clip($content);
    expect($answer['recipes'])->toBe([])->and($answer['notUnderstood'])->not->toBeEmpty();
})->with(['Nothing to bake here at all.', '{"@type":"Recipe","name":"x"', '<html><body><p>Hello there</p></body></html>', '[]']);

it('questions doubtful claims', function (string $row, string $question): void {
    $doubts = clip("# Bites\n## Ingredients\n2 cups oat flour\n100 g cooked chicken\n## Method\n$row")['recipes'][0]['doubts'];
    expect(implode(' ', array_column($doubts, 'question')))->toContain($question);
})->with([
    ['Bake at 80 °C for 20 minutes.', '180 °C meant'],
    ['Bake at 350 °C.', 'is it °F'],
    ['Preheat the oven to 350A degree C.', 'is it °F'],
    ['Bake at 180 F.', 'is it °C'],
    ['Keeps for 3 months in an airtight jar.', 'at most 0 days in the jar'],
    ['Keep in the fridge for 4 weeks.', 'at most 3 days in the fridge'],
    ['The turmeric helps with joint inflammation.', 'What is known'],
    ['Add a quarter, no, half a teaspoon of ginger.', 'corrected in the telling'],
    ['Dry the meat in the oven at 70 °C.', 'core temperature'],
    ["Bake for 20 minutes.\nBake everything 45 minutes.", 'more than once'],
]);

it('shows the beginning of what it could not read, and no more', function (): void {
    $told = clip('<html><script type="application/ld+json">{"@type":"Recipe","name":"'.str_repeat('x', 200).'</script></html>')['notUnderstood'];
    expect(implode(' ', $told))->toContain('Structured data that is not valid JSON: "{"@type":"Recipe","name":"'.str_repeat('x', 34).'…"');
});

it('reads a script of data whose words hold the end of a script', function (int $times): void {
    $page = static fn (string $note): string => '<html><body><script type="application/ld+json">'.
        '{"@type":"Recipe","name":"Rounds","description":"'.$note.'","recipeIngredient":["2 cups oat flour"]}</script></body></html>';
    expect(clip($page(str_repeat('a </script> b ', $times)))['recipes'][0]['title'] ?? null)->toBe('Rounds');
})->with([0, 1, 3, 7]);

it('questions a heat from the degree on at which it cannot be meant, and not a degree before', function (string $row, string $question): void {
    $doubts = clip("# Bites\n## Ingredients\n2 cups oat flour\n## Method\n$row")['recipes'][0]['doubts'];
    $questions = implode(' ', array_column($doubts, 'question'));
    $question === '' ? expect($questions)->not->toContain('°') : expect($questions)->toContain($question);
})->with([
    ['Bake at 260 °C.', ''],
    ['Bake at 261 °C.', '(125 °C)'],
    ['Bake at 350 °C.', '(175 °C)'],
    ['Bake at 320 °C.', '(160 °C)'],
    ['Bake at 100 °C.', ''],
    ['Bake at 99 °C.', '199 °C meant'],
    ['Bake at 200 °F.', ''],
    ['Bake at 199 °F.', '199 °F is 95 °C'],
    ['Bake at 140 °F.', '140 °F is 60 °C'],
    ['Bake at 500 °F.', ''],
    ['Bake at 501 °F.', 'hotter than a kitchen oven: check'],
    ['Bake at three 50 F.', ''],
    ['Bake at one 80 F.', '180 °F is 80 °C'],
    ['Bake at two 90 C.', '(145 °C)'],
    ['Bake at four 10 C.', '(210 °C)'],
    ['Dry the meat in the oven at 95 °C.', 'up to 95 °C'],
    ['Dry the meat in the oven at 96 °C.', ''],
    ['Dry the meat in the oven at 203 °F.', 'up to 95 °C'],
    ['Dry the meat in the oven at 204 °F.', ''],
    ['Dehydrate the jerky in the oven at 70 °C.', 'up to 95 °C'],
    ['Put it in a bag of 400 C.', ''],
]);

it('asks nothing about a plain recipe', function (): void {
    expect(
        clip(
            "# Bites\n## Ingredients\n2 cups oat flour\n1 egg\n## Method\nPreheat the oven to 180 °C.\nBake for 20 minutes.\nKeep in a jar for up to 10 days."
        )['recipes'][0]['doubts']
    )->toBe([]);
});

it('reads a page of ten million characters', function (): void {
    $answer = clip(
        '<html><body>'.
            str_repeat('<div class="x"><p>filler words</p></div>', 250_000).
            '<script type="application/ld+json">'.
            LD.
            '</script></body></html>'
    );
    expect($answer['recipes'][0]['title'])->toBe('Pumpkin & oat bites');
});

it('finds no recipe in hostile documents, and says so', function (string $content): void {
    $answer = clip($content);
    expect(array_filter($answer['recipes'], static fn (array $one): bool => $one['text'] !== ''))
        ->toBe([])
        ->and($answer['notUnderstood'])
        ->not->toBe([]);
})->with([
    'open tags' => str_repeat('<div', 200_000),
    'open script' => '<script type="application/ld+json">'.str_repeat('{', 100_000),
    'deep' => str_repeat('[', 5000).str_repeat(']', 5000),
    'entities' => '<p>'.str_repeat('&lt;b&gt;', 50_000),
    'comments' => str_repeat('<!--', 100_000),
    'many scripts' => str_repeat('<script type="application/ld+json">{</script>', 3000),
]);

it('cuts what is longer than a sheet, and says so', function (): void {
    $answer = clip("# Long\n## Ingredients\n".str_repeat("1 cup oat flour\n", 300));
    expect(substr_count($answer['recipes'][0]['text'], "\n") + 1)
        ->toBe(200)
        ->and(implode(' ', $answer['notUnderstood']))
        ->toContain('longer than one sheet');
});

it('refuses what is no document', function (string $json, string $code, string $path): void {
    try {
        Asking::json('read', ($json));
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->errorCode)->toBe($code)->and($refused?->path)->toBe($path);
})->with([
    ['{"version":1}', 'missing', '/content'],
    ['{"version":1,"content":" "}', 'out-of-range', '/content'],
    ['{"version":1,"content":"x","kind":"pdf"}', 'out-of-range', '/kind'],
    ['{"version":1,"content":"x","x":1}', 'unknown-key', '/x'],
    ['{"version":2,"content":"x"}', 'unsupported-version', '/version'],
]);

it('compares a keeping time with the class the recipe is of', function (string $list, string $method, string $says): void {
    $asked = static fn (string $row): string => implode(' ', array_column(clip("# Bites\n## Ingredients\n$list\n## Method\n$method\n$row")['recipes'][0]['doubts'], 'question'));
    preg_match('/(\d+) days? in the (\w+)/', $says, $found);
    $place = $found[2] === 'jar' ? 'in a jar' : "in the {$found[2]}";
    expect($asked("Keep $place for ".($found[1] + 1).' days.'))->toContain("at most $says");
    if ($found[1] > 0) {
        expect($asked("Keep $place for {$found[1]} days."))->toBe('');
    }
})->with([
    ["200 g oat flour\n1 egg", 'Bake at 170 C for 20 minutes.', '10 days in the jar'],
    ["200 g oat flour\n1 egg", 'Bake at 170 C for 20 minutes, then dry in the oven until hard.', '21 days in the jar'],
    ["200 g oat flour\n1 egg", 'Bake at 170 C for 20 minutes.', '120 days in the freezer'],
    ["200 g oat flour\n100 g pumpkin purée", 'Bake at 170 C for 20 minutes.', '1 day in the jar'],
    ["200 g oat flour\n100 g pumpkin purée", 'Bake at 170 C for 20 minutes.', '5 days in the fridge'],
    ["200 g oat flour\n100 g chicken liver", 'Bake at 170 C for 20 minutes.', '3 days in the fridge'],
    ['500 g lean beef', 'Slice and dry at 140 C for 3 hours.', '14 days in the fridge'],
    ["100 g rolled oats\n2 tbsp peanut butter", 'Roll into balls, no baking.', '5 days in the fridge'],
    ["200 g plain yogurt\n1 banana", 'Blend and freeze.', '1 day in the fridge'],
]);

it('loses no line to a heading, a remark or a place in the row', function (string $content, string $text, string $steps): void {
    $recipe = clip($content)['recipes'][0];
    expect($recipe['text'])->toBe($text)->and($recipe['steps'])->toBe($steps);
})->with([
    ['INGREDIENTS: 200 g oats, 1 egg. METHOD: Mix and bake.', '200 g oats, 1 egg.', 'Mix and bake.'],
    ["Oat bits\nIngredients: 2 eggs\n1 cup oats\nMethod: Mix.\nBake.", "2 eggs\n1 cup oats", "Mix.\nBake."],
    ["Ingredients 1 cup oats\n2 eggs\nMix and bake.", "Ingredients 1 cup oats\n2 eggs", 'Mix and bake.'],
    ["You will need 2 eggs\n1 cup oats\nMix and bake.", "You will need 2 eggs\n1 cup oats", 'Mix and bake.'],
    ["Ingredients (makes 24)\n1 cup oats\nMethod\nMix.", '1 cup oats', 'Mix.'],
    ["1 cup oats\n2 bananas\nMash the bananas.\n*Storage*: keep 3 days in the fridge.", "1 cup oats\n2 bananas", "Mash the bananas.\nStorage: keep 3 days in the fridge."],
    ["Ingredients\n1 cup oats\n1 onion\nMethod\nMix.", "1 cup oats\n1 onion", 'Mix.'],
]);

it('keeps every row that is brought in: on the sheet, in the method, as a title, or told of as set aside', function (): void {
    $pool = [
        '1 cup oats', '2 eggs', '- 100 g carrots', '1 onion', 'raisins', 'Mix well.', 'Bake at 180 C for 20 minutes.', 'My dog loves these!', 'Ingredients', 'Method', 'Notes', '# Bites', 'For the top:',
        'Comments', 'Ted says: I added 1 cup raisins.', '#dogtreats #cake', 'Prep time: 10 min', 'Makes 24', 'chocolate, 50 g', '1. Roll it out', 'l banana', '- 12 -', 'Subscribe for more', '50 g rolled', 'oats',
        'You will need 3 figs', 'Ingredients: 2 pears', '2 tbsp honey   1 tsp salt', '🍇', 'Hi Joan,', 'From: Petra', 'Subject: Re: cakes', '> 5 grapes', 'Storage: keep 3 days', '***', '☐ 1 leek',
    ];
    $chance = new Random\Randomizer(new Random\Engine\Mt19937(21));
    $words = static fn (string $text): array => preg_split('/[^\p{L}\p{So}]+/u', mb_strtolower($text), -1, PREG_SPLIT_NO_EMPTY);
    for ($n = 0; $n < 150; $n++) {
        $rows = array_map(static fn (int $key): string => $pool[$key], $chance->shuffleArray($chance->pickArrayKeys($pool, $chance->getInt(3, 14))));
        $answer = clip(implode("\n", $rows));
        $kept = $words(implode(' ', [...$answer['notUnderstood'], ...array_map(static fn (array $one): string => "{$one['title']} {$one['text']} {$one['steps']} {$one['yield']}", $answer['recipes'])]));
        foreach ($rows as $row) {
            $food = array_intersect($words($row), ['oats', 'eggs', 'carrots', 'onion', 'raisins', 'chocolate', 'banana', 'figs', 'pears', 'honey', 'salt', 'grapes', 'leek', '🍇', 'roll', 'mix', 'bake']);
            expect(array_diff($food, $kept))->toBe([], implode(' / ', $rows));
        }
    }
});

it('refuses in words what has more rows than any document of recipes', function (): void {
    expect(clip(str_repeat("2 cups oats\n", 20_000))['recipes'])->toHaveCount(1);
    $answer = clip(str_repeat("2 cups oats\n", 20_001));
    expect($answer['recipes'])->toBe([])->and($answer['notUnderstood'][0])->toContain('20,001 rows');
});

it('hears what goes in behind a call to the audience, and behind what was only for others', function (string $said, string $text): void {
    $talk = "Hello everybody. This is a cake for my dog and we begin. $said Then bake it at 180 for 20 minutes. Thank you for watching, my dog says bye.";
    expect(clip($talk)['recipes'][0]['text'] ?? '')->toBe($text);
})->with([
    ['Please subscribe and add two cups of oats and one egg.', "2 cups oats\n1 egg"],
    ['One egg or if your dog cannot have egg a spoon of flax and then two cups of oat flour go in.', "1 egg\n2 cups oat flour"],
    ['Two cups of oats. See you next week when we make cookies with two cups of chocolate chips.', '2 cups oats'],
]);

it('keeps a warning that has a condition, and makes none of what somebody has not got', function (): void {
    $warned = static fn (string $said): array => array_column(clip("Hello everybody. This is a cake for my dog and we begin. Take two cups of oats and one egg. $said Then bake it at 180 for 20 minutes. Thank you for watching, my dog says bye.")['recipes'][0]['warnings'] ?? [], 'ingredient');
    expect($warned('Never put raisins in when you have a dog.'))->toBe(['raisin'])->and($warned('If you do not have pumpkin use something else.'))->toBe([]);
});

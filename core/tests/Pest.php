<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Tests\Support\Generated;
use MildBowl\Core\Values\Range;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

require_once __DIR__.'/plans.php';

/**
 * The answer to a recipe, with whatever else the request says.
 *
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function answer(string $text, array $more = []): array
{
    $recipe = ['text' => $text] + ($more['recipe'] ?? []);
    unset($more['recipe']);

    return answerTo(['version' => 1, 'recipe' => $recipe] + $more);
}

/**
 * @param  array<string, mixed>  $request
 * @return array<string, mixed>
 */
function answerTo(array $request): array
{
    return Asking::json('formulate', (json_encode(array_filter($request, static fn (mixed $value): bool => $value !== []), JSON_THROW_ON_ERROR))
    );
}

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function dog(string $name = 'Rex', array $more = []): array
{
    return $more + ['name' => $name, 'weightKg' => 10, 'ageMonths' => 48, 'neutered' => true, 'bodyCondition' => 5];
}

/**
 * "level:code" of every finding on the lines and steps of an answer.
 *
 * @param  array<string, mixed>  $answer
 * @return list<string>
 */
function found(array $answer): array
{
    $found = [];
    foreach ([...$answer['lines'], ...$answer['steps'], ...$answer['verdict']['dogs']] as $part) {
        foreach ($part['findings'] as $finding) {
            $found[] = "{$finding['level']}:{$finding['code']}";
        }
    }

    return array_values(array_unique($found));
}

/** @return list<string> the rows of a case file, without comments */
function cases(string $file): array
{
    return Cases::rows($file);
}

/** @return list<array<string, string>> the rows of a reference table */
function table(string $name): array
{
    $handle = fopen(__DIR__."/../data/$name.csv", 'r');
    assert($handle !== false);
    $head = fgetcsv($handle, escape: '');
    $rows = [];
    while (($row = fgetcsv($handle, escape: '')) !== false) {
        $rows[] = array_combine($head, $row);
    }

    return $rows;
}

/** What is wrong with a value by one of the published schemas; empty when nothing is. */
function schemaErrors(mixed $data, string $schema): string
{
    // the schemas are read once: they are asked for thousands of times
    static $validator = null,
    $ids = [];
    if ($validator === null) {
        $validator = new Validator();
        foreach (glob(dirname(__DIR__, 2).'/schemas/*.json') ?: [] as $file) {
            $id = json_decode((string) file_get_contents($file))->{'$id'} ?? null;
            if ($id !== null) {
                $validator->resolver()?->registerFile($id, $file);
                $ids[basename($file, '.json')] = $id;
            }
        }
    }
    $result = $validator->validate(json_decode(json_encode($data, JSON_THROW_ON_ERROR)), $ids[$schema]);

    return $result->isValid() ? '' : json_encode((new ErrorFormatter())->format($result->error()), JSON_THROW_ON_ERROR);
}

/** @param  array<string, float>  $grams  by ingredient */
function dough(array $grams = ['oat-flour' => 200.0]): Dough
{
    $n = 0;

    return new Dough(
        array_map(
            static function (string $id, float $mass) use (&$n): Weighed {
                return new Weighed($n++, Asking::food($id), Range::exact($mass), '4-9-4');
            },
            array_keys($grams),
            $grams
        )
    );
}

/** @return list<array<string, mixed>> */
function someDogs(): array
{
    return [
        dog('Quill', ['weightKg' => 12.5, 'ageMonths' => 146, 'conditions' => ['heart'], 'teeth' => 'few']),
        dog('Tuppence', ['weightKg' => 9, 'allergies' => ['gluten', 'chicken'], 'breed' => 'border terrier']),
        dog('Biscay', ['weightKg' => 17, 'ageMonths' => 5, 'expectedAdultWeightKg' => 48]),
        dog('Ferris', ['weightKg' => 36, 'bodyCondition' => 7, 'conditions' => ['pancreatitis']]),
        dog('Bosun', ['weightKg' => 19, 'neutered' => false, 'activity' => 'working-moderate', 'eating' => 'gulps']),
    ];
}

/** Lines to make recipes from, with and without trouble. @return list<string> */
function someLines(): array
{
    return [
        '2 cups oat flour',
        '1 large egg',
        '1/4 cup water',
        '1 tbsp honey',
        '100 g beef liver',
        '1/4 cup raisins',
        '2 tbsp peanut butter',
        '1 tsp cinnamon',
        '3 tbsp flurbl',
        '1 cup cooked chicken',
        'a splash of milk',
        '1 tsp salt',
        '1 cup chicken broth',
        '2 carrots, grated',
        '1/2 cup olive oil',
        '1 tbsp cod liver oil',
        '50 g cheddar',
        'oats',
        '1 tbsp kelp powder',
        '1 clove garlic',
        '2 tbsp chia seeds',
        '1 cup rye flour',
    ];
}

/**
 * @param  array<string, mixed>  $dog
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function profile(array $dog, array $more = []): array
{
    $body = json_encode(['version' => 1, 'dog' => $dog + ['name' => 'Rex']] + $more, JSON_THROW_ON_ERROR);
    expect(schemaErrors(json_decode($body), 'profile-request'))->toBe('');
    $answer = Asking::json('profile', ($body));
    expect(schemaErrors($answer, 'profile-answer'))->toBe('');

    return $answer;
}

/** @return array<string, mixed> */
function labelled(string $ingredients, array $dogs = []): array
{
    $answer = Asking::json('label', (json_encode(['version' => 1, 'name' => 'tub', 'ingredients' => $ingredients, 'dogs' => $dogs], JSON_THROW_ON_ERROR))
    );
    expect(schemaErrors($answer, 'label-answer'))->toBe('');

    return $answer;
}

/** Tries a law on so many recipes by chance; what breaks it is told with its seed. @param  callable(Generated): ?string  $breaks */
function always(int $times, callable $breaks): void
{
    $broken = [];
    for ($seed = 1; $seed <= $times; $seed++) {
        $how = $breaks(new Generated($seed));
        if ($how !== null) {
            $broken[] = "seed $seed: $how";
        }
    }
    expect($broken)->toBe([]);
}

const HEADINGS = ['For the cake:', 'For the filling:', 'Frosting:', 'To dip:', 'Topping:', 'For dusting:'];

/** @param  array<string, mixed>  $more  @return array<string, mixed> */
function inParts(string $text, array $more = [], array $recipe = []): array
{
    return answerTo(
        $more + [
            'version' => 1,
            'recipe' => ['text' => $text] + $recipe,
            'cut' => ['shape' => 'square', 'sideMm' => 40, 'thicknessMm' => 20],
            'bake' => ['texture' => 'cake'],
            'dogs' => [['name' => 'Quill', 'weightKg' => 12, 'ageMonths' => 60]],
        ]
    );
}

/** @param  array<string, mixed>  $answer  @return array<string, array<string, mixed>> by heading */
function partsOf(array $answer): array
{
    return array_column($answer['parts'], null, 'section');
}

/** A recipe by chance under headings of several roles, the body among them. @return array{list<string>, array<string, mixed>} its blocks, the rest of the request */
function blocksOf(Generated $made): array
{
    $request = $made->request();
    $headings = ['For the cake:', ...array_slice(HEADINGS, 1 + $made->number(0, 2), $made->number(1, 3))];
    $blocks = array_map(static fn (string $heading): string => "$heading\n".implode("\n", $made->lines(3)), $headings);

    return [$blocks, $request];
}

const CAKE = "For the cake:\n250 g oat flour\n100 g applesauce\n2 eggs\n\nFor the frosting:\n200 g cream cheese\n1 egg";

/** What is asked about where a test names no recipe. */
const ROUNDS = "1 1/2 cups oat flour\n1 large egg\n1/2 cup homemade pumpkin puree";

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function asked(string $question, array $more, string $text = ROUNDS): array
{
    $body = json_encode($more + ['version' => 1, 'recipe' => ['text' => $text]], JSON_THROW_ON_ERROR);
    expect(schemaErrors(json_decode($body), "$question-request"))->toBe('');
    $answer = Asking::json($question, $body);
    expect(schemaErrors($answer, "$question-answer"))->toBe('');

    return $answer;
}

/** @param  array<string, mixed>  $more */
function refusalOf(string $question, array $more): RequestRefused
{
    try {
        $body = json_encode($more + ['version' => 1, 'recipe' => ['text' => ROUNDS]], JSON_THROW_ON_ERROR);
        Asking::json($question, $body);
    } catch (RequestRefused $refused) {
        return $refused;
    }
    throw new LogicException('It was answered.');
}

<?php

declare(strict_types=1);

use MildBowl\Core\Making\Method;
use MildBowl\Core\Making\Told;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Generated;
use MildBowl\Core\Tests\Support\Narration;

/** @return array<string, array{string, string}> what is told in talks, pages and notes: text and method */
function toldMethods(): array
{
    $all = [];
    foreach ([...Narration::all(), ...Narration::all('wild')] as $one) {
        foreach (Asking::of('read', ['version' => 1, 'content' => $one->talk])['recipes'] as $n => $recipe) {
            if (($recipe['steps'] ?? '') !== '' && trim($recipe['text']) !== '') {
                $all["{$one->name} $n"] = [$recipe['text'], $recipe['steps']];
            }
        }
    }

    return $all;
}

/** Where the pieces are finished, as the steps show it. @param  array<string, mixed>  $answer */
function whereOf(array $answer): string
{
    $says = static fn (string $words): bool => array_filter($answer['steps'], static fn (array $step): bool => str_contains($step['text'].$step['hazard'], $words)) !== [];
    $isInOven = array_filter($answer['steps'], static fn (array $step): bool => $step['oven'] !== null) !== [];

    return match (true) {
        $isInOven => 'oven',
        $says('Heat the griddle or pan') => 'griddle',
        $says('Set a pan on the hob') => 'hob',
        $says('A microwave leaves hot spots') => 'microwave',
        stepsOf($answer, 'freeze') !== [] => 'frozen',
        stepsOf($answer, 'set', 'chill') !== [] => 'set',
        default => 'nowhere',
    };
}

it('heats what is made where the method heats it', function (string $row): void {
    [$foods, $steps, $where, $minutes] = array_map(trim(...), explode('|', $row));
    $answer = work(['recipe' => ['text' => str_replace('; ', "\n", $foods), 'steps' => $steps]]);
    expect(whereOf($answer))->toBe($where);
    $finishing = $where === 'frozen' || $where === 'set' ? stepsOf($answer, 'freeze', 'set', 'chill') : stepsOf($answer, 'heat');
    if ($minutes !== '-') {
        expect("{$finishing[0]['minutes']['low']}-{$finishing[0]['minutes']['high']}")->toBe($minutes);
    }
    // what the sheet says otherwise is told
    $isTold = array_filter($answer['warnings'], static fn (string $one): bool => str_contains($one, 'The sheet reckons with')) !== [];
    expect($isTold)->toBe($where !== 'oven');
})->with(fn (): array => cases('other-heat.txt'));

it('goes by the sheet where it says what is done', function (): void {
    $fried = ['text' => "For the cakes:\n2 eggs\n60 g rolled oats", 'steps' => 'Mix. Fry spoonfuls in a dry pan for 3 minutes each side.'];
    $said = work(['recipe' => $fried + ['parts' => [['section' => 'For the cakes', 'process' => 'microwave']]]]);
    expect(whereOf($said))->toBe('microwave')->and(implode($said['warnings']))->not->toContain('The sheet reckons');
    // and what is frozen on the sheet is not fried
    expect(whereOf(work(['recipe' => $fried, 'bake' => ['texture' => 'frozen']])))->toBe('frozen');
});

/** After the heat, in the order in which they can be. */
const ACTS_AFTER = ['Flip and bake 10 minutes more', 'Turn the oven off and leave them in it for an hour', 'Let them rest for 5 minutes', 'Cut them while warm', 'Cool on a rack', 'Slice them when cold', 'Keep in a tin for a week'];

const ACTS_BEFORE = ['Mash the banana', 'Soak the oats for 10 minutes', 'Stir it well', 'Rest it for 20 minutes', 'Chill for 30 minutes', 'Roll it out', 'Whizz it smooth', 'Freeze for 15 minutes', 'Cut it in squares', 'Wrap it', 'Let it stand for 5 minutes', 'Dust it with flour', 'Boil it for 3 minutes', 'Knead it'];

it('keeps the order in which the maker does it, whatever comes first', function (): void {
    always(150, static function (Generated $made): ?string {
        $told = array_map(static fn (): string => $made->one(ACTS_BEFORE), range(1, $made->number(2, 6)));
        $told[] = $made->one(['Bake at 175 °C for 20 minutes', 'Bake 15 minutes', 'Dry at 80 °C for 3 hours. Bake at 150 °C for 10 minutes']);
        array_push($told, ...array_filter(ACTS_AFTER, static fn (): bool => $made->number(0, 1) === 1));
        $told = explode('. ', implode('. ', $told));
        $answer = work(['recipe' => ['text' => "300 g oat flour\n1 banana\n60 g water", 'steps' => implode('. ', $told).'.'], 'cut' => COIN]);
        $words = implode(' ', array_column($answer['steps'], 'text'));
        $at = 0;
        foreach ($told as $act) {
            // an act within the heat is told by itself, and the first letter is small behind the name of a lot
            $next = strpos($words, explode(' and ', $act)[0], $at);
            if ($next === false) {
                return "\"$act\" is lost or in another place: $words";
            }
            $at = $next + 4;
        }

        return faultOfPlan($answer);
    });
});

it('keeps that order in recipes as they are told', function (): void {
    $wrong = [];
    foreach (toldMethods() as $name => [$text, $steps]) {
        $question = ['version' => 1, 'recipe' => ['text' => $text, 'steps' => $steps]];
        $bowl = Asking::question((string) json_encode($question))->bowl();
        if (count($bowl->parts->all) > 1) {
            continue;
        }
        $acts = array_values(array_filter(Method::of($bowl->recipe, $bowl->parts)->ofPart($bowl->parts->body), static fn (Told $one): bool => in_array($one->kind->value, ['prepare', 'soak', 'mix', 'rest', 'chill', 'shape'], true)));
        $words = implode(' ', array_column(work($question)['steps'], 'text'));
        $at = 0;
        foreach ($acts as $act) {
            $next = strpos($words, rtrim($act->text, '.'), 0);
            if ($next !== false && $next < $at) {
                $wrong[] = "$name: {$act->text}";
            }
            $at = max($at, $next === false ? 0 : $next);
        }
    }
    expect($wrong)->toBe([]);
});

it('keeps what is told of cooling and keeping where no heat is told', function (): void {
    $answer = work(['recipe' => ['text' => "300 g oat flour\n1 potato", 'steps' => 'Boil the potato for 20 minutes, let it cool, mash it. Mix, roll out and stamp. Cool them all the way. Keep them in the fridge for five days.'], 'cut' => COIN]);
    $texts = array_column($answer['steps'], 'text', 'kind');
    expect(array_column($answer['steps'], 'kind'))->toBe(['prepare', 'prepare', 'cool', 'prepare', 'mix', 'shape', 'preheat', 'heat', 'look', 'cool', 'bag'])
        ->and($texts['cool'])->toBe('Cool them all the way.')->and($texts['bag'])->toContain('Keep them in the fridge for five days.');
});

<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;

/** @param  array<string, mixed>  $question  @param  array<string, mixed>  $more  @return array<string, mixed> */
function work(array $question, array $more = []): array
{
    $request = $more + ['version' => 1, 'question' => $question + ['version' => 1], 'startAt' => '2026-05-14T14:00'];
    expect(schemaErrors(json_decode((string) json_encode($request)), 'bake-request'))->toBe('');
    $answer = Asking::of('bake', $request);
    expect(schemaErrors($answer, 'bake-answer'))->toBe('');

    return $answer;
}

/** @param  array<string, mixed>  $answer  @return list<array<string, mixed>> */
function stepsOf(array $answer, string ...$kinds): array
{
    return array_values(array_filter($answer['steps'], static fn (array $step): bool => in_array($step['kind'], $kinds, true)));
}

/** @param  array<string, mixed>  $step */
function endOf(array $step): float
{
    return $step['startsAfterMinutes'] + $step['minutes']['best'];
}

const WORKED = "300 g oat flour\n1 large egg\n120 g pumpkin puree";

const COIN = ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6];

/** What is wrong with a plan of work, whatever it is for. @param  array<string, mixed>  $answer */
function faultOfPlan(array $answer): ?string
{
    $by = [];
    $hands = 0.0;
    $ends = 0.0;
    $busy = [];
    foreach ($answer['steps'] as $n => $step) {
        $isWithin = false;
        foreach ($step['needs'] as $need) {
            if (! isset($by[$need])) {
                return "{$step['id']} needs $need, which comes later";
            }
            $isInHeat = in_array($by[$need]['kind'], ['heat', 'dry'], true) && (in_array($step['kind'], ['look', 'turn', 'stir', 'heat', 'dry', 'shape', 'prepare', 'mix'], true));
            $isWithin = $isWithin || ($isInHeat && $step['startsAfterMinutes'] < endOf($by[$need]) - 0.11);
            if ($step['startsAfterMinutes'] < ($isInHeat ? $by[$need]['startsAfterMinutes'] : endOf($by[$need])) - 0.11) {
                return "{$step['id']} ({$step['kind']}) begins before $need is done";
            }
        }
        if ($step['minutes']['low'] > $step['minutes']['best'] || $step['minutes']['best'] > $step['minutes']['high'] || $step['minutes']['low'] < 0 || trim($step['text']) === '') {
            return "{$step['id']}: ".json_encode($step['minutes']).$step['text'];
        }
        if ($n > 0 && $step['startsAfterMinutes'] < $answer['steps'][$n - 1]['startsAfterMinutes']) {
            return "{$step['id']} is out of order";
        }
        if ($step['hands'] === 'on') {
            $hands += $step['minutes']['best'];
            // the oven does not wait: whatever else is done is put down
            $isWithin = $isWithin || in_array($step['kind'], ['core', 'turn'], true);
            foreach ($isWithin ? [] : $busy as [$from, $to, $id]) {
                if ($step['startsAfterMinutes'] < $to - 0.11 && endOf($step) > $from + 0.11) {
                    return "{$step['id']} and $id want the same hands";
                }
            }
            if (! $isWithin) {
                $busy[] = [$step['startsAfterMinutes'], endOf($step), $step['id']];
            }
        }
        $ends = max($ends, endOf($step));
        $by[$step['id']] = $step;
    }
    if (abs($answer['elapsedMinutes'] - $ends) > 1.11 || abs($answer['handsOnMinutes'] - $hands) > 1.01) {
        return "elapsed {$answer['elapsedMinutes']} for $ends, hands {$answer['handsOnMinutes']} for $hands";
    }

    return null;
}

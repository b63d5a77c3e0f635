<?php

declare(strict_types=1);

/**
 * Fits core/data/dough-parameters.csv to what the hand says of the doughs in core/data/doughs.csv, and prints each miss and the error
 * with each dough left out in turn: `php ops/fit-doughs.php [--write]`. Doughs of meat are judged by their binding and fit nothing.
 */

require __DIR__.'/../core/vendor/autoload.php';

use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\DataCompiler\FreeWaters;
use MildBowl\Core\DataCompiler\Row;
use MildBowl\Core\Tests\Support\Doughs;

const DATA = __DIR__.'/../core/data';
/** How far, in logarithms of wetness, a dough is to lie inside its class. */
const MARGIN = 0.03;
/** Weight of being in the first class the hand names, where it names two. */
const FIRST = 0.25;
/** Weight of a dough that every baker knows (reference page 7) beside one of our own. */
const KNOWN = 2.0;
/** Weight of staying near the figure that the reference begins with. */
const NEAR_START = 0.004;

$parameters = [];
foreach (Row::of(DATA, 'dough-parameters') as $row) {
    $parameters[$row->text('parameter')] = array_map($row->number(...), ['value' => 'value', 'start' => 'start', 'low' => 'low', 'high' => 'high']);
}
$free = array_filter(array_keys($parameters), static fn (string $name): bool => str_starts_with($name, 'free-'));
$shares = [];
foreach ($free as $name) {
    $shares[$name] = (new FreeWaters(DATA, array_replace(array_fill_keys(array_keys($parameters), 0.0), [$name => 1.0])))->of(Compiled::tables()['entries']);
}
$uptake = [];
foreach (Row::of(DATA, 'uptake') as $row) {
    $uptake[$row->text('ingredient')] = [$row->number('uptake'), $row->text('class')];
}

/** @return array{name: string, says: list<string>, weight: float, free: array<string, float>, drinks: array<string, float>, flour: float, fat: float}|null */
$measure = static function (array $one) use ($shares, $uptake): ?array {
    $dough = Doughs::bowl($one['dough'])->dough;
    if ($dough->binding !== null) {
        return null;
    }
    $row = ['name' => $one['dough'], 'says' => $one['says'], 'weight' => $one['set'] === 'reference' ? KNOWN : 1.0, 'free' => [], 'drinks' => [], 'flour' => 0.0, 'fat' => $dough->substances['fatG'] ?? 0.0];
    foreach ($dough->weighed as $portion) {
        $id = $portion->ingredient->id;
        foreach ($shares as $name => $of) {
            $share = $of[$id]['plain'];
            foreach ($portion->forms as $form) {
                $share = $of[$id]['forms'][$form] ?? $share;
            }
            if ($share > 0.0) {
                $row['free'][$name] = ($row['free'][$name] ?? 0.0) + $share * $portion->grams->best;
            }
        }
        if (isset($uptake[$id])) {
            [$takes, $class] = $uptake[$id];
            $row['drinks'][$class] = ($row['drinks'][$class] ?? 0.0) + $takes * $portion->grams->best;
            $row['flour'] += $portion->grams->best;
        }
    }

    return $row;
};
$bounds = [];
$low = 0.3;
foreach (Feel::all() as $feel) {
    $bounds[$feel->word] = [log($low), log(min($feel->below, 6.0))];
    $low = $feel->below;
}

$wetness = static function (array $dough, array $values): float {
    $water = $takes = 0.0;
    foreach ($dough['free'] as $name => $grams) {
        $water += $grams * $values[$name];
    }
    foreach ($dough['drinks'] as $name => $grams) {
        $takes += $grams * $values[$name];
    }

    return $water / ($takes * max(0.5, 1 - $values['shortens'] * $dough['fat'] / $dough['flour']));
};
$off = static function (array $words, float $at) use ($bounds): float {
    $least = INF;
    foreach ($words as $word) {
        [$from, $to] = $bounds[$word];
        $least = min($least, max(0.0, $from + MARGIN - $at, $at - $to + MARGIN));
    }

    return $least;
};
$loss = static function (array $dough, array $values) use ($wetness, $off): float {
    $at = log($wetness($dough, $values));

    return $dough['weight'] * ((1 - FIRST) * $off($dough['says'], $at) ** 2 + FIRST * $off([$dough['says'][0]], $at) ** 2);
};
$total = static function (array $doughs, array $values) use ($loss, $parameters): float {
    $sum = 0.0;
    foreach ($doughs as $dough) {
        $sum += $loss($dough, $values);
    }
    foreach ($values as $name => $value) {
        $sum += NEAR_START * log($value / $parameters[$name]['start']) ** 2;
    }

    return $sum;
};
$fit = static function (array $doughs, array $values, array $steps) use ($total, $parameters): array {
    $best = $total($doughs, $values);
    foreach ($steps as $step) {
        do {
            $before = $best;
            foreach ($parameters as $name => $range) {
                foreach ([1 + $step, 1 / (1 + $step)] as $factor) {
                    $tried = $values;
                    $tried[$name] = min($range['high'], max($range['low'], $values[$name] * $factor));
                    $sum = $total($doughs, $tried);
                    if ($sum < $best - 1e-9) {
                        [$best, $values] = [$sum, $tried];
                    }
                }
            }
        } while ($before - $best > 1e-6);
    }

    return $values;
};
$felt = static function (float $wetness): string {
    return Feel::at($wetness)->word ?? '';
};
$order = array_keys($bounds);
$judge = static function (array $dough, float $at) use ($felt, $order): string {
    $word = $felt($at);

    return in_array($word, $dough['says'], true) ? 'exact' : (abs(array_search($word, $order, true) - array_search($dough['says'][0], $order, true)) <= 1 ? 'neighbour' : 'off');
};

$doughs = array_values(array_filter(array_map($measure, Doughs::all())));
$fitted = array_filter($parameters, static fn (array $one): bool => $one['low'] < $one['high']);
printf("%d doughs of flour, %d parameters fitted\n", count($doughs), count($fitted));
$values = $fit($doughs, array_column(array_map(null, $parameters), 'start') === [] ? [] : array_map(static fn (array $one): float => $one['start'], $parameters), [0.3, 0.15, 0.07, 0.03, 0.01, 0.004]);
$values = array_map(static fn (float $value): float => round($value, 2), $values);
$count = ['exact' => 0, 'neighbour' => 0, 'off' => 0];
foreach ($doughs as $dough) {
    $at = $wetness($dough, $values);
    $count[$judge($dough, $at)]++;
    if ($judge($dough, $at) !== 'exact') {
        printf("  %-9s %-60s %.2f %s, the hand says %s\n", $judge($dough, $at), $dough['name'], $at, $felt($at), implode(' or ', $dough['says']));
    }
}
printf("fitted: %d exact, %d neighbours, %d off\n", ...array_values($count));
$left = ['exact' => 0, 'neighbour' => 0, 'off' => 0];
foreach ($doughs as $n => $dough) {
    $others = $doughs;
    unset($others[$n]);
    $at = $wetness($dough, $fit($others, $values, [0.07, 0.02]));
    $left[$judge($dough, $at)]++;
    if ($judge($dough, $at) === 'off') {
        printf("  left out, off: %s: %.2f, the hand says %s\n", $dough['name'], $at, implode(' or ', $dough['says']));
    }
}
printf("each left out in turn: %d exact, %d neighbours, %d off\n", ...array_values($left));
foreach ($values as $name => $value) {
    printf("  %-22s %.2f (from %.2f)\n", $name, $value, $parameters[$name]['start']);
}
if (in_array('--write', $argv, true)) {
    $file = DATA.'/dough-parameters.csv';
    $written = [];
    foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        $cells = explode(',', $line, 3);
        $written[] = isset($values[$cells[0]]) ? "{$cells[0]},{$values[$cells[0]]},{$cells[2]}" : $line;
    }
    file_put_contents($file, implode("\n", $written)."\n");
    echo "written: run core/bin/compile-data\n";
}

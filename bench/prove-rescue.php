<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\QuestionReader;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Swaps\Goals\Goals;
use MildBowl\Core\Swaps\Jobs;
use MildBowl\Core\Swaps\Rescue;
use MildBowl\Core\Swaps\Solver;
use MildBowl\Core\Swaps\Sums;

/**
 * Larger broken recipes than brute force can try, given to a general integer programme solver (GLPK, Debian's glpk-utils) beside our own
 * search. The costs that are no sums over lines (mending, richness, what hurts, few pieces) are switched off for this comparison, since an
 * integer programme cannot state them; what is left is stated in full: one option a line, the cut as a variable, jobs lost, enough flour, a
 * quarter piece for every dog.
 * Usage: php bench/prove-rescue.php COUNT; prints how often both agree, and exits with 1 when either finds something cheaper.
 */
require __DIR__.'/../core/vendor/autoload.php';
require __DIR__.'/broken.php';

$count = (int) ($argv[1] ?? 100);
mt_srand(11);
$weights = ['adjust' => 0.0, 'mend' => 0.0, 'batch' => 0.0, 'richer-fat' => 0.0, 'richer-kcal' => 0.0, 'fewer-pieces' => 0.0, 'meat-lost' => 0.0, 'hurts' => 0.0, 'hurts-ill' => 0.0] + Compiled::tables()['rescueWeights'];
$agree = $impossible = 0;
$kitchen = Kitchen::shipped();
for ($i = 0; $i < $count; $i++) {
    $request = QuestionReader::read(Node::decode(json_encode(broken(10 + $i % 12, 2 + $i % 5, 4 + $i % 6), JSON_THROW_ON_ERROR)), $kitchen);
    $rescue = new Rescue($request, $kitchen->reader->read($request->text, ''), new Goals([]), [], $weights);
    $all = (1 << count($request->dogs)) - 1;
    $ours = Solver::solve($rescue->options, $rescue->bowls, $all, fn (array $choice, array $sums, float $limit): ?float => $rescue->price->rest($choice, $sums, $all, $limit), null, 5_000_000);
    $theirs = glpk($rescue, $request, $all, $weights);
    if ($ours === null && $theirs === null) {
        $impossible++;
    } elseif ($ours === null || $theirs === null || abs($ours['cost'] - $theirs) > 1e-4) {
        printf("recipe %d: ours %s, GLPK %s\n%s\n", $i, $ours['cost'] ?? 'none', $theirs ?? 'none', $request->text);
        exit(1);
    } else {
        $agree++;
    }
}
printf("rescues proved against an integer programme: %d of %d agree, %d cannot be rescued by either\n", $agree, $count, $impossible);

/** @param  array<string, float>  $weights */
function glpk(Rescue $rescue, Question $request, int $all, array $weights): ?float
{
    $before = array_fill(0, count($rescue->bowls[0][0]), 0.0);
    $cost = $flour = [];
    $rows = [];
    $dogs = [];
    $jobsBefore = 0;
    foreach ($rescue->jobs as $does) {
        foreach (Jobs::NEEDED as $n => $job) {
            $jobsBefore |= in_array($job, $does, true) ? 1 << $n : 0;
        }
    }
    $names = [];
    $byJob = [];
    foreach ($rescue->options as $line => $options) {
        $one = [];
        foreach ($rescue->bowls[$line][0] as $n => $amount) {
            $before[$n] += $amount;
        }
        foreach ($options as $index => $option) {
            if (($option->serves & $all) !== $all) {
                continue;
            }
            $x = "x{$line}_$index";
            $names[$x] = [$line, $index];
            $one[] = $x;
            $cost[] = sprintf('%.9f %s', $option->cost, $x);
            foreach (Jobs::NEEDED as $n => $job) {
                if (($option->jobs >> $n & 1) === 1) {
                    $byJob[$n][] = $x;
                }
            }
        }
        if ($one === []) {
            return null;
        }
        $rows[] = implode(' + ', $one).' = 1';
    }
    foreach ($names as $x => [$line, $index]) {
        $flour[] = sprintf('%.9f %s', $rescue->bowls[$line][$index][Sums::UPTAKE], $x);
    }
    if ($before[Sums::UPTAKE] > 0) {
        $rows[] = implode(' + ', $flour).' >= '.sprintf('%.9f', 0.4 * $before[Sums::UPTAKE]);
    }
    $extra = [];
    foreach (Jobs::NEEDED as $n => $job) {
        if (($jobsBefore >> $n & 1) === 1) {
            $cost[] = sprintf('%.9f y%d', $weights['job-lost'], $n);
            $extra[] = "y$n";
            $rows[] = implode(' + ', [...$byJob[$n] ?? [], "y$n"]).' >= 1';
        }
    }
    $cuts = [];
    foreach ($rescue->cuts->all as $k => $cut) {
        $cuts["c$k"] = $cut['times'];
        $cost[] = sprintf('%.9f c%d', $cut['cost'], $k);
    }
    $rows[] = implode(' + ', array_keys($cuts)).' = 1';
    array_push($extra, ...array_keys($cuts));
    // a quarter piece a day: each substance of the bowl at most so much, found by asking the table for a bowl of one of it
    foreach ($request->dogs as $n => $dog) {
        foreach ([Sums::KCAL, ...range(Sums::FIRST_DOSE, count($before) - 1)] as $column) {
            $unit = array_fill(0, count($before), 0.0);
            $unit[Sums::MASS] = 1.0;
            $unit[$column] = 1.0;
            $pieces = $rescue->table->pieces($n, $unit, 1.15);
            if (! is_finite($pieces)) {
                continue;
            }
            $terms = [];
            foreach ($names as $x => [$line, $index]) {
                if ($rescue->bowls[$line][$index][$column] > 0) {
                    $terms[] = sprintf('%.9f %s', $rescue->bowls[$line][$index][$column], $x);
                }
            }
            if ($terms !== []) {
                $allowed = [];
                foreach ($cuts as $c => $times) {
                    $allowed[] = sprintf('- %.9f %s', $pieces * $times / (0.25 + 1e-9), $c);
                }
                $rows[] = implode(' + ', $terms).' '.implode(' ', $allowed).' <= 0';
            }
        }
    }
    $lp = "Minimize\n obj: ".implode(' + ', $cost)."\nSubject To\n";
    foreach ($rows as $number => $row) {
        $lp .= " r$number: ".wordwrap($row, 200, "\n  ")."\n";
    }
    $lp .= "Binary\n ".wordwrap(implode(' ', [...array_keys($names), ...$extra]), 200, "\n ")."\nEnd\n";
    $file = (string) tempnam(sys_get_temp_dir(), 'rescue');
    file_put_contents("$file.lp", $lp);
    exec('glpsol --lp '.escapeshellarg("$file.lp").' -o '.escapeshellarg("$file.sol").' --tmlim 60 2>&1', $output, $code);
    $solution = (string) @file_get_contents("$file.sol");
    array_map(unlink(...), array_filter([$file, "$file.lp", "$file.sol"], is_file(...)));
    if ($code !== 0) {
        fwrite(STDERR, implode("\n", array_slice($output, -5))."\n");
        exit(2);
    }

    return str_contains($solution, 'INTEGER OPTIMAL') && preg_match('/Objective:\s+obj = ([0-9.eE+-]+)/', $solution, $found) === 1 ? (float) $found[1] : null;
}

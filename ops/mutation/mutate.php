<?php

declare(strict_types=1);

// Makes small wrong changes and tells which of them no test notices. See bin/mutate.

use MildBowl\Ops\Mutation\CodeMutants;
use MildBowl\Ops\Mutation\DataMutants;
use MildBowl\Ops\Mutation\Killers;
use MildBowl\Ops\Mutation\Mutant;
use Random\Engine\Mt19937;
use Random\Randomizer;

$root = dirname(__DIR__, 2);
require "$root/core/vendor/autoload.php";
foreach (['Mutant', 'CodeMutants', 'DataMutants', 'Killers'] as $class) {
    require __DIR__."/$class.php";
}

/** Each part with its sample and the share of it that must be noticed. */
const PARTS = ['core' => ['core/src', 300, 85], 'data' => ['core/data', 100, 90], 'application' => ['app', 60, 80]];

/** @return list<string> files below these paths, as the repository names them */
function filesBelow(string $root, string ...$paths): array
{
    $files = [];
    foreach ($paths as $path) {
        if (is_file("$root/$path")) {
            $files[] = $path;
        } elseif (is_dir("$root/$path")) {
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$path", FilesystemIterator::SKIP_DOTS)) as $file) {
                $files[] = substr((string) $file, strlen($root) + 1);
            }
        } else {
            fwrite(STDERR, "There is no $path here.\n");
            exit(2);
        }
    }
    sort($files);

    return array_values(
        array_filter($files, static fn (string $file): bool => preg_match('#^(core/src|app)/.*\.php$|^core/data/.*\.(csv|txt)$#', $file) === 1)
    );
}

/** @return list<Mutant> */
function mutantsOf(string $root, string $file): array
{
    return str_starts_with($file, 'core/data/') ? DataMutants::of($root, $file) : CodeMutants::of($root, $file);
}

/**
 * A sample that is the same for the same seed. In the data a file counts by the square root of its rows, so that the swaps and the
 * word lists, which are most of the rows, are not most of the sample.
 *
 * @param  list<string>  $files
 * @return list<Mutant>
 */
function sampleOf(string $root, array $files, int $count, int $seed): array
{
    $random = new Randomizer(new Mt19937($seed));
    $byFile = array_filter(array_map(static fn (string $file): array => mutantsOf($root, $file), array_combine($files, $files)));
    $bag = [];
    foreach ($byFile as $file => $mutants) {
        $weight = str_starts_with($file, 'core/data/') ? (int) ceil(sqrt(count($mutants))) : count($mutants);
        foreach (array_slice($random->shuffleArray($mutants), 0, $weight) as $mutant) {
            $bag[] = $mutant;
        }
    }

    return array_slice($random->shuffleArray($bag), 0, $count);
}

/** @return array<string, string> why a mutant changes nothing anybody can tell, by its id */
function judged(): array
{
    $judged = [];
    $id = null;
    foreach (file(__DIR__.'/equivalents.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $row) {
        if (str_starts_with($row, '#')) {
            continue;
        }
        if (str_starts_with($row, '    ')) {
            $judged[(string) $id] = trim($row);
        } else {
            $id = $row;
            [$file, $code] = [...explode(' | ', $row, 3), ''];
            if (! str_contains((string) @file_get_contents(__DIR__."/../../$file"), $code)) {
                fwrite(STDERR, "equivalents.txt judges a line that is gone: $file | $code\n");
            }
        }
    }

    return $judged;
}

$options = getopt('', ['sample::', 'seed:', 'workers:', 'change::', 'list', 'limit:', 'part:', 'again'], $rest);
$paths = array_slice($argv, $rest);
$seed = (int) ($options['seed'] ?? 1);
$workers = (int) ($options['workers'] ?? 2);
$asked = [];
if (isset($options['sample'])) {
    foreach (PARTS as $part => [$folder, $count]) {
        if (! isset($options['part']) || $options['part'] === $part) {
            $asked[$part] = sampleOf($root, filesBelow($root, $folder), $count, $seed);
        }
    }
} else {
    $lines = null;
    if (isset($options['change'])) {
        $base = is_string($options['change']) && $options['change'] !== '' ? $options['change'] : 'HEAD~1';
        $lines = [];
        foreach (
            explode(
                "\n",
                (string) shell_exec('git -C '.escapeshellarg($root).' diff -U0 '.escapeshellarg($base).' -- core/src core/data app')
            ) as $row
        ) {
            if (preg_match('#^\+\+\+ b/(.+)$#', $row, $found) === 1) {
                $current = $found[1];
            } elseif (preg_match('/^@@ -\S+ \+(\d+)(?:,(\d+))? @@/', $row, $found) === 1 && isset($current)) {
                for ($n = 0; $n < (int) ($found[2] ?? 1); $n++) {
                    $lines[$current][(int) $found[1] + $n] = true;
                }
            }
        }
        $paths = array_keys(array_filter($lines, static fn (string $file): bool => is_file("$root/$file"), ARRAY_FILTER_USE_KEY));
    }
    if ($paths === []) {
        fwrite(STDERR, "Nothing to change: name a folder or a file, or --sample or --change. See bin/mutate --help.\n");
        exit(2);
    }
    foreach (filesBelow($root, ...$paths) as $file) {
        $part = str_starts_with($file, 'core/data/') ? 'data' : (str_starts_with($file, 'app/') ? 'application' : 'core');
        foreach (mutantsOf($root, $file) as $mutant) {
            if ($lines === null || isset($lines[$file][$mutant->row])) {
                $asked[$part][] = $mutant;
            }
        }
    }
    foreach ($asked as $part => $mutants) {
        if (isset($options['limit']) && count($mutants) > (int) $options['limit']) {
            $asked[$part] = array_slice((new Randomizer(new Mt19937($seed)))->shuffleArray($mutants), 0, (int) $options['limit']);
        }
    }
}
if (isset($options['list'])) {
    foreach ($asked as $mutants) {
        foreach ($mutants as $mutant) {
            echo "$mutant\n";
        }
    }
    exit(0);
}

$judged = judged();
$homes = (string) getenv('MILDBOWL_MUTANTS');
foreach ($asked as $part => $mutants) {
    // what fails unchanged would kill every mutant
    $whole = new Mutant($mutants[0]->file, 0, '', '', '', '', '');
    $verdict = trim(
        (string) shell_exec(
            'cd '.
                escapeshellarg("$homes/1").
                ' && DB_DATABASE=mildbowl_mutant_1 bash -c '.
                escapeshellarg((new Killers("$homes/1"))->script($whole))
        )
    );
    if ($verdict !== 'survived') {
        fwrite(STDERR, "$part: the checks fail without any change ($verdict):\n".file_get_contents("$homes/1/out.txt"));
        exit(1);
    }
}
$good = true;
foreach ($asked as $part => $mutants) {
    $killed = $equivalent = [];
    $survivors = [];
    $queue = $mutants;
    if (isset($options['again'])) {
        $last = file("$root/var/survivors-$part.txt", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [];
        $queue = array_values(array_filter($mutants, static fn (Mutant $one): bool => in_array($one->id(), $last, true) || isset($judged[$one->id()])));
        $killed = ['before' => count($mutants) - count($queue)];
    }
    /** @var array<int, array{resource, Mutant, array<int, resource>}> $running */
    $running = [];
    $done = 0;
    while ($queue !== [] || $running !== []) {
        for ($worker = 1; $worker <= $workers; $worker++) {
            if (! isset($running[$worker]) && $queue !== []) {
                $mutant = array_shift($queue);
                if (isset($judged[$mutant->id()])) {
                    $equivalent[] = $mutant;
                    $done++;
                    $worker--;

                    continue;
                }
                $home = "$homes/$worker";
                copy("$home/{$mutant->file}", "$home/original");
                file_put_contents("$home/{$mutant->file}", $mutant->content);
                $process = proc_open(
                    ['bash', '-c', (new Killers($home))->script($mutant)],
                    [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
                    $pipes,
                    $home,
                    ['DB_DATABASE' => "mildbowl_mutant_$worker"] + getenv()
                );
                $running[$worker] = [$process ?: exit(1), $mutant, $pipes];
            }
        }
        usleep(20000);
        foreach ($running as $worker => [$process, $mutant, $pipes]) {
            if (proc_get_status($process)['running']) {
                continue;
            }
            $verdict = trim((string) stream_get_contents($pipes[1]));
            proc_close($process);
            unset($running[$worker]);
            $done++;
            $home = "$homes/$worker";
            copy("$home/original", "$home/{$mutant->file}");
            exec('cp '.escapeshellarg("$home/built").'/* '.escapeshellarg("$home/core/build/"));
            if ($verdict === 'survived') {
                $survivors[] = $mutant;
                echo "  survived  $mutant\n";
            } else {
                $killed[$verdict] = ($killed[$verdict] ?? 0) + 1;
            }
            if ($done % 25 === 0) {
                echo "  … $part $done of ".count($mutants)."\n";
            }
        }
    }
    $dead = array_sum($killed);
    $alive = $dead + count($survivors);
    $share = $alive === 0 ? 100.0 : (100 * $dead) / $alive;
    arsort($killed);
    printf(
        "%s: %d of %d noticed, %.0f %% (%s); %d judged to change nothing\n",
        $part,
        $dead,
        $alive,
        $share,
        implode(', ', array_map(static fn (string $by, int $n): string => "$by $n", array_keys($killed), $killed)),
        count($equivalent)
    );
    $good = $good && (! isset($options['sample']) || $share >= PARTS[$part][2]);
    file_put_contents(
        "$root/var/survivors-$part.txt",
        implode("\n", array_map(static fn (Mutant $mutant): string => $mutant->id(), $survivors))."\n"
    );
}
exit($good ? 0 : 1);

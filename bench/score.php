<?php

declare(strict_types=1);

/**
 * How the core does on the sets that were written before it: `php bench/score.php [set] [--misses]`. The tests hold the thresholds;
 * this prints each miss.
 */

require __DIR__.'/../core/vendor/autoload.php';

use MildBowl\Core\Tests\Support\Measured;

$misses = in_array('--misses', $argv, true);
$only = array_values(array_filter(array_slice($argv, 1), static fn (string $one): bool => ! str_starts_with($one, '--')))[0] ?? null;
foreach (Measured::SETS as $set) {
    if ($only !== null && $only !== $set) {
        continue;
    }
    $score = Measured::of($set);
    printf("%-12s %d of %d right, %.1f %%\n", $set, $score->right, $score->of, 100 * $score->right / max(1, $score->of));
    if ($misses) {
        foreach ($score->misses as $miss) {
            echo "  $miss\n";
        }
    }
}

<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Contract;

/**
 * How long a rescue takes, and how that grows with lines, candidates and dogs. Random broken recipes, no two alike.
 * Wanted: 15 lines and 6 dogs under 60 ms, 30 lines and 8 dogs under 400.
 */
require __DIR__.'/../core/vendor/autoload.php';
require __DIR__.'/broken.php';

mt_srand(7);
$contract = new Contract;
foreach ([[8, 3, 3], [15, 6, 5], [15, 6, 8], [22, 8, 10], [30, 8, 12], [30, 8, 18]] as [$lines, $dogs, $bad]) {
    $times = [];
    $optimal = 0;
    for ($i = 0; $i < 12; $i++) {
        $json = json_encode(broken($lines, $dogs, $bad), JSON_THROW_ON_ERROR);
        $since = hrtime(true);
        $answer = $contract->answer('rescue', $json);
        $times[] = (hrtime(true) - $since) / 1e6;
        $optimal += $answer['rescues'] === [] || $answer['rescues'][0]['optimal'] ? 1 : 0;
    }
    array_shift($times);
    sort($times);
    printf("%2d lines, %d dogs, %2d broken: median %.0f ms, slowest %.0f ms, optimal %d of 12\n", $lines, $dogs, $bad, $times[5], end($times), $optimal);
}

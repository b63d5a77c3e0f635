<?php

declare(strict_types=1);

// How long a dog's year takes to open over HTTP, beside an empty route of the same kitchen: year.php ADDRESS. Prints "year UP MEDIAN MOST BYTES" in ms.

const TIMES = 15;

$address = rtrim($argv[1] ?? '', '/');
$dogs = json_decode((string) file_get_contents("$address/api/dogs"), true);
$dog = is_array($dogs) ? $dogs[0]['id'] : '';
$to = gmdate('Y-m-d');
$from = gmdate('Y-m-d', time() - 364 * 86400);
$bytes = 0;
$median = static function (string $url) use (&$bytes): array {
    $took = [];
    for ($n = 0; $n < TIMES; $n++) {
        $began = hrtime(true);
        $bytes = strlen((string) file_get_contents($url));
        $took[] = (hrtime(true) - $began) / 1e6;
    }
    sort($took);

    return [$took[intdiv(TIMES, 2)], $took[TIMES - 1]];
};
[$up] = $median("$address/api/up");
[$year, $most] = $median("$address/api/dogs/$dog/season?from=$from&to=$to");
printf("year %.1f %.1f %.1f %d\n", $up, $year, $most, $bytes);

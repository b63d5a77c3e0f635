<?php

declare(strict_types=1);

// How long core takes to say which food a dog's bad days fall on: a year, 80 foods, signs of all kinds. Prints "suspects MEDIAN MOST" in ms.

use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Watching\SignKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

require __DIR__.'/../core/vendor/autoload.php';

const DAYS = 365;
const FOODS = 80;
const TIMES = 15;

$chance = new Randomizer(new Mt19937(16));
$foods = array_slice(array_keys(array_filter(Compiled::tables()['entries'], static fn (array $one): bool => $one['composition'] !== null)), 0, FOODS);
$on = static fn (int $day): string => gmdate('Y-m-d', gmmktime(0, 0, 0, 1, 1 + $day, 2026));
$ate = $signs = [];
for ($day = 0; $day < DAYS; $day++) {
    $ate[] = ['on' => $on($day), 'foods' => array_map(static fn (int $n): string => (string) $foods[$n], $chance->pickArrayKeys($foods, $chance->getInt(1, 12)))];
    foreach (SignKind::cases() as $kind) {
        $signs[] = ['on' => $on($day), 'kind' => $kind->value, 'score' => $chance->getInt(0, 6)];
    }
}
$request = json_encode(['version' => 1, 'dog' => 'Tuppence', 'from' => $on(0), 'to' => $on(DAYS - 1), 'ate' => $ate, 'signs' => $signs], JSON_THROW_ON_ERROR);
$contract = new Contract;
$took = [];
for ($n = 0; $n < TIMES; $n++) {
    $began = hrtime(true);
    $answer = $contract->answer('suspects', $request);
    $took[] = (hrtime(true) - $began) / 1e6;
}
sort($took);
printf("suspects %.1f %.1f %d\n", $took[intdiv(TIMES, 2)], end($took), count($answer['kinds'][0]['suspects']));

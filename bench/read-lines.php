<?php

declare(strict_types=1);

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Pantry\Nearest;
use MildBowl\Core\Reading\Place;

// Reads lines as core does (JSON list on standard input), and measures how many a second and how long the nearest three take.
require __DIR__.'/../core/vendor/autoload.php';

$reader = Kitchen::shipped()->reader;
$lines = json_decode((string) stream_get_contents(STDIN), true);
$read = [];
foreach ($lines as $line) {
    $one = $reader->read($line, '')->lines[0] ?? null;
    $amount = $one?->amounts[0] ?? null;
    $read[] = $amount === null ? null : ['low' => $amount->quantity->low, 'high' => $amount->quantity->high, 'unit' => str_replace('fl-oz', 'floz', $amount->unit)];
}
$best = 0.0;
for ($round = 0; $round < 5; $round++) {
    $since = hrtime(true);
    for ($i = 0; $i < 20; $i++) {
        foreach ($lines as $line) {
            $reader->lines->ofWords($reader->lines->words($line), Place::nowhere(), null);
        }
    }
    $best = max($best, 20 * count($lines) / ((hrtime(true) - $since) / 1e9));
}
// a catalogue of 5000: our names, and as many again with their letters turned until there are enough
$names = Compiled::search()['names'];
for ($n = 0; count($names) < 5000; $n++) {
    [$key, $id] = $names[$n];
    $names[] = [strrev($key), $id];
}
$names = array_slice($names, 0, 5000);
$grams = Nearest::indexOf($names);
$slowest = 0.0;
foreach (['brocoli', 'paenut buter smoth', 'wholesome farm oat flower', 'swet potatos mashed', 'choclate chips dark', 'turky mince lean'] as $words) {
    $since = hrtime(true);
    Nearest::among($words, $names, $grams, 3);
    $slowest = max($slowest, (hrtime(true) - $since) / 1e6);
}
echo json_encode(['lines' => $read, 'perSecond' => (int) $best, 'nearestMs' => round($slowest, 1)]);

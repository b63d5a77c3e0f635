<?php

declare(strict_types=1);

// How well labels are read: labels.php [FOLDER] [en+de+…]. For each way of taking the picture: words read right, of all words wrongly read the share that is asked
// about, and what it took. --wrong lists the words.
use App\Devices\LabelLanguage;
use App\Devices\PrintedWord;
use App\Devices\TesseractPrintReader;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/labels/photograph.php';
require __DIR__.'/labels/alike.php';

$app = require dirname(__DIR__).'/bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$asked = array_values(array_filter($argv, static fn (string $one): bool => preg_match('/^[a-z]{2}(\+[a-z]{2})*$/', $one) === 1));
$isLong = in_array('--wrong', $argv, true);
$reader = new TesseractPrintReader();
$seed = 1;
$sums = [];
foreach (require __DIR__.'/labels/texts.php' as $language => $rows) {
    foreach (LabelPhotograph::WAYS as $name => $way) {
        $picture = LabelPhotograph::of($rows, $way, $seed++);
        $began = hrtime(true);
        $read = $reader->read($picture, array_map(LabelLanguage::from(...), explode('+', $asked[0] ?? $language)));
        $took = (hrtime(true) - $began) / 1e9;
        [$right, $wrong] = wordsAlike(preg_split('/\s+/u', implode(' ', $rows)) ?: [], array_map(static fn (PrintedWord $one): string => $one->text, $read->words));
        $unasked = array_filter($wrong, static fn (int $n): bool => ! $read->isDoubtful($read->words[$n]));
        $doubtful = count(array_filter($read->words, $read->isDoubtful(...)));
        $sums[$name][] = [$right, count($wrong), count($unasked), $doubtful, $read->poor() !== null, $read->letterHigh, $took];
        if ($isLong) {
            foreach ($wrong as $n) {
                printf("  %s %s %.0f %s\n", $language, $name, $read->words[$n]->sure, $read->words[$n]->text);
            }
        }
    }
}
foreach ($sums as $name => $of) {
    $mean = static fn (int $n): float => array_sum(array_column($of, $n)) / count($of);
    printf("%-8s right %5.1f %% (worst %5.1f), wrong %.1f words, not asked %.1f, asked %.1f words, poor %d of %d, letters %.0f, %.2f s\n", $name, 100 * $mean(0), 100 * min(array_column($of, 0)), $mean(1), $mean(2), $mean(3), array_sum(array_column($of, 4)), count($of), $mean(5), $mean(6));
}

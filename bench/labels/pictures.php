<?php

declare(strict_types=1);

// Makes the forty test pictures: pictures.php FOLDER. Each is LANGUAGE-WAY.jpg.
require __DIR__.'/photograph.php';

$folder = $argv[1] ?? exit("usage: pictures.php FOLDER\n");
@mkdir($folder, 0755, true);
$seed = 1;
foreach (require __DIR__.'/texts.php' as $language => $rows) {
    foreach (LabelPhotograph::WAYS as $name => $way) {
        file_put_contents("$folder/$language-$name.jpg", LabelPhotograph::of($rows, $way, $seed++));
    }
}

<?php

declare(strict_types=1);

// Makes the test pictures: pictures.php FOLDER [LANGUAGE WAY]. Each is LANGUAGE-WAY.jpg.
require __DIR__.'/photograph.php';

[, $folder, $only, $by] = $argv + [1 => null, 2 => null, 3 => null];
if ($folder === null) {
    exit("usage: pictures.php FOLDER [LANGUAGE WAY]\n");
}
@mkdir($folder, 0755, true);
$seed = 1;
foreach (require __DIR__.'/texts.php' as $language => $rows) {
    foreach (LabelPhotograph::WAYS as $name => $way) {
        if (($only ?? $language) === $language && ($by ?? $name) === $name) {
            file_put_contents("$folder/$language-$name.jpg", LabelPhotograph::of($rows, $way, $seed));
        }
        $seed++;
    }
}

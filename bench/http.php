<?php

declare(strict_types=1);

/**
 * One connection, turn by turn: an empty Laravel route, then POST /api/formulate. Prints "median p95" of each in ms.
 * Usage: php bench/http.php ADDRESS REQUESTS-FILE
 */
[, $address, $file] = $argv;
$bodies = file($file, FILE_IGNORE_NEW_LINES) ?: exit(2);
$curl = curl_init();
$ask = static function (string $path, ?string $body) use ($curl, $address): float {
    curl_setopt_array($curl, [CURLOPT_URL => "$address/api/$path", CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', 'Expect:']]);
    curl_setopt($curl, CURLOPT_CUSTOMREQUEST, $body === null ? 'GET' : 'POST');
    curl_setopt($curl, CURLOPT_POSTFIELDS, $body ?? '');
    $since = hrtime(true);
    curl_exec($curl);
    $took = (hrtime(true) - $since) / 1e6;
    if (! in_array(curl_getinfo($curl, CURLINFO_RESPONSE_CODE), [200, 204], true)) {
        fwrite(STDERR, "$path answered ".curl_getinfo($curl, CURLINFO_RESPONSE_CODE)."\n");
        exit(1);
    }

    return $took;
};
$times = ['up' => [], 'formulate' => []];
foreach ($bodies as $i => $body) {
    $up = $ask('up', null);
    $formulate = $ask('formulate', $body);
    if ($i >= 20) {
        $times['up'][] = $up;
        $times['formulate'][] = $formulate;
    }
}
foreach ($times as $name => $all) {
    sort($all);
    printf("%s %.2f %.2f\n", $name, $all[intdiv(count($all), 2)], $all[(int) (count($all) * 0.95)]);
}

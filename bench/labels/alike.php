<?php

declare(strict_types=1);

/**
 * Words that were read against those that are printed: the share of the printed ones that were read letter by letter and in order, and which of the read ones are wrong.
 *
 * @param  list<string>  $printed
 * @param  list<string>  $read
 * @return array{float, list<int>}
 */
function wordsAlike(array $printed, array $read): array
{
    [$n, $m] = [count($printed), count($read)];
    $same = array_fill(0, $n + 1, array_fill(0, $m + 1, 0));
    for ($i = 1; $i <= $n; $i++) {
        for ($j = 1; $j <= $m; $j++) {
            $same[$i][$j] = $printed[$i - 1] === $read[$j - 1] ? $same[$i - 1][$j - 1] + 1 : max($same[$i - 1][$j], $same[$i][$j - 1]);
        }
    }
    $right = [];
    for ($i = $n, $j = $m; $i > 0 && $j > 0;) {
        if ($printed[$i - 1] === $read[$j - 1]) {
            $right[] = --$j;
            $i--;
        } elseif ($same[$i - 1][$j] >= $same[$i][$j - 1]) {
            $i--;
        } else {
            $j--;
        }
    }

    return [$same[$n][$m] / max(1, $n), array_values(array_diff(array_keys($read), $right))];
}

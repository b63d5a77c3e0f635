<?php

declare(strict_types=1);

/** How the core does on the panel of recipes: `php bench/panel.php [aspect] [--misses]`. The tests hold the thresholds. */

require __DIR__.'/../core/vendor/autoload.php';

use MildBowl\Core\Tests\Support\Panel;

$misses = in_array('--misses', $argv, true);
$only = array_values(array_filter(array_slice($argv, 1), static fn (string $one): bool => ! str_starts_with($one, '--')))[0] ?? null;
$panel = Panel::all();
foreach (Panel::ASPECTS as $aspect) {
    if ($only !== null && $only !== $aspect) {
        continue;
    }
    $right = $of = $near = 0;
    $told = [];
    foreach ($panel as $recipe) {
        $wrong = $recipe->wrong($aspect);
        $of += $wrong === false ? 0 : 1;
        $right += $wrong === null ? 1 : 0;
        $near += $aspect === 'feel' && $wrong !== false && $recipe->feelIsNear() ? 1 : 0;
        if (is_string($wrong)) {
            $told[] = "{$recipe->title}: $wrong";
        }
    }
    printf("%-8s %d of %d right, %.1f %%%s\n", $aspect, $right, $of, 100 * $right / max(1, $of), $aspect === 'feel' ? sprintf(', %.1f %% or its neighbour', 100 * $near / max(1, $of)) : '');
    foreach ($misses ? $told : [] as $one) {
        echo "  $one\n";
    }
}

<?php

declare(strict_types=1);

// Draws docs/layers.svg: the namespaces of core in their layers, how many classes each holds and which others it uses, as the code has it.
//   php ops/layers.php           writes it
//   php ops/layers.php --check   only tells whether it differs

use MildBowl\Core\Tests\Support\Layers;

require __DIR__.'/../core/vendor/autoload.php';

const FILE = __DIR__.'/../docs/layers.svg';
const BOX_WIDE = 172;
const BOX_HIGH = 106;
const GAP = 12;
const A_ROW = 6;
const LEFT = 128;
const LETTERS = 31;

$code = Layers::ofTheCode();
$text = static fn (float $x, float $y, string $class, string $words): string => sprintf('<text x="%d" y="%d" class="%s">%s</text>', $x, $y, $class, htmlspecialchars($words, ENT_XML1));
$drawn = [];
$y = GAP;
foreach (array_reverse(Layers::ORDER, true) as $layer => $namespaces) {
    $rows = (int) ceil(count($namespaces) / A_ROW);
    $high = $rows * (BOX_HIGH + GAP) + GAP;
    $drawn[] = sprintf('<rect x="%d" y="%d" width="%d" height="%d" class="layer"/>', GAP, $y, LEFT + A_ROW * (BOX_WIDE + GAP), $high);
    $drawn[] = $text(2 * GAP, $y + 24, 'title', $layer);
    foreach (array_values($namespaces) as $n => $namespace) {
        [$left, $top] = [LEFT + ($n % A_ROW) * (BOX_WIDE + GAP), $y + GAP + intdiv($n, A_ROW) * (BOX_HIGH + GAP)];
        $uses = $code[$namespace]['uses'] ?? [];
        $drawn[] = sprintf('<rect x="%d" y="%d" width="%d" height="%d" rx="6" class="box"/>', $left, $top, BOX_WIDE, BOX_HIGH);
        $drawn[] = $text($left + 8, $top + 18, 'name', $namespace);
        $drawn[] = $text($left + 8, $top + 32, 'small', ($code[$namespace]['classes'] ?? 0).' classes'.($uses === [] ? ', uses none' : ', uses'));
        foreach (array_slice(explode("\n", wordwrap(implode(', ', $uses), LETTERS)), 0, 6) as $row => $words) {
            $drawn[] = $text($left + 8, $top + 44 + 10 * $row, 'uses', $words);
        }
    }
    $y += $high + GAP;
}
$wide = 2 * GAP + LEFT + A_ROW * (BOX_WIDE + GAP);
$svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 $wide $y\" width=\"$wide\" height=\"$y\" role=\"img\" aria-label=\"The layers of the core: each uses only what stands below it\">\n"
    ."<style>text{font-family:sans-serif;fill:#2a241c}.layer{fill:#efe6d6}.box{fill:#fdf9f0;stroke:#8a4f1d}.title{font-size:15px;font-weight:700}.name{font-size:14px;font-weight:700}.small{font-size:11px;fill:#655a4a}.uses{font-size:9px;fill:#655a4a}</style>\n"
    .implode("\n", $drawn)."\n</svg>\n";
if (! in_array('--check', $argv, true)) {
    file_put_contents(FILE, $svg);
    exit(0);
}
if (! is_file(FILE) || file_get_contents(FILE) !== $svg) {
    fwrite(STDERR, "docs/layers.svg is not as the code has it: run 'php ops/layers.php' and commit.\n");
    exit(1);
}

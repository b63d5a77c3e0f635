<?php

declare(strict_types=1);

// Shows what a change altered in the kept answers, answer by answer; takes it over only with --take. See bin/golden.

use MildBowl\Core\Tests\Golden\Golden;
use SebastianBergmann\Diff\Differ;
use SebastianBergmann\Diff\Output\UnifiedDiffOutputBuilder;

$core = getenv('MILDBOWL_CORE') ?: __DIR__.'/../core';
require "$core/vendor/autoload.php";

$known = ['--take', '--brief', '--first'];
$options = array_fill_keys(array_map(static fn (string $option): string => ltrim($option, '-'), array_intersect($known, $argv)), true);
$wanted = array_values(array_diff(array_slice($argv, 1), $known));
$themes = array_filter(
    Golden::themes(),
    static fn (string $theme): bool => $wanted === [] || array_filter($wanted, static fn (string $name): bool => str_contains($theme, $name)) !== []
);
// a mutant of one corner of the core is looked for there first
$prefer = array_filter(explode(',', (string) getenv('MILDBOWL_GOLDEN_FIRST')));
$rank = static fn (string $theme): int => array_filter($prefer, static fn (string $name): bool => str_starts_with($theme, $name)) === [] ? 1 : 0;
usort($themes, static fn (string $a, string $b): int => $rank($a) <=> $rank($b));
if ($themes === []) {
    fwrite(STDERR, 'Nothing kept is called '.implode(', ', $wanted).". There are:\n  ".implode("\n  ", Golden::themes())."\n");
    exit(2);
}
$differ = new Differ(new UnifiedDiffOutputBuilder('', false));
$all = $altered = 0;
foreach ($themes as $theme) {
    $changed = Golden::changed($theme);
    $all += count(Golden::kept($theme));
    $altered += count($changed);
    foreach ($changed as $case => [$was, $is]) {
        if (isset($options['first'])) {
            echo "$theme: $case\n";
            exit(1);
        }
        echo "\n== $theme: $case".($was === '' ? ' (new)' : ($is === '' ? ' (gone)' : ''))."\n";
        if (! isset($options['brief']) && $was !== '' && $is !== '') {
            echo preg_replace('/^@@.*@@$/m', '   …', $differ->diff($was, $is));
        }
    }
    if (isset($options['take']) && $changed !== []) {
        Golden::take($theme, Golden::now($theme));
    }
}
if (isset($options['take'])) {
    echo "\n$altered of $all answers taken over. Say in the commit why each changed.\n";
    exit(0);
}
echo $altered === 0
    ? "All $all answers are as they were kept.\n"
    : "\n$altered of $all answers changed. Where each is meant: bin/golden --take, and say why in the commit.\n";
exit($altered === 0 ? 0 : 1);

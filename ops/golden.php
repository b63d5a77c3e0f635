<?php

declare(strict_types=1);

// Shows what a change altered in the kept answers, answer by answer; takes it over only with --take. See bin/golden.

use MildBowl\Core\Tests\Golden\Golden;
use SebastianBergmann\Diff\Differ;
use SebastianBergmann\Diff\Output\UnifiedDiffOutputBuilder;

$core = getenv('MILDBOWL_CORE') ?: __DIR__.'/../core';
require "$core/vendor/autoload.php";

$known = ['--take', '--brief', '--first', '--each'];
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
$groups = [];
foreach ($themes as $theme) {
    $changed = Golden::changed($theme);
    $all += count(Golden::kept($theme));
    $altered += count($changed);
    foreach ($changed as $case => [$was, $is]) {
        if (isset($options['first'])) {
            echo "$theme: $case\n";
            exit(1);
        }
        $kind = $was === '' ? ' (new)' : ($is === '' ? ' (gone)' : '');
        $diff = $kind === '' ? (string) preg_replace('/^@@.*@@$/m', '   …', $differ->diff($was, $is)) : '';
        // the same lines with other figures are the same change
        preg_match_all('/^[+-].*$/m', (string) preg_replace('/\d[\d.…e -]*/u', '#', $diff), $lines);
        $key = isset($options['each']) ? "$theme: $case" : $kind.implode("\n", array_unique($lines[0])).($kind === '' ? '' : $theme);
        $groups[$key] ??= ['first' => "$theme: $case$kind", 'diff' => $diff, 'count' => 0];
        $groups[$key]['count']++;
    }
    if (isset($options['take']) && $changed !== []) {
        Golden::take($theme, Golden::now($theme));
    }
}
foreach ($groups as $group) {
    echo "\n== {$group['first']}".($group['count'] === 1 ? '' : ' and '.($group['count'] - 1).' more like it')."\n".(isset($options['brief']) ? '' : $group['diff']);
}
if (isset($options['take'])) {
    echo "\n$altered of $all answers taken over. Say in the commit why each changed.\n";
    exit(0);
}
echo $altered === 0
    ? "All $all answers are as they were kept.\n"
    : "\n$altered of $all answers changed. Where each is meant: bin/golden --take, and say why in the commit.\n";
exit($altered === 0 ? 0 : 1);

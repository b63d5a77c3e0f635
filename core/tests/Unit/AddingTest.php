<?php

declare(strict_types=1);

use MildBowl\Core\DataCompiler\Compiler;

/** docs/adding.md, followed to the letter. */
const ADDING = __DIR__.'/../../../docs/adding.md';

/** @return array<string, list<string>> rows by file, as the page shows them */
function workedExamples(): array
{
    preg_match_all('/^```csv core\/data\/([a-z-]+\.csv)\n(.*?)^```$/ms', (string) file_get_contents(ADDING), $found, PREG_SET_ORDER);
    $rows = [];
    foreach ($found as [, $file, $text]) {
        $rows[$file] = [...($rows[$file] ?? []), ...explode("\n", trim($text))];
    }

    return $rows;
}

it('adds what the page shows, and it does what the page says', function (): void {
    $folder = sys_get_temp_dir().'/mildbowl-adding-'.getmypid();
    mkdir($folder);
    foreach (glob(__DIR__.'/../../data/*') ?: [] as $path) {
        copy($path, "$folder/".basename($path));
    }
    foreach (workedExamples() as $file => $rows) {
        if ($file === 'ingredients.csv') {
            // as the note below the rule says
            $rows = array_map(static fn (string $row): string => str_replace(',fruit,', ',fruit;quince-example,', $row), $rows);
        }
        file_put_contents("$folder/$file", rtrim((string) file_get_contents("$folder/$file"), "\n")."\n".implode("\n", $rows)."\n");
    }
    try {
        $data = (new Compiler($folder))->compile();
    } finally {
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }
    expect($data['entries'])
        ->toHaveKey('quince-flesh')
        ->and($data['rulesByFood']['quince-flesh'] ?? [])
        ->not->toBe([])
        ->and(array_column($data['swaps']['quince-flesh'], 'job'))
        ->toContain('wet')
        ->and($data['roles']['ganache']['role'])
        ->toBe('frosting')
        ->and(count(workedExamples()))
        ->toBeGreaterThan(4);
});

it('names no file that is not there', function (): void {
    preg_match_all('/`((?:core|app|resources|schemas|docs|e2e|ops|routes|tests|bin)\/[^`{} ]*)`/', (string) file_get_contents(ADDING), $found);
    $missing = array_filter(array_unique($found[1]), static fn (string $path): bool => ! file_exists(__DIR__.'/../../../'.$path));
    expect(array_values($missing))->toBe([])->and(count($found[1]))->toBeGreaterThan(20);
});

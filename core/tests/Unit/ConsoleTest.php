<?php

declare(strict_types=1);

use MildBowl\Core\Console\Application;

/** @return array{int, string, string} exit code, output, errors */
function console(string $input, string ...$arguments): array
{
    $streams = array_map(static function (): mixed {
        $stream = fopen('php://memory', 'w+');
        assert($stream !== false);

        return $stream;
    }, range(0, 2));
    fwrite($streams[0], $input);
    rewind($streams[0]);
    $code = (new Application(...$streams))->run($arguments);
    rewind($streams[1]);
    rewind($streams[2]);

    return [$code, (string) stream_get_contents($streams[1]), (string) stream_get_contents($streams[2])];
}

const GOOD = '{"version":1,"recipe":{"text":"1 cup oat flour"}}';

it('answers one request', function (): void {
    [$code, $output] = console(GOOD, 'formulate');

    expect($code)
        ->toBe(0)
        ->and(json_decode($output, true)['lines'][0]['ingredient'])
        ->toBe('oat-flour');
});

it('answers line by line and never stops at a bad one', function (): void {
    [$code, $output] = console(GOOD."\n{bad\n".GOOD."\n", 'formulate', '--lines');
    $lines = array_map(static fn (string $line): array => json_decode($line, true), explode("\n", trim($output)));

    expect($code)
        ->toBe(1)
        ->and($lines)
        ->toHaveCount(3)
        ->and($lines[1]['error']['code'])
        ->toBe('invalid-json')
        ->and($lines[2]['version'])
        ->toBe(1);
});

it('exits with 1 for a refusal and 2 for wrong usage', function (string $input, array $arguments, int $exit): void {
    expect(console($input, ...$arguments)[0])->toBe($exit);
})->with([
    ['{}', ['formulate'], 1],
    [GOOD, ['brew'], 2],
    [GOOD, [], 2],
    [GOOD, ['formulate', '--fast'], 2],
    [GOOD, ['formulate', '/no/such/file'], 2],
]);

it('runs as a program from both vendor folders', function (): void {
    $run = static fn (string $input): string => (string) shell_exec(
        'printf %s '.
            escapeshellarg($input).
            ' | '.
            escapeshellarg(PHP_BINARY).
            ' '.
            escapeshellarg(dirname(__DIR__, 2).'/bin/mildbowl').
            ' formulate'
    );

    expect(json_decode($run(GOOD), true)['lines'][0]['grams']['best'])->toBeGreaterThan(80);
});

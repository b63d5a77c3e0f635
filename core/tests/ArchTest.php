<?php

declare(strict_types=1);

arch('core knows no framework and no application')
    ->expect('MildBowl\Core')
    ->not->toUse(['Illuminate', 'App', 'Symfony', 'Carbon']);

arch('core has no clock, no chance and no globals')
    ->expect('MildBowl\Core')
    ->not->toUse([
        'time',
        'date',
        'microtime',
        'hrtime',
        'now',
        'rand',
        'mt_rand',
        'random_int',
        'getenv',
        'sleep',
        'usleep',
        'die',
        'exit',
        'dd',
        'dump',
        'var_dump',
        'eval',
        'PDO',
        'DateTime',
        'DateTimeImmutable',
    ]);

arch('only the loader of data and the console touch files')
    ->expect(['file_get_contents', 'file_put_contents', 'fopen', 'file', 'is_file', 'is_readable', 'mkdir', 'rename', 'fgets', 'fwrite'])
    ->toOnlyBeUsedIn(['MildBowl\Core\Data', 'MildBowl\Core\DataCompiler', 'MildBowl\Core\Console']);

arch('every file is strict')->expect('MildBowl\Core')->toUseStrictTypes();

arch('classes are final')->expect('MildBowl\Core')->classes()->toBeFinal();

it('reads no superglobal', function (): void {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../src', FilesystemIterator::SKIP_DOTS)) as $file) {
        expect((string) file_get_contents((string) $file))->not->toMatch(
            '/\$_(GET|POST|SERVER|ENV|COOKIE|FILES|REQUEST|SESSION)|\$GLOBALS|\bglobal \$/',
            (string) $file
        );
    }
});

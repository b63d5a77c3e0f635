<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Layers;

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

arch('only the build step and the console touch files')
    ->expect(['file_get_contents', 'file_put_contents', 'fopen', 'file', 'is_file', 'is_readable', 'mkdir', 'rename', 'fgets', 'fwrite'])
    ->toOnlyBeUsedIn(['MildBowl\Core\Data\Data', 'MildBowl\Core\DataCompiler', 'MildBowl\Core\Console']);

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

it('lets each namespace use only what stands below it', function (string $namespace): void {
    $order = Layers::namespaces();
    expect($order)->toContain($namespace);
    $below = array_slice($order, 0, (int) array_search($namespace, $order, true));
    expect(array_values(array_diff(Layers::ofTheCode()[$namespace]['uses'], $below)))->toBe([], "$namespace uses what stands above it");
})->with(fn (): array => array_keys(Layers::ofTheCode()));

it('keeps nothing between two questions in a static variable', function (): void {
    $statics = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../src', FilesystemIterator::SKIP_DOTS)) as $file) {
        $tokens = array_values(array_filter(PhpToken::tokenize((string) file_get_contents((string) $file)), static fn (PhpToken $token): bool => ! $token->isIgnorable()));
        foreach ($tokens as $n => $token) {
            if (! $token->is(T_STATIC)) {
                continue;
            }
            // up to the name: "static fn", "static function" and "static::" are no variables
            for ($k = $n + 1; isset($tokens[$k]) && ! $tokens[$k]->is([T_FN, T_FUNCTION, T_DOUBLE_COLON, ';', '{', '(', ')']); $k++) {
                if ($tokens[$k]->is(T_VARIABLE)) {
                    $statics[] = "$file, line {$token->line}";
                }
            }
        }
    }
    expect($statics)->toBe([]);
});

it('tells array shapes only where JSON is read and written', function (): void {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../src', FilesystemIterator::SKIP_DOTS)) as $file) {
        if (preg_match('#/(Contract|DataCompiler|Clipping/JsonLd)#', (string) $file) !== 1) {
            expect((string) file_get_contents((string) $file))->not->toContain('array<string, mixed>', (string) $file);
        }
    }
});

it('answers with values that nobody can change', function (string $namespace): void {
    foreach (glob(__DIR__."/../src/$namespace/*.php") ?: [] as $file) {
        $class = new ReflectionClass('MildBowl\\Core\\'.str_replace('/', '\\', $namespace).'\\'.basename($file, '.php'));
        $isFree = $class->isInterface() || $class->isEnum() || $class->isSubclassOf(Throwable::class) || $class->getProperties() === [] || in_array($class->getShortName(), ['RescueSearch', 'LabelReader'], true);
        expect($isFree || $class->isReadOnly())->toBeTrue("$file is neither readonly nor without properties");
    }
})->with(['Values', 'Kitchen', 'Dogs', 'Baking', 'Baking/Shapes', 'Screening', 'Feeding', 'Judging', 'Questions', 'Contract']);

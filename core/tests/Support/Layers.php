<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Support;

/** Which namespace of the core may use which: each only what stands above it here, so that arrows point one way and nothing runs in a circle. */
final class Layers
{
    /** From what knows nothing of the others to what knows them all, in their layers. */
    public const ORDER = [
        'values' => ['Values', 'Build', 'Data', 'Language'],
        'domain' => [
            'Pantry',
            'Reading',
            'Measuring',
            'Kitchen',
            'Dogs',
            'Baking',
            'Screening',
            'Feeding',
            'Keeping',
            'Raid',
            'Watching',
            'Judging',
            'Making',
            'Swaps',
            'Sizes',
            'Hearing',
            'Clipping',
            'Telling',
        ],
        'questions' => ['Questions'],
        'contract' => ['Contract', 'Console'],
        'build step' => ['DataCompiler'],
    ];

    private const SOURCE = __DIR__.'/../../src';

    /** @return list<string> */
    public static function namespaces(): array
    {
        return array_merge(...array_values(self::ORDER));
    }

    /** @return array<string, array{classes: int, uses: list<string>}> what each namespace holds and which others it names */
    public static function ofTheCode(): array
    {
        $found = [];
        foreach (self::files() as $namespace => $files) {
            $uses = [];
            foreach ($files as $file) {
                preg_match_all('/\\\\?MildBowl\\\\Core\\\\(\w+)\\\\\w/', (string) file_get_contents($file), $named);
                $uses = [...$uses, ...$named[1]];
            }
            $uses = array_values(array_intersect(self::namespaces(), array_diff(array_unique($uses), [$namespace])));
            $found[$namespace] = ['classes' => count($files), 'uses' => $uses];
        }

        return $found;
    }

    /** @return array<string, list<string>> files by namespace, in the order of the layers; those in none come last */
    private static function files(): array
    {
        $files = array_fill_keys(array_diff(self::namespaces(), ['Build']), []);
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::SOURCE, \FilesystemIterator::SKIP_DOTS)) as $file) {
            $path = substr((string) $file, strlen(self::SOURCE) + 1);
            $files[explode('/', $path)[0]][] = (string) $file;
        }

        return $files;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use MildBowl\Core\Data\Compiled;
use RuntimeException;

/** Writes the compiled reference data to core/build, as constants of some classes. */
final class Build
{
    private const FOLDER = __DIR__.'/../../build';

    private const DATA = __DIR__.'/../../data';

    /**
     * @return string the version of the data
     *
     * @throws RuntimeException that names the file, the row and the column of each slip in the data
     */
    public static function write(): string
    {
        $never = __DIR__.'/../../tests/cases/never.txt';
        $data = (new Compiler(self::DATA, is_file($never) ? $never : null))->compile();
        /** @var array<string, list<string>> $names */
        $names = $data['names'];
        self::constant('Search', 'What the search for the nearest food looks through.', Phrases::searchIndex($names));
        /** @var array<string, mixed> $doughs */
        $doughs = $data['dough'];
        self::constant('Doughs', 'What doughs are judged by.', $doughs);
        /** @var array<string, mixed> $days */
        $days = $data['days'];
        self::constant('Days', 'How long things keep, and what is for some days of a week.', $days);
        /** @var array<string, mixed> $signs */
        $signs = $data['signs'];
        self::constant('Signs', 'What is watched in a dog, and how bad each step of it is.', $signs);
        unset($data['dough'], $data['days'], $data['signs']);
        self::constant('Tables', 'The rows of core/data.', $data);
        $version = $data['version'];
        assert(is_string($version));

        return $version;
    }

    /**
     * Foods that do a job for which nothing stands in: a recipe that wants one out can only lose it.
     *
     * @return list<string> "job: foods"
     */
    public static function withoutSwap(): array
    {
        $swaps = Compiled::tables()['swaps'];
        $missing = [];
        foreach (Compiled::tables()['entries'] as $id => $entry) {
            $jobs = array_column($swaps[$id] ?? [], 'job');
            foreach (array_keys($entry['groups']) as $group) {
                foreach ($swaps["group:$group"] ?? [] as $row) {
                    if (! in_array($id, $row['except'], true)) {
                        $jobs[] = $row['job'];
                    }
                }
            }
            foreach (array_diff($entry['jobs'], $jobs) as $job) {
                $missing[$job][] = $id;
            }
        }
        ksort($missing);

        return array_map(static fn (string $job, array $foods): string => "$job: ".implode(', ', $foods), array_keys($missing), $missing);
    }

    /** Compiles where nobody has yet: core runs from a checkout of its own too. */
    public static function unlessWritten(): void
    {
        if (! is_file(self::FOLDER.'/Tables.php')) {
            self::write();
        }
    }

    /** @param  array<string, mixed>  $array */
    private static function constant(string $class, string $says, array $array): void
    {
        if (! is_dir(self::FOLDER) && ! mkdir(self::FOLDER, 0o755, true)) {
            throw new RuntimeException(self::FOLDER.' cannot be made.');
        }
        $temporary = self::FOLDER."/$class.".getmypid().'.tmp';
        $code = "<?php\n\n// Written by core/bin/compile-data.\n\nnamespace MildBowl\\Core\\Build;\n\n/** $says */\nfinal class $class\n{\n    public const ALL = ".self::tight($array).";\n}\n";
        if (file_put_contents($temporary, $code) === false || ! rename($temporary, self::FOLDER."/$class.php")) {
            throw new RuntimeException(self::FOLDER."/$class.php cannot be written.");
        }
    }

    /** The same literal without the white space that a reader would want: it is read by nobody, and by PHP at every start. */
    private static function tight(mixed $value): string
    {
        if (! is_array($value)) {
            return var_export($value, true);
        }
        $rows = [];
        $isList = array_is_list($value);
        foreach ($value as $key => $one) {
            $rows[] = ($isList ? '' : var_export($key, true).'=>').self::tight($one);
        }

        return '['.implode(',', $rows).']';
    }
}

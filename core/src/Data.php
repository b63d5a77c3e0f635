<?php

declare(strict_types=1);

namespace MildBowl\Core;

use MildBowl\Core\DataCompiler\Compiler;
use RuntimeException;

/**
 * The one place that reads files: the compiled reference data, a constant array that opcache shares.
 *
 * @phpstan-type Lexicon array{first: array<string, int>, phrases: array<string, array{string, int}>}
 * @phpstan-type Entry array{name: string, groups: array<string, true>, jobs: list<string>, composition: ?list<?float>, source: string, confidence: string, like?: string}
 * @phpstan-type Rule array{id: string, code: string, level: string, emergency: bool, groups: list<string>, words: list<string>, unless: list<string>, when: array<string, list<string>>, message: string, advice: string, figure: string, source: string, example: string}
 * @phpstan-type Cross array{allergy: string, group: string, level: string, unless: list<string>, message: string, advice: string}
 * @phpstan-type Exclusion array{condition: string, groups: list<string>, unless: list<string>, message: string, advice: string, source: string}
 * @phpstan-type Breed array{breed: string, terrier: bool, research: ?float, fragile: bool, note: string, groups: list<string>, kgLow: ?float, kgHigh: ?float, source: string}
 * @phpstan-type Dose array{code: string, substance: string, basis: string, caution: string, limit: string, unit: string, who: string, message: string, advice: string, source: string}
 * @phpstan-type Tables array{
 *     version: string,
 *     entries: array<string, Entry>,
 *     lexicon: Lexicon,
 *     names: array<string, list<string>>,
 *     forms: array<string, array<string, string>>,
 *     formWords: array{first: array<string, int>, phrases: array<string, list<string>>},
 *     units: array{names: array<string, string>, sizes: array<string, array<string, array{string, float}>>},
 *     measures: array{names: array<string, string>, sizes: array<string, array{string, float, float, float}>},
 *     densities: array<string, array<string, array{float, float, float}>>,
 *     pieces: array<string, array<string, array{float, float, float}>>,
 *     uptake: array<string, array{float, string}>,
 *     textures: array<string, array<string, string>>,
 *     feels: list<array<string, string>>,
 *     heat: list<array<string, string>>,
 *     gasMarks: list<array<string, string>>,
 *     cores: list<array<string, string>>,
 *     cutters: list<array<string, string>>,
 *     actives: array<string, array<string, array{float, float, float}>>,
 *     groups: array{labels: array<string, string>, aliases: array<string, string>, closure: array<string, list<string>>},
 *     cross: array<string, list<Cross>>,
 *     rules: list<Rule>,
 *     exclusions: array<string, list<Exclusion>>,
 *     conditions: array<string, array<string, string>>,
 *     medicines: array<string, array<string, string>>,
 *     breeds: array<string, Breed>,
 *     doses: list<Dose>,
 *     energy: array<string, array<string, string>>,
 *     bites: list<array<string, string>>,
 *     toxicDoses: list<array<string, string>>,
 *     swaps: array<string, list<array{except: list<string>, in: array<string, float>, job: string, rank: float, note: string, source: string}>>,
 *     rescueWeights: array<string, float>,
 *     keeping: list<array<string, string>>,
 *     claims: list<array<string, string>>,
 *     sources: array<string, string>,
 *     benign: array<string, true>,
 *     verbs: array<string, true>
 * }
 */
final class Data
{
    /** @var Tables|null */
    private static ?array $tables = null;

    /** @var array{names: list<array{string, string}>, grams: array<string, list<int>>}|null */
    private static ?array $search = null;

    /** @return Tables */
    public static function tables(): array
    {
        return self::$tables ??= self::load();
    }

    /** @return array{names: list<array{string, string}>, grams: array<string, list<int>>} */
    public static function search(): array
    {
        if (self::$search === null) {
            self::tables();
            /** @var array{names: list<array{string, string}>, grams: array<string, list<int>>} $search */
            $search = require __DIR__.'/../build/search.php';
            self::$search = $search;
        }

        return self::$search;
    }

    /** Writes the compiled array; returns its version. */
    public static function compile(): string
    {
        $never = __DIR__.'/../tests/cases/never.txt';
        $data = (new Compiler(__DIR__.'/../data', is_file($never) ? $never : null))->compile();
        /** @var array<string, list<string>> $names */
        $names = $data['names'];
        self::write('search', Compiler::searchIndex($names));
        self::write('data', $data);
        $version = $data['version'];
        assert(is_string($version));

        return $version;
    }

    /** @param  array<string, mixed>  $array */
    private static function write(string $name, array $array): void
    {
        $folder = __DIR__.'/../build';
        if (! is_dir($folder) && ! mkdir($folder, 0o755, true)) {
            throw new RuntimeException("$folder cannot be made.");
        }
        $temporary = "$folder/$name.".getmypid().'.php';
        if (file_put_contents($temporary, "<?php\n\nreturn ".var_export($array, true).";\n") === false || ! rename($temporary, "$folder/$name.php")) {
            throw new RuntimeException("$folder/$name.php cannot be written.");
        }
    }

    /** @return Tables */
    private static function load(): array
    {
        if (! is_file(__DIR__.'/../build/data.php')) {
            self::compile();
        }
        /** @var Tables $tables */
        $tables = require __DIR__.'/../build/data.php';

        return $tables;
    }
}

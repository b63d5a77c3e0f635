<?php

declare(strict_types=1);

use MildBowl\Core\DataCompiler\Columns;
use MildBowl\Core\DataCompiler\Compiler;
use MildBowl\Core\DataCompiler\Vocabulary;
use MildBowl\Core\Tests\Support\Cases;

const DATA_FOLDER = __DIR__.'/../../data';

/**
 * What is said of the data with one slip in them, or with one in each of several files.
 *
 * @param  callable(string): mixed  $check  of a folder of data
 */
function slip(string $file, string $there, string $slip, callable $check): string
{
    return slips([[$file, $there, $slip]], $check);
}

/** @param  list<array{string, string, string}>  $slips  each in another file */
function slips(array $slips, callable $check): string
{
    $folder = sys_get_temp_dir().'/mildbowl-data-'.getmypid().'-'.bin2hex(random_bytes(4));
    mkdir($folder);
    foreach (glob(DATA_FOLDER.'/*') ?: [] as $path) {
        symlink((string) realpath($path), "$folder/".basename($path));
    }
    foreach ($slips as [$file, $there, $slip]) {
        $text = (string) file_get_contents(DATA_FOLDER."/$file");
        $at = strpos($text, $there);
        expect($at)->not->toBeFalse("$file holds no \"$there\".");
        unlink("$folder/$file");
        file_put_contents("$folder/$file", substr_replace($text, $slip, (int) $at, strlen($there)));
    }
    try {
        $check($folder);
    } catch (RuntimeException $e) {
        return $e->getMessage();
    } finally {
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }

    return '';
}

it('stops at every slip, with its file, row and column and the nearest word', function (): void {
    $cases = array_map(
        static fn (string $row): array => str_replace(["\0", '⏎'], ['|', "\n"], array_map(trim(...), explode('|', str_replace('\|', "\0", $row)))),
        Cases::rows('slips.txt')
    );
    // some files at a time; a slip in what others refer to is told many times over, and what only the tables together show is told
    // when nothing else is wrong: those go alone
    $batches = [];
    foreach ($cases as $case) {
        $isAlone =
            in_array(
                $case[0],
                ['groups.csv', 'traits.csv', 'sources.csv', 'conditions.csv', 'medicines.csv', 'textures.csv', 'form-words.csv'],
                true
            ) || preg_match('/ but | needs no exception|^no food is|a column|that could be/', $case[3]) === 1;
        for (
            $n = $isAlone ? count($batches) : 0;
            ! $isAlone && isset($batches[$n]) && (count($batches[$n]) >= 6 || isset($batches[$n]['alone']) || isset($batches[$n][$case[0]]));
            $n++
        );
        $batches[$n][$isAlone ? 'alone' : $case[0]] = $case;
    }
    foreach ($batches as $batch) {
        $told = slips(array_map(static fn (array $case): array => [$case[0], $case[1], $case[2]], $batch), Columns::check(...));
        foreach ($batch as [$file, , $slip, $says]) {
            $own = implode("\n", array_filter(explode("\n", $told), static fn (string $row): bool => str_starts_with($row, "$file, ")));
            expect(str_contains($own, $says))->toBeTrue("$file: $slip is told as \"$own\"");
        }
    }
    expect(count($cases))->toBeGreaterThan(50);
});

it('tells every slip at once', function (): void {
    expect(slip('heat.csv', 'drop,,,scoop,soft|biscuit', 'drip,,,scop,sift|biscuit', Columns::check(...)))
        ->toContain('"drip"')
        ->toContain('"scop"')
        ->toContain('"sift"');
});

it('stops at a trait that nothing asks about, and at one that no food has', function (): void {
    expect(slip('rules.csv', 'poppy,never,0,poppy', 'poppy,never,0,honey', Columns::check(...)))
        ->toContain('nothing asks whether a food is "poppy"')
        ->and(slip('entries.csv', ',xylitol-sweetener,', ',poppy,', Columns::check(...)))
        ->toContain('no food is "xylitol-sweetener"')
        ->and(slip('groups.csv', 'carob,,carob,', "carob,,carob,\nquince,,quince,", Columns::check(...)))
        ->toContain('no food is of the group "quince"');
});

it('stops at ranges out of order, at one name for two things, and at a poison without a case', function (
    string $file,
    string $there,
    string $slip,
    string $says
): void {
    $compile = static fn (string $folder): array => (new Compiler($folder, __DIR__.'/../cases/never.txt'))->compile();
    expect(slip($file, $there, $slip, $compile))->toContain($says);
})->with([
    ['densities.csv', 'rolled-oats,,80,90,100', 'rolled-oats,,80,70,100', 'not in order'],
    ['measures.csv', 'splash,ml,5,7,10', 'splash,ml,5,7,6', 'not in order'],
    ['heat.csv', 'fry,4,8,,,,"no pink', 'fry,4,2,,,,"no pink', 'minutesLow: 4, 2 are out of order'],
    ['heat.csv', 'bake,15,20,190,175,200', 'bake,15,20,190,195,200', 'celsiusLow: 195, 190, 200 are out of order'],
    ['actives.csv', 'cinnamon,coumarinMg,200,300,700', 'cinnamon,coumarinMg,400,300,700', 'not in order'],
    ['names.csv', 'oat-bran,oat bran', 'oat-bran,oat flour', '"oat flour" names both'],
    ['units.csv', 'tsp|teaspoon', 'tsp|cup|teaspoon', 'taken already'],
    ['breeds.csv', 'shiba,shiba inu', 'shiba,akita', 'taken already'],
    ['benign-words.txt', "\ntreat\n", "\ntreat\ntreats\n", '"treats" is read as "treat", which stands there'],
    ['rules.csv', 'poppy,never,0', 'poppies,never,0', 'cases/never.txt holds no case of it'],
    ['rules.csv', 'vinegar,caution,0', 'vinegar,never,0', 'cases/never.txt holds no case of it'],
]);

it('refuses a file with a cell too many, and one that is not there', function (): void {
    expect(slip('bites.csv', '10,15,KITCHEN', '10,15,KITCHEN,more', Columns::check(...)))
        ->toContain('bites.csv, row 3: 4 columns instead of 3')
        ->and(fn () => Columns::check('/no/such/folder'))
        ->toThrow(RuntimeException::class, 'cannot be read');
});

it('lets only those traits be named in code that the code asks about', function (): void {
    $code = '';
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../src', FilesystemIterator::SKIP_DOTS)) as $file) {
        $code .= str_contains((string) $file, 'DataCompiler') ? '' : file_get_contents((string) $file);
    }
    foreach (Vocabulary::TRAITS_IN_CODE as $trait) {
        expect($code)->toContain("'$trait'");
    }
});

it('refuses a swap that is said twice, and tells of foods with a job and no swap', function (): void {
    $check = static fn (string $folder): array => (new Compiler($folder))->compile();
    expect(slip('swaps.csv', 'group:flour,', 'group:flour|group:flour,', $check))->toContain('stands in row 2 too');
    $told = implode("\n", \MildBowl\Core\DataCompiler\Build::withoutSwap());
    expect($told)->toContain('leaven: self-raising-flour')->not->toContain('leaven: baking-soda');
});

<?php

declare(strict_types=1);

namespace MildBowl\Ops\Mutation;

/**
 * The checks a mutant has to pass, the quickest first, run in a copy of the project of its own. A shell script for one mutant: it ends
 * with the name of the check that noticed, or with "survived".
 */
final readonly class Killers
{
    private const CORE = <<<'SH'
cd core
timeout 60 php bin/compile-data >%OUT% 2>&1 || { echo "compile-data"; exit 0; }
MILDBOWL_GOLDEN_FIRST=%FIRST% MILDBOWL_CORE=$PWD timeout 90 php -d memory_limit=1G ../ops/golden.php --first >%OUT% 2>&1 || { echo "golden"; exit 0; }
timeout 180 php -d memory_limit=1G vendor/bin/pest --compact --colors=never --bail --testsuite=%SUITES% >%OUT% 2>&1 || { echo "pest"; exit 0; }
echo survived
SH;

    private const APP = <<<'SH'
timeout 120 php -d memory_limit=1G vendor/bin/pest --compact --colors=never --bail >%OUT% 2>&1 || { echo "pest"; exit 0; }
echo survived
SH;

    /** Where in the kept answers a change of a folder shows most likely. */
    private const FIRST = [
        'Swaps' => 'rescue,swaps,dough',
        'Clipping' => 'read,formulate/doubts',
        'Sizes' => 'size,scale',
        'Emergency' => 'raid',
        'Feeding' => 'formulate/doses,week,occasion,give-away',
        'Dogs' => 'profile,formulate/ages,formulate/dogs',
        'Kitchen' => 'ledger/lines,formulate/told,formulate/reading',
        'Pantry' => 'ledger/measures,ledger/nearest,formulate/edges',
        'Screening' => 'formulate/rules,label,formulate/conditions,ledger/rule-book,ledger/differences',
        'Baking' => 'formulate/textures,formulate/cuts',
        'Formulate' => 'formulate/refused,formulate/sheets,formulate/edges',
        'data' => 'ledger',
    ];

    public function __construct(private string $copy) {}

    public function script(Mutant $mutant): string
    {
        $isApp = str_starts_with($mutant->file, 'app/');
        $compiles = preg_match('#^core/data/|DataCompiler|Composition|Tokenizer|Nearest#', $mutant->file) === 1;

        $suites = ['core', ...$compiles ? ['compiler'] : [], ...str_contains($mutant->file, 'Clipping') ? ['clipping'] : []];

        return strtr($isApp ? self::APP : self::CORE, [
            '%SUITES%' => implode(',', $suites),
            '%FIRST%' => self::FIRST[basename(dirname($mutant->file))] ?? '',
            '%OUT%' => "{$this->copy}/out.txt",
        ]);
    }
}

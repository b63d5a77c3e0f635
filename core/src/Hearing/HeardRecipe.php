<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

/** One recipe as a talk told it: its sheet, what of it is not sure, and what was warned of. */
final readonly class HeardRecipe
{
    /**
     * @param  list<array{text: string, said: string, span: array{int, int}, spans: list<array{int, int}>, sure: bool}>  $lines
     * @param  list<string>  $steps
     * @param  list<array{about: string, options: list<string>, said: list<string>, question: string}>  $questions
     * @param  list<array{ingredient: string, name: string, said: string, span: array{int, int}}>  $warnings
     */
    public function __construct(public string $title, public array $lines, public array $steps, public array $questions, public array $warnings, public Baking $baking) {}
}

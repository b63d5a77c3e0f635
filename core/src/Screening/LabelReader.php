<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Kitchen\LineReader;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Kitchen\Tokenizer;

/** Reads the ingredient list printed on a tub: parts in order, nested brackets, percent values, "may contain". */
final class LabelReader
{
    /** @return list<LabelPart> */
    public static function read(string $ingredients): array
    {
        $text = trim((string) preg_replace('/^\s*(ingredients?|contains|zutaten|ingr[ée]dients|ingredientes|ingredienti)\s*:\s*/iu', '', Tokenizer::clean($ingredients)));
        $parts = [];
        $depth = 0;
        $trace = false;
        $buffer = '';
        $flush = function () use (&$parts, &$depth, &$trace, &$buffer): void {
            $part = self::part($buffer, $depth, $trace);
            $buffer = '';
            if ($part !== null) {
                $parts[] = $part;
            }
        };
        $length = strlen($text);
        for ($i = 0; $i < $length; $i++) {
            $char = $text[$i];
            if (preg_match('/\G(?:may (?:also )?contain(?: traces? of)?|traces? of|produced in a factory (?:that|which) (?:also )?(?:handles|uses)|kann spuren von)\b/iu', $text, $found, 0, $i) === 1 && ($i === 0 || ! ctype_alpha($text[$i - 1]))) {
                $flush();
                $trace = true;
                $i += strlen($found[0]) - 1;

                continue;
            }
            if (str_contains('([{', $char)) {
                $flush();
                $depth++;
            } elseif (str_contains(')]}', $char)) {
                $flush();
                $depth = max(0, $depth - 1);
            } elseif ($char === ';' || $char === "\n" || ($char === ',' && ! (ctype_digit($text[$i + 1] ?? '') && ctype_digit($text[$i - 1] ?? ''))) || ($char === '.' && ! ctype_digit($text[$i + 1] ?? ''))) {
                $flush();
                if ($char === '.' && $depth === 0) {
                    $trace = false;
                }
            } else {
                $buffer .= $char;
            }
        }
        $flush();

        return $parts;
    }

    private static function part(string $buffer, int $depth, bool $trace): ?LabelPart
    {
        $text = trim($buffer, " \t:*•·-");
        $percent = preg_match('/(\d+(?:[.,]\d+)?)\s*%/', $text, $found) === 1 ? (float) str_replace(',', '.', $found[1]) : null;
        $bare = trim((string) preg_replace(['/(contains?\s+)?(less than\s+)?\d+(?:[.,]\d+)?\s*%(\s*or less)?(\s*of)?(\s*(and|each)\b)?:?/iu', '/^(and|contains?|or less of|each of the following)\b[: ]*/iu'], ' ', $text));
        if (preg_match('/[\p{L}\d]/u', $bare) !== 1) {
            return null;
        }
        $pieces = preg_match('/^(.{2,60}?)\s+and\s+(.{2,60})$/iu', $bare, $two) === 1 ? [$two[1], $two[2]] : [$bare];
        $lines = array_map(static fn (string $piece): ReadLine => LineReader::read($piece, 0, null), $pieces);

        return new LabelPart($text, $percent, $depth, $trace, count($lines) === 2 && $lines[0]->ingredient !== null && $lines[1]->ingredient !== null ? $lines : [LineReader::read($bare, 0, null)]);
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Support;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Data\Compiled;

/** The doughs of core/data/doughs.csv: what the hand says of each, and what the sum says. */
final class Doughs
{
    /** @return list<array{dough: string, says: list<string>, set: string}> what the hand says first, then what it may say too */
    public static function all(): array
    {
        $all = [];
        $file = fopen(__DIR__.'/../../data/doughs.csv', 'r');
        assert($file !== false);
        fgetcsv($file);
        while (($row = fgetcsv($file)) !== false) {
            $all[] = ['dough' => (string) $row[0], 'says' => array_values(array_filter([(string) $row[1], (string) $row[2]], static fn (string $word): bool => $word !== '')), 'set' => (string) $row[3]];
        }
        fclose($file);

        return $all;
    }

    public static function bowl(string $dough): Bowl
    {
        $kitchen = Asking::kitchen();

        return Bowl::of($kitchen->reader->read(str_replace('; ', "\n", $dough), ''), $kitchen);
    }

    /** The word of a feel in the data. */
    public static function word(string $feel): string
    {
        foreach ([...Compiled::tables()['feels'], ...Compiled::doughs()['bindings']] as $row) {
            if ($row['feel'] === $feel) {
                return $row['word'];
            }
        }

        return $feel;
    }
}

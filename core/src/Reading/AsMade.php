<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** What was really done with a written recipe, in order: of one line the later word counts; a line that is not named was used in full. */
final readonly class AsMade
{
    public const MOST = 200;

    /**
     * @param  list<Used>  $used
     * @param  list<Addition>  $added
     */
    public function __construct(public array $used = [], public array $added = []) {}

    public function isAsWritten(): bool
    {
        return $this->used === [] && $this->added === [];
    }

    /**
     * The written lines as they were made, those that were left out apart.
     *
     * @param  list<ReadLine>  $lines
     * @return array{list<ReadLine>, list<ReadLine>} made, left out
     *
     * @throws MadeRefused when what was said is of no line
     */
    public function of(array $lines): array
    {
        $last = [];
        foreach ($this->used as $one) {
            $last[self::meant($one, $lines)] = $one;
        }
        $made = $leftOut = [];
        foreach ($lines as $n => $line) {
            $used = $last[$n] ?? null;
            if ($used?->isNothing() === true) {
                $leftOut[] = $line->asMade($used);
            } else {
                $made[] = $used === null ? $line : $line->asMade($used);
            }
        }

        return [$made, $leftOut];
    }

    /**
     * @param  list<ReadLine>  $lines
     * @return int index of the line
     */
    private static function meant(Used $used, array $lines): int
    {
        $inRow = array_filter($lines, static fn (ReadLine $line): bool => $line->place->row === $used->row);
        if ($inRow === []) {
            throw MadeRefused::noLine($used);
        }
        $there = $used->span === null ? $inRow : array_filter($inRow, static fn (ReadLine $line): bool => [$line->place->from, $line->place->to] === $used->span);
        if ($there === []) {
            throw MadeRefused::noSuchSpan($used, array_values($inRow));
        }

        return count($there) === 1 ? array_key_first($there) : throw MadeRefused::several($used, array_values($there));
    }
}

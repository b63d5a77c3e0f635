<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** What was said to be made does not fit the recipe: why, and where in the request it was said. */
final class MadeRefused extends \InvalidArgumentException
{
    private function __construct(string $message, public readonly string $path)
    {
        parent::__construct($message);
    }

    public static function noLine(Used $used): self
    {
        return new self("Row {$used->row} of the recipe holds no line with a food: name a row from 0 that does.", "{$used->path}/row");
    }

    /** @param  list<ReadLine>  $lines */
    public static function several(Used $used, array $lines): self
    {
        return new self("Row {$used->row} holds several lines: say which, with span. There are: ".self::spans($lines).'.', "{$used->path}/row");
    }

    /** @param  list<ReadLine>  $lines */
    public static function noSuchSpan(Used $used, array $lines): self
    {
        return new self("No line of row {$used->row} stands there. There are: ".self::spans($lines).'.', "{$used->path}/span");
    }

    /** @param  list<ReadLine>  $lines */
    private static function spans(array $lines): string
    {
        return implode('; ', array_map(static fn (ReadLine $line): string => "[{$line->place->from}, {$line->place->to}] \"{$line->text}\"", $lines));
    }
}

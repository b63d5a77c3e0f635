<?php

declare(strict_types=1);

namespace MildBowl\Ops\Mutation;

/** One wrong change of one file. */
final readonly class Mutant
{
    public function __construct(
        public string $file,
        public int $row,
        public string $kind,
        public string $line,
        public string $before,
        public string $after,
        public string $content
    ) {}

    /** The same for the same change, wherever the line has moved to. */
    public function id(): string
    {
        return "{$this->file} | {$this->line} | {$this->before} => {$this->after}";
    }

    public function __toString(): string
    {
        return "{$this->file}:{$this->row} {$this->kind}: ".
            self::short($this->before).
            '  =>  '.
            self::short($this->after).
            "\n      in: ".
            self::short($this->line, 180);
    }

    private static function short(string $text, int $length = 90): string
    {
        return mb_strlen($text) > $length ? mb_substr($text, 0, $length).' …' : $text;
    }
}

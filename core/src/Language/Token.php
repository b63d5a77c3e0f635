<?php

declare(strict_types=1);

namespace MildBowl\Core\Language;

/** One word, number or mark of a recipe line, with its place in the line. */
final readonly class Token
{
    public const WORD = 0;

    public const NUMBER = 1;

    public const MARK = 2;

    /** A number nobody can mean. */
    public const ODD = 3;

    /**
     * @param  int  $offset  byte offset in the cleaned line
     * @param  string  $text  the word in lower case Latin letters without accents, or the mark
     * @param  string  $stem  the word without its plural ending
     * @param  bool  $fraction  whether a number was written as a fraction
     * @param  bool  $glued  whether a hyphen joins it to the word before
     */
    public function __construct(
        public int $kind,
        public int $offset,
        public int $length,
        public string $raw,
        public string $text,
        public string $stem,
        public float $value = 0.0,
        public bool $fraction = false,
        public bool $glued = false,
    ) {}

    /** The same token in a text that begins so many bytes later. */
    public function moved(int $bytes): self
    {
        return new self($this->kind, $this->offset - $bytes, $this->length, $this->raw, $this->text, $this->stem, $this->value, $this->fraction, $this->glued);
    }

    public function is(string ...$texts): bool
    {
        foreach ($texts as $text) {
            if ($this->text === $text) {
                return true;
            }
        }

        return false;
    }
}

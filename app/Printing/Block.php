<?php

declare(strict_types=1);

namespace App\Printing;

/** A paragraph of a label: runs of words, plain and bold. */
final readonly class Block
{
    /**
     * @param  list<array{string, bool}>  $runs  words and whether they are bold
     * @param  float  $size  to that of the label
     * @param  ?string  $mayGo  what is left out where the label is too small, in words; null: it may not be left out
     * @param  float  $space  above it, in lines
     */
    public function __construct(public array $runs, public float $size = 1.0, public ?string $mayGo = null, public float $space = 0.25, public ?Outline $outline = null) {}

    public static function plain(string $words, float $size = 1.0, ?string $mayGo = null, float $space = 0.25): self
    {
        return new self([[$words, false]], $size, $mayGo, $space);
    }

    public static function bold(string $words, float $size = 1.0, float $space = 0.25): self
    {
        return new self([[$words, true]], $size, null, $space);
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Clipping\Clipped;
use MildBowl\Core\Clipping\ClippingReader;
use MildBowl\Core\Clipping\Doubts;
use MildBowl\Core\Kitchen\Kitchen;

/** `read`: a recipe from outside, made fit to be asked about. */
final readonly class ReadQuestion
{
    /** A web page of ten million characters, and some room. */
    public const LONGEST = 12_000_000;

    public function __construct(private Kitchen $kitchen, private string $content, private string $kind, private bool $explain) {}

    public function answer(): Clipped
    {
        $clipped = ClippingReader::read($this->content, $this->kind, $this->kitchen->reader);

        return $this->explain ? $clipped->withDoubts(fn (string $text, string $steps): array => Doubts::of($text, $steps, $this->kitchen->reader)) : $clipped;
    }
}

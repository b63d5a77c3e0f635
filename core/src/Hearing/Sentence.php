<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Reading\Words;

/** A sentence of a talk, cut into words, and where it stands. */
final readonly class Sentence
{
    /**
     * @param  int  $from  first code point in the talk
     * @param  int  $to  code point after the last
     */
    public function __construct(public string $text, public int $from, public int $to, public Words $words) {}

    public function isQuestion(): bool
    {
        return str_ends_with(rtrim($this->text, '"\' )'), '?');
    }
}

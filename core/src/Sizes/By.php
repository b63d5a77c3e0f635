<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

/** What a recipe is scaled by: exactly one of these is given. */
final readonly class By
{
    public const WAYS = ['factor', 'pieces', 'days', 'tin', 'atHand'];

    /**
     * @param  'factor'|'pieces'|'days'|'tin'|'atHand'  $way
     * @param  float  $measure  times, pieces, days, millilitres of the tin, or grams at hand
     * @param  int  $line  the line that is at hand
     */
    public function __construct(public string $way, public float $measure, public int $line = 0) {}
}

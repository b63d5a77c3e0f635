<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

/** One stage of the heat: what it does, how long, when to look first. */
final readonly class HeatStage
{
    /** @param  ?int  $celsius  what the dial is set to; null without an oven */
    public function __construct(
        public string $does,
        public int $minutesLow,
        public int $minutesHigh,
        public int $firstLookMinutes,
        public ?int $celsius,
        public string $sign,
        public ?string $turn,
        public ?int $fahrenheit,
        public ?string $gasMark,
    ) {}
}

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

    /** Whether it goes on in the turned-off oven. */
    public function isLeft(): bool
    {
        return $this->does === 'leave in the turned-off oven';
    }

    /** The same time and heat for one who dries where we would bake: no colour tells when it is done. */
    public function dried(): self
    {
        return new self('dry', $this->minutesLow, $this->minutesHigh, $this->firstLookMinutes, $this->celsius, '', $this->turn, $this->fahrenheit, $this->gasMark);
    }
}

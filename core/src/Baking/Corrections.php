<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Kitchen\Learned;

/** What a kitchen learned of one class of treat: its log ÷ the plan. 1 where it learned nothing. */
final readonly class Corrections
{
    /**
     * @param  float  $minutes  in the heat
     * @param  float  $mass  after the heat
     * @param  float  $count  of pieces cut by their size
     */
    public function __construct(public float $minutes = 1.0, public float $mass = 1.0, public float $count = 1.0) {}

    public static function learned(Learned $learned, Texture $texture): self
    {
        return $learned->of($texture->id) === [] ? new self
            : new self($learned->factor(Learned::MINUTES, $texture->id), $learned->factor(Learned::MASS, $texture->id), $learned->factor(Learned::COUNT, $texture->id));
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Data\Compiled;

/** What a dough should feel like for what is made of it: a row of wanted-feels.csv. */
final readonly class Wanted
{
    private function __construct(public Feel $driest, public Feel $aim, public Feel $wettest, public string $why) {}

    public static function for(Cut $cut, Texture $texture, ?Process $process): self
    {
        foreach (Compiled::doughs()['wanted'] as $row) {
            $isShape = $row['shapes'] === [] || in_array($cut->shape(), $row['shapes'], true);
            $isTexture = $row['textures'] === [] || in_array($texture->id, $row['textures'], true);
            if ($isShape && $isTexture && ($row['process'] === '' || $row['process'] === $process?->id())) {
                return new self(Feel::named($row['driest']), Feel::named($row['aim']), Feel::named($row['wettest']), $row['why']);
            }
        }
        throw new \LogicException('The last row of wanted-feels.csv is for every cut.');
    }

    /** Whether a dough so wet is as it should be. */
    public function fits(float $wetness): bool
    {
        return $wetness >= $this->driest->from() && $wetness < $this->wettest->below;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/** How much the days say against a food. */
enum Strength: string
{
    case None = 'none';
    case Weak = 'weak';
    case Some = 'some';
    case Strong = 'strong';

    private const STRONG_BELOW = 0.01;

    private const SOME_BELOW = 0.05;

    private const WEAK_BELOW = 0.2;

    /** Bad days with the food under which no figure makes it strong, or makes something of it. */
    private const BAD_FOR_STRONG = 4;

    private const BAD_FOR_SOME = 3;

    /**
     * @param  float  $adjusted  how likely it is by chance, all foods that were looked at counted
     * @param  int  $bad  bad days with the food
     */
    public static function of(float $adjusted, int $bad): self
    {
        return match (true) {
            $adjusted < self::STRONG_BELOW && $bad >= self::BAD_FOR_STRONG => self::Strong,
            $adjusted < self::SOME_BELOW && $bad >= self::BAD_FOR_SOME => self::Some,
            $adjusted < self::WEAK_BELOW => self::Weak,
            default => self::None,
        };
    }

    /**
     * What it is worth, as a person would say it. That nothing stands out says nothing for a food.
     *
     * @param  Tally  $tally  of its days
     */
    public function says(Tally $tally): string
    {
        return match ($this) {
            self::Strong => 'That is hard to put down to chance.',
            self::Some => 'That is more than chance often does.',
            self::Weak => 'That may well be chance.',
            self::None => $tally->isOftener() ? 'These days cannot tell that from chance.' : 'That is no oftener with it than without.',
        };
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Data\Compiled;

/** What a power cut of so many hours did to a bag. By power-cuts.csv; what the hand feels of a bag wins over the clock. */
final readonly class PowerCut
{
    public const FEELS = ['hard', 'icy', 'soft'];

    /** as before */
    public const KEPT = 'kept';

    /** somebody has to feel it first */
    public const LOOK = 'look';

    /** it counts as taken out of the freezer */
    public const THAWED = 'thawed';

    /** it stood warm, and its time is shorter */
    public const STOOD = 'stood';

    public const THROW = 'throw';

    private function __construct(public string $outcome, public string $says) {}

    /**
     * @param  bool  $isFull  whether the freezer is full to the lid
     * @param  ?string  $feels  hard, icy or soft; null where nobody looked
     */
    public static function of(Bag $bag, float $hours, bool $isFull, ?string $feels): self
    {
        return match (true) {
            $bag->place === Place::Jar => new self(self::KEPT, 'It stands in a jar: the cut does it no harm.'),
            $bag->isFrozen() => self::frozen($bag, $hours, $isFull, $feels),
            default => self::cold($bag, $hours),
        };
    }

    private static function frozen(Bag $bag, float $hours, bool $isFull, ?string $feels): self
    {
        $row = Compiled::days()['powerCuts'][Place::Freezer->value];
        $stays = $isFull ? $row['fullHours'] ?? $row['coldHours'] : $row['coldHours'];
        $days = $bag->thawedDays() === 1 ? 'a day' : "{$bag->thawedDays()} days";

        return match (true) {
            $feels === 'hard' => new self(self::KEPT, 'Frozen hard all through: it stays as it is.'),
            $feels === 'icy' => new self(self::THAWED, "Ice in it still, as cold as a fridge: into the fridge now, good for $days, never frozen again."),
            $feels === 'soft' && $bag->keeps->days(Place::Jar, null) > 0 => new self(self::THAWED, "Soft, and dry enough to bear it: it counts as thawed, good for $days, never frozen again."),
            $feels === 'soft' => new self(self::THROW, 'Soft, and it must be cold: throw it away, out of reach of the dogs.'),
            $hours <= $stays => new self(self::KEPT, 'A freezer that is kept shut stays cold for '.(int) $stays.' hours'.($isFull ? ' when it is full' : ' when it is half full').'.'),
            default => new self(self::LOOK, 'Longer than a freezer stays cold ('.(int) $stays.' hours): feel it. Hard, icy inside, or soft?'),
        };
    }

    private static function cold(Bag $bag, float $hours): self
    {
        $stays = Compiled::days()['powerCuts'][Place::Fridge->value]['coldHours'];
        if ($hours <= $stays) {
            return new self(self::KEPT, 'A fridge that is kept shut stays cold for '.(int) $stays.' hours.');
        }

        return $bag->keeps->days(Place::Jar, null) > 0
            ? new self(self::STOOD, 'It is dry enough to stand for a while: it counts as a day in a jar.')
            : new self(self::THROW, 'It must be cold, and the fridge was not: throw it away, out of reach of the dogs.');
    }
}

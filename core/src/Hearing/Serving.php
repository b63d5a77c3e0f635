<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Reading\Amount;

/** One food that goes into the bowl, as it was told: its words, its amounts so far, and what of it is not sure. */
final class Serving
{
    /** Measures of the hand, that a told spoon or weight takes the place of. */
    public const VAGUE = ['touch', 'handful', 'bunch', 'dollop', 'splash', 'drizzle', 'knob', 'shake', 'mug', 'glass', 'teacup', 'katori', 'drop', 'thumb', 'inch-piece', 'shot'];

    /** @var list<Amount> */
    public array $amounts = [];

    /** @var list<array{int, int}> places in the talk, first code point and the one after the last */
    public array $spans = [];

    /** @var list<string> what was said before it was corrected, and the words it was said with */
    public array $earlier = [];

    public bool $isSure = true;

    /** Whether it was only named by itself, as what is spoken of next. */
    public bool $isOnlyNamed = false;

    /** Part of the treat it was last told in: the cake, its frosting. */
    public int $part = 0;

    /**
     * @param  string  $food  the food's id as the words alone name it
     * @param  string  $words  the words for it, with its forms
     * @param  string  $plain  the words for it alone
     * @param  int  $at  number of the sentence it was last spoken of in
     */
    public function __construct(public readonly string $food, public string $words, public readonly string $plain, public int $at) {}

    public function isVague(): bool
    {
        foreach ($this->amounts as $amount) {
            if (! in_array($amount->unit, self::VAGUE, true)) {
                return false;
            }
        }

        return true;
    }

    /** One more of what is there. */
    public function add(Amount $amount): void
    {
        foreach ($this->amounts as $n => $one) {
            if ($one->unit === $amount->unit && $one->size === $amount->size && $one->contents === null && $amount->contents === null) {
                $this->amounts[$n] = new Amount($one->quantity->plus($amount->quantity), $one->unit, $one->size, 0, 0);

                return;
            }
        }
        $this->amounts[] = $amount;
    }

    /** Whether another amount says the same in the same unit. */
    public function says(Amount $amount): bool
    {
        foreach ($this->amounts as $one) {
            if ($one->unit === $amount->unit && abs($one->quantity->best - $amount->quantity->best) < 1e-9) {
                return true;
            }
        }

        return false;
    }

    /** Whether another amount comes to the same in another unit: a pound, about 450 g. */
    public function isAsMuchAs(Amount $amount): bool
    {
        $size = Unit::in('metric', $amount->unit);
        $own = count($this->amounts) === 1 ? Unit::in('metric', $this->amounts[0]->unit) : null;
        if ($size === null || $own === null || $size->isMass !== $own->isMass) {
            return false;
        }
        $ours = $own->size->best * $this->amounts[0]->quantity->best;

        return abs($size->size->best * $amount->quantity->best - $ours) <= 0.06 * $ours;
    }

    public function isCounted(): bool
    {
        foreach ($this->amounts as $one) {
            if (Unit::in('metric', $one->unit) !== null || $one->contents !== null) {
                return false;
            }
        }

        return $this->amounts !== [];
    }
}

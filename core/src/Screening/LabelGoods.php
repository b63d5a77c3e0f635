<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

/**
 * What kind of goods a printed list is of, as far as it decides what a bare "flavouring" may hide: onion and garlic in savoury goods,
 * vanilla in the others. A single savoury part makes it savoury, so that a longer list never says less than a shorter.
 */
final class LabelGoods
{
    private const SAVOURY = [
        'meat', 'organ', 'fish', 'shellfish', 'broth-bought', 'check-seasoned', 'check-warm-spice', 'spice-mix', 'vegetable', 'salt-product', 'added-salt', 'salted', 'cheese',
        'hot-spice', 'allium-plant', 'cured-meat', 'yeast',
    ];

    /** @param  list<LabelPart>  $parts */
    public static function areSavoury(array $parts): bool
    {
        foreach ($parts as $part) {
            foreach ($part->trace ? [] : $part->lines as $line) {
                foreach ($line->foods() as $food) {
                    if ($food->inAny(self::SAVOURY)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}

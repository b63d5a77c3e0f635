<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Feeding\Lots;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Saying;

/** Fresh fruit whose enzymes eat gelatin: what is made with both never sets. */
final class Setting
{
    /** Forms in which the enzymes are gone: heat breaks them. */
    private const HEATED = ['cooked', 'boiled', 'tinned'];

    /** @return list<Finding> */
    public static function findings(ReadLine $line, Part $part, Lots $lots): array
    {
        if ($line->food?->inGroup('melts-gelatin') !== true || array_filter(self::HEATED, $line->hasForm(...)) !== [] || ! self::hasGelatin($part)) {
            return [];
        }
        foreach ($lots->all as $lot) {
            if (! $part->processAt($lot->texture)->killsRaw()) {
                return [Saying::of('gelatin-melts')->finding(fill: ['{food}' => $line->food->name])];
            }
        }

        return [];
    }

    private static function hasGelatin(Part $part): bool
    {
        foreach ($part->dough->weighed as $one) {
            if ($one->ingredient->inGroup('gelling')) {
                return true;
            }
        }

        return false;
    }
}

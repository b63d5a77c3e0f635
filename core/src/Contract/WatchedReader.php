<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Dogs\BroughtIn;
use MildBowl\Core\Dogs\Taste;
use MildBowl\Core\Dogs\Watched;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Questions\RequestRefused;

/**
 * Reads what trials and meals told of a dog: `dogs[].watched`. A food that the catalogue does not know any more (one of the kitchen's own
 * that was taken away) is passed over: no recipe can hold it.
 */
final class WatchedReader
{
    private const MOST = 200;

    /** Times that a food was offered: more is no count any more. */
    private const MOST_TIMES = 100000;

    private const LAST_DAY = 3660;

    /** @throws RequestRefused */
    public static function read(?Node $node, Catalogue $catalogue): Watched
    {
        if ($node === null) {
            return new Watched;
        }
        $node->object(['broughtIn', 'leftOut', 'wentBadly', 'tastes', 'bears']);
        $broughtIn = $leftOut = $wentBadly = $tastes = [];
        foreach ($node->get('broughtIn')?->list(self::MOST) ?? [] as $one) {
            $one->object(['food', 'day']);
            $food = self::food($one, $catalogue);
            $day = $one->required('day', 'The day of the trial')->integer(1, self::LAST_DAY);
            $broughtIn[] = [$food, new BroughtIn($food === null ? '' : $catalogue->called($food), $day)];
        }
        foreach ($node->get('leftOut')?->list(self::MOST) ?? [] as $one) {
            $one->object(['food', 'until']);
            $leftOut[] = [self::food($one, $catalogue), $one->required('until', 'The last day without it')->day()];
        }
        foreach ($node->get('wentBadly')?->list(self::MOST) ?? [] as $one) {
            $one->object(['food', 'saw']);
            $wentBadly[] = [self::food($one, $catalogue), $one->required('saw', 'What was seen')->filled(200)];
        }
        foreach ($node->get('tastes')?->list(2000) ?? [] as $one) {
            $one->object(['food', 'took', 'of']);
            $of = $one->required('of', 'How often it was offered')->integer(1, self::MOST_TIMES);
            $tastes[] = [self::food($one, $catalogue), new Taste($one->required('took', 'How often it was taken')->number(0, $of), $of)];
        }

        $bears = array_map(static fn (Node $one): ?string => $catalogue->resolveGroupOrId($one->filled(80)), $node->get('bears')?->list(self::MOST) ?? []);

        return new Watched(self::earliest($broughtIn), self::byFood($leftOut), self::byFood($wentBadly), self::byFood($tastes), array_values(array_filter($bears, is_string(...))));
    }

    /** @throws RequestRefused */
    private static function food(Node $node, Catalogue $catalogue): ?string
    {
        return $catalogue->resolveGroupOrId($node->required('food', 'The food')->filled(80));
    }

    /**
     * @template T
     *
     * @param  list<array{?string, T}>  $told
     * @return array<string, T>
     */
    private static function byFood(array $told): array
    {
        $by = [];
        foreach ($told as [$food, $one]) {
            if ($food !== null) {
                $by[$food] = $one;
            }
        }

        return $by;
    }

    /**
     * @param  list<array{?string, BroughtIn}>  $told
     * @return array<string, BroughtIn> the first day that is said of a food holds: the careful one
     */
    private static function earliest(array $told): array
    {
        usort($told, static fn (array $one, array $two): int => $two[1]->day <=> $one[1]->day);

        return self::byFood($told);
    }
}

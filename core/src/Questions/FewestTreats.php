<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** The smallest split: the fewest treats that serve every dog that any of them serves. */
final class FewestTreats
{
    /**
     * The first such set in the order in which the treats stand.
     *
     * @param  array<string, list<string>>  $serves  keys of dogs by treat
     * @return list<string> treats
     */
    public static function of(array $serves): array
    {
        $all = array_unique(array_merge([], ...array_values($serves)));
        $serves = self::worthTrying($serves);
        for ($many = 0; $many <= count($serves); $many++) {
            $set = self::covering($serves, array_values($all), $many);
            if ($set !== null) {
                return $set;
            }
        }

        return array_keys($serves);
    }

    /**
     * A treat that serves nobody whom an earlier or a more generous one does not serve is in no smallest set that is needed.
     *
     * @param  array<string, list<string>>  $serves
     * @return array<string, list<string>>
     */
    private static function worthTrying(array $serves): array
    {
        $kept = [];
        foreach ($serves as $id => $dogs) {
            $isNeedless = $dogs === [];
            foreach ($serves as $other => $others) {
                $isNeedless = $isNeedless || ($other !== $id && array_diff($dogs, $others) === [] && (count($others) > count($dogs) || isset($kept[$other])));
            }
            if (! $isNeedless) {
                $kept[$id] = $dogs;
            }
        }

        return $kept;
    }

    /**
     * Some treat must serve the first dog that is left: only those are tried.
     *
     * @param  array<string, list<string>>  $serves
     * @param  list<string>  $left  dogs
     * @return list<string>|null in the order of the treats
     */
    private static function covering(array $serves, array $left, int $many): ?array
    {
        if ($left === []) {
            return [];
        }
        if ($many === 0) {
            return null;
        }
        foreach ($serves as $id => $dogs) {
            if (! in_array($left[0], $dogs, true)) {
                continue;
            }
            $rest = self::covering($serves, array_values(array_diff($left, $dogs)), $many - 1);
            if ($rest !== null) {
                return array_values(array_intersect(array_keys($serves), [$id, ...$rest]));
            }
        }

        return null;
    }
}

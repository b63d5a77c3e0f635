<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Groups;
use MildBowl\Core\Values\Day;

/** On which days a dog stood under which food: those on which it ate it, and the window after each. Foods with the same days are one. */
final readonly class Exposures
{
    /** A day in a row of days, as string operations have it. */
    private const NO = "\0";

    private const YES = "\1";

    /**
     * @param  array<string, array<int, true>>  $eaten  days by number, by food and by group
     * @param  array<string, list<string>>  $groupsOf  by what was written down
     */
    private function __construct(private array $eaten, private array $groupsOf, private Catalogue $catalogue) {}

    /** @param  list<Eaten>  $ate */
    public static function of(array $ate, Catalogue $catalogue): self
    {
        $eaten = $groupsOf = [];
        foreach ($ate as $one) {
            $day = $one->on->number();
            foreach ($one->foods as $food) {
                $groupsOf[$food] ??= self::groups($food, $catalogue);
                foreach ([$food, ...$groupsOf[$food]] as $id) {
                    $eaten[$id][$day] = true;
                }
            }
        }

        return new self($eaten, $groupsOf, $catalogue);
    }

    /**
     * The days from the first to the last, as a row.
     *
     * @param  array<int, true>  $on  days by number
     */
    public static function row(array $on, Day $from, Day $to, int $window = 0): string
    {
        $first = $from->number();
        $length = $to->number() - $first + 1;
        $row = str_repeat(self::NO, $length);
        foreach (array_keys($on) as $day) {
            for ($n = max(0, $day - $first); $n <= min($length - 1, $day + $window - $first); $n++) {
                $row[$n] = self::YES;
            }
        }

        return $row;
    }

    public static function count(string $row): int
    {
        return substr_count($row, self::YES);
    }

    public static function both(string $one, string $other): int
    {
        return self::count($one & $other);
    }

    /** @return list<Exposure> one for each set of days */
    public function within(Day $from, Day $to, int $window): array
    {
        $alike = [];
        foreach ($this->eaten as $id => $on) {
            $alike[self::row($on, $from, $to, $window)][] = (string) $id;
        }
        $exposures = [];
        foreach ($alike as $row => $ids) {
            sort($ids, SORT_STRING);
            $named = $this->named($ids);
            $exposures[] = new Exposure($named, array_values(array_diff($ids, [$named])), (string) $row);
        }

        return $exposures;
    }

    /** Whether one food is the other, or one of its kind. */
    public function isOf(string $food, string $groupOrFood): bool
    {
        return $food === $groupOrFood || in_array($groupOrFood, $this->groupsOf[$food] ?? Groups::closure($food), true);
    }

    /** Whether it was written down so, and does not only follow from what was. */
    public function isWritten(string $id): bool
    {
        return isset($this->groupsOf[$id]);
    }

    /** Whether it is one food and not a group of them; what nobody knows is taken for one. */
    public function isFood(string $id): bool
    {
        return $this->catalogue->has($id) || Groups::named($id) === null;
    }

    public function name(string $id): string
    {
        return $this->catalogue->called($id);
    }

    /**
     * What foods of the same days are called by: a food, else the narrowest group.
     *
     * @param  non-empty-list<string>  $ids  in order
     */
    private function named(array $ids): string
    {
        foreach ($ids as $id) {
            if ($this->isFood($id)) {
                return $id;
            }
        }
        usort($ids, static fn (string $one, string $two): int => count(Groups::closure($two)) <=> count(Groups::closure($one)) ?: strcmp($one, $two));

        return $ids[0];
    }

    /** @return list<string> the groups a food counts for, besides itself */
    private static function groups(string $food, Catalogue $catalogue): array
    {
        $groups = $catalogue->has($food) ? array_keys($catalogue->get($food)->groups) : [];
        $named = array_intersect(array_unique([...$groups, ...Groups::closure($food)]), array_map(strval(...), array_keys(Groups::labels())));

        return array_values(array_diff($named, [$food]));
    }
}

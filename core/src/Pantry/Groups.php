<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data\Compiled;

/** The groups of groups.csv that a person may name: allergens, kinds of food, and what they are called. */
final class Groups
{
    /** The id a group is called by: its own, or one of its other names; null when no group is called so. */
    public static function named(string $slug): ?string
    {
        $groups = Compiled::tables()['groups'];

        return isset($groups['labels'][$slug]) ? $slug : ($groups['aliases'][$slug] ?? null);
    }

    /** @return array<string, string> label by id, in the order of the file */
    public static function labels(): array
    {
        return Compiled::tables()['groups']['labels'];
    }

    public static function label(string $id): string
    {
        return Compiled::tables()['groups']['labels'][$id] ?? str_replace('-', ' ', $id);
    }

    /** @return list<string> the group with all that it is part of */
    public static function closure(string $id): array
    {
        return Compiled::tables()['groups']['closure'][$id] ?? [$id];
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Pantry\Groups;

/** Whether a dog is a sensitive one: with two foods new to it at once, nobody would know which it did not bear. */
final class Sensitive
{
    private function __construct() {}

    /** Why, to go on with "Tuppence": "is allergic to chicken". Null where it is not, as far as anybody told. */
    public static function why(Dog $dog): ?string
    {
        if ($dog->allergies !== []) {
            return 'is allergic to '.Groups::label($dog->allergies[0]);
        }
        foreach (Condition::all() as $id => $condition) {
            if ($condition->oneAtATime && $dog->has((string) $id)) {
                return "has this on its list: {$condition->label}";
            }
        }

        return $dog->watched->wentBadly === [] ? null : 'did not bear a food that was tried';
    }
}

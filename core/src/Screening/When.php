<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Ingredient;

/**
 * The condition of a row: `heat:no;condition:kidney|heart`. Every clause must hold. It can hold and say itself; a kind of clause is
 * one row of each match below and one of the compiler's vocabulary.
 */
final readonly class When
{
    private const HEAT = ['yes' => 'when it is baked', 'no' => 'when nothing is heated'];

    /** Under 12 weeks, in months. */
    private const VERY_YOUNG = 2.76;

    /** From pea to fingertip (reference page 3): larger no very young dog swallows safely. */
    private const FINGERTIP_MM = 20.0;

    /** @param  array<string, list<string>>  $clauses  values by kind */
    public function __construct(public array $clauses) {}

    /** @return list<Dog>|null the dogs it holds for; null for every dog; an empty list for none */
    public function dogs(?Ingredient $food, Circumstances $circumstances): ?array
    {
        $dogs = null;
        foreach ($this->clauses as $kind => $values) {
            $holds = self::clause($kind, $values, $food, null, $circumstances);
            if ($holds === false) {
                return [];
            }
            if ($holds === null) {
                $left = [];
                foreach ($dogs ?? $circumstances->dogs as $dog) {
                    if (self::clause($kind, $values, $food, $dog, $circumstances) === true) {
                        $left[] = $dog;
                    }
                }
                $dogs = $left;
            }
        }

        return $dogs;
    }

    /**
     * Whether one clause holds; null where a dog decides it and none is given.
     *
     * @param  list<string>  $values
     */
    public static function clause(string $kind, array $values, ?Ingredient $food, ?Dog $dog, Circumstances $circumstances): ?bool
    {
        return match ($kind) {
            'heat' => ($values === ['yes']) === $circumstances->heated,
            'garlic' => in_array($circumstances->policy->garlic, $values, true),
            'raw' => $food?->inGroup('raw-'.$values[0]) === true,
            'not' => $food === null || ! $food->inAny($values),
            'texture' => in_array($circumstances->texture->id, $values, true),
            'hard' => $circumstances->texture->isHard(),
            'not-hard' => ! $circumstances->texture->isHard(),
            'stage' => $dog === null ? null : in_array($dog->lifeStage()->value, $values, true),
            'growing-large' => $dog?->isGrowingLarge(),
            'very-young' => $dog === null ? null : self::isVeryYoung($dog),
            'over-fingertip' => ($circumstances->served?->cut->largestMm() ?? 0.0) > self::FINGERTIP_MM,
            'condition' => $dog === null ? null : array_intersect($values, $dog->conditions) !== [],
            'medicine' => $dog === null ? null : array_intersect($values, $dog->medicines) !== [],
            'teeth' => $dog === null ? null : in_array($dog->teeth, $values, true),
            'eating' => $dog === null ? null : in_array($dog->eating, $values, true),
            'garlic-refused' => $dog === null ? null : $dog->garlicRefusal() !== null,
            'body-condition' => $dog === null ? null : in_array((string) $dog->bodyCondition, $values, true),
            'breed-note' => $dog === null ? null : $circumstances->served?->ofBreedNote($dog) !== null,
            'over-bite' => $dog === null ? null : $circumstances->served?->isOverBite($dog) === true,
            'several-new' => $dog === null ? null : count($circumstances->served?->newTo($dog) ?? []) > 1,
            'beside-trial' => $dog === null ? null : ($circumstances->served?->newBesideTrial($dog) ?? []) !== [],
            'legume-heavy' => $dog === null ? null : $circumstances->served?->legumes() !== null,
            default => throw new \LogicException("Nobody knows the condition \"$kind\"."),
        };
    }

    /** A puppy under twelve weeks, or of unknown age. */
    public static function isVeryYoung(Dog $dog): bool
    {
        return $dog->isGrowing() && ($dog->ageMonths === null || $dog->ageMonths < self::VERY_YOUNG);
    }

    /** In words, each clause after a semicolon. */
    public function says(): string
    {
        $says = '';
        foreach ($this->clauses as $kind => $values) {
            $says .= '; '.match ($kind) {
                'heat' => self::HEAT[$values[0] ?? 'yes'] ?? '',
                'garlic' => 'policy: garlic '.implode(' or ', $values),
                'raw' => "raw {$values[0]}",
                'not' => 'not for '.implode(', ', $values),
                'growing-large' => 'a growing dog of a large breed',
                'garlic-refused' => 'a dog that may have no garlic',
                'hard' => 'a texture that is hard to chew',
                'not-hard' => 'a texture that is not hard',
                'very-young' => 'a puppy under 12 weeks, or of unknown age',
                'over-fingertip' => 'a piece larger than a fingertip',
                'over-bite' => 'a piece larger than its safe bite',
                'several-new' => 'more than one food that is new to it',
                'beside-trial' => 'a food that is new to a sensitive dog which is brought to another just now',
                'legume-heavy' => 'a dough without grain, a fifth or more of it legumes',
                'breed-note' => 'a food that its breed has a note about',
                default => str_replace('-', ' ', $kind).': '.implode(' or ', $values),
            };
        }

        return $says;
    }
}

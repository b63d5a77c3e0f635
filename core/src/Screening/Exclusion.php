<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\Said;
use MildBowl\Core\Values\Level;

/**
 * A row of exclusions.csv (foods that a condition keeps out) or of cross.csv (foods that are near what a dog reacts to).
 *
 * @phpstan-import-type ExclusionRow from Compiled
 * @phpstan-import-type CrossRow from Compiled
 */
final readonly class Exclusion
{
    /**
     * @param  string  $of  the condition or the allergy
     * @param  list<string>  $groups
     * @param  list<string>  $unless  words of a line that settle it
     */
    private function __construct(public string $of, public string $code, public Level $level, public array $groups, public array $unless, public string $message, public string $advice, public string $source) {}

    /**
     * What the first row of a condition that keeps a food out says of it; null where none does.
     */
    public static function byCondition(string $condition, Ingredient $food, Dog $dog, Said $said): ?Finding
    {
        foreach (Compiled::tables()['exclusions'][$condition] ?? [] as $row) {
            if ($food->inAny($row['groups']) && ! ($row['unless'] !== [] && $said->settles($row['unless']))) {
                return self::excluded($condition, $row)->finding($food, $dog);
            }
        }

        return null;
    }

    /**
     * What the first row of an allergy that a food is near to says of it; null where none does.
     */
    public static function byAllergy(string $allergy, Ingredient $food, Dog $dog, Said $said): ?Finding
    {
        foreach (Compiled::tables()['cross'][$allergy] ?? [] as $row) {
            if ($food->inGroup($row['group']) && ! ($row['unless'] !== [] && $said->settles($row['unless']))) {
                return self::near($allergy, $row)->finding($food, $dog);
            }
        }

        return null;
    }

    /** @param  ExclusionRow  $row */
    private static function excluded(string $condition, array $row): self
    {
        return new self($condition, "excluded-$condition", Level::Allergen, $row['groups'], $row['unless'], $row['message'], $row['advice'], $row['source']);
    }

    /** @param  CrossRow  $row */
    private static function near(string $allergy, array $row): self
    {
        return new self($allergy, "cross-$allergy", Level::from($row['level']), [$row['group']], $row['unless'], $row['message'], $row['advice'], 'MUELLER');
    }

    /** @return array<string, list<self>> by condition */
    public static function all(): array
    {
        $all = [];
        foreach (Compiled::tables()['exclusions'] as $condition => $rows) {
            $all[$condition] = array_map(static fn (array $row): self => self::excluded($condition, $row), $rows);
        }

        return $all;
    }

    /** @return array<string, list<self>> by allergy */
    public static function allCross(): array
    {
        $all = [];
        foreach (Compiled::tables()['cross'] as $allergy => $rows) {
            $all[$allergy] = array_map(static fn (array $row): self => self::near($allergy, $row), $rows);
        }

        return $all;
    }

    private function finding(Ingredient $food, Dog $dog): Finding
    {
        return new Finding($dog, $this->level, $this->code, strtr($this->message, ['{food}' => $food->capitalised(), '{dog}' => $dog->name]), $this->advice, null, false, Sources::name($this->source));
    }
}

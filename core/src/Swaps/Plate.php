<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\ReadLine;

/** What a line is on the plate, that whatever stands in for it must be too: rows of states.csv, amounts of most.csv. */
final readonly class Plate
{
    /** Share of its part from which a slice is the thing itself. */
    private const IS_IT = 0.30;

    public function __construct(private Bowl $bowl, private Texture $texture, private Cut $cut) {}

    /** The state a line must stay in; null where nothing is asked. */
    public function stateOf(ReadLine $line, Weighed $portion): ?string
    {
        $part = $this->bowl->parts->under($line->section);
        foreach (array_keys(Compiled::doughs()['states']) as $state) {
            if (self::allows($state, $portion->ingredient) && $this->is($state, $line, $portion, $part)) {
                return $state;
            }
        }

        return null;
    }

    /** Whether a food can be in a state. */
    public static function allows(string $state, Ingredient $food): bool
    {
        if ($state === 'slice' && $food->inAny(['ground-meat', 'flour', 'food-powder'])) {
            return false;
        }
        foreach (Compiled::doughs()['states'][$state] ?? [] as $one) {
            if ($food->id === $one || ($food->like === $one && ! $food->inGroup('dried-fruit')) || $food->inGroup($one)) {
                return true;
            }
        }

        return false;
    }

    /** The most of a food that a bowl takes, in g; null where there is no bound. */
    public function most(Ingredient $food): ?float
    {
        $least = null;
        foreach (Compiled::doughs()['most'] as $of => $percent) {
            if ($food->id === $of || $food->inGroup($of)) {
                $least = min($least ?? $percent, $percent);
            }
        }

        return $least === null ? null : $least / 100 * $this->bowl->dough->grams->best;
    }

    public function isInBody(ReadLine $line): bool
    {
        return $this->bowl->parts->under($line->section)->isBody();
    }

    private function is(string $state, ReadLine $line, Weighed $portion, Part $part): bool
    {
        $process = $part->processAt($this->texture);

        return match ($state) {
            'creamy' => ! $process->killsRaw() && ! in_array($part->role, [Role::Frosting, Role::Coating, Role::Topping], true) && ! self::hasFlour($part),
            'spreadable' => in_array($part->role, [Role::Frosting, Role::Coating, Role::Topping], true) || ($part->role === Role::Filling && ! $process->killsRaw() && ! $part->isHeatedAt($this->texture, $this->bowl->parts->body)),
            'slice' => $portion->grams->best >= self::IS_IT * $part->dough->grams->best
                && ($process->id() === 'dried' || $this->texture->id === 'jerky' || in_array('sliced', $line->forms, true) || $this->cut->shape() === 'strip')
                && array_intersect($line->forms, ['ground', 'mashed', 'pureed', 'grated']) === [],
            'dry' => true,
            default => false,
        };
    }

    private static function hasFlour(Part $part): bool
    {
        return $part->dough->wetness !== null;
    }
}

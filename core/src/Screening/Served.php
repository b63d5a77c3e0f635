<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Sensitive;
use MildBowl\Core\Pantry\Ingredient;

/** What one dog is served: the cut, the dough it is of, the foods in it. */
final readonly class Served
{
    private const LEGUME_HEAVY = 0.20;

    /** @param  list<Ingredient>  $foods */
    public function __construct(public Cut $cut, public Dough $dough, public array $foods) {}

    /** Whether a piece is larger than the dog may swallow whole; unknown sizes and weights make no finding. */
    public function isOverBite(Dog $dog): bool
    {
        $bite = $dog->safeBiteMm();
        $size = $this->cut->largestMm();

        return $bite !== null && $size !== null && $size > $bite;
    }

    /** About how many parts a piece that is too large is broken into. */
    public function parts(Dog $dog): int
    {
        $parts = (int) ceil(($this->cut->largestMm() ?? 0.0) / ($dog->safeBiteMm() ?? 1.0));

        return $this->cut->isFlat() ? $parts ** 2 : $parts;
    }

    /** @return list<string> names of the foods that are new to a dog */
    public function newTo(Dog $dog): array
    {
        $new = [];
        foreach ($dog->hasNew() ? $this->foods : [] as $food) {
            if ($dog->isNewTo($food)) {
                $new[$food->name] = true;
            }
        }

        return array_map(strval(...), array_keys($new));
    }

    /** @return list<string> names of the foods that are new to a sensitive dog besides the one it is brought to just now */
    public function newBesideTrial(Dog $dog): array
    {
        if ($dog->watched->broughtIn === [] || Sensitive::why($dog) === null) {
            return [];
        }
        $beside = [];
        foreach ($this->foods as $food) {
            if ($dog->isNewTo($food) && $dog->watched->trialDay($food) === null) {
                $beside[$food->name] = true;
            }
        }

        return array_map(strval(...), array_keys($beside));
    }

    /** Share of legumes where there is no grain and they are many; null where not. */
    public function legumes(): ?float
    {
        $legumes = 0.0;
        foreach ($this->dough->weighed as $one) {
            if ($one->ingredient->inGroup('grain')) {
                return null;
            }
            $legumes += $one->ingredient->inGroup('legume') ? $one->grams->best : 0.0;
        }
        $share = $this->dough->grams->best > 0.0 ? $legumes / $this->dough->grams->best : 0.0;

        return $share < self::LEGUME_HEAVY ? null : $share;
    }

    /** A food in it that the dog's breed has a note about. */
    public function ofBreedNote(Dog $dog): ?Ingredient
    {
        $breed = $dog->breed();
        if ($breed === null || $breed->note === '') {
            return null;
        }
        foreach ($this->foods as $food) {
            if ($food->inAny($breed->groups)) {
                return $food;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\ReadRecipe;
use MildBowl\Core\Values\Assumption;
use MildBowl\Core\Values\Range;

/** A recipe weighed: the grams of each line, the dough they make, and what had to be taken for granted. */
final readonly class Bowl
{
    /**
     * @param  list<?Range>  $grams  by line; null where nothing could be weighed
     * @param  list<Assumption>  $assumptions
     */
    private function __construct(public ReadRecipe $recipe, public array $grams, public Dough $dough, public array $assumptions) {}

    public static function of(ReadRecipe $recipe, Kitchen $kitchen): self
    {
        $weigher = $kitchen->weigher();
        $grams = $weighed = $assumptions = [];
        foreach ($recipe->lines as $index => $line) {
            $one = $weigher->weigh($line);
            $grams[] = $one;
            if ($line->food === null || $one === null) {
                $assumptions[] = new Assumption('line-left-out', ($line->food === null ? 'Not recognised' : 'Without an amount')." and left out of every total: \"{$line->text}\".");

                continue;
            }
            if ($weigher->isDefault($line)) {
                $assumptions[] = new Assumption('amount-assumed', 'Assumed '.round($one->low).'–'.round($one->high)." g for \"{$line->text}\".");
            }
            if ($line->food->composition === null) {
                $assumptions[] = new Assumption('composition-unknown', "What {$line->food->name} holds is not known: it is in the weight, but in no other total.");
            }
            $weighed[] = new Weighed($index, $line->food, $one, $kitchen->policy->calorieConvention);
        }

        return new self($recipe, $grams, new Dough($weighed), $assumptions);
    }

    /** @return list<Ingredient> every food the lines name, each once */
    public function foods(): array
    {
        $foods = [];
        foreach ($this->recipe->lines as $line) {
            foreach ($line->foods() as $food) {
                $foods[$food->id] = $food;
            }
        }

        return array_values($foods);
    }
}

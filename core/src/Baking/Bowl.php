<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Baking\Parts\AskedPart;
use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Baking\Parts\Parts;
use MildBowl\Core\Baking\Parts\PartsRefused;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\ReadRecipe;
use MildBowl\Core\Values\Assumption;
use MildBowl\Core\Values\Range;

/** A recipe weighed: the grams of each line, the dough they make, and what had to be taken for granted. */
final readonly class Bowl
{
    /**
     * @param  list<?Range>  $grams  by line; null where nothing could be weighed
     * @param  Dough  $dough  everything that was weighed, in whatever part
     * @param  list<Assumption>  $assumptions
     */
    private function __construct(public ReadRecipe $recipe, public array $grams, public Dough $dough, public Parts $parts, public array $assumptions, private Learned $learned = new Learned) {}

    /**
     * @param  list<AskedPart>  $asked
     *
     * @throws PartsRefused when what was said of a part cannot be
     */
    public static function of(ReadRecipe $recipe, Kitchen $kitchen, array $asked = [], ?Texture $texture = null): self
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
                $assumptions[] = new Assumption('composition-unknown', "What {$line->food->name} holds is not known: its energy is taken between nothing and pure fat, and rations are held by the most.");
            }
            $weighed[] = new Weighed($index, $line->food, $one, $kitchen->policy->calorieConvention, forms: $line->forms);
        }

        $dough = new Dough($weighed, $texture === null ? 1.0 : $kitchen->learned->factor(Learned::WETNESS, $texture->id));
        $parts = Parts::of($recipe, $weighed, $dough, $asked);

        return new self($recipe, $grams, $dough, $parts, [...$assumptions, ...$parts->assumptions], $kitchen->learned);
    }

    /** Everything that a dog gets of it. */
    public function doughFor(Dog $dog): Dough
    {
        $without = static fn (Part $part): bool => $part->isLeftOutFor($dog);
        if ($dog->without === [] || array_filter($this->parts->all, $without) === []) {
            return $this->dough;
        }

        return new Dough(array_values(array_filter($this->dough->weighed, fn (Weighed $one): bool => ! $without($this->parts->under($this->recipe->lines[$one->line]->section)))));
    }

    /** The whole recipe cut one way. */
    public function batch(Cut $cut, Texture $texture, Measured $measured = new Measured): Batch
    {
        return Batch::of($this->parts, 1.0, $cut, $texture, $measured, $this->learned);
    }

    /** @return list<Ingredient> every food the lines name, each once; for a dog, those of the parts it gets */
    public function foods(?Dog $for = null): array
    {
        $foods = [];
        foreach ($this->recipe->lines as $line) {
            if ($for !== null && $for->without !== [] && $this->parts->under($line->section)->isLeftOutFor($for)) {
                continue;
            }
            foreach ($line->foods() as $food) {
                $foods[$food->id] = $food;
            }
        }

        return array_values($foods);
    }
}

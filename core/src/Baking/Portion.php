<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\Weigher;
use MildBowl\Core\Range;

/** One weighed food of a batch, with what it brings. */
final readonly class Portion
{
    private const SPREAD_OF_ESTIMATES = 0.10;

    /**
     * What the best amount of this food brings of each substance that is shown or dosed: g, mg or µg as the name says.
     * A substance whose content is unknown is left out.
     *
     * @var array<string, float>
     */
    public array $substances;

    public function __construct(
        public int $line,
        public Ingredient $ingredient,
        public Range $grams,
        private string $calorieConvention,
    ) {
        $this->substances = $this->measured();
    }

    /** A line as it is weighed; null where it has no food or no amount. */
    public static function read(ReadLine $line, int $index, Weigher $weigher, string $calorieConvention): ?self
    {
        $grams = $line->ingredient === null ? null : $weigher->weigh($line);

        return $line->ingredient === null || $grams === null ? null : new self($index, Catalogue::get($line->ingredient), $grams, $calorieConvention);
    }

    /** So much of it. */
    public function times(float $share): self
    {
        return new self($this->line, $this->ingredient, $this->grams->times($share), $this->calorieConvention);
    }

    /** kcal per 100 g in the chosen convention; null when the composition is unknown. */
    public function kcalPer100g(): ?float
    {
        $composition = $this->ingredient->composition;
        if ($composition === null) {
            return null;
        }

        return $this->calorieConvention === 'modified' ? $composition->kcalModified() : $composition->kcal;
    }

    public function kcal(): ?Range
    {
        $per100g = $this->kcalPer100g();
        if ($per100g === null) {
            return null;
        }
        $kcal = $this->grams->times($per100g / 100);
        if ($this->ingredient->confidence !== 'C') {
            return $kcal;
        }

        return Range::of($kcal->low * (1 - self::SPREAD_OF_ESTIMATES), $kcal->best, $kcal->high * (1 + self::SPREAD_OF_ESTIMATES));
    }

    /** @return array<string, float> */
    private function measured(): array
    {
        $share = $this->grams->best / 100;
        $found = [];
        $c = $this->ingredient->composition;
        if ($c !== null) {
            $found = [
                'waterG' => $c->waterG, 'proteinG' => $c->proteinG, 'fatG' => $c->fatG, 'carbohydrateG' => $c->carbohydrateG,
                'fibreG' => $c->fibreG, 'sugarsG' => $c->sugarsG, 'ashG' => $c->ashG, 'sodiumMg' => $c->sodiumMg, 'calciumMg' => $c->calciumMg,
                'phosphorusMg' => $c->phosphorusMg, 'potassiumMg' => $c->potassiumMg, 'copperMg' => $c->copperMg,
                'vitaminAUg' => $c->vitaminAUg, 'vitaminDUg' => $c->vitaminDUg,
                // carotene of plants is no vitamin A until the body makes it so: it cannot overdose
                'retinolUg' => $this->isOfAnimal() ? $c->vitaminAUg : 0.0,
                'addedSugarG' => $this->ingredient->inGroup('added-sugar') || $this->ingredient->inGroup('added-sugar-part') ? $c->sugarsG : 0.0,
                'newFibreG' => $this->ingredient->inGroup('new-fibre') || $this->ingredient->inGroup('bran') ? $c->fibreG : 0.0,
            ];
        }
        foreach (Data::tables()['actives'][$this->ingredient->id] ?? [] as $substance => $content) {
            $found[$substance] = $content[1];
        }
        $amounts = [];
        foreach ($found as $substance => $per100g) {
            if ($per100g !== null) {
                $amounts[$substance] = $per100g * $share;
            }
        }

        return $amounts;
    }

    private function isOfAnimal(): bool
    {
        foreach (['meat', 'organ', 'fish', 'shellfish', 'egg', 'dairy', 'animal-fat', 'liver-organ'] as $group) {
            if ($this->ingredient->inGroup($group)) {
                return true;
            }
        }

        return false;
    }
}

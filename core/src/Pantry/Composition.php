<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

/**
 * What 100 g of a food hold. Water, protein, fat, carbohydrate (by difference, fibre included), fibre, sugars
 * and ash in g; energy in kcal; minerals in mg; vitamin A in µg retinol equivalents; vitamin D in µg.
 * null means unknown, never none.
 */
final readonly class Composition
{
    public const COLUMNS = [
        'water', 'kcal', 'protein', 'fat', 'carbohydrate', 'fibre', 'sugars', 'ash', 'sodium', 'calcium', 'phosphorus',
        'potassium', 'copper', 'vitaminA', 'vitaminD', 'magnesium', 'zinc', 'iron',
    ];

    public function __construct(
        public float $waterG,
        public float $kcal,
        public float $proteinG,
        public float $fatG,
        public float $carbohydrateG,
        public float $fibreG,
        public float $sugarsG,
        public float $ashG,
        public ?float $sodiumMg,
        public ?float $calciumMg,
        public ?float $phosphorusMg,
        public ?float $potassiumMg,
        public ?float $copperMg,
        public ?float $vitaminAUg,
        public ?float $vitaminDUg,
        public ?float $magnesiumMg,
        public ?float $zincMg,
        public ?float $ironMg,
    ) {}

    /** @param  list<?float>  $values  in the order of COLUMNS */
    public static function fromList(array $values): self
    {
        return new self(
            $values[0] ?? 0.0, $values[1] ?? 0.0, $values[2] ?? 0.0, $values[3] ?? 0.0, $values[4] ?? 0.0, $values[5] ?? 0.0,
            $values[6] ?? 0.0, $values[7] ?? 0.0, $values[8] ?? null, $values[9] ?? null, $values[10] ?? null, $values[11] ?? null,
            $values[12] ?? null, $values[13] ?? null, $values[14] ?? null, $values[15] ?? null, $values[16] ?? null, $values[17] ?? null,
        );
    }

    /** kcal per 100 g by 4-9-4 with fibre at 2: the check on the stated energy. */
    public function kcalByFactors(): float
    {
        return 4 * $this->proteinG + 9 * $this->fatG + 4 * ($this->carbohydrateG - $this->fibreG) + 2 * $this->fibreG;
    }

    /** kcal per 100 g in the pet-food label convention 3.5-8.5-3.5, on carbohydrate less fibre. */
    public function kcalModified(): float
    {
        return 3.5 * $this->proteinG + 8.5 * $this->fatG + 3.5 * max(0.0, $this->carbohydrateG - $this->fibreG);
    }

    public function massG(): float
    {
        return $this->waterG + $this->proteinG + $this->fatG + $this->carbohydrateG + $this->ashG;
    }
}

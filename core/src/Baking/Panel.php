<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

/** What a piece and the whole batch hold: as they are, in dry matter, per 1000 kcal; in both calorie conventions. */
final readonly class Panel
{
    private const ROWS = [
        'proteinG' => ['protein', 'g'], 'fatG' => ['fat', 'g'], 'carbohydrateG' => ['carbohydrate', 'g'], 'fibreG' => ['fibre', 'g'], 'sugarsG' => ['sugars', 'g'],
        'ashG' => ['ash', 'g'], 'sodiumMg' => ['sodium', 'mg'], 'calciumMg' => ['calcium', 'mg'], 'phosphorusMg' => ['phosphorus', 'mg'],
        'potassiumMg' => ['potassium', 'mg'], 'copperMg' => ['copper', 'mg'], 'vitaminAUg' => ['vitamin A', 'µg'], 'vitaminDUg' => ['vitamin D', 'µg'],
    ];

    /** Moisture from which, and kcal per 100 g up to which, a dog food may be called light. Source: AAFCO model regulations PF10. */
    private const LIGHT = [[65.0, 90.0], [20.0, 250.0], [0.0, 310.0]];

    /**
     * @param  float  $moisture  percent
     * @param  ?float  $kcalModified  of the batch by the pet-food label convention; null when some food's composition is not known
     * @param  list<PanelRow>  $rows
     */
    private function __construct(
        public float $moisture,
        public float $kcalPer100g,
        public ?float $kcalModified,
        public ?float $kcalModifiedPer100g,
        public string $class,
        public array $rows,
    ) {}

    public static function of(Batch $batch): self
    {
        $baked = $batch->bakedGrams->best;
        $kcal = $batch->kcal->best;
        $share = $batch->dough->kcal->best > 0 ? $kcal / $batch->dough->kcal->best : 1.0;
        $solids = $batch->dough->solids->best * $share;
        $moisture = $baked > 0 ? max(0.0, 100 * (1 - $solids / $baked)) : 0.0;
        $rows = [];
        foreach (self::ROWS as $key => [$name, $unit]) {
            $held = ($batch->dough->substances[$key] ?? null);
            if ($held === null) {
                continue;
            }
            $held *= $share;
            $rows[] = new PanelRow(
                $name, $unit, $batch->pieceSubstances[$key] ?? 0.0, $held,
                $baked > 0 ? 100 * $held / $baked : null, $solids > 0 ? 100 * $held / $solids : null, $kcal > 0 ? 1000 * $held / $kcal : null,
            );
        }
        $modified = self::modified($batch->dough);
        $per100g = $baked > 0 ? 100 * $kcal / $baked : 0.0;

        return new self(
            $moisture, $per100g, $modified === null ? null : $modified * $share,
            $modified === null || $baked <= 0 ? null : 100 * $modified * $share / $baked, self::class($moisture, $per100g), $rows,
        );
    }

    /** The same dough by the pet-food label convention; null when some food's composition is not known. */
    private static function modified(Dough $dough): ?float
    {
        $kcal = 0.0;
        foreach ($dough->weighed as $one) {
            $composition = $one->ingredient->composition;
            if ($composition === null) {
                return null;
            }
            $kcal += $composition->kcalModified() * $one->grams->best / 100;
        }

        return $kcal;
    }

    private static function class(float $moisture, float $kcalPer100g): string
    {
        foreach (self::LIGHT as [$from, $most]) {
            if ($moisture >= $from) {
                return $kcalPer100g <= $most ? 'light' : 'not light';
            }
        }

        return '';
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

/** What a piece and the whole batch hold: as they are, in dry matter, per 1000 kcal; in both calorie conventions. */
final class Panel
{
    private const ROWS = [
        'proteinG' => ['protein', 'g'], 'fatG' => ['fat', 'g'], 'carbohydrateG' => ['carbohydrate', 'g'], 'fibreG' => ['fibre', 'g'], 'sugarsG' => ['sugars', 'g'],
        'ashG' => ['ash', 'g'], 'sodiumMg' => ['sodium', 'mg'], 'calciumMg' => ['calcium', 'mg'], 'phosphorusMg' => ['phosphorus', 'mg'],
        'potassiumMg' => ['potassium', 'mg'], 'copperMg' => ['copper', 'mg'], 'vitaminAUg' => ['vitamin A', 'µg'], 'vitaminDUg' => ['vitamin D', 'µg'],
    ];

    /** Moisture from which, and kcal per 100 g up to which, a dog food may be called light. Source: AAFCO model regulations PF10. */
    private const LIGHT = [[65.0, 90.0], [20.0, 250.0], [0.0, 310.0]];

    /** @return array{moisture: float, kcalPer100g: float, kcalModifiedPer100g: ?float, kcalModified: ?float, class: string, rows: list<array<string, float|string|null>>} */
    public static function of(Batch $batch): array
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
            $rows[] = [
                'name' => $name, 'unit' => $unit, 'piece' => $batch->pieceSubstances[$key] ?? 0.0, 'batch' => $held,
                'per100g' => $baked > 0 ? 100 * $held / $baked : null,
                'dryMatterPer100g' => $solids > 0 ? 100 * $held / $solids : null,
                'per1000kcal' => $kcal > 0 ? 1000 * $held / $kcal : null,
            ];
        }
        $modified = self::modified($batch->dough);
        $per100g = $baked > 0 ? 100 * $kcal / $baked : 0.0;

        return [
            'moisture' => $moisture,
            'kcalPer100g' => $per100g,
            'kcalModified' => $modified === null ? null : $modified * $share,
            'kcalModifiedPer100g' => $modified === null || $baked <= 0 ? null : 100 * $modified * $share / $baked,
            'class' => self::class($moisture, $per100g),
            'rows' => $rows,
        ];
    }

    /** The same dough by the pet-food label convention; null when some food's composition is not known. */
    private static function modified(Dough $dough): ?float
    {
        $kcal = 0.0;
        foreach ($dough->portions as $portion) {
            $composition = $portion->ingredient->composition;
            if ($composition === null) {
                return null;
            }
            $kcal += $composition->kcalModified() * $portion->grams->best / 100;
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

<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Stage;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Formulate\Story;

/** Pieces a day by body weight, for a jar that is given away to dogs nobody here knows. */
final class GiveAwayQuestion
{
    private const WEIGHTS = [2.0, 4.0, 6.0, 8.0, 10.0, 15.0, 20.0, 25.0, 30.0, 40.0, 50.0];

    private const KG_PER_LB = 0.45359237;

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $request = Request::fromNode($node);

        return $request->withOwnPantry(static fn (): array => self::table($request));
    }

    /** @return array<string, mixed> */
    private static function table(Request $request): array
    {
        $formulate = Formulate::of($request);
        $batch = new Batch($formulate->dough, $request->cutOrCount(), $request->texture(), $request->measured);
        $size = $request->cutOrCount()->largestMm();
        $rows = [];
        foreach (self::WEIGHTS as $kg) {
            $dog = new Dog('any', $kg, 48.0, neutered: true, bodyCondition: 5, activity: 'inactive', stage: Stage::Adult);
            $ration = Ration::of($dog, $batch, $request->policy->energySchool, $request->policy->budgetPercent, 'avoid', false);
            $rows[] = [
                'kg' => $kg, 'lb' => round($kg / self::KG_PER_LB), 'piecesPerDay' => $ration->pieces, 'kcal' => $ration->budget->kcal ?? 0.0,
                'shows' => Story::holds($ration->heldBy), 'breakFirst' => $size !== null && $size > ($dog->safeBiteMm() ?? INF),
            ];
        }

        return [
            'version' => 1, 'rows' => $rows,
            'stops' => $formulate->stopsEveryDog(),
            'assumes' => 'For a healthy, grown, quiet, neutered dog at an ideal weight. Not for puppies, for dogs with a condition or an allergy, or on medicine: ask the vet.',
        ];
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Formulate\Story;

/**
 * A birthday slice is more than a day allows. It may borrow the treat budgets of up to seven following days, and a meal hold-back of at
 * most a quarter of that day's food; doses and conditions are never borrowed against (reference, page 2).
 */
final class OccasionQuestion
{
    public const MOST_DAYS = 7;

    private const MEAL_SHARE = 0.25;

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $request = Request::fromNode($node, ['occasion']);
        $occasion = $node->required('occasion', 'The occasion')->object(['dog', 'pieces']);
        $name = $occasion->required('dog', 'The dog\'s name');
        $pieces = $occasion->required('pieces', 'The pieces')->number(0.25, 1000, 'pieces');
        foreach ($request->dogs as $dog) {
            if ($dog->name === $name->string(60)) {
                return $request->withOwnPantry(static fn (): array => self::borrowed($request, $dog->name, $pieces));
            }
        }
        throw RequestRefused::outOfRange($name->path, "No dog called {$name->string(60)} is at the table.");
    }

    /** @return array<string, mixed> */
    private static function borrowed(Request $request, string $name, float $pieces): array
    {
        $formulate = Formulate::of($request);
        $open = $formulate->whyNotCleared($name);
        [$ration, $lot] = $formulate->rationOf($name);
        $kcal = $lot->batch->pieceKcal->best;
        $budget = $ration->budget->kcal;
        if ($open !== null || $budget === null || $ration->energy->dailyKcal === null || $ration->dog->weightKg === null) {
            return self::no($open['why'] ?? "$name has no treat budget".($ration->dog->weightKg === null ? ' without a weight.' : ': the vet decides.'), 0.0);
        }
        $most = INF;
        $heldBy = null;
        foreach ($ration->limits as $limit) {
            if ($limit->code !== 'budget' && $limit->piecesPerDay < $most) {
                [$most, $heldBy] = [$limit->piecesPerDay, $limit->code];
            }
        }
        $today = max(0.0, $budget - ($ration->dog->alreadyToday['kcal'] ?? 0.0));
        $byBudget = $kcal > 0 ? ($today + self::MOST_DAYS * $budget) / $kcal : INF;
        if ($pieces > min($most, $byBudget) + 1e-9) {
            $allowed = min($most, $byBudget) === INF ? 0.0 : Ration::quarters(min($most, $byBudget));

            return self::no($most < $byBudget
                ? 'Held by '.Story::holds($heldBy).', and that is never borrowed against.'
                : 'Even with seven days without other treats that is too much.', $allowed);
        }
        $spent = $pieces * $kcal;
        $days = $spent <= $today + 1e-9 || $budget <= 0 ? 0 : (int) ceil(($spent - $today) / $budget - 1e-9);
        $food = $ration->dog->foodKcalPer100g;
        $mealKcal = min($spent, self::MEAL_SHARE * $ration->energy->dailyKcal->best);

        return [
            'version' => 1, 'possible' => true, 'why' => null, 'mostPieces' => min($most, $byBudget) === INF ? $pieces : Ration::quarters(min($most, $byBudget)),
            'kcal' => $spent, 'budgetKcal' => $budget, 'daysWithout' => $days,
            'holdBackGrams' => $food === null ? null : 100 * $mealKcal / $food,
            'says' => Story::number($pieces)." for $name: ".Story::number($spent).' kcal against '.Story::number($today).' left today'
                .($days === 0 ? '. Nothing is borrowed.' : '; then '.($days === 1 ? 'one day' : "$days days").' without other treats.')
                .($food === null ? '' : ' Hold back '.Story::number(100 * $mealKcal / $food).' g of its food that day'.($mealKcal < $spent ? ', a quarter of it and no more.' : '.')),
        ];
    }

    /** @return array<string, mixed> */
    private static function no(string $why, float $mostPieces): array
    {
        return ['version' => 1, 'possible' => false, 'why' => $why, 'mostPieces' => $mostPieces, 'kcal' => null, 'budgetKcal' => null, 'daysWithout' => null, 'holdBackGrams' => null,
            'says' => $mostPieces > 0 ? $why.' At most '.Story::number($mostPieces).'.' : $why];
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Formulate\Story;

/**
 * Several treats that share each dog's day in chosen proportions: pieces of each, what to hold back from the meal, until when each lasts.
 * Doses are counted over all of them together.
 */
final class WeekQuestion
{
    private const MOST_TREATS = 8;

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $node->object(['version', 'dogs', 'policy', 'names', 'pantry', 'from', 'treats'])->requireVersion();
        $from = $node->get('from')?->string(10);
        if ($from !== null && (preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $from, $d) !== 1 || ! checkdate((int) $d[2], (int) $d[3], (int) $d[1]))) {
            throw RequestRefused::outOfRange('/from', 'This must be a date such as 2026-05-14.');
        }
        $treats = [];
        foreach ($node->required('treats', 'The treats')->list(self::MOST_TREATS) as $one) {
            $one->object(['name', 'share', 'recipe', 'cut', 'bake', 'labels', 'confirmed', 'measured', 'portions']);
            $whole = clone $one->objectValue();
            unset($whole->name, $whole->share);
            foreach (['version', 'dogs', 'policy', 'names', 'pantry'] as $key) {
                if (isset($node->objectValue()->{$key})) {
                    $whole->{$key} = $node->objectValue()->{$key};
                }
            }
            try {
                $request = Request::fromNode(new Node($whole));
            } catch (RequestRefused $refused) {
                throw $refused->within(preg_match('#^/(dogs|policy|names|pantry|version)\b#', $refused->path) === 1 ? '' : $one->path);
            }
            $treats[] = ['name' => $one->required('name', 'The name of the treat')->filled(200), 'share' => $one->get('share')?->positive(1000, 'parts') ?? 1.0, 'request' => $request];
        }
        if ($treats === []) {
            throw RequestRefused::missing('/treats', 'At least one treat');
        }

        return $treats[0]['request']->withOwnPantry(static fn (): array => self::chart($treats, $from));
    }

    /**
     * @param  non-empty-list<array{name: string, share: float, request: Request}>  $treats
     * @return array<string, mixed>
     */
    private static function chart(array $treats, ?string $from): array
    {
        $asked = array_map(static fn (array $treat): Formulate => Formulate::of($treat['request']), $treats);
        $dogs = [];
        foreach ($treats[0]['request']->dogs as $dog) {
            $one = self::forDog($dog, $treats, $asked);
            $dogs[] = $one;
        }
        $lasting = [];
        foreach ($asked as $n => $formulate) {
            $days = null;
            $pieces = $perDay = 0.0;
            foreach ($formulate->lots->all as $lot) {
                $ofLot = 0.0;
                foreach ($dogs as $dog) {
                    $ofLot += in_array($dog['dog'], $lot->dogs, true) ? $dog['treats'][$n]['piecesPerDay'] : 0.0;
                }
                $pieces += floor($lot->batch->count->best + 1e-9);
                $perDay += $ofLot;
                if ($ofLot > 0.0) {
                    // the first portion to run out ends it
                    $days = min($days ?? INF, floor($lot->batch->count->best / $ofLot + 1e-9));
                }
            }
            $lasting[] = [
                'treat' => $treats[$n]['name'], 'pieces' => $pieces, 'piecesPerDay' => $perDay, 'kcalPerPiece' => $formulate->lots->main()->batch->pieceKcal->best,
                'daysItLasts' => $days, 'until' => $from === null || $days === null || $days < 1 ? null : self::dayAfter($from, (int) $days - 1),
            ];
        }

        return ['version' => 1, 'from' => $from, 'dogs' => $dogs, 'treats' => $lasting];
    }

    /**
     * @param  non-empty-list<array{name: string, share: float, request: Request}>  $treats
     * @param  list<Formulate>  $asked
     * @return array{dog: string, budgetKcal: ?float, kcal: float, holdBackGrams: ?float, heldBy: ?string, treats: list<array{treat: string, piecesPerDay: float, kcal: float, why: ?string, ramp: list<array{days: string, pieces: float}>}>}
     */
    private static function forDog(Dog $dog, array $treats, array $asked): array
    {
        $policy = $treats[0]['request']->policy;
        $energy = Energy::of($dog, $policy->energySchool);
        $budget = TreatBudget::of($dog, $energy, $policy->energySchool, $policy->budgetPercent);
        $shares = $rations = $lots = $why = [];
        foreach ($asked as $n => $formulate) {
            $why[$n] = $formulate->whyNotCleared($dog->name)['why'] ?? null;
            [$rations[$n], $lots[$n]] = $formulate->rationOf($dog->name);
            $shares[$n] = $why[$n] === null && ($rations[$n]->pieces ?? 0.0) > 0.0 ? $treats[$n]['share'] : 0.0;
        }
        $all = array_sum($shares);
        $pieces = array_fill(0, count($treats), 0.0);
        $heldBy = null;
        if ($all > 0.0 && $budget->kcal !== null) {
            $left = max(0.0, $budget->kcal - ($dog->alreadyToday['kcal'] ?? 0.0));
            foreach ($shares as $n => $share) {
                $kcal = $lots[$n]->batch->pieceKcal->best;
                $pieces[$n] = $kcal > 0 ? $left * $share / $all / $kcal : 0.0;
            }
            [$factor, $heldBy] = self::doses($dog, $pieces, $lots, $policy->garlic, $budget->kcal, $energy->dailyKcal?->best);
            foreach ($pieces as $n => $count) {
                $pieces[$n] = $count * $factor;
            }
        }
        $kcal = 0.0;
        $answers = [];
        foreach ($treats as $n => $treat) {
            $ramp = $rations[$n]->ramp();
            $full = Ration::quarters($pieces[$n]);
            $given = $ramp === [] ? $full : Ration::quarters($pieces[$n] * 0.25);
            $kcal += $given * $lots[$n]->batch->pieceKcal->best;
            $answers[] = [
                'treat' => $treat['name'], 'piecesPerDay' => $given, 'kcal' => $given * $lots[$n]->batch->pieceKcal->best,
                'why' => $why[$n] ?? ($shares[$n] > 0 && $given === 0.0 ? 'Under a quarter of a piece: cut it smaller.' : ($shares[$n] <= 0.0 && $why[$n] === null ? 'Held by '.Story::holds($rations[$n]->heldBy).'.' : null)),
                'ramp' => $ramp === [] ? [] : [['days' => 'days 1–2', 'pieces' => $given], ['days' => 'days 3–4', 'pieces' => Ration::quarters($pieces[$n] * 0.5)], ['days' => 'from day 5', 'pieces' => $full]],
            ];
        }

        return [
            'dog' => $dog->name, 'budgetKcal' => $budget->kcal, 'kcal' => $kcal,
            'holdBackGrams' => $dog->foodKcalPer100g === null ? null : 100 * $kcal / $dog->foodKcalPer100g,
            'heldBy' => $heldBy === null ? null : Story::holds($heldBy), 'treats' => $answers,
        ];
    }

    /**
     * How much of such a day the doses of all treats together allow.
     *
     * @param  array<int, float>  $pieces
     * @param  array<int, \MildBowl\Core\Baking\Lot>  $lots
     * @return array{float, string}
     */
    private static function doses(Dog $dog, array $pieces, array $lots, string $garlic, float $budgetKcal, ?float $dailyKcal): array
    {
        $factor = 1.0;
        $heldBy = 'budget';
        foreach (Doses::for($dog, $garlic) as $row) {
            $sum = 0.0;
            foreach ($pieces as $n => $count) {
                $sum += $count * ($lots[$n]->batch->pieceSubstances[$row['substance']] ?? 0.0);
            }
            $cap = $row['limit'] === '' ? null : Doses::perDay($row, (float) $row['limit'], $dog, $budgetKcal, $dailyKcal);
            if ($cap === null || $sum <= 0.0) {
                continue;
            }
            $allowed = max(0.0, $cap - ($dog->alreadyToday[$row['substance']] ?? 0.0)) / $sum;
            if ($allowed < $factor) {
                [$factor, $heldBy] = [$allowed, $row['code']];
            }
        }

        return [$factor, $heldBy];
    }

    private static function dayAfter(string $date, int $days): string
    {
        [$year, $month, $day] = array_map(intval(...), explode('-', $date));

        return gmdate('Y-m-d', (int) gmmktime(12, 0, 0, $month, $day + $days, $year));
    }
}

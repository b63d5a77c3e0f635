<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\LineReader;
use MildBowl\Core\Reading\Said;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Screener;
use MildBowl\Core\Values\Level;

/** Whether the foods of a trial may be given at all: a trial finds out what a dog bears, and never tries a poison. */
final class TrialFoods
{
    private function __construct() {}

    /** Why one of them may not; null where all may. By the careful end of the house rules, whatever the kitchen chose. */
    public static function refuses(Trial $trial, Dog $dog, Catalogue $catalogue, LineReader $lines): ?string
    {
        if ($trial->kind === TrialKind::LeaveOut) {
            return null;
        }
        $screener = new Screener(Circumstances::of([$dog], Texture::of('biscuit'), new Policy), $lines);
        foreach ($trial->foods as $id) {
            $why = self::refusal($id, $trial, $dog, $catalogue, $screener);
            if ($why !== null) {
                return $why;
            }
        }

        return null;
    }

    private static function refusal(string $id, Trial $trial, Dog $dog, Catalogue $catalogue, Screener $screener): ?string
    {
        $foods = self::foods($id, $catalogue);
        $never = $reacts = null;
        $harmful = 0;
        foreach ($foods as $food) {
            $findings = $screener->foods([$food], Said::nothing());
            $one = self::first($findings, static fn (Finding $of): bool => $of->level === Level::Never);
            $never ??= $one;
            $harmful += $one === null ? 0 : 1;
            $reacts ??= self::first($findings, static fn (Finding $of): bool => $of->level === Level::Allergen && str_starts_with($of->code, 'allergy-'));
        }
        $isChallenged = $trial->kind === TrialKind::Challenge && $trial->vetSaid;

        return match (true) {
            // of a kind of foods that is harmful through and through, and of a food that is
            $never !== null && $harmful === count($foods) => "{$never->message} It is never tried. If {$dog->name} has had some: ring a vet or an animal poison line now.",
            $reacts !== null && ! $isChallenged => "{$reacts->message} To try it all the same is for a vet, as a challenge.",
            isset($dog->watched->wentBadly[$id]) && $trial->kind->bringsIn() && ! $trial->vetSaid => "When {$dog->name} tried {$catalogue->called($id)}, {$dog->watched->wentBadly[$id]}: ask your vet first, and say here that it was asked.",
            default => null,
        };
    }

    /**
     * @param  list<Finding>  $findings
     * @param  callable(Finding): bool  $isIt
     */
    private static function first(array $findings, callable $isIt): ?Finding
    {
        foreach ($findings as $finding) {
            if ($isIt($finding)) {
                return $finding;
            }
        }

        return null;
    }

    /** @return list<Ingredient> the food itself, or all of a kind */
    private static function foods(string $id, Catalogue $catalogue): array
    {
        if ($catalogue->has($id)) {
            return [$catalogue->get($id)];
        }
        $foods = [];
        foreach (Catalogue::ids() as $one) {
            $food = $catalogue->get($one);
            if ($food->isCoveredBy($id)) {
                $foods[] = $food;
            }
        }

        return $foods;
    }
}

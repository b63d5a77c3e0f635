<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Breed;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\Stage;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Raid\Loot;
use MildBowl\Core\Raid\NeverFood;
use MildBowl\Core\Raid\ToxicDose;
use MildBowl\Core\Values\Figure;
use MildBowl\Core\Values\Range;

/**
 * `raid`: a dog got at the jar, the dough or the cupboard: what it took, against what is known to harm. Doses are taken at their
 * highest; what is not known is said. The answer is a sheet to read out to a vet.
 */
final readonly class RaidQuestion
{
    public const WORDS = 'Call a vet or an animal poison line at once. Do not wait for signs, and do not make the dog vomit unless they tell you to.';

    public const FAT = 'Ring your vet today and say how much fat it was, before any sign shows. If it vomits, hunches its back or will not eat: at once.';

    public const RING = 'Ring your vet today and read this sheet out: what is not known, or what this dog has, may matter.';

    public const ASK = 'Nothing on the never list was found in what you wrote, and no known dose is reached. This dog is ill, young, breeding or of unknown weight: ring your vet and ask before you wait.';

    public const CALM = 'Nothing on the never list was found in what you wrote, and no known dose is reached. Give it water and its quiet, and ring a vet as soon as anything seems wrong.';

    /** Share of a day's energy as fat from which the pancreas of a dog that is prone may flare up: this tool's own bound. */
    private const FAT_OF_DAY = 0.5;

    private const KCAL_PER_G_FAT = 9.0;

    /** g per kg of dog that it may have taken at most where nobody knows how much it was: a tenth of its weight. */
    private const AT_MOST_PER_KG = 100.0;

    /** @param  ?string  $when  in the person's own words */
    public function __construct(private Dog $dog, private Loot $loot, private ?string $when, private Policy $policy) {}

    public function answer(): RaidAnswer
    {
        $loot = $this->loot;
        $day = $this->dog->weightKg === null ? null : Energy::of($this->dog, $this->policy->energySchool)->dailyKcal?->best;
        $doses = [];
        $isBad = $isNear = $isFat = false;
        foreach (ToxicDose::all() as $dose) {
            $unweighed = max([0.0, ...array_map(static fn (Ingredient $food): float => (Loot::of($food, Range::exact(self::AT_MOST_PER_KG))[$dose->substance] ?? null)->high ?? 0.0, $loot->unweighed)]);
            $isBad = $isBad || ($dose->isBadInAnyAmount && $unweighed > 0.0);
            $isNear = $isNear || ($unweighed > 0.0 && ! ($dose->isForFatProne && ! $this->isFatProne()) && ($dose->isNearAt($unweighed) || $dose->reachedAt($unweighed) !== null));
            $amount = $loot->substances[$dose->substance] ?? null;
            if ($amount === null || $amount->high <= 0 || ($dose->isForFatProne && ! $this->isFatProne())) {
                continue;
            }
            $perKg = $this->dog->weightKg === null ? null : $amount->times(1 / $this->dog->weightKg);
            // the highest it may have been decides
            $reached = $perKg === null ? null : $dose->reachedAt($perKg->high);
            if ($dose->isForFatProne) {
                $reached ??= $day !== null && $amount->high * self::KCAL_PER_G_FAT > self::FAT_OF_DAY * $day ? $dose->thresholds[0]->sign ?? null : null;
                $isFat = $reached !== null;
            }
            $isBad = $isBad || ($dose->isBadInAnyAmount && $amount->high > 0) || ($reached !== null && ! $dose->isForFatProne);
            $isNear = $isNear || ($perKg !== null && $dose->isNearAt($perKg->high));
            $doses[] = new RaidDose($dose->substance, $dose->name, $dose->unit, $amount, $perKg, $dose->thresholds, $reached, $dose->remark, $dose->source);
        }
        $isPoison = $isBad || array_filter($loot->never, static fn (NeverFood $one): bool => $one->emergency) !== [];
        $words = match (true) {
            $isPoison || $loot->never !== [] || $loot->hasUnknownFood => self::WORDS,
            $isFat => self::FAT,
            $isNear || $loot->isDoubtful || $this->unknownsMatter() => self::RING,
            ! $this->isWellAndGrown() => self::ASK,
            default => self::CALM,
        };

        return new RaidAnswer(
            $this->dog, $loot->what, $this->when, $isPoison || $isFat, $words,
            $loot->kcal, $day === null || $loot->kcal === null ? null : 100 * $loot->kcal->best / $day,
            $loot->never, $doses, $loot->unread, $this->sheet($doses),
        );
    }

    /** Whether something of which nobody knows how much it was may hold anything: nobody knows what is in it. */
    private function unknownsMatter(): bool
    {
        return array_filter($this->loot->unweighed, static fn (Ingredient $food): bool => $food->composition === null) !== [];
    }

    private function isFatProne(): bool
    {
        return $this->dog->has('pancreatitis') || $this->dog->has('hyperlipidaemia') || Breed::named($this->dog->breed)?->isFatProne() === true;
    }

    /** Nothing is known of it that makes a raid more than a raid. */
    private function isWellAndGrown(): bool
    {
        return $this->dog->weightKg !== null && $this->dog->conditions === [] && $this->dog->medicines === [] && ! $this->dog->isBreeding() && $this->dog->lifeStage() !== Stage::Puppy;
    }

    /**
     * @param  list<RaidDose>  $doses
     * @return list<string>
     */
    private function sheet(array $doses): array
    {
        [$dog, $loot] = [$this->dog, $this->loot];
        $sheet = ['The dog: '.$dog->name.($dog->breed === null ? '' : ", {$dog->breed}").', '.($dog->weightKg === null ? 'weight not known' : Figure::of($dog->weightKg).' kg').', '.($dog->ageMonths === null ? 'age not known' : Figure::of(round($dog->ageMonths)).' months old').'.'];
        $sheet[] = 'It took: '.$loot->what.($this->when === null || $this->when === '' ? '; when is not known' : ", {$this->when}").'.';
        foreach ($doses as $dose) {
            if ($dose->perKg !== null) {
                $figures = $dose->perKg->isExact() ? Figure::of($dose->perKg->high) : Figure::of($dose->perKg->low).' to '.Figure::of($dose->perKg->high);
                $sheet[] = ucfirst($dose->name).": $figures {$dose->unit}".($dose->reached === null ? '' : " ({$dose->reached})").'.';
            }
        }
        if ($dog->conditions !== [] || $dog->medicines !== []) {
            $sheet[] = 'Known of it: '.implode(', ', [...$dog->conditions, ...$dog->medicines]).'.';
        }
        if ($loot->ingredients !== []) {
            $sheet[] = 'In it: '.implode('; ', $loot->ingredients).'.';
        }
        if ($loot->unread !== []) {
            $sheet[] = 'Not known: '.implode('; ', $loot->unread).'.';
        }

        return $sheet;
    }
}

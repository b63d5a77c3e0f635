<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Raid\Loot;
use MildBowl\Core\Raid\NeverFood;
use MildBowl\Core\Raid\ToxicDose;
use MildBowl\Core\Values\Figure;

/**
 * `raid`: a dog got at the jar, the dough or the cupboard: what it took, against what is known to harm. Doses are taken at their
 * highest; what is not known is said. The answer is a sheet to read out to a vet.
 */
final readonly class RaidQuestion
{
    public const WORDS = 'Call a vet or an animal poison line at once. Do not wait for signs, and do not make the dog vomit unless they tell you to.';

    /** @param  ?string  $when  in the person's own words */
    public function __construct(private Dog $dog, private Loot $loot, private ?string $when, private Policy $policy) {}

    public function answer(): RaidAnswer
    {
        $loot = $this->loot;
        $doses = [];
        $isBad = false;
        foreach (ToxicDose::all() as $dose) {
            $amount = $loot->substances[$dose->substance] ?? null;
            if ($amount !== null && $amount->high > 0) {
                $perKg = $this->dog->weightKg === null ? null : $amount->times(1 / $this->dog->weightKg);
                $isBad = $isBad || $dose->isBadInAnyAmount;
                // the highest it may have been decides
                $doses[] = new RaidDose($dose->substance, $dose->name, $dose->unit, $amount, $perKg, $dose->thresholds, $perKg === null ? null : $dose->reachedAt($perKg->high), $dose->remark, $dose->source);
            }
        }
        $day = $this->dog->weightKg === null ? null : Energy::of($this->dog, $this->policy->energySchool)->dailyKcal?->best;
        $emergency = $isBad || array_filter($loot->never, static fn (NeverFood $one): bool => $one->emergency) !== [] || array_filter($doses, static fn (RaidDose $dose): bool => $dose->reached !== null) !== [];

        return new RaidAnswer(
            $this->dog, $loot->what, $this->when, $emergency,
            $emergency || $loot->never !== [] || $loot->unread !== [] ? self::WORDS : 'Nothing on the never list was found in what you wrote. Watch the dog, give it water, and call a vet if anything seems wrong.',
            $loot->kcal, $day === null || $loot->kcal === null ? null : 100 * $loot->kcal->best / $day,
            $loot->never, $doses, $loot->unread, $this->sheet($doses),
        );
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
            $sheet[] = 'Not known to us: '.implode('; ', $loot->unread).'.';
        }

        return $sheet;
    }
}

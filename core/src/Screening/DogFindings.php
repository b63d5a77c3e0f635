<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Ingredient;

/** What is said once per dog, whatever the line: the vet, the breed, the bite, the texture. */
final class DogFindings
{
    private const LEGUME_HEAVY = 0.20;

    /**
     * @param  list<Ingredient>  $foods
     * @return list<Finding>
     */
    public static function of(Dog $dog, array $foods, Cut $cut, Texture $texture, Dough $dough): array
    {
        return [
            ...self::vet($dog),
            ...self::breed($dog, $foods),
            ...self::bite($dog, $cut, $texture),
            ...self::texture($dog, $texture),
            ...self::young($dog, $texture),
            ...self::newFoods($dog, $foods),
            ...self::legumes($dog, $dough),
        ];
    }

    /** @return list<Finding> */
    private static function vet(Dog $dog): array
    {
        $reasons = $advice = [];
        $tables = Data::tables();
        foreach ($dog->conditions as $condition) {
            $row = $tables['conditions'][$condition] ?? null;
            if ($row !== null && $row['vet'] === '1') {
                $reasons[] = strtr($row['message'], ['{dog}' => $dog->name]);
                $advice[] = $row['advice'];
            }
        }
        foreach ($dog->medicines as $medicine) {
            $row = $tables['medicines'][$medicine] ?? null;
            if ($row !== null && $row['message'] !== '') {
                $reasons[] = strtr($row['message'], ['{dog}' => $dog->name]);
                $advice[] = $row['advice'];
            }
        }
        $score = $dog->bodyCondition;
        if ($score !== null && ($score <= 2 || $score === 9)) {
            $reasons[] = "{$dog->name} is at $score of 9 in body condition: ask your vet before any treat.";
            $advice[] = 'The number is shown all the same.';
        }
        if ($reasons === []) {
            return [];
        }

        return [new Finding($dog->name, Level::AskVet, 'ask-vet', implode(' ', array_unique($reasons)), implode(' ', array_unique($advice)), source: Sources::name('ACVIM'))];
    }

    /**
     * @param  list<Ingredient>  $foods
     * @return list<Finding>
     */
    private static function breed(Dog $dog, array $foods): array
    {
        $row = $dog->breedRow();
        if ($row === null || $row['note'] === '') {
            return [];
        }
        foreach ($foods as $food) {
            if (array_filter($row['groups'], $food->inGroup(...)) !== []) {
                return [new Finding($dog->name, Level::Caution, 'breed-note', $row['note'], "Here it is {$food->name}. Ask your vet if you have seen signs.", source: Sources::name($row['source']))];
            }
        }

        return [];
    }

    /** @return list<Finding> */
    private static function bite(Dog $dog, Cut $cut, Texture $texture): array
    {
        $bite = $dog->safeBiteMm();
        $size = $cut->largestMm();
        if ($bite === null || $size === null || $size <= $bite) {
            return [];
        }
        $parts = (int) ceil($size / $bite);
        $parts = $cut->isFlat() ? $parts ** 2 : $parts;
        if ($dog->eating === 'gulps' && $texture->isHard()) {
            return [new Finding($dog->name, Level::Caution, 'bite-gulps', "{$dog->name} gulps, and a hard piece this size can stick in the throat.", 'Break it small, or make it clearly larger than the mouth is wide and stay beside it.', self::mm($size).' against a safe bite of '.self::mm($bite), source: Sources::name('KITCHEN'))];
        }

        return [new Finding($dog->name, Level::Caution, 'bite', "A piece is larger than {$dog->name} may swallow whole.", "Break it first, into about $parts parts, or cut smaller.", self::mm($size).' against a safe bite of '.self::mm($bite), source: Sources::name('KITCHEN'))];
    }

    private static function mm(float $mm): string
    {
        return round($mm).' mm';
    }

    /** @return list<Finding> */
    private static function texture(Dog $dog, Texture $texture): array
    {
        $findings = [];
        $hard = $texture->isHard();
        if (($dog->teeth !== 'full' && $hard) || ($dog->teeth === 'none' && $texture->id === 'biscuit')) {
            $findings[] = new Finding($dog->name, Level::Caution, 'texture-teeth', "{$dog->name} has ".($dog->teeth === 'none' ? 'no' : 'few')." teeth: {$texture->name} is hard to chew.", 'Bake it soft, or soak it in water first.', source: Sources::name('KITCHEN'));
        }
        if ($dog->eating === 'gulps' && $hard) {
            $findings[] = new Finding($dog->name, Level::Caution, 'texture-gulps', "{$dog->name} gulps: no hard or chewy piece that fits whole in the throat.", 'Break it up small and feed by hand.', source: Sources::name('KITCHEN'));
        }
        if ($dog->has('megaoesophagus') && ($hard || $texture->id === 'biscuit')) {
            $findings[] = new Finding($dog->name, Level::Caution, 'texture-megaoesophagus', "{$dog->name}: dry, crumbly or hard pieces can stick.", 'Bake it soft and ask your vet how it is fed.', source: Sources::name('ACVIM'));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function young(Dog $dog, Texture $texture): array
    {
        if (! $dog->isGrowing() || ($dog->ageMonths !== null && $dog->ageMonths >= 2.76)) {
            return [];
        }
        if (in_array($texture->id, ['soft', 'cake', 'tray', 'none'], true)) {
            return [];
        }

        return [new Finding($dog->name, Level::Caution, 'texture-young', "{$dog->name} is under 12 weeks or its age is not known: only soft pieces of pea to fingertip size.", 'Bake it soft and cut it small.', source: Sources::name('KITCHEN'))];
    }

    /**
     * @param  list<Ingredient>  $foods
     * @return list<Finding>
     */
    private static function newFoods(Dog $dog, array $foods): array
    {
        $new = [];
        foreach ($foods as $food) {
            if (array_filter($dog->newIngredients, $food->isCoveredBy(...)) !== []) {
                $new[$food->name] = true;
            }
        }
        if (count($new) < 2) {
            return [];
        }

        return [new Finding($dog->name, Level::Caution, 'several-new', "More than one food here is new to {$dog->name}: ".implode(', ', array_keys($new)).'.', 'Bring in one new food at a time, so that a reaction has one name.', source: Sources::name('KITCHEN'))];
    }

    /**
     * Heavy in legumes and without grain, for a dog with heart disease.
     *
     * @return list<Finding>
     */
    private static function legumes(Dog $dog, Dough $dough): array
    {
        if (! $dog->has('heart') && ! $dog->has('heart-advanced')) {
            return [];
        }
        $legumes = 0.0;
        foreach ($dough->portions as $portion) {
            if ($portion->ingredient->inGroup('grain')) {
                return [];
            }
            $legumes += $portion->ingredient->inGroup('legume') ? $portion->grams->best : 0.0;
        }
        if ($dough->grams->best <= 0.0 || $legumes < self::LEGUME_HEAVY * $dough->grams->best) {
            return [];
        }

        return [new Finding($dog->name, Level::Caution, 'legume-heart', 'Grain-free food heavy in legumes is under study in heart disease.', 'Keep legumes a small part, or use a grain.', round(100 * $legumes / $dough->grams->best).' % of the dough', source: Sources::name('ACVIM'))];
    }
}

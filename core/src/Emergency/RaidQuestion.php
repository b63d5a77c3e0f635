<?php

declare(strict_types=1);

namespace MildBowl\Core\Emergency;

use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Formulate\DogReader;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Policy;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Formulate\Story;
use MildBowl\Core\Range;

/**
 * A dog got at the jar, the dough or the cupboard: what it took, against what is known to harm. Doses are taken at their
 * highest; what is not known is said. The answer is a sheet to read out to a vet.
 *
 * @phpstan-type Dose array{substance: string, name: string, unit: string, amount: array{low: float, best: float, high: float}, perKg: array{low: float, best: float, high: float}|null, thresholds: list<array{at: float, sign: string}>, reached: ?string, remark: string, source: string}
 */
final class RaidQuestion
{
    public const WORDS = 'Call a vet or an animal poison line at once. Do not wait for signs, and do not make the dog vomit unless they tell you to.';

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $node->object(['version', 'dog', 'food', 'recipe', 'product', 'when', 'policy'])->requireVersion();
        $dog = DogReader::one($node->required('dog', 'The dog'));
        $policy = Policy::from($node->get('policy'));
        $when = $node->get('when')?->string(60);
        $loot = self::loot($node, $policy);
        $doses = [];
        foreach (Data::tables()['toxicDoses'] as $row) {
            $amount = $loot->substances[$row['substance']] ?? null;
            if ($amount !== null && $amount->high > 0) {
                $doses[] = self::dose($row, $amount, $dog);
            }
        }
        $day = $dog->weightKg === null ? null : Energy::of($dog, $policy->energySchool)->dailyKcal?->best;
        $emergency = array_filter($loot->never, static fn (array $one): bool => $one['emergency']) !== [] || array_filter($doses, static fn (array $dose): bool => $dose['reached'] !== null) !== [];

        return [
            'version' => 1,
            'dataVersion' => Data::tables()['version'],
            'dog' => $dog->name,
            'what' => $loot->what,
            'when' => $when,
            'emergency' => $emergency,
            'words' => $emergency || $loot->never !== [] || $loot->unread !== [] ? self::WORDS : 'Nothing on the never list was found in what you wrote. Watch the dog, give it water, and call a vet if anything seems wrong.',
            'kcal' => $loot->kcal?->toArray(),
            'shareOfDayPercent' => $day === null || $loot->kcal === null ? null : 100 * $loot->kcal->best / $day,
            'never' => $loot->never,
            'doses' => $doses,
            'unread' => $loot->unread,
            'sheet' => self::sheet($dog, $loot, $when, $doses),
        ];
    }

    /** @throws RequestRefused */
    private static function loot(Node $node, Policy $policy): Loot
    {
        $food = $node->get('food');
        $recipe = $node->get('recipe');
        $product = $node->get('product');
        if (count(array_filter([$food, $recipe, $product])) !== 1) {
            throw RequestRefused::missing('/food', 'What it took (one of food, recipe or product)');
        }
        if ($food !== null) {
            return Loot::ofText($food->filled(2000), $policy, null, null);
        }
        if ($product !== null) {
            $product->object(['name', 'ingredients', 'grams']);

            return Loot::ofProduct(
                $product->required('name', 'The product\'s name')->filled(200),
                $product->required('ingredients', 'The list of ingredients')->filled(5000),
                $product->required('grams', 'How many grams')->positive(20000, 'g'),
                $policy,
            );
        }
        assert($recipe !== null);
        $recipe->object(['title', 'text', 'cut', 'pieces']);
        $cut = $recipe->get('cut');

        return Loot::ofText(
            $recipe->required('text', 'The recipe\'s text')->filled(Request::LONGEST_TEXT), $policy, $recipe->get('pieces')?->positive(10000, 'pieces'),
            $cut === null ? null : Request::cut($cut), $recipe->get('title')?->string(200),
        );
    }

    /**
     * @param  array<string, string>  $row
     * @return Dose
     */
    private static function dose(array $row, Range $amount, Dog $dog): array
    {
        $perKg = $dog->weightKg === null ? null : $amount->times(1 / $dog->weightKg);
        $thresholds = [];
        $reached = null;
        foreach (explode('|', $row['thresholds']) as $threshold) {
            [$at, $sign] = explode('=', $threshold, 2);
            $thresholds[] = ['at' => (float) $at, 'sign' => $sign];
            // the highest it may have been decides
            if ($perKg !== null && $perKg->high >= (float) $at) {
                $reached = $sign;
            }
        }

        return [
            'substance' => $row['substance'], 'name' => $row['name'], 'unit' => $row['unit'], 'amount' => $amount->toArray(), 'perKg' => $perKg?->toArray(),
            'thresholds' => $thresholds, 'reached' => $reached, 'remark' => $row['remark'], 'source' => Data::tables()['sources'][$row['source']] ?? $row['source'],
        ];
    }

    /**
     * @param  list<Dose>  $doses
     * @return list<string>
     */
    private static function sheet(Dog $dog, Loot $loot, ?string $when, array $doses): array
    {
        $sheet = ['The dog: '.$dog->name.($dog->breed === null ? '' : ", {$dog->breed}").', '.($dog->weightKg === null ? 'weight not known' : Story::number($dog->weightKg).' kg').', '.($dog->ageMonths === null ? 'age not known' : Story::number(round($dog->ageMonths)).' months old').'.'];
        $sheet[] = 'It took: '.$loot->what.($when === null || $when === '' ? '; when is not known' : ", $when").'.';
        foreach ($doses as $dose) {
            $perKg = $dose['perKg'];
            if ($perKg !== null) {
                $figures = $perKg['low'] === $perKg['high'] ? Story::number($perKg['high']) : Story::number($perKg['low']).' to '.Story::number($perKg['high']);
                $sheet[] = ucfirst($dose['name']).": $figures {$dose['unit']}".($dose['reached'] === null ? '' : " ({$dose['reached']})").'.';
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

<?php

declare(strict_types=1);

namespace MildBowl\Core\Emergency;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Portion;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Data;
use MildBowl\Core\Formulate\Policy;
use MildBowl\Core\Kitchen\RecipeReader;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\Weigher;
use MildBowl\Core\Range;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\LabelReader;
use MildBowl\Core\Screening\Level;
use MildBowl\Core\Screening\Screener;

/** What was taken: its energy, what of each poison it held, what is on the never list, and what nobody could read. */
final readonly class Loot
{
    private const MG_SODIUM_PER_G_SALT = 393.0;

    /**
     * @param  array<string, Range>  $substances  of all that was taken, by the names of toxic-doses.csv
     * @param  list<array{food: string, message: string, figure: ?string, emergency: bool}>  $never
     * @param  list<string>  $ingredients
     * @param  list<string>  $unread
     */
    private function __construct(public string $what, public ?Range $kcal, public array $substances, public array $never, public array $ingredients, public array $unread) {}

    /** Foods as a person writes them, or so many pieces of a recipe. */
    public static function ofText(string $text, Policy $policy, ?float $pieces, ?Cut $cut, ?string $title = null): self
    {
        $weigher = new Weigher($policy->units);
        $screener = new Screener(new Circumstances([], 'none', false, 'avoid', false));
        $portions = $never = $ingredients = $unread = [];
        foreach (RecipeReader::read($text, '')->lines as $index => $line) {
            $ingredients[] = $line->text;
            foreach ($line->foods() as $id) {
                array_push($never, ...self::never($screener->foods([$id], $line->says(...)), Catalogue::get($id)->name));
            }
            $grams = $weigher->weigh($line);
            if ($line->ingredient === null || $line->unread !== []) {
                $unread[] = $line->text;
            } elseif ($grams === null) {
                $unread[] = "how much of {$line->text}";
            }
            if ($line->ingredient !== null && $grams !== null) {
                $portions[] = new Portion($index, Catalogue::get($line->ingredient), $grams, $policy->calorieConvention);
            }
        }
        $dough = new Dough($portions);
        $share = Range::exact(1);
        if ($pieces !== null) {
            $count = (new Batch($dough, $cut ?? new Cut('pieces', ['count' => 24.0]), Texture::of('biscuit'), ['count' => null, 'bakedGrams' => null, 'wasteGrams' => null]))->count->best;
            $share = Range::exact($count > 0 ? min(1.0, $pieces / $count) : 0.0);
        }
        $substances = [];
        foreach ($portions as $portion) {
            foreach (self::of($portion->ingredient, $portion->grams->timesRange($share)) as $substance => $amount) {
                $substances[$substance] = isset($substances[$substance]) ? $substances[$substance]->plus($amount) : $amount;
            }
        }
        $what = $pieces === null ? ($title ?? implode(', ', array_slice($ingredients, 0, 6))) : rtrim(rtrim(number_format($pieces, 2), '0'), '.').' pieces of '.($title ?? 'a batch');

        return new self($what, $portions === [] ? null : $dough->kcal->timesRange($share), $substances, self::distinct($never), $pieces === null && $title === null ? [] : $ingredients, $unread);
    }

    /**
     * So many grams of a product. What stands later in a list weighs no more than what stands before it, so the n-th part is at most
     * 1/n of the whole.
     */
    public static function ofProduct(string $name, string $list, float $grams, Policy $policy): self
    {
        $screener = new Screener(new Circumstances([], 'none', false, 'avoid', false));
        $substances = $never = $ingredients = $unread = [];
        $place = 0;
        foreach (LabelReader::read($list) as $part) {
            if ($part->trace) {
                continue;
            }
            $ingredients[] = $part->text;
            $place += $part->depth === 0 ? 1 : 0;
            $share = $part->percent !== null ? Range::exact($part->percent / 100) : Range::of(0, 0.5 / max(1, $place), 1 / max(1, $place));
            foreach ($part->lines as $line) {
                if ($line->ingredient === null) {
                    $unread[] = $part->text;
                }
                foreach ($line->foods() as $id) {
                    array_push($never, ...self::never($screener->foods([$id], $line->says(...)), Catalogue::get($id)->name));
                    foreach (self::of(Catalogue::get($id), $share->times($grams)) as $substance => $amount) {
                        $substances[$substance] = isset($substances[$substance]) ? $substances[$substance]->plus($amount) : $amount;
                    }
                }
            }
        }

        return new self(number_format($grams).' g of '.$name, null, $substances, self::distinct($never), $ingredients, $unread);
    }

    /** @return array<string, Range> */
    private static function of(Ingredient $food, Range $grams): array
    {
        $held = [];
        foreach (Data::tables()['actives'][$food->id] ?? [] as $substance => $content) {
            $held[$substance] = Range::of(...$content)->times(1 / 100)->timesRange($grams);
        }
        $sodium = $food->composition?->sodiumMg;
        if (! isset($held['saltG']) && $sodium !== null && $sodium >= 400) {
            $held['saltG'] = $grams->times($sodium / self::MG_SODIUM_PER_G_SALT / 100);
        }

        return $held;
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<array{food: string, message: string, figure: ?string, emergency: bool}>
     */
    private static function never(array $findings, string $food): array
    {
        $never = [];
        foreach ($findings as $finding) {
            if ($finding->level === Level::Never) {
                $never[] = ['food' => $food, 'message' => $finding->message, 'figure' => $finding->figure, 'emergency' => $finding->emergency];
            }
        }

        return $never;
    }

    /**
     * @param  list<array{food: string, message: string, figure: ?string, emergency: bool}>  $never
     * @return list<array{food: string, message: string, figure: ?string, emergency: bool}>
     */
    private static function distinct(array $never): array
    {
        return array_values(array_column($never, null, 'message'));
    }
}

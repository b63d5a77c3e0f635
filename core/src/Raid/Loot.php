<?php

declare(strict_types=1);

namespace MildBowl\Core\Raid;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\LabelReader;
use MildBowl\Core\Screening\Screener;
use MildBowl\Core\Values\Level;
use MildBowl\Core\Values\Range;

/** What was taken: its energy, what of each poison it held, what is on the never list, and what nobody could read. */
final readonly class Loot
{
    private const MG_SODIUM_PER_G_SALT = 393.0;

    /** From so much sodium on, in mg per 100 g, a food counts as salt. */
    private const SALTY = 400.0;

    /** What holds next to no fat though nobody knows what else is in it. */
    private const LEAN = ['caffeine-source', 'alcohol-drink', 'additive', 'risky-supplement', 'human-medicine', 'polyol', 'added-salt', 'vinegar', 'stone-itself'];

    /**
     * @param  array<string, Range>  $substances  of all that was taken, by the names of toxic-doses.csv
     * @param  list<NeverFood>  $never
     * @param  list<string>  $ingredients
     * @param  list<string>  $unread  what is not known: foods, amounts, labels nobody read
     * @param  bool  $hasUnknownFood  whether it held something that nobody knows
     * @param  list<Ingredient>  $unweighed  foods of which nobody knows how much it was
     * @param  bool  $isDoubtful  whether a label or a food was not read
     */
    private function __construct(public string $what, public ?Range $kcal, public array $substances, public array $never, public array $ingredients, public array $unread, public array $unweighed = [], public bool $hasUnknownFood = false, public bool $isDoubtful = false) {}

    /** Foods as a person writes them, or so many pieces of a recipe. */
    public static function ofText(string $text, Kitchen $kitchen, ?float $pieces, ?Cut $cut, ?string $title = null): self
    {
        $weigher = $kitchen->weigher();
        $screener = self::screener($kitchen);
        $weighed = $never = $ingredients = $unread = $unweighed = $labels = [];
        $hasUnknownFood = false;
        foreach ($kitchen->reader->read($text, '')->lines as $index => $line) {
            $ingredients[] = $line->text;
            foreach ($line->foods() as $food) {
                array_push($never, ...self::never($screener->foods([$food], $line->saidOf($food)), $food->name));
                array_push($never, ...self::onOwnLabel($food, $kitchen, $screener));
            }
            array_push($labels, ...self::unreadLabels($line, $screener));
            $one = Weighed::read($line, $index, $weigher, $kitchen->policy->calorieConvention);
            if (! $line->isUnderstood()) {
                $hasUnknownFood = true;
                $unread[] = $line->text;
            } elseif ($one === null) {
                $unread[] = "how much of {$line->text}";
                array_push($unweighed, ...$line->foods());
            }
            if ($one !== null) {
                $weighed[] = $one;
            }
        }
        $dough = new Dough($weighed);
        $share = Range::exact(1);
        if ($pieces !== null) {
            $count = (new Batch($dough, $cut ?? Cut::assumed(), Texture::assumed()))->count->best;
            $share = Range::exact($count > 0 ? min(1.0, $pieces / $count) : 0.0);
        }
        $substances = [];
        foreach ($weighed as $one) {
            foreach (self::of($one->ingredient, $one->grams->timesRange($share)) as $substance => $amount) {
                $substances[$substance] = isset($substances[$substance]) ? $substances[$substance]->plus($amount) : $amount;
            }
        }
        $unread = [...$unread, ...array_values(array_unique($labels))];
        $what = $pieces === null ? ($title ?? implode(', ', array_slice($ingredients, 0, 6))) : rtrim(rtrim(number_format($pieces, 2), '0'), '.').' pieces of '.($title ?? 'a batch');

        return new self($what, $weighed === [] ? null : $dough->kcal->timesRange($share), $substances, self::distinct($never), $pieces === null && $title === null ? [] : $ingredients, $unread, $unweighed, $hasUnknownFood, $hasUnknownFood || $labels !== []);
    }

    /**
     * So many grams of a product. What stands later in a list weighs no more than what stands before it, so the n-th part is at most
     * 1/n of the whole.
     */
    public static function ofProduct(string $name, string $list, float $grams, Kitchen $kitchen): self
    {
        $screener = self::screener($kitchen);
        $substances = $never = $ingredients = $unread = [];
        $place = 0;
        foreach (LabelReader::read($list, $kitchen->reader->lines) as $part) {
            if ($part->trace) {
                continue;
            }
            $ingredients[] = $part->text;
            $place += $part->depth === 0 ? 1 : 0;
            $share = $part->percent !== null ? Range::exact($part->percent / 100) : Range::of(0, 0.5 / max(1, $place), 1 / max(1, $place));
            foreach ($part->lines as $line) {
                if ($line->food === null) {
                    $unread[] = $part->text;
                }
                foreach ($line->foods() as $food) {
                    array_push($never, ...self::never($screener->foods([$food], $line->saidOf($food)), $food->name));
                    foreach (self::of($food, $share->times($grams)) as $substance => $amount) {
                        $substances[$substance] = isset($substances[$substance]) ? $substances[$substance]->plus($amount) : $amount;
                    }
                }
            }
        }

        return new self(number_format($grams).' g of '.$name, null, $substances, self::distinct($never), $ingredients, $unread, [], $unread !== [], $unread !== []);
    }

    /** Nobody's allergy and no heat matter here: only what is never allowed. */
    private static function screener(Kitchen $kitchen): Screener
    {
        return new Screener(Circumstances::of([], Texture::of('none'), new Policy), $kitchen->reader->lines);
    }

    /**
     * What a line may hold that only a label tells.
     *
     * @return list<string>
     */
    private static function unreadLabels(ReadLine $line, Screener $screener): array
    {
        $labels = [];
        foreach ($screener->line($line, null) as $finding) {
            if ($finding->level === Level::CheckLabel) {
                $labels[] = "the label of {$line->text} (".lcfirst(rtrim($finding->message, '.')).')';
            }
        }

        return $labels;
    }

    /**
     * What so much of a food holds of each substance of toxic-doses.csv; nothing of one that it does not hold.
     *
     * @return array<string, Range>
     */
    public static function of(Ingredient $food, Range $grams): array
    {
        $held = [];
        if ($food->composition !== null) {
            $held['fatG'] = $grams->times($food->composition->fatG / 100);
        } elseif (! $food->inAny(self::LEAN) || $food->inGroup('chocolate-cocoa')) {
            $held['fatG'] = Range::of(0.0, $grams->best / 2, $grams->high);
        }
        foreach (Compiled::tables()['actives'][$food->id] ?? [] as $substance => $content) {
            $held[$substance] = Range::of(...$content)->times(1 / 100)->timesRange($grams);
        }
        $sodium = $food->composition?->sodiumMg;
        if (! isset($held['saltG']) && $sodium !== null && $sodium >= self::SALTY) {
            $held['saltG'] = $grams->times($sodium / self::MG_SODIUM_PER_G_SALT / 100);
        }

        return $held;
    }

    /**
     * What the list of a kitchen's own food names.
     *
     * @return list<NeverFood>
     */
    private static function onOwnLabel(Ingredient $food, Kitchen $kitchen, Screener $screener): array
    {
        $own = $kitchen->catalogue->own($food->id);

        return $own?->ingredients === null ? [] : self::never($screener->label($own->names[0], $own->ingredients), $food->name);
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<NeverFood>
     */
    private static function never(array $findings, string $food): array
    {
        $never = [];
        foreach ($findings as $finding) {
            if ($finding->level === Level::Never) {
                $never[] = new NeverFood($food, $finding->message, $finding->figure, $finding->emergency);
            }
        }

        return $never;
    }

    /**
     * @param  list<NeverFood>  $never
     * @return list<NeverFood>
     */
    private static function distinct(array $never): array
    {
        $distinct = [];
        foreach ($never as $one) {
            $distinct[$one->message] = $one;
        }

        return array_values($distinct);
    }
}

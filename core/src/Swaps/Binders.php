<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Pantry\Ingredient;

/** What holds a dough together when its gluten or its egg goes (reference page 4, known good swaps). */
final readonly class Binders
{
    /** g on a g of flour, in the order a baker reaches for them. */
    public const OF_FLOUR = ['ground-flaxseed' => 0.05, 'chia' => 0.05, 'egg' => 0.2, 'psyllium' => 0.02];

    /** Share of the flour from which its gluten is missed. */
    private const HALF = 0.5;

    /** g of egg on a g of flour that bind it already. */
    private const ENOUGH_EGG = 0.10;

    /** What binds a dough that has hardly any starch. */
    private const STRONG = ['ground-flaxseed', 'chia', 'psyllium', 'gelatin', 'egg', 'egg-white'];

    private float $flour;

    private float $gluten;

    /** @var array{float, int} g and line of the heaviest flour with gluten */
    private array $main;

    private bool $isBound;

    private bool $isWeak;

    public function __construct(Dough $dough)
    {
        $flour = $gluten = $egg = $seed = $weak = $dry = 0.0;
        $main = [0.0, -1];
        foreach ($dough->weighed as $one) {
            $grams = $one->grams->best;
            $egg += $one->ingredient->inGroup('egg') ? $grams : 0.0;
            $seed += in_array($one->ingredient->id, ['ground-flaxseed', 'chia', 'psyllium', 'gelatin', 'flaxseed'], true) ? $grams : 0.0;
            if (Uptake::of($one->ingredient) <= 0.0 || in_array($one->ingredient->id, ['ground-flaxseed', 'chia', 'psyllium'], true)) {
                continue;
            }
            $dry += $grams;
            $weak += in_array($one->ingredient->id, ['coconut-flour', 'almond-flour'], true) ? $grams * ($one->ingredient->id === 'coconut-flour' ? 3.5 : 1.0) : 0.0;
            $flour += $grams;
            if ($one->ingredient->inGroup('gluten')) {
                $gluten += $grams;
                $main = $grams > $main[0] ? [$grams, $one->line] : $main;
            }
        }
        $this->flour = $flour;
        $this->gluten = $gluten;
        $this->main = $main;
        $this->isBound = $dough->binding !== null || $egg >= self::ENOUGH_EGG * $flour || $seed >= 0.03 * $flour;
        $this->isWeak = $dry > 0.0 && $weak >= self::HALF * max($dry, $weak);
    }

    /** g of flour that a binder must hold when this swap takes the gluten out; null where none is missed. */
    public function comesWith(Weighed $portion, Swap $swap): ?float
    {
        $in = array_key_first($swap->in);
        $isOut = $portion->line === $this->main[1] && $portion->ingredient->inGroup('gluten') && $in !== null && ! Ingredient::shipped($in)->inGroup('gluten');
        if ($in === 'coconut-flour' && $portion->ingredient->id !== 'coconut-flour') {
            return $portion->grams->best;
        }

        return $isOut && ! $this->isBound && $this->gluten > self::HALF * $this->flour ? $portion->grams->best : null;
    }

    /** Egg in a dough of coconut or almond flour is all that holds it: no purée stands in. */
    public function mayStandIn(Weighed $portion, Swap $swap): bool
    {
        $in = array_key_first($swap->in);

        return ! $this->isWeak || ! $portion->ingredient->inGroup('egg') || ($in !== null && in_array($in, self::STRONG, true));
    }
}

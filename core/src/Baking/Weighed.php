<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Measuring\Weigher;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Values\Range;

/** One weighed food of a batch, with what it brings. */
final readonly class Weighed
{
    private const SPREAD_OF_ESTIMATES = 0.10;

    /** kcal in a gram of what nobody knows: nothing at least, pure fat at most (contract, energy that is not known). */
    public const MOST_UNKNOWN = 9.0;

    /**
     * What the best amount of this food brings of each substance that is shown or dosed: g, mg or µg as the name says.
     * A substance whose content is unknown is left out.
     *
     * @var array<string, float>
     */
    public array $substances;

    /** g of it that wet a flour like a liquid */
    public float $freeG;

    private ?Range $kcal;

    /** @param  list<string>  $forms  in which it goes in: mashed, grated, as purée */
    public function __construct(
        public int $line,
        public Ingredient $ingredient,
        public Range $grams,
        private string $calorieConvention,
        /** what is left of it where some was poured off or stays behind: its energy and its substances */
        private ?Left $left = null,
        public array $forms = [],
    ) {
        $free = FreeWater::of($ingredient, $forms) * $grams->best;
        if ($left !== null) {
            $this->substances = $left->substances;
            $this->kcal = $left->kcal;
            $had = ($ingredient->composition->waterG ?? 0.0) / 100 * $grams->best;
            $this->freeG = $had > 0.0 ? $free * ($left->substances['waterG'] ?? 0.0) / $had : $free;

            return;
        }
        $this->freeG = $free;
        $share = $grams->best / 100;
        $substances = [];
        foreach ($ingredient->contents as $substance => $per100g) {
            $substances[$substance] = $per100g * $share;
        }
        $this->substances = $substances;
        $this->kcal = $this->energy();
    }

    /** A line as it is weighed; null where it has no food or no amount. */
    public static function read(ReadLine $line, int $index, Weigher $weigher, string $calorieConvention): ?self
    {
        $grams = $line->food === null ? null : $weigher->weigh($line);

        return $line->food === null || $grams === null ? null : new self($index, $line->food, $grams, $calorieConvention, forms: $line->forms);
    }

    /** So much of it. */
    public function times(float $share): self
    {
        return new self($this->line, $this->ingredient, $this->grams->times($share), $this->calorieConvention, $this->left?->times($share), $this->forms);
    }

    /**
     * The same line where only some of it goes on.
     *
     * @param  ?Range  $kcal  null when unknown
     * @param  array<string, float>  $substances
     */
    public function keeping(Range $grams, ?Range $kcal, array $substances): self
    {
        return new self($this->line, $this->ingredient, $grams, $this->calorieConvention, new Left($kcal, $substances), $this->forms);
    }

    /** Share of everything but water; a food whose composition is unknown is all solid. */
    public function solidShare(): float
    {
        if ($this->left !== null) {
            return $this->grams->best > 0.0 ? max(0.0, 1 - ($this->substances['waterG'] ?? 0.0) / $this->grams->best) : 0.0;
        }

        return 1 - ($this->ingredient->composition->waterG ?? 0.0) / 100;
    }

    /** kcal per 100 g in the chosen convention; null when the composition is unknown. */
    public function kcalPer100g(): ?float
    {
        $composition = $this->ingredient->composition;
        if ($composition === null) {
            return null;
        }

        return $this->calorieConvention === 'modified' ? $composition->kcalModified() : $composition->kcal;
    }

    /** kcal over the best guess that it may hold because nobody knows what it is made of. */
    public function unknownKcal(): float
    {
        return $this->ingredient->composition === null && $this->kcal !== null ? $this->kcal->high - $this->kcal->best : 0.0;
    }

    /** null where nothing is known of what is left of it. */
    public function kcal(): ?Range
    {
        return $this->kcal;
    }

    private function energy(): Range
    {
        $per100g = $this->kcalPer100g();
        if ($per100g === null) {
            return Range::of(0.0, self::MOST_UNKNOWN / 2 * $this->grams->best, self::MOST_UNKNOWN * $this->grams->high);
        }
        $kcal = $this->grams->times($per100g / 100);
        if ($this->ingredient->confidence !== 'C') {
            return $kcal;
        }

        return Range::of($kcal->low * (1 - self::SPREAD_OF_ESTIMATES), $kcal->best, $kcal->high * (1 + self::SPREAD_OF_ESTIMATES));
    }
}

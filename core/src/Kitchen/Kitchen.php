<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Measuring\Weigher;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\OwnFood;
use MildBowl\Core\Pantry\Prices;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\RecipeReader;

/**
 * The place a question is asked in: its foods and its words for them, its house rules, its prices and swaps, its tray and its oven.
 * It never changes and is handed to whoever needs it.
 */
final readonly class Kitchen
{
    /** @param  list<OwnSwap>  $swaps  its own swaps and what it thinks of known ones */
    private function __construct(
        public Catalogue $catalogue,
        public RecipeReader $reader,
        public Policy $policy,
        public ?Prices $prices,
        public array $swaps,
        public ?Tray $tray,
        public ?Oven $oven,
        public Learned $learned = new Learned,
    ) {}

    /** One without anything of its own. */
    public static function shipped(): self
    {
        $catalogue = Catalogue::shipped();

        return new self($catalogue, new RecipeReader($catalogue), new Policy, null, [], null, null);
    }

    /**
     * The same kitchen with foods and words of its own; the reader of the one it comes from is kept where there are none.
     *
     * @param  list<OwnFood>  $foods
     * @param  array<string, string>  $names  ingredient id by the kitchen's own words for it
     */
    public function withFoods(array $foods, array $names): self
    {
        $catalogue = $this->catalogue->with($foods, $names);

        return $catalogue === $this->catalogue ? $this
            : new self($catalogue, new RecipeReader($catalogue), $this->policy, $this->prices, $this->swaps, $this->tray, $this->oven, $this->learned);
    }

    /**
     * The same kitchen run by these rules, with these things in it.
     *
     * @param  list<OwnSwap>  $swaps
     * @param  ?Oven  $oven  null where nobody said what oven there is
     */
    public function furnished(Policy $policy, ?Prices $prices = null, array $swaps = [], ?Tray $tray = null, ?Oven $oven = null, Learned $learned = new Learned): self
    {
        return new self($this->catalogue, $this->reader, $policy, $prices, $swaps, $tray, $oven, $learned);
    }

    public function weigher(): Weigher
    {
        return new Weigher($this->policy->units);
    }

    /** Writes lines as a recipe of these lines does. */
    public function writer(ReadLine ...$like): LineWriter
    {
        return new LineWriter($this->reader->lines, $this->weigher(), LineWriter::isByWeight(...$like));
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Measured;
use MildBowl\Core\Baking\Parts\Parts;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Kitchen\Policy;

/** One dough divided: what the whole cut makes of it, or its portions and the rest. */
final readonly class Lots
{
    private const NEXT_TO_NOTHING = 1e-6;

    /** @param  non-empty-list<Lot>  $all  portions in the order they were asked for, the rest last */
    private function __construct(public array $all) {}

    /**
     * Shares that were not given are set by what the dogs of each portion may eat in a day.
     *
     * @param  list<AskedPortion>  $portions
     * @param  list<Dog>  $dogs
     */
    public static function of(Parts $parts, Cut $cut, Texture $texture, Measured $measured, array $portions, array $dogs, Policy $policy, Learned $learned = new Learned): self
    {
        if ($portions === []) {
            return new self([new Lot(null, $dogs, 1.0, $cut, $parts->body->textureAt($texture), Batch::of($parts, 1.0, $cut, $texture, $measured, $learned))]);
        }
        $needs = $others = [];
        foreach ($dogs as $dog) {
            $needs[$dog->key()] = TreatBudget::for($dog, $policy)->kcal ?? 0.0;
            $others[$dog->key()] = $dog;
        }
        $left = 1.0;
        $open = 0.0;
        foreach ($portions as $portion) {
            $left -= $portion->share ?? 0.0;
            $open += $portion->share === null ? self::need($needs, $portion->dogs) : 0.0;
            foreach ($portion->dogs as $dog) {
                unset($others[$dog->key()]);
            }
        }
        $others = array_values($others);
        $left = max(0.0, $left);
        $open += $others === [] ? 0.0 : self::need($needs, $others);
        $lots = [];
        $taken = 0.0;
        foreach ($portions as $portion) {
            $share = $portion->share ?? ($open > 0 ? $left * self::need($needs, $portion->dogs) / $open : 0.0);
            $taken += $share;
            [$own, $baked] = [$portion->cut ?? $cut, $portion->texture ?? $texture];
            $lots[] = new Lot($portion->name, $portion->dogs, $share, $own, $parts->body->textureAt($baked), Batch::of($parts, $share, $own, $baked, $portion->measured, $learned), $portion->id);
        }
        $rest = 1.0 - $taken;
        if ($rest > self::NEXT_TO_NOTHING || $others !== []) {
            $lots[] = new Lot(null, $others, max(0.0, $rest), $cut, $parts->body->textureAt($texture), Batch::of($parts, max(0.0, $rest), $cut, $texture, $measured, $learned));
        }

        return new self($lots);
    }

    /** The lot that is not named, or the first. */
    public function main(): Lot
    {
        $last = $this->all[count($this->all) - 1];

        return $last->name === null ? $last : $this->all[0];
    }

    /** The lot a dog eats from. */
    public function for(Dog $dog): Lot
    {
        foreach ($this->all as $lot) {
            if ($lot->isFor($dog)) {
                return $lot;
            }
        }

        return $this->all[count($this->all) - 1];
    }

    /**
     * @param  array<string, float>  $needs  kcal of treats a day, by dog
     * @param  list<Dog>  $dogs
     */
    private static function need(array $needs, array $dogs): float
    {
        return max(0.001, array_sum(array_map(static fn (Dog $dog): float => $needs[$dog->key()] ?? 0.0, $dogs)));
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Baking\Portion;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\RequestRefused;

/** What this kitchen paid for its foods, in its own money. */
final readonly class Prices
{
    /** @param  array<string, float>  $perGram  by ingredient */
    private function __construct(private array $perGram) {}

    /** @throws RequestRefused */
    public static function from(?Node $node): self
    {
        $perGram = [];
        foreach ($node?->list(1000) ?? [] as $one) {
            [$ingredient, $grams, $price] = self::one($one);
            $perGram[$ingredient] = $price / $grams;
        }

        return new self($perGram);
    }

    /**
     * One pack: the food in it, its grams, what it cost.
     *
     * @return array{string, float, float}
     *
     * @throws RequestRefused
     */
    public static function one(Node $node): array
    {
        $node->object(['ingredient', 'grams', 'price']);
        $ingredient = $node->required('ingredient', 'The food');
        $id = $ingredient->filled(80);
        if (! Catalogue::has($id)) {
            throw RequestRefused::outOfRange($ingredient->path, "The catalogue holds no ingredient \"$id\".");
        }

        return [$id, $node->required('grams', 'The weight of a pack')->positive(100000, 'g'), $node->required('price', 'The price of a pack')->number(0, 100000)];
    }

    /**
     * What a bowl costs, of the foods whose price is known, and the share of its mass they are; null when no price is known. Water is free.
     *
     * @param  list<Portion>  $portions
     * @return array{known: float, share: float}|null
     */
    public function of(array $portions): ?array
    {
        $known = $covered = $mass = 0.0;
        foreach ($portions as $portion) {
            $grams = $portion->grams->best;
            $mass += $grams;
            $perGram = $portion->ingredient->id === 'water' ? 0.0 : $this->perGram[$portion->ingredient->id] ?? null;
            if ($perGram !== null) {
                $known += $grams * $perGram;
                $covered += $grams;
            }
        }

        return $this->perGram === [] || $mass <= 0.0 ? null : ['known' => $known, 'share' => $covered / $mass];
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Mention;

/** What has gone into the bowl so far, and which of it a later word speaks of. */
final class Bowl
{
    private const COOKED = ['cooked', 'boiled', 'steamed', 'roasted', 'baked', 'poached', 'mashed'];

    /** @var array<string, Serving> by food */
    public array $servings = [];

    public function __construct(private readonly Catalogue $catalogue) {}

    /** The serving that a mention speaks of again: "the rice flour" is the brown rice flour of before. */
    public function known(Mention $mention, string $said = ''): ?Serving
    {
        if (isset($this->servings[$mention->ingredient])) {
            return $this->servings[$mention->ingredient];
        }
        $food = $this->catalogue->get($mention->ingredient);
        foreach (array_reverse($this->servings) as $one) {
            if ($one->food === '') {
                continue;
            }
            $known = $this->catalogue->get($one->food);
            if (($said !== '' && str_ends_with(mb_strtolower($one->plain), " $said")) || $known->isNamedBy($food) || $known->isCoveredBy($mention->ingredient) || $known->like === $mention->ingredient || $food->like === $one->food) {
                return $one;
            }
        }

        return null;
    }

    /** The serving that only names the kind of a food, with no amount or the same. */
    public function kindOf(Mention $mention, Amount $amount): ?Serving
    {
        $food = $this->catalogue->get($mention->ingredient);
        foreach ($this->servings as $one) {
            if ($one->food !== '' && $food->isNamedBy($this->catalogue->get($one->food)) && ($one->amounts === [] || $one->says($amount))) {
                return $one;
            }
        }

        return null;
    }

    /** The serving whose food becomes this one when it is cooked. */
    public function rawOf(string $id): ?Serving
    {
        foreach ($this->servings as $one) {
            if ($one->food !== '' && $one->amounts !== [] && in_array($id, array_intersect_key(Catalogue::formsOf($one->food), array_flip(self::COOKED)), true)) {
                return $one;
            }
        }

        return null;
    }

    /** Whether a food is in, or a sort of it: lactose-free milk is milk. */
    public function holdsSortOf(string $id): bool
    {
        foreach ($this->servings as $one) {
            if ($one->food === $id || str_starts_with($one->food, "$id-")) {
                return true;
            }
        }

        return false;
    }

    /** The same serving as another sort of its food. */
    public function rename(Serving $serving, string $id, string $name): Serving
    {
        $renamed = new Serving($id, $name, $name, $serving->at);
        $renamed->amounts = $serving->amounts;
        $renamed->spans = $serving->spans;
        $renamed->earlier = $serving->earlier;
        $renamed->isSure = $serving->isSure;
        $servings = [];
        foreach ($this->servings as $food => $one) {
            $servings[$one === $serving ? $id : $food] = $one === $serving ? $renamed : $one;
        }
        $this->servings = $servings;

        return $renamed;
    }

    public function without(string $food): void
    {
        unset($this->servings[$food]);
    }

    /** Takes out what was named and never measured: by itself only, or in other words than what was. */
    public function clear(): void
    {
        foreach ($this->servings as $id => $one) {
            if ($one->food !== '' && $one->amounts === [] && ($one->isOnlyNamed || $this->isNamedElsewhere($one))) {
                unset($this->servings[$id]);
            }
        }
    }

    /** Whether a food without an amount is another word for one that has its amount. */
    private function isNamedElsewhere(Serving $serving): bool
    {
        $food = $this->catalogue->get($serving->food);
        $words = explode(' ', mb_strtolower($serving->plain));
        foreach ($this->servings as $other) {
            if ($other === $serving || $other->amounts === [] || $other->food === '') {
                continue;
            }
            $known = $this->catalogue->get($other->food);
            if ($known->isNamedBy($food) || $known->isCoveredBy($serving->food) || array_diff($words, explode(' ', mb_strtolower($other->plain))) === []) {
                return true;
            }
        }

        return false;
    }
}

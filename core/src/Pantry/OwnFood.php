<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

/** A food that a kitchen added from a label: its names, its figures per 100 g, the allergen groups it belongs to, its list. */
final readonly class OwnFood
{
    /**
     * @param  non-empty-list<string>  $names  its name first
     * @param  ?string  $ingredients  the list on its label; null when nobody copied it
     */
    public function __construct(public Ingredient $ingredient, public array $names, public ?string $ingredients) {}

    public static function idOf(string $name): string
    {
        return 'own-'.trim(preg_replace('/[^a-z0-9]+/', '-', mb_strtolower($name)) ?? '', '-');
    }
}

<?php

declare(strict_types=1);

namespace App\Devices;

/** A product as a label service knows it. */
final readonly class ShelfProduct
{
    public function __construct(public string $number, public string $name, public string $ingredients) {}

    /** @return array{number: string, name: string, ingredients: string} */
    public function toArray(): array
    {
        return ['number' => $this->number, 'name' => $this->name, 'ingredients' => $this->ingredients];
    }
}

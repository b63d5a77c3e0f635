<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use App\Models\Dog;

/** Dogs by the names that a table calls them. */
final class DogNames
{
    /** @var array<string, Dog>|null */
    private ?array $dogs = null;

    public function of(Row $row): Dog
    {
        $name = $row->text('dog', 60);
        $this->dogs ??= Dog::query()->get()->keyBy(static fn (Dog $one): string => mb_strtolower($one->name))->all();

        return $this->dogs[mb_strtolower($name)] ?? throw new CellRefused('dog', "There is no dog called \"$name\" in this kitchen: add it first, or write its name as it stands there.");
    }
}

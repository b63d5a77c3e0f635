<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use MildBowl\Core\Questions\RequestRefused;

/** A table of the kitchen as CSV: its columns, its rows, and how a row from outside is taken in. */
interface Table
{
    /** @return array<string, bool> by name, whether a file has to have it */
    public function columns(): array;

    /** @return iterable<list<string>> as they stand, in the order of the columns */
    public function rows(): iterable;

    /**
     * @return 'new'|'same'|'changed'
     *
     * @throws CellRefused where a cell of it cannot be
     * @throws RequestRefused where core says no to the whole of it
     */
    public function take(Row $row): string;

    /** What follows once every row was taken. */
    public function finish(): void;
}

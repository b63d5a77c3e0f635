<?php

declare(strict_types=1);

namespace App\Backup;

/** A table of what a kitchen keeps, as a backup tells it. */
final readonly class KeptTable
{
    /**
     * @param  list<string>  $columns  in the table's own order, without the kitchen's number
     * @param  list<string>  $key  what its rows are ordered by
     * @param  array<string, array{type: string, nullable: bool}>  $types  by column, in PostgreSQL's words
     */
    public function __construct(public string $name, public array $columns, public array $key, public array $types) {}

    /** Written as a file of its own beside the rows: pictures. */
    public function fileColumn(): ?string
    {
        foreach ($this->types as $column => $type) {
            if ($type['type'] === 'bytea') {
                return $column;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

/** What stands in a cell cannot be. */
final class CellRefused extends \RuntimeException
{
    public function __construct(public readonly string $column, string $message)
    {
        parent::__construct($message);
    }
}

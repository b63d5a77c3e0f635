<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

/** What had to be taken for granted, in the order it came up. */
final class Assumptions
{
    /** @var array<string, array{code: string, message: string}> */
    private array $list = [];

    public function add(string $code, string $message): void
    {
        $this->list["$code|$message"] ??= ['code' => $code, 'message' => $message];
    }

    /** @return list<array{code: string, message: string}> */
    public function toArray(): array
    {
        return array_values($this->list);
    }
}

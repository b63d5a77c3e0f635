<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;

/** The id of a row that is added: the key of its delivery, so that the page knows what it made before the kitchen has answered. */
final readonly class NewRow
{
    public function __construct(private Request $request) {}

    /** @return array{id?: string} */
    public function id(): array
    {
        $key = $this->request->headers->get('Idempotency-Key');

        return $key === null ? [] : ['id' => strtolower($key)];
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A kitchen's own word for a food. Core decides whether the word is free. */
final class OwnNameRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['words' => ['required', 'bail', 'filled', 'string', 'max:80'], 'ingredient' => ['required', 'string', 'max:80']];
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\CurrentKitchen;
use Illuminate\Validation\Rule;

/** What a person says they have read or asked, with the words that were shown. */
final class ConfirmationRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'code' => ['required', 'string', 'max:80'],
            'level' => ['required', Rule::in(['ask-vet', 'check-label'])],
            'line' => ['nullable', 'string', 'max:2000'],
            'dog' => ['nullable', 'string', 'max:60'],
            'dogId' => ['nullable', 'uuid', Rule::exists('dogs', 'id')->where('kitchen_id', app(CurrentKitchen::class)->id())],
            'recipeTitle' => ['nullable', 'string', 'max:200'],
            'words' => ['required', 'bail', 'filled', 'string', 'max:2000'],
            'saidBy' => ['nullable', 'string', 'max:120'],
        ];
    }
}

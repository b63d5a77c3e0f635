<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\KitchenClock;
use Illuminate\Validation\Rule;

/** What a person says they have read or asked, with the words that were shown. */
final class ConfirmationRequest extends StrictRequest
{
    /** No vet's word is taken for longer. */
    private const MOST_YEARS = 3;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $today = app(KitchenClock::class)->today();

        return [
            'code' => ['required', 'string', 'max:80'],
            'level' => ['required', Rule::in(['ask-vet', 'check-label'])],
            'line' => ['nullable', 'string', 'max:2000'],
            'dog' => ['nullable', 'string', 'max:60'],
            'dogId' => ['nullable', 'uuid', self::ofThisKitchen('dogs')->withoutTrashed()],
            'productId' => ['nullable', 'uuid', self::ofThisKitchen('products')->withoutTrashed()],
            'holdsUntil' => [
                'nullable', 'date_format:Y-m-d',
                'after_or_equal:'.$today->format('Y-m-d'),
                'before_or_equal:'.$today->addYears(self::MOST_YEARS)->format('Y-m-d'),
            ],
            'recipeTitle' => ['nullable', 'string', 'max:200'],
            'words' => ['required', 'bail', 'filled', 'string', 'max:2000'],
            'saidBy' => ['nullable', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'holdsUntil.after_or_equal' => 'That day has gone: a word holds from today on.',
            'holdsUntil.before_or_equal' => 'A word holds for '.self::MOST_YEARS.' years at most: ask again then.',
            'holdsUntil.date_format' => 'This must be a date such as 2026-05-14.',
        ];
    }
}

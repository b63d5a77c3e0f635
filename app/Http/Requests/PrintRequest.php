<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Printing\Sheet;
use Illuminate\Validation\Rule;

/** What is to be printed: labels of gifts or bags, or cards of recipes. It comes in the address, so that a page can be opened and saved. */
final class PrintRequest extends StrictRequest
{
    public const MOST = 60;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'what' => ['required', Rule::in(['gift', 'bag', 'card'])],
            'sheet' => ['required', Rule::in(Sheet::ids())],
            'from' => ['sometimes', 'integer', 'between:1,30'],
            'copies' => ['sometimes', 'integer', 'between:1,'.self::MOST],
            'recipe' => ['sometimes', 'uuid', self::ofThisKitchen('recipes')],
            'occasion' => ['sometimes', 'uuid', self::ofThisKitchen('occasions')],
            'bags' => ['sometimes', 'string', 'max:2500', 'regex:/^[0-9a-f-]{36}(,[0-9a-f-]{36})*$/i'],
            'title' => ['sometimes', 'nullable', 'string', 'max:120', self::noClaim()],
            'madeFor' => ['sometimes', 'nullable', 'string', 'max:80', self::noClaim()],
            'perKilo' => ['sometimes', Rule::in(['0', '1'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'what.required' => 'Say what is printed: a label for a gift, one for a bag, or a card.', 'what.in' => 'Labels for gifts and bags, and cards are printed: gift, bag or card.',
            'sheet.required' => 'Say on which paper: '.implode(', ', Sheet::ids()).'.', 'sheet.in' => 'There is paper of these kinds: '.implode(', ', Sheet::ids()).'.',
            'from.between' => 'A sheet begins at one of its labels, the first is 1.', 'copies.between' => 'From 1 to '.self::MOST.' copies are printed at once.',
            'recipe.exists' => 'That recipe is not in this kitchen.', 'recipe.uuid' => 'That recipe is not in this kitchen.', 'occasion.exists' => 'That occasion is not in this kitchen.', 'occasion.uuid' => 'That occasion is not in this kitchen.', 'bags.regex' => 'Name the bags by their ids, with commas.',
        ];
    }
}

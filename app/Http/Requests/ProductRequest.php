<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Product;

/** A product as copied from its tub. */
final class ProductRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $presence = $this->isMethod('POST') ? 'required' : 'sometimes';

        return [
            'name' => [$presence, 'bail', 'filled', 'string', 'max:120', self::free(Product::class, 'name', $this->route('product'), $this->messages()['name.unique'])],
            'number' => ['nullable', 'string', 'max:32', 'regex:/^[0-9]+$/'],
            'ingredients' => [$this->boolean('listLater') ? 'sometimes' : $presence, 'bail', 'filled', 'string', 'max:5000'],
            'photoId' => ['nullable', 'uuid', self::ofThisKitchen('photos')],
            'listLater' => ['sometimes', 'boolean:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the product a name.', 'name.filled' => 'Give the product a name.',
            'name.unique' => 'There is a product of that name already: open it to note a new wording.',
            'ingredients.required' => 'Copy the list of ingredients from the tub.', 'ingredients.filled' => 'Copy the list of ingredients from the tub.',
            'photoId.exists' => 'That photograph is not in this kitchen: send it first.', 'photoId.uuid' => 'That photograph is not in this kitchen: send it first.',
            'number.regex' => 'A barcode number holds digits only.',
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Place;
use Illuminate\Validation\Rule;
use MildBowl\Core\Keeping\Place as Kind;

/** A place where treats are kept. */
final class PlaceRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $wanted = $this->isMethod('POST') ? 'required' : 'sometimes';

        return [
            'name' => [$wanted, 'bail', 'filled', 'string', 'max:60', self::free(Place::class, 'name', $this->route('place'), $this->messages()['name.unique'])],
            'kind' => [$wanted, Rule::in(array_column(Kind::cases(), 'value'))],
            'celsius' => ['sometimes', 'nullable', 'numeric', 'between:-30,50'],
            'position' => ['sometimes', 'integer', 'between:0,1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'A place has a name: "the tin on the dresser".', 'name.filled' => 'A place has a name: "the tin on the dresser".', 'name.max' => 'A name has at most 60 letters.',
            'name.unique' => 'Another place is called so: give this one another name.',
            'kind.required' => 'Say what kind of place it is: jar, fridge or freezer.', 'kind.in' => 'A place is a jar, a fridge or a freezer.', 'celsius.between' => 'A room has from -30 to 50 °C.',
        ];
    }
}

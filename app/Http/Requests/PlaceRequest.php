<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Place;
use Illuminate\Validation\Rule;
use MildBowl\Core\Keeping\Place as Kind;
use MildBowl\Core\Keeping\ShelfLife;

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
            'celsius' => ['sometimes', 'nullable', 'numeric', 'between:-30,50', $this->isColdEnough(...)],
            'position' => ['sometimes', 'integer', 'between:0,1000'],
        ];
    }

    /** The days of the table hold for a fridge and a freezer that are as cold as they should be. */
    private function isColdEnough(string $name, mixed $celsius, \Closure $fail): void
    {
        $place = $this->route('place');
        $kind = $this->input('kind') ?? ($place instanceof Place ? $place->kind : null);
        $most = match ($kind) {
            Kind::Fridge->value => ShelfLife::FRIDGE, Kind::Freezer->value => ShelfLife::FREEZER, default => null
        };
        if ($most !== null && is_numeric($celsius) && (float) $celsius > $most) {
            $fail("A $kind has $most °C or less: turn it down, or call the place one at room warmth. Nothing keeps so long in a warmer one.");
        }
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

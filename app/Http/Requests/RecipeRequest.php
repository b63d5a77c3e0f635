<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Formulate\Request;

/** A recipe as it is kept. Unreadable lines and half a recipe are kept too: only what cannot be stored is refused. */
final class RecipeRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $presence = $this->isMethod('POST') ? 'required' : 'sometimes';

        return [
            'title' => [$presence, 'string', 'filled', 'max:200'],
            'text' => [$this->isMethod('POST') ? 'present' : 'sometimes', 'nullable', 'string', 'max:'.Request::LONGEST_TEXT],
            'steps' => ['sometimes', 'nullable', 'string', 'max:'.Request::LONGEST_TEXT],
            'cut' => ['sometimes', 'nullable', 'array'],
            'source' => ['sometimes', 'nullable', 'string', 'max:500'],
            'yield' => ['sometimes', 'nullable', 'string', 'max:200'],
            'prepMinutes' => ['sometimes', 'nullable', 'numeric', 'between:0,99999'],
            'bakeMinutes' => ['sometimes', 'nullable', 'numeric', 'between:0,99999'],
            'texture' => ['sometimes', 'nullable', Rule::in(Texture::ids())],
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $columns = $this->validated();
        foreach (['text', 'steps'] as $key) {
            if (array_key_exists($key, $columns)) {
                $columns[$key] = (string) $columns[$key];
            }
        }
        foreach (['prepMinutes' => 'prep_minutes', 'bakeMinutes' => 'bake_minutes'] as $key => $column) {
            if (array_key_exists($key, $columns)) {
                $columns[$column] = $columns[$key];
                unset($columns[$key]);
            }
        }
        if (isset($columns['cut'])) {
            Request::cutOf($columns['cut']);
        }

        return $columns;
    }
}

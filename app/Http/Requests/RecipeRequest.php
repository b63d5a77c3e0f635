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
        if (isset($columns['cut'])) {
            Request::cutOf($columns['cut']);
        }

        return $columns;
    }
}

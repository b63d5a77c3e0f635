<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Dog;
use App\Models\Recipe;
use Illuminate\Validation\Rule;
use MildBowl\Core\Baking\Parts\AskedPart;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Contract\CutReader;
use MildBowl\Core\Contract\PartReader;
use MildBowl\Core\Contract\QuestionReader;
use MildBowl\Core\Judging\Question;

/** A recipe as it is kept. Unreadable lines and half a recipe are kept too: only what cannot be stored is refused. */
final class RecipeRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $presence = $this->isMethod('POST') ? 'required' : 'sometimes';

        return [
            'title' => [$presence, 'bail', 'filled', 'string', 'max:200'],
            'text' => [$this->isMethod('POST') ? 'present' : 'sometimes', 'nullable', 'string', 'max:'.Question::LONGEST_TEXT],
            'steps' => ['sometimes', 'nullable', 'string', 'max:'.Question::LONGEST_TEXT],
            'cut' => ['sometimes', 'nullable', 'array'],
            'portions' => ['sometimes', 'nullable', 'array', 'max:10'],
            'parts' => ['sometimes', 'nullable', 'array', 'max:'.AskedPart::MOST],
            'without' => ['sometimes', 'nullable', 'array', 'max:50'],
            'without.*.dog' => ['required', 'string', 'max:60'],
            'without.*.sections' => ['required', 'array', 'max:20'],
            'without.*.sections.*' => ['required', 'string', 'max:200'],
            'parentId' => ['sometimes', 'nullable', 'uuid', self::ofThisKitchen('recipes')->withoutTrashed(), $this->notItsOwnChild(...)],
            'notes' => ['sometimes', 'nullable', 'string', 'max:5000'],
            'promoted' => ['sometimes', 'boolean:strict'],
            'favourite' => ['sometimes', 'boolean:strict'],
            'tags' => ['sometimes', 'array', 'max:20'],
            'tags.*' => ['string', 'filled', 'max:40'],
            'photoId' => ['sometimes', 'nullable', 'uuid', self::ofThisKitchen('photos')],
            'confirmed' => ['sometimes', 'array', 'max:200'],
            'confirmed.*' => [self::keysAre(['code', 'line', 'dog'])],
            'confirmed.*.code' => ['required', 'string', 'max:80'],
            'confirmed.*.line' => ['present', 'nullable', 'string', 'max:2000'],
            'confirmed.*.dog' => ['present', 'nullable', 'string', 'max:60'],
            'bound' => ['sometimes', 'array', 'max:200'],
            'bound.*' => [self::keysAre(['line', 'productId'])],
            'bound.*.line' => ['required', 'string', 'max:2000'],
            'bound.*.productId' => ['required', 'uuid'],
            'source' => ['sometimes', 'nullable', 'string', 'max:500'],
            'yield' => ['sometimes', 'nullable', 'string', 'max:200'],
            'prepMinutes' => ['sometimes', 'nullable', 'numeric', 'between:0,99999'],
            'bakeMinutes' => ['sometimes', 'nullable', 'numeric', 'between:0,99999'],
            'texture' => ['sometimes', 'nullable', Rule::in(Texture::ids())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['title.required' => 'Give the recipe a title.', 'title.filled' => 'Give the recipe a title.'];
    }

    /** A family is a tree: no recipe comes from itself or from one of its own versions. */
    private function notItsOwnChild(string $path, mixed $value, \Closure $fail): void
    {
        $recipe = $this->route('recipe');
        for ($id = $value, $steps = 0; is_string($id) && $recipe instanceof Recipe && $steps < 200; $steps++) {
            if ($id === $recipe->id) {
                $fail('A recipe cannot come from one of its own versions.');

                return;
            }
            $id = Recipe::query()->whereKey($id)->value('parent_id');
        }
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $columns = $this->validated();
        foreach (['text', 'steps', 'notes'] as $key) {
            if (array_key_exists($key, $columns)) {
                $columns[$key] = (string) $columns[$key];
            }
        }
        foreach (['parentId' => 'parent_id', 'prepMinutes' => 'prep_minutes', 'bakeMinutes' => 'bake_minutes', 'photoId' => 'photo_id'] as $key => $column) {
            if (array_key_exists($key, $columns)) {
                $columns[$column] = $columns[$key];
                unset($columns[$key]);
            }
        }
        foreach (['tags', 'confirmed', 'bound'] as $key) {
            if (is_array($columns[$key] ?? null)) {
                $columns[$key] = array_values(array_unique($columns[$key], SORT_REGULAR));
            }
        }
        if (isset($columns['cut'])) {
            CutReader::kept($columns['cut']);
        }

        if (is_array($columns['portions'] ?? null)) {
            QuestionReader::keptPortions($columns['portions']);
            $columns['portions'] = self::byId(array_values($columns['portions']));
        }

        if (is_array($columns['parts'] ?? null)) {
            PartReader::kept($columns['parts']);
        }

        return $columns;
    }

    /**
     * Portions with their dogs by id, whichever way they were said.
     *
     * @param  list<mixed>  $portions
     * @return list<mixed>
     */
    private static function byId(array $portions): array
    {
        $ids = Dog::query()->pluck('id', 'name');
        foreach ($portions as $n => $portion) {
            if (is_array($portion) && is_array($portion['dogs'] ?? null)) {
                $portions[$n]['dogs'] = array_map(static fn (mixed $dog): mixed => is_string($dog) ? $ids[$dog] ?? $dog : $dog, $portion['dogs']);
            }
        }

        return $portions;
    }
}

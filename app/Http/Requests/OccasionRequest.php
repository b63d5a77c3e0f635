<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Dog;
use App\Models\Occasion;
use Closure;
use Illuminate\Support\Arr;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use MildBowl\Core\Contract\Choices;
use MildBowl\Core\Contract\Keep;
use MildBowl\Core\Dogs\Weight;
use MildBowl\Core\Questions\PartyQuestion;

/** An occasion as it is kept, or as it is being written: half of one is kept too. */
final class OccasionRequest extends StrictRequest
{
    public const MOST_GUESTS = 40;

    /** Dogs that one question is asked about. */
    private const MOST_DOGS = 50;

    /** What a box of it is. */
    public const VESSELS = ['box', 'tin', 'bag'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $choices = Choices::all();
        $wanted = $this->isMethod('PATCH') ? 'sometimes' : 'required';

        return [
            'name' => [$wanted, 'bail', 'filled', 'string', 'max:120', self::noClaim()],
            'on' => [$wanted, 'bail', 'date_format:Y-m-d', 'after:2020-01-01', 'before:2100-01-01'],
            'at' => ['sometimes', 'nullable', 'regex:/^([01]\d|2[0-3]):[0-5]\d$/'],
            'place' => ['sometimes', 'nullable', 'string', 'max:120'],
            'transportMinutes' => ['sometimes', 'nullable', 'integer', 'between:0,1440'],
            'words' => ['sometimes', 'nullable', 'string', 'max:2000'],
            'dogs' => ['sometimes', 'array', 'max:50'],
            'dogs.*' => ['uuid', 'distinct', self::ofThisKitchen('dogs')],
            'guests' => ['sometimes', 'array', 'max:'.self::MOST_GUESTS],
            'guests.*' => [self::keysAre(['id', 'name', 'weightKg', 'ageMonths', 'allergies', 'conditions', 'medicines'])],
            'guests.*.id' => ['required', 'uuid', 'distinct', $this->isNoDogOfOurs(...)],
            'guests.*.name' => ['required', 'bail', 'filled', 'string', 'max:60', 'distinct:ignore_case'],
            'guests.*.weightKg' => ['present', 'nullable', 'numeric', 'between:'.Weight::LIGHTEST_KG.','.Weight::HEAVIEST_KG],
            'guests.*.ageMonths' => ['present', 'nullable', 'numeric', 'between:0,400'],
            'guests.*.allergies' => ['present', 'nullable', 'array', 'max:50'],
            'guests.*.allergies.*' => [self::food()],
            'guests.*.conditions' => ['present', 'nullable', 'array', 'max:30'],
            'guests.*.conditions.*' => [Rule::in(array_column($choices['conditions'], 'id'))],
            'guests.*.medicines' => ['present', 'array', 'max:30'],
            'guests.*.medicines.*' => [Rule::in(array_column($choices['medicines'], 'id'))],
            'treats' => ['sometimes', 'array', 'max:'.PartyQuestion::MOST_TREATS],
            'treats.*' => [self::keysAre(['recipeId', 'bakeOn'])],
            'treats.*.recipeId' => ['required', 'uuid', 'distinct', self::ofThisKitchen('recipes')],
            'treats.*.bakeOn' => ['present', 'nullable', 'date_format:Y-m-d'],
            'shares' => ['sometimes', 'array', 'max:90'],
            'shares.*' => [self::keysAre(['dog', 'recipeId', 'pieces'])],
            'shares.*.dog' => ['required', 'uuid', 'distinct'],
            'shares.*.recipeId' => ['present', 'nullable', 'uuid'],
            'shares.*.pieces' => ['present', 'nullable', self::pieces()],
            'boxes' => ['sometimes', 'array', 'max:'.PartyQuestion::MOST_BOXES],
            'boxes.*' => [self::keysAre(['id', 'for', 'dog', 'recipeId', 'pieces', 'in'])],
            'boxes.*.id' => ['required', 'uuid', 'distinct'],
            'boxes.*.for' => ['required', 'bail', 'filled', 'string', 'max:80', self::noClaim()],
            'boxes.*.dog' => ['present', 'nullable', 'uuid'],
            'boxes.*.recipeId' => ['required', 'uuid', self::ofThisKitchen('recipes')],
            'boxes.*.pieces' => ['required', 'numeric', 'gt:0', 'max:'.Keep::MOST_PIECES],
            'boxes.*.in' => ['required', Rule::in(self::VESSELS)],
        ] + ($this->is('api/ask/occasion-plan') ? ['occasion' => ['sometimes', 'uuid']] : []);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'An occasion has a name: "Quill is twelve".', 'name.filled' => 'An occasion has a name: "Quill is twelve".', 'on.required' => 'Say on which day it is.', 'on.date_format' => 'A day is written like 2026-06-27.',
            'at.regex' => 'A time of day is written like 15:30.', 'transportMinutes.between' => 'The way there takes from 0 to 1440 minutes.', 'dogs.*.exists' => 'That dog is not in this kitchen.',
            'guests.max' => 'At most '.self::MOST_GUESTS.' guests come to one occasion.', 'guests.*.name.required' => 'A guest has a name.', 'guests.*.name.filled' => 'A guest has a name.', 'guests.*.name.distinct' => 'Two guests are called so: give one another name.',
            'guests.*.weightKg.between' => 'A dog weighs from '.Weight::LIGHTEST_KG.' to '.Weight::HEAVIEST_KG.' kg.', 'guests.*.ageMonths.between' => 'A dog is from 0 to 400 months old.',
            'treats.*.recipeId.exists' => 'That recipe is not in this kitchen.', 'treats.*.recipeId.distinct' => 'That recipe is served already.', 'boxes.*.recipeId.exists' => 'That recipe is not in this kitchen.',
            'boxes.*.for.required' => 'Say whom the box is for.', 'boxes.*.for.filled' => 'Say whom the box is for.', 'boxes.*.pieces.gt' => 'A box holds at least a part of a piece.', 'boxes.*.pieces.max' => 'A box holds at most '.Keep::MOST_PIECES.' pieces.',
            'occasion.uuid' => 'Name the occasion by its id.', 'boxes.*.in.in' => 'It goes into a box, a tin or a bag.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        parent::withValidator($validator);
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isEmpty()) {
                $this->eachNameOnce($validator);
            }
        });
    }

    /** A guest that is called like a dog of the kitchen that comes too could not be told from it. */
    private function eachNameOnce(Validator $validator): void
    {
        $kept = $this->route('occasion');
        $said = $this->all() + ($kept instanceof Occasion ? ['dogs' => $kept->dogs, 'guests' => $kept->guests] : []);
        $many = count((array) ($said['dogs'] ?? [])) + count((array) ($said['guests'] ?? []));
        if ($many > self::MOST_DOGS) {
            $validator->errors()->add('guests', 'At most '.self::MOST_DOGS." dogs come to one occasion: these are $many.");
        }
        $own = Dog::query()->whereIn('id', (array) ($said['dogs'] ?? []))->pluck('name')->map(static fn (string $name): string => mb_strtolower($name))->all();
        foreach ((array) ($said['guests'] ?? []) as $n => $guest) {
            if (in_array(mb_strtolower(trim((string) $guest['name'])), $own, true)) {
                $validator->errors()->add("guests.$n.name", 'A dog of yours that comes too is called so: give the guest another name, such as "'.trim((string) $guest['name']).' from the lock".');
            }
        }
    }

    /** The id of the occasion that is asked about, kept already or on its way: what is written down of it is known by this. */
    public function of(): ?string
    {
        $of = $this->validated('occasion');

        return is_string($of) ? strtolower($of) : null;
    }

    private function isNoDogOfOurs(string $path, mixed $value, Closure $fail): void
    {
        if (is_string($value) && Str::isUuid($value) && Dog::query()->whereKey($value)->exists()) {
            $fail('This is the id of a dog of this kitchen: it comes as one of yours.');
        }
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $columns = Arr::except($this->validated(), ['occasion']);
        if (array_key_exists('transportMinutes', $columns)) {
            $columns['transport_minutes'] = $columns['transportMinutes'];
            unset($columns['transportMinutes']);
        }
        foreach (['place', 'words'] as $key) {
            if (array_key_exists($key, $columns)) {
                $columns[$key] = (string) $columns[$key];
            }
        }
        foreach (['dogs', 'guests', 'treats', 'shares', 'boxes'] as $key) {
            if (isset($columns[$key])) {
                $columns[$key] = array_values($columns[$key]);
            }
        }

        return $columns;
    }

    private static function pieces(): Closure
    {
        return static function (string $path, mixed $value, Closure $fail): void {
            $isSaid = is_numeric($value) && ! is_string($value) ? $value > 0 && $value <= 1000 : is_string($value) && trim($value) !== '' && mb_strlen($value) <= 80;
            if (! $isSaid) {
                $fail('Write how many pieces: 2, "half a slice", "one of six slices", "a sixth".');
            }
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Which recipes of the shelf are to be judged anew. */
final class JudgeRequest extends StrictRequest
{
    private const MOST = 24;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['recipes' => ['required', 'array', 'max:'.self::MOST], 'recipes.*' => ['uuid']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['recipes.max' => 'At most '.self::MOST.' recipes are judged at once: ask for the rest after these.'];
    }

    /** @return list<string> */
    public function recipes(): array
    {
        /** @var list<string> */
        return array_values(array_unique((array) $this->validated('recipes')));
    }
}

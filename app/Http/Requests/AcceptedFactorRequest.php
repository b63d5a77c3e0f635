<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Kitchen\Learned;

/** What was learned is accepted: from now on plans reckon with it. */
final class AcceptedFactorRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'oven' => ['required', 'string', 'filled', 'max:60'], 'class' => ['required', Rule::in(Texture::ids())], 'of' => ['required', Rule::in(Learned::OF)],
            'factor' => ['required', 'numeric', 'between:0.1,10'], 'says' => ['required', 'string', 'max:200'], 'by' => ['required', 'string', 'filled', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['class.in' => 'No treat has this texture.', 'of.in' => 'Learned is of: '.implode(', ', Learned::OF).'.', 'factor.between' => 'What is further from the plan than ten times is a slip, not a habit of the oven.'];
    }
}

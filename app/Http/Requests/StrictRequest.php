<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

/** A body whose keys are all known: a misspelled key is refused instead of lost. */
abstract class StrictRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, mixed> */
    abstract public function rules(): array;

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            foreach (array_keys($this->all()) as $key) {
                if (! array_key_exists((string) $key, $this->rules())) {
                    $validator->setCustomMessages(["$key.prohibited" => 'Nobody knows this key. Is it spelled right?']);
                    $validator->addFailure((string) $key, 'Prohibited');
                }
            }
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

final class TableRequest extends StrictRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['dogs' => ['present', 'array', 'max:50'], 'dogs.*' => ['uuid', self::ofThisKitchen('dogs')->withoutTrashed()]];
    }

    /** @return list<string> */
    public function dogs(): array
    {
        /** @var list<string> $dogs */
        $dogs = array_values((array) $this->validated('dogs'));

        return $dogs;
    }
}

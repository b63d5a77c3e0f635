<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Picture;

/** A photograph as the page sends it, in base64. What it is, its own first bytes say. */
final class PhotoRequest extends StrictRequest
{
    /** As many bytes as a kitchen keeps of one. */
    public const MOST = 2_000_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['image' => ['required', 'bail', 'string', 'max:'.(int) (self::MOST * 1.4), function (string $path, mixed $value, \Closure $fail): void {
            $bytes = is_string($value) ? base64_decode($value, true) : false;
            $problem = Picture::problemOf($bytes === false ? '' : $bytes, self::MOST);
            if ($problem !== null) {
                $fail($problem);
            }
        }]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['image.required' => 'Send the photograph in base64.', 'image.max' => 'A photograph may have at most 2 MB.'];
    }

    public function bytes(): string
    {
        $image = $this->validated('image');

        return (string) base64_decode(is_string($image) ? $image : '', true);
    }

    public function mediaType(): string
    {
        return Picture::typeOf($this->bytes()) ?? 'image/jpeg';
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Devices\LabelLanguage;
use App\Support\CurrentKitchen;
use App\Support\Picture;
use Closure;

/** The photograph of a label, in base64, and in which languages it may be printed: those of the kitchen where nothing is said. */
final class LabelPhotoRequest extends StrictRequest
{
    private const MOST = 6_000_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'image' => ['required', 'bail', 'string', 'max:'.(int) (self::MOST * 1.4), function (string $path, mixed $value, Closure $fail): void {
                $bytes = is_string($value) ? base64_decode($value, true) : false;
                $problem = Picture::problemOf($bytes === false ? '' : $bytes, self::MOST);
                if ($problem !== null) {
                    $fail($problem);
                }
            }],
            'languages' => ['sometimes', self::labelLanguages()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'image.required' => 'Send the photograph of the label in base64.', 'image.max' => 'The photograph of a label may have at most 6 MB: make it smaller, or cut away what is not the list.',
        ];
    }

    public function bytes(): string
    {
        $image = $this->validated('image');

        return (string) base64_decode(is_string($image) ? $image : '', true);
    }

    /** @return non-empty-list<LabelLanguage> */
    public function languages(): array
    {
        /** @var list<string> $asked */
        $asked = $this->validated('languages') ?? app(CurrentKitchen::class)->get()->label_languages;
        $languages = array_map(LabelLanguage::from(...), $asked);

        return $languages === [] ? [LabelLanguage::English] : $languages;
    }
}

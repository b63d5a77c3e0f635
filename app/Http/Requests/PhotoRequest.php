<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A photograph as the page sends it, in base64. What it is, its own first bytes say. */
final class PhotoRequest extends StrictRequest
{
    /** As many bytes as a kitchen keeps of one. */
    private const MOST = 2_000_000;

    /** A small file can unpack to a picture that fills the memory of whoever opens it. */
    private const MOST_PIXELS = 50_000_000;

    private const BEGINS = ['image/jpeg' => "\xFF\xD8\xFF", 'image/png' => "\x89PNG\r\n\x1A\n", 'image/webp' => 'RIFF'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['image' => ['required', 'bail', 'string', 'max:'.(int) (self::MOST * 1.4), function (string $path, mixed $value, \Closure $fail): void {
            $bytes = is_string($value) ? base64_decode($value, true) : false;
            if ($bytes === false || strlen($bytes) > self::MOST || self::typeOf($bytes) === null) {
                $fail('This is no photograph in JPEG, PNG or WebP of at most 2 MB.');

                return;
            }
            $size = @getimagesizefromstring($bytes);
            if (is_array($size) && $size[0] * $size[1] > self::MOST_PIXELS) {
                $fail('A photograph may have at most '.intdiv(self::MOST_PIXELS, 1_000_000)." million points: this one has {$size[0]} × {$size[1]}. Make it smaller first.");
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
        return self::typeOf($this->bytes()) ?? 'image/jpeg';
    }

    private static function typeOf(string $bytes): ?string
    {
        foreach (self::BEGINS as $type => $begins) {
            if (str_starts_with($bytes, $begins) && ($type !== 'image/webp' || substr($bytes, 8, 4) === 'WEBP')) {
                return $type;
            }
        }

        return null;
    }
}

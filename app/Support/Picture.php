<?php

declare(strict_types=1);

namespace App\Support;

/** A picture by its own first bytes, whatever was said of it. */
final class Picture
{
    /** A small file can unpack to a picture that fills the memory of whoever opens it. */
    private const MOST_PIXELS = 50_000_000;

    private const BEGINS = ['image/jpeg' => "\xFF\xD8\xFF", 'image/png' => "\x89PNG\r\n\x1A\n", 'image/webp' => 'RIFF'];

    public static function typeOf(string $bytes): ?string
    {
        foreach (self::BEGINS as $type => $begins) {
            if (str_starts_with($bytes, $begins) && ($type !== 'image/webp' || substr($bytes, 8, 4) === 'WEBP')) {
                return $type;
            }
        }

        return null;
    }

    /** What is wrong with it, in words; null when nothing is. */
    public static function problemOf(string $bytes, int $mostBytes): ?string
    {
        if (strlen($bytes) > $mostBytes || self::typeOf($bytes) === null) {
            return 'This is no photograph in JPEG, PNG or WebP of at most '.round($mostBytes / 1_000_000).' MB.';
        }
        $size = @getimagesizefromstring($bytes);
        if (is_array($size) && $size[0] * $size[1] > self::MOST_PIXELS) {
            return 'A photograph may have at most '.intdiv(self::MOST_PIXELS, 1_000_000)." million points: this one has {$size[0]} × {$size[1]}. Make it smaller first.";
        }

        return null;
    }
}

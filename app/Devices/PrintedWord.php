<?php

declare(strict_types=1);

namespace App\Devices;

/** A word as it was read, and where it stands in the picture that was given, in its points. */
final readonly class PrintedWord
{
    /** Less sure than this, and the word is asked about. */
    public const ASKED = 85.0;

    public const ASKED_IN_A_POOR_PICTURE = 96.0;

    public function __construct(public string $text, public float $sure, public int $row, public int $left, public int $top, public int $width, public int $height) {}
}

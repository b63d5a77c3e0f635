<?php

declare(strict_types=1);

namespace App\Support;

/** Pieces as a person writes them: in quarters. */
final class Pieces
{
    private const QUARTERS = [0 => '', 1 => '¼', 2 => '½', 3 => '¾'];

    /** 2½; rounded down. */
    public static function figure(float $many): string
    {
        $quarters = (int) floor(4 * $many + 1e-6);
        $whole = intdiv($quarters, 4);

        return $quarters === 0 ? '0' : ($whole === 0 ? '' : (string) $whole).self::QUARTERS[$quarters % 4];
    }

    /** 2½ pieces, ½ piece, 1 piece */
    public static function said(float $many): string
    {
        return self::figure($many).($many > 1.0 ? ' pieces' : ' piece');
    }
}

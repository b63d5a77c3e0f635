<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

/** Answers as text. */
final class Json
{
    /** More than any balance tells, and the most that a processor writes without long arithmetic: a quarter of the time. */
    private const SIGNIFICANT_DIGITS = '14';

    /**
     * Figures stand with 14 significant digits. A byte that is no UTF-8 is replaced.
     *
     * @throws \JsonException when the answer holds what JSON cannot
     */
    public static function of(mixed $answer): string
    {
        $before = (string) ini_set('serialize_precision', self::SIGNIFICANT_DIGITS);
        try {
            return json_encode($answer, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
        } finally {
            ini_set('serialize_precision', $before);
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use Carbon\CarbonImmutable;

/** What is told in a cell. */
final class Cells
{
    public static function number(float|int|null $value): string
    {
        return $value === null ? '' : (string) json_encode($value, JSON_THROW_ON_ERROR);
    }

    public static function moment(\DateTimeInterface|string|null $value): string
    {
        return $value === null ? '' : (is_string($value) ? new CarbonImmutable($value) : CarbonImmutable::instance($value))->utc()->format('Y-m-d\TH:i:s.v\Z');
    }

    public static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    /** @return string between semicolons */
    public static function several(mixed $values): string
    {
        return implode('; ', array_filter(is_array($values) ? $values : [], is_string(...)));
    }
}

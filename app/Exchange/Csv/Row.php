<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use Carbon\CarbonImmutable;
use Illuminate\Support\Str;

/** A row as it was read. What a cell says is told by what it should be; the reader of a table needs no checks of its own. */
final readonly class Row
{
    /** @param  array<string, string>  $cells */
    public function __construct(private array $cells) {}

    public function has(string $column): bool
    {
        return trim($this->cells[$column] ?? '') !== '';
    }

    public function text(string $column, int $longest, bool $isNeeded = true): string
    {
        $text = trim($this->cells[$column] ?? '');

        return match (true) {
            $isNeeded && $text === '' => throw new CellRefused($column, 'Something has to stand here.'),
            mb_strlen($text) > $longest => throw new CellRefused($column, "At most $longest letters stand here."),
            default => $text,
        };
    }

    public function maybe(string $column, int $longest): ?string
    {
        return $this->has($column) ? $this->text($column, $longest) : null;
    }

    public function number(string $column, float $least, float $most): ?float
    {
        $text = str_replace(',', '.', trim($this->cells[$column] ?? ''));
        if ($text === '') {
            return null;
        }
        if (! is_numeric($text) || (float) $text < $least || (float) $text > $most) {
            throw new CellRefused($column, "This should be a number from $least to $most, such as ".max($least, min($most, 2.5)).'.');
        }

        return (float) $text;
    }

    public function day(string $column): string
    {
        $text = $this->text($column, 40);
        if (preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $text, $part) !== 1 || ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])) {
            throw new CellRefused($column, 'Write a day as 2026-05-14: year, month, day.');
        }

        return $text;
    }

    /** A day up to the kitchen's today. */
    public function pastDay(string $column, CarbonImmutable $today): string
    {
        $day = $this->day($column);

        return $day > $today->format('Y-m-d') ? throw new CellRefused($column, 'That day lies in the future.') : $day;
    }

    /** Whose hand it was; the baker's where nobody says. */
    public function who(string $column, string $baker): string
    {
        return $this->maybe($column, 60) ?? ($baker === '' ? 'somebody' : $baker);
    }

    public function moment(string $column): ?CarbonImmutable
    {
        $text = $this->maybe($column, 40);
        if ($text === null) {
            return null;
        }
        if (preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d{1,3})?)?(Z|[+-]\d\d:\d\d)$/', $text) !== 1) {
            throw new CellRefused($column, 'Write a moment as 2026-05-14T14:05:00Z, with its zone.');
        }

        return new CarbonImmutable($text);
    }

    public function id(string $column): ?string
    {
        $text = $this->maybe($column, 40);
        if ($text !== null && ! Str::isUuid($text)) {
            throw new CellRefused($column, 'This is an id that a kitchen gave: leave it as it was, or empty.');
        }

        return $text === null ? null : strtolower($text);
    }

    /** @param  list<string>  $choices */
    public function choice(string $column, array $choices, bool $isNeeded = true): ?string
    {
        $text = $isNeeded ? $this->text($column, 80) : $this->maybe($column, 80);
        if ($text !== null && ! in_array($text, $choices, true)) {
            throw new CellRefused($column, 'This should be one of: '.implode(', ', $choices).'.');
        }

        return $text;
    }

    /** @return list<string> what stands between semicolons */
    public function several(string $column, int $longest = 2000): array
    {
        return array_values(array_filter(array_map(trim(...), explode(';', $this->text($column, $longest, false))), static fn (string $one): bool => $one !== ''));
    }

    /** The same row has the same. */
    public function sum(): string
    {
        return json_encode($this->cells, JSON_THROW_ON_ERROR);
    }
}

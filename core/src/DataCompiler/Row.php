<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

/** One row of a file: each cell as what its column holds. What is empty where a figure may stand is null. */
final readonly class Row
{
    /**
     * @param  array<string, string>  $cells
     * @param  array<string, string>  $kinds  what each column holds, as Columns says it
     */
    private function __construct(private array $cells, private array $kinds) {}

    /** @return list<self> the rows of a file, in its order */
    public static function of(string $folder, string $file): array
    {
        $kinds = Columns::kinds($file);

        return array_map(static fn (array $cells): self => new self($cells, $kinds), (new Table($folder, $file))->rows());
    }

    public function text(string $column): string
    {
        return $this->cells[$column];
    }

    public function number(string $column): float
    {
        return (float) $this->cells[$column];
    }

    public function numberOrNull(string $column): ?float
    {
        return Table::number($this->cells[$column]);
    }

    public function flag(string $column): bool
    {
        return $this->cells[$column] === '1';
    }

    /** @return list<string> */
    public function list(string $column): array
    {
        $divider = strpbrk($this->kinds[$column], ';|');

        return $divider === false ? [$this->cells[$column]] : Table::parts($this->cells[$column], $divider[0]);
    }

    /** @return array<string, list<string>> values by kind of clause, of `kind:value|value` */
    public function clauses(string $column): array
    {
        $clauses = [];
        foreach ($this->list($column) as $part) {
            [$kind, $values] = [...explode(':', $part, 2), ''];
            $clauses[$kind] = Table::parts($values);
        }

        return $clauses;
    }

    /** @return array<string, float> ratio by food, of `food=ratio` */
    public function ratios(string $column): array
    {
        $ratios = [];
        foreach ($this->list($column) as $part) {
            [$food, $ratio] = [...explode('=', $part, 2), ''];
            $ratios[$food] = (float) $ratio;
        }

        return $ratios;
    }

    /** @return list<array{float, string}> from how much on, and what happens, of `figure=what` */
    public function thresholds(string $column): array
    {
        $thresholds = [];
        foreach ($this->list($column) as $part) {
            [$at, $what] = [...explode('=', $part, 2), ''];
            $thresholds[] = [(float) $at, $what];
        }

        return $thresholds;
    }

    /** @return array<string, mixed> every cell as its column says */
    public function typed(): array
    {
        $typed = [];
        foreach ($this->kinds as $column => $kind) {
            $typed[$column] = match (rtrim($kind, '?;|')) {
                'number' => $this->numberOrNull($column),
                'flag' => $this->flag($column),
                'when', 'when-dog' => $this->clauses($column),
                'parts' => $this->ratios($column),
                'threshold' => $this->thresholds($column),
                default => strpbrk($kind, ';|') === false ? $this->text($column) : $this->list($column),
            };
        }

        return $typed;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

/** What other occasions take of one dog's treats: on the day of this one, and on the seven days after it that it may borrow from. */
final readonly class TakenDays
{
    /**
     * @param  array<int, float>  $kcal  by days after; a day that carries another occasion's fat alone stands here with 0
     * @param  list<string>  $for  the names of those occasions
     * @param  array<int, true>  $spread  days after that carry, or may carry, the fat of another occasion
     */
    private function __construct(private array $kcal, public array $for, private array $spread) {}

    public static function none(): self
    {
        return new self([], [], []);
    }

    /** @param  bool  $spreads  false where its fat is counted with what the dog had on that day */
    public function and(int $daysAfter, float $kcal, string $for, bool $spreads = true): self
    {
        $for = in_array($for, $this->for, true) ? $this->for : [...$this->for, $for];
        sort($for);

        return new self([$daysAfter => ($this->kcal[$daysAfter] ?? 0.0) + $kcal] + $this->kcal, $for, $spreads ? [$daysAfter => true] + $this->spread : $this->spread);
    }

    /** kcal */
    public function on(int $daysAfter): float
    {
        return $this->kcal[$daysAfter] ?? 0.0;
    }

    /** @return array<int, float> kcal by days after */
    public function all(): array
    {
        return $this->kcal;
    }

    /** Whether nothing is taken on any day until then. */
    public function isFreeUntil(int $daysAfter): bool
    {
        return array_filter(array_keys($this->kcal), static fn (int $n): bool => $n <= $daysAfter) === [];
    }

    /** What a day may give at most over the seven days after, where each gives so much. */
    public function ahead(float $budgetKcal): float
    {
        $kcal = 0.0;
        for ($n = 1; $n <= Borrowing::MOST_DAYS; $n++) {
            $kcal += max(0.0, $budgetKcal - $this->on($n));
        }

        return $kcal;
    }

    /** @return list<int> days after, the day itself among them, that nothing else is spread over */
    public function free(): array
    {
        return array_values(array_filter(range(0, Borrowing::MOST_DAYS), fn (int $n): bool => ! isset($this->spread[$n])));
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

/** How long what is in a bag keeps, by place, as it was judged when it was put away. Later data do not change a date that stands on a bag. */
final readonly class Keeps
{
    /**
     * @param  string  $class  of keeping.csv
     * @param  array<string, int>  $days  by place
     * @param  array<string, int>  $atMost  days that people may lengthen it to, by place
     * @param  int  $thawedDays  it is good for once it is thawed
     * @param  bool  $isDry  whether a warm kitchen does it no harm
     */
    public function __construct(public string $class, public array $days, public array $atMost, public int $thawedDays, public bool $isDry) {}

    public static function of(Kept $kept): self
    {
        $days = $most = [];
        foreach (Place::cases() as $place) {
            // a cool or a warm room is the place's own matter, each time the bag moves
            $days[$place->value] = $kept->days($place, ShelfLife::WARM);
            $most[$place->value] = $kept->atMost($place, ShelfLife::WARM);
        }

        return new self($kept->life->class, $days, $most, $kept->life->fridgeDays, $kept->moisture <= ShelfLife::DRY + 1e-9);
    }

    /** What was opened or left over, by a row of opened.csv. */
    public static function ofFood(string $kind): self
    {
        $food = OpenedFood::of($kind);

        return new self($kind, ['jar' => 0, 'fridge' => $food->fridgeDays, 'freezer' => $food->freezerDays], ['jar' => 0, 'fridge' => $food->fridgeAtMost, 'freezer' => $food->freezerDays], $food->fridgeDays, false);
    }

    public function days(Place $place, ?float $celsius): int
    {
        return $this->isTooWarm($place, $celsius) ? 0 : $this->days[$place->value] ?? 0;
    }

    public function atMost(Place $place, ?float $celsius): int
    {
        return match (true) {
            $this->isTooWarm($place, $celsius) => 0,
            $place === Place::Jar && $this->class === 'hard-biscuit' => ShelfLife::of($this->class)->atMost($place, $celsius ?? ShelfLife::WARM, false),
            default => $this->atMost[$place->value] ?? 0,
        };
    }

    private function isTooWarm(Place $place, ?float $celsius): bool
    {
        return $place === Place::Jar && ! $this->isDry && $celsius !== null && $celsius > ShelfLife::WARM;
    }
}

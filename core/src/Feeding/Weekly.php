<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Saying;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Level;

/** A row of weekly.csv: what a dog may have on so many days of a week, and no more. */
final readonly class Weekly
{
    private function __construct(public string $code, public string $of, private int $days, private int $within, private string $says, private string $advice, private string $source) {}

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(static fn (array $row): self => new self($row['code'], $row['of'], (int) $row['days'], (int) $row['within'], $row['says'], $row['advice'], $row['source']), Compiled::days()['weekly']);
    }

    /**
     * Whether the days before this one have used it up: with today it would be more days of the week than the row allows.
     *
     * @param  list<HadBefore>  $before  of one dog
     */
    public function isUsedUp(Day $today, array $before): bool
    {
        return $this->daysHad($today, $before) >= $this->days;
    }

    /** @param  list<HadBefore>  $before */
    public function finding(Dog $dog, Day $today, array $before): Finding
    {
        $fill = ['{days}' => (string) $this->daysHad($today, $before), '{within}' => (string) $this->within];
        $saying = Saying::of('given-weekly', 'given')->finding($dog, ['{says}' => strtr($this->says, $fill), '{advice}' => $this->advice], $this->code);

        return new Finding($dog, Level::Limit, $this->code, $saying->message, $saying->advice, null, false, Sources::name($this->source));
    }

    /** @param  list<HadBefore>  $before */
    private function daysHad(Day $today, array $before): int
    {
        $days = [];
        foreach ($before as $one) {
            $ago = $one->on->until($today);
            if ($ago > 0 && $ago < $this->within && $one->had($this->of)) {
                $days[$one->on->iso] = true;
            }
        }

        return count($days);
    }
}

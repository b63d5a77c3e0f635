<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Dogs\Liking;
use MildBowl\Core\Dogs\Taste;

/** How often a dog took what was of one food, one texture or one shape. */
final readonly class Acceptance
{
    private function __construct(
        /** a food, a texture or a shape by its id */
        public string $what,
        /** times it took it first or came back for more */
        public int $took,
        /** times it was offered */
        public int $of,
        /** times it came back for more */
        public int $again,
        public Liking $liking,
        /** the last day on which it was offered */
        public string $lastOn,
    ) {}

    /**
     * Of what was offered, by one of its traits: what is taken most surely in front, what is refused last.
     *
     * @param  list<Offered>  $offered
     * @param  callable(Offered): list<string>  $traits
     * @return list<self>
     */
    public static function by(array $offered, callable $traits): array
    {
        $times = [];
        foreach ($offered as $one) {
            foreach (array_unique($traits($one)) as $what) {
                $times[$what][] = $one;
            }
        }
        $all = [];
        foreach ($times as $what => $some) {
            $took = count(array_filter($some, static fn (Offered $one): bool => $one->how->isTaken()));
            $again = count(array_filter($some, static fn (Offered $one): bool => $one->how === How::Again));
            $all[] = new self((string) $what, $took, count($some), $again, (new Taste($took, count($some)))->liking(), max(array_map(static fn (Offered $one): string => $one->on->iso, $some)));
        }
        usort($all, static fn (self $one, self $two): int => $two->sure() <=> $one->sure() ?: $two->again <=> $one->again ?: strcmp($one->what, $two->what));

        return $all;
    }

    /** The share that it takes, as if it had taken it once and left it once besides: a few times say little. */
    public function sure(): float
    {
        return ($this->took + 1) / ($this->of + 2);
    }
}

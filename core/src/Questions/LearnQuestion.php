<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Making\Bake;
use MildBowl\Core\Making\Lesson;

/** `learn`: what the log says of this kitchen, class by class. */
final readonly class LearnQuestion
{
    public const MOST_BAKES = 5000;

    /** @param  list<Bake>  $bakes */
    public function __construct(private array $bakes) {}

    /** @return list<Lesson> by class, then in the order of what is learned; where there is nothing to say, none */
    public function answer(): array
    {
        $bakes = $this->bakes;
        usort($bakes, static fn (Bake $one, Bake $two): int => $one->on->iso <=> $two->on->iso);
        $factors = [];
        foreach ($bakes as $bake) {
            foreach (Learned::OF as $of) {
                $factor = $bake->factor($of);
                if ($factor !== null) {
                    $factors[$bake->class][$of][] = $factor;
                }
            }
        }
        ksort($factors, SORT_STRING);
        $lessons = [];
        foreach ($factors as $class => $byOf) {
            foreach (Learned::OF as $of) {
                if (isset($byOf[$of])) {
                    $lessons[] = Lesson::of((string) $class, $of, $byOf[$of]);
                }
            }
        }

        return $lessons;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Making\Plan;
use MildBowl\Core\Making\Schedule;
use MildBowl\Core\Values\Minute;

/** `bake`: the work of one bake, step by step, from weighing out to putting away. */
final readonly class BakeQuestion
{
    public const MOST_OVENS = 10;

    public const MOST_TRAYS = 20;

    private const SLACK = 1e-6;

    /**
     * @param  int  $ovens  that can be hot at one time
     * @param  int  $trays  that go into one of them at one time
     */
    public function __construct(private Question $question, private ?Minute $startAt, private int $ovens, private int $trays) {}

    public function answer(): BakeAnswer
    {
        [$tasks, $warnings] = Plan::of(Judgement::on($this->question), $this->question->kitchen, $this->trays);
        $placed = Schedule::of($tasks, $this->ovens);
        $hands = $elapsed = 0.0;
        foreach ($placed as $task) {
            $hands += $task->byHand ? $task->minutes->best : 0.0;
            $elapsed = max($elapsed, $task->end());
        }
        $elapsed = (int) ceil($elapsed - self::SLACK);

        return new BakeAnswer($placed, (int) ceil($hands - self::SLACK), $elapsed, $this->startAt?->after($elapsed), $warnings);
    }
}

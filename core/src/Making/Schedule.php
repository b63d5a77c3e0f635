<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

/** Puts every task in its place in time: one pair of hands, so many ovens, each heated before the first that goes into it. */
final class Schedule
{
    private const SLACK = 1e-9;

    private float $handsFree = 0.0;

    /** @var list<array{free: float, celsius: ?int, heated: ?Task, out: list<Task>}> */
    private array $ovens;

    /** @var list<Task> */
    private array $placed = [];

    private function __construct(int $ovens)
    {
        $this->ovens = array_fill(0, max(1, $ovens), ['free' => 0.0, 'celsius' => null, 'heated' => null, 'out' => []]);
    }

    /**
     * @param  list<Task>  $tasks
     * @return list<Task> in the order they begin, none before one it needs
     */
    public static function of(array $tasks, int $ovens): array
    {
        $self = new self($ovens);
        while ($tasks !== []) {
            $next = $self->earliest($tasks);
            $self->place($tasks[$next]);
            unset($tasks[$next]);
        }

        return $self->inOrder();
    }

    /** @param  non-empty-array<int, Task>  $tasks  @return int which of them can begin first */
    private function earliest(array $tasks): int
    {
        $best = null;
        $at = INF;
        foreach ($tasks as $n => $task) {
            $from = $task->mayBegin();
            if ($from === null) {
                continue;
            }
            $from = $task->load !== null ? max($from, $this->ovenFree()) : ($task->waitsForHands() ? max($from, $this->handsFree) : $from);
            if ($from < $at - self::SLACK) {
                [$best, $at] = [$n, $from];
            }
        }

        return $best ?? throw new \LogicException('Two tasks wait for each other.');
    }

    private function ovenFree(): float
    {
        $free = INF;
        foreach ($this->ovens as $oven) {
            $free = min($free, $oven['free']);
        }

        return $free;
    }

    private function place(Task $task): void
    {
        $from = (float) $task->mayBegin();
        if ($task->load !== null) {
            $from = $this->intoAnOven($task, $task->load, $from);
        } elseif ($task->waitsForHands()) {
            $from = max($from, $this->handsFree);
            $this->handsFree = $from + $task->minutes->best;
        }
        $task->start = $from;
        $this->placed[] = $task;
    }

    /** @return float when it goes in */
    private function intoAnOven(Task $task, Load $load, float $from): float
    {
        $which = 0;
        foreach ($this->ovens as $n => $oven) {
            $isBetter = [max($oven['free'], $from), $oven['celsius'] === $load->celsius ? 0 : 1] < [max($this->ovens[$which]['free'], $from), $this->ovens[$which]['celsius'] === $load->celsius ? 0 : 1];
            $which = $isBetter ? $n : $which;
        }
        $oven = $this->ovens[$which];
        if ($oven['celsius'] !== $load->celsius) {
            $name = count($this->ovens) > 1 ? 'oven '.($which + 1) : 'the oven';
            $heat = new Task(
                Kind::Preheat, $oven['celsius'] === null ? 'Heat '.$name.' to '.$load->celsius.' °C.' : 'Set '.$name.' to '.$load->celsius.' °C.',
                WorkTime::of($oven['celsius'] === null ? 'preheat' : 'reheat')->minutes, false, $task->part,
            );
            $heat->celsius = $load->celsius;
            // as late as will do, and never before the oven is free
            $heat->start = max($oven['free'], $from - $heat->minutes->best, 0.0);
            $from = max($from, $heat->end());
            $this->placed[] = $heat;
            $oven['heated'] = $heat;
        }
        $task->needs = [...$task->needs, ...($oven['heated'] === null ? [] : [$oven['heated']]), ...$oven['out']];
        $from = max($from, $oven['free']);
        $this->ovens[$which] = ['free' => $from + $load->minutes, 'celsius' => $load->lastCelsius, 'heated' => $oven['heated'], 'out' => $load->last];

        return $from;
    }

    /** @return list<Task> */
    private function inOrder(): array
    {
        $depth = [];
        $deep = static function (Task $task) use (&$deep, &$depth): int {
            $id = spl_object_id($task);
            if (! isset($depth[$id])) {
                $depth[$id] = 0;
                foreach ($task->needs as $need) {
                    $depth[$id] = max($depth[$id], 1 + $deep($need));
                }
            }

            return $depth[$id];
        };
        $order = array_map(static fn (Task $task, int $n): array => [round((float) $task->start, 6), $deep($task), $n, $task], $this->placed, array_keys($this->placed));
        usort($order, static fn (array $one, array $two): int => array_slice($one, 0, 3) <=> array_slice($two, 0, 3));

        return array_map(static fn (array $one): Task => $one[3], $order);
    }
}

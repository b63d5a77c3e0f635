<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\Parts\PartsRefused;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Making\Task;
use MildBowl\Core\Questions\BakeQuestion;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Reading\MadeRefused;
use MildBowl\Core\Values\Minute;

/** `bake` */
final readonly class Bake implements Answers
{
    private const FAN = 20;

    public function name(): string
    {
        return 'bake';
    }

    public function says(): string
    {
        return 'the work of one bake, step by step, with its times';
    }

    public function asks(): Asks
    {
        return Asks::Work;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'question', 'startAt', 'ovens', 'trays'])->requireVersion();
        $question = self::question($node->required('question', 'The question: a whole formulate request,'), $shipped);
        $start = $node->get('startAt');
        $startAt = $start === null ? null : (Minute::read($start->string(16)) ?? throw RequestRefused::outOfRange($start->path, 'This must be a minute such as 2026-05-14T14:05.'));
        $trays = $node->get('trays')?->integer(1, BakeQuestion::MOST_TRAYS) ?? $question->kitchen->tray->atOnce ?? 1;
        try {
            $answer = (new BakeQuestion($question, $startAt, $node->get('ovens')?->integer(1, BakeQuestion::MOST_OVENS) ?? 1, $trays))->answer();
        } catch (PartsRefused|MadeRefused $refused) {
            throw RequestRefused::outOfRange("/question{$refused->path}", $refused->getMessage());
        }
        $ids = [];
        foreach ($answer->tasks as $n => $task) {
            $ids[spl_object_id($task)] = 's'.($n + 1);
        }

        return [
            'version' => 1, 'steps' => array_map(static fn (Task $task): array => self::step($task, $ids), $answer->tasks), 'handsOnMinutes' => $answer->handsOnMinutes,
            'elapsedMinutes' => $answer->elapsedMinutes, 'readyAt' => $answer->readyAt?->iso, 'warnings' => $answer->warnings,
        ];
    }

    /**
     * A whole `formulate` request that stands inside another.
     *
     * @throws RequestRefused with its place in the whole
     */
    public static function question(Node $node, Kitchen $shipped): Question
    {
        try {
            return QuestionReader::read(new Node($node->objectValue()), $shipped);
        } catch (RequestRefused $refused) {
            throw $refused->within($node->path);
        }
    }

    /**
     * @param  array<int, string>  $ids  by task
     * @return array<string, mixed>
     */
    private static function step(Task $task, array $ids): array
    {
        return [
            'id' => $ids[spl_object_id($task)], 'part' => $task->part, 'lot' => $task->lot, 'kind' => $task->kind->value, 'text' => $task->text,
            'needs' => array_values(array_unique(array_map(static fn (Task $need): string => $ids[spl_object_id($need)], $task->needs))),
            'minutes' => Presenter::range($task->minutes), 'startsAfterMinutes' => round((float) $task->start, 1), 'hands' => $task->byHand ? 'on' : 'off',
            'oven' => $task->celsius === null ? null : ['celsius' => $task->celsius, 'fahrenheit' => Heat::fahrenheit($task->celsius), 'fanCelsius' => $task->celsius - self::FAN, 'gas' => Heat::gasMark($task->celsius)],
            'core' => $task->core === null ? null : ['celsius' => $task->core->celsius, 'holdMinutes' => $task->core->holdMinutes()],
            'hazard' => $task->hazard, 'tip' => $task->tip,
        ];
    }
}

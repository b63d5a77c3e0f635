<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\SwapCandidate;
use MildBowl\Core\Questions\SwapFigures;
use MildBowl\Core\Questions\SwapsQuestion;
use MildBowl\Core\Swaps\Jobs;

/** `swaps` */
final readonly class Swaps implements Answers
{
    public function name(): string
    {
        return 'swaps';
    }

    public function says(): string
    {
        return 'what may stand in for one line, with its effect';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $question = QuestionReader::read($node, $shipped, ['line', 'jobs', 'dislikes', 'atHand'], ['asMade']);
        $question = $question->withDogs(Rescue::withDislikes($node->get('dislikes'), $question->dogs));
        $line = $node->required('line', 'The number of the line')->integer(0, Question::MOST_LINES);
        $jobs = array_map(static fn (Node $one): string => $one->choice(Jobs::ALL), $node->get('jobs')?->list(12) ?? []);
        $answer = (new SwapsQuestion($question, $line, $jobs, Rescue::atHand($node->get('atHand'), $question->kitchen->catalogue)))->answer();

        return ['version' => 1, 'dataVersion' => Compiled::version(), 'line' => $answer->line->text] + Presenter::place($answer->line->place) + [
            'jobs' => $answer->jobs, 'before' => self::figures($answer->before), 'candidates' => array_map(self::candidate(...), $answer->candidates),
        ];
    }

    /** @return array<string, mixed> */
    private static function candidate(SwapCandidate $one): array
    {
        return ['action' => $one->option->action, 'texts' => $one->texts(), 'reason' => $one->option->reason]
            + Presenter::dogs($one->serves, 'serves', 'servesIds') + Presenter::dogs($one->notFor, 'notFor', 'notForIds') + ['labels' => $one->option->labels]
            + Presenter::dogs($one->option->newTo, 'newTo', 'newToIds') + [
                'mending' => $one->mending, 'recipeText' => $one->composed->text, 'steps' => $one->composed->steps, 'cost' => round($one->option->cost, 4),
                'after' => self::figures($one->after), 'swap' => $one->swap,
            ];
    }

    /** @return array<string, mixed> */
    private static function figures(SwapFigures $figures): array
    {
        return [
            'kcalPerPiece' => $figures->kcalPerPiece, 'fatPerPiece' => $figures->fatPerPiece, 'wetness' => $figures->wetness, 'feel' => $figures->feel, 'made' => $figures->made, 'cost' => $figures->cost,
            'rations' => array_map(static fn (Ration $ration): array => Presenter::dog($ration->dog) + ['pieces' => $ration->pieces], $figures->rations),
        ];
    }
}

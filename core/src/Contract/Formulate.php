<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\FormulateQuestion;

/** `formulate` */
final readonly class Formulate implements Answers
{
    public function name(): string
    {
        return 'formulate';
    }

    public function says(): string
    {
        return 'what of this recipe may be baked for these dogs, and how much each may have';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $question = new FormulateQuestion(QuestionReader::read($node, $shipped));

        return (new JudgementPresenter($question->question, $question->answer()))->toArray();
    }
}

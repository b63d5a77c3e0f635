<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\OccasionQuestion;

/** `occasion` */
final readonly class Occasion implements Answers
{
    public function name(): string
    {
        return 'occasion';
    }

    public function says(): string
    {
        return 'a birthday slice: what is borrowed from the days after';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $question = QuestionReader::read($node, $shipped, ['occasion']);
        $occasion = $node->required('occasion', 'The occasion')->object(['dog', 'pieces']);
        $called = $occasion->required('dog', 'The dog\'s name');
        $pieces = $occasion->required('pieces', 'The pieces')->number(0.25, 1000, 'pieces');

        return ['version' => 1] + Presenter::object((new OccasionQuestion($question, DogReader::named($called, $question->dogs), $pieces))->answer());
    }
}

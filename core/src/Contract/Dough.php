<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\DoughQuestion;

/** `dough` */
final readonly class Dough implements Answers
{
    public function name(): string
    {
        return 'dough';
    }

    public function says(): string
    {
        return 'too wet or too dry: what to work in';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $question = QuestionReader::read($node, $shipped, ['feels', 'wants']);
        $feels = array_map(static fn (Feel $row): string => $row->feel, [...Feel::all(), ...Feel::allOfMeat()]);

        return ['version' => 1] + Presenter::object((new DoughQuestion($question, $node->get('feels')?->choice($feels), $node->get('wants')?->choice($feels)))->answer());
    }
}

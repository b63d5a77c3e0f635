<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\GiveAwayQuestion;

/** `give-away` */
final readonly class GiveAway implements Answers
{
    public function name(): string
    {
        return 'give-away';
    }

    public function says(): string
    {
        return 'pieces a day by body weight, for dogs nobody here knows';
    }

    public function asks(): Asks
    {
        return Asks::Recipe;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        return ['version' => 1] + Presenter::object((new GiveAwayQuestion(QuestionReader::read($node, $shipped)))->answer());
    }
}

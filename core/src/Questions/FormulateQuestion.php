<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;

/** `formulate`: what of this recipe may be baked for these dogs, and how much each may have. */
final readonly class FormulateQuestion
{
    public function __construct(public Question $question) {}

    public function answer(): Judgement
    {
        return Judgement::on($this->question);
    }
}

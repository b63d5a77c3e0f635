<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\KitchenQuestion;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use MildBowl\Core\Contract\Node;

/** Any question of core, asked in this kitchen: what the asker leaves out is added from what is kept. */
final class KitchenQuestionController
{
    public function __invoke(Request $request, KitchenQuestion $kitchen): Response
    {
        $question = substr((string) $request->route()?->getName(), strlen('ask.'));

        return CoreController::json($kitchen->answer($question, Node::decode($request->getContent())->objectValue()));
    }
}

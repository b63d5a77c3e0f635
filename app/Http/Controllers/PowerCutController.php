<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\Jars;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use MildBowl\Core\Contract\JarActReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;
use stdClass;

/** What a power cut of so many hours would do to each bag; nothing is written. */
final class PowerCutController
{
    /** @throws RequestRefused */
    public function __invoke(Request $request, Jars $jars): JsonResponse
    {
        $said = Node::decode($request->getContent())->value;
        $act = JarActReader::act(new Node((object) ['id' => (string) Str::uuid(), 'at' => '2000-01-01T00:00:00Z', 'by' => 'asked', 'do' => 'cut', 'said' => $said instanceof stdClass ? $said : new stdClass]));
        /** @var array{hours: float, full?: bool, feels?: array<string, string>, places?: list<string>} $asked */
        $asked = $act->said;

        return new JsonResponse(['bags' => $jars->afterCut($asked['hours'], $asked['full'] ?? false, $asked['feels'] ?? [], $asked['places'] ?? [])]);
    }
}

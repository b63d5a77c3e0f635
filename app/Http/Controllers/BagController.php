<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\BagResource;
use App\Http\Resources\BatchSlipResource;
use App\Models\Bag;
use App\Models\JarAct;
use App\Support\Jars;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use MildBowl\Core\Contract\JarActReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;

/** The bags that stand in the kitchen's places, and what is done with them. */
final class BagController
{
    private const MOST = 2000;

    /** Those that are here, what goes off first in front; of one batch, those that are gone too. */
    public function index(Request $request): AnonymousResourceCollection
    {
        $bags = Bag::query()->orderBy('best_before')->orderBy('number')->limit(self::MOST);
        $batch = $request->query('batch');
        is_string($batch) ? $bags->where('batch_id', $batch)->where('state', '!=', 'undone') : $bags->where('state', 'here');

        return BagResource::collection($bags->get());
    }

    /** @return array<string, mixed> with everything that was done with it */
    public function show(Bag $bag, Jars $jars): array
    {
        return (new BagResource($bag))->resolve() + ['acts' => array_map(static fn (JarAct $act): array => $act->told(), $jars->actsOf($bag))];
    }

    /** @throws RequestRefused when it cannot be; then everything stays as it was */
    public function act(Request $request, Jars $jars): JsonResponse
    {
        $act = JarActReader::act(Node::decode($request->getContent()));
        $bags = $jars->act($act);

        $done = JarAct::query()->findOrFail($act->id);

        return new JsonResponse(['act' => $done->told(), 'bags' => BagResource::collection($bags)->resolve(), 'batches' => BatchSlipResource::collection($done->batches())->resolve()], 201);
    }
}

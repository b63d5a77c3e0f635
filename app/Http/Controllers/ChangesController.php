<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\KitchenResource;
use App\Models\Change;
use App\Support\CurrentKitchen;
use App\Support\Kinds;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MildBowl\Core\Questions\RequestRefused;

/** What is new in the kitchen since a number of its count: every open page asks every few seconds. */
final readonly class ChangesController
{
    /** Of more than so many a page loads the kitchen anew. */
    private const MOST = 300;

    public function __construct(private CurrentKitchen $current) {}

    /** @throws RequestRefused */
    public function __invoke(Request $request): JsonResponse
    {
        $after = $request->query('after');
        if (! is_string($after) || preg_match('/^\d{1,15}$/', $after) !== 1) {
            throw RequestRefused::outOfRange('/after', 'Say after which number of the kitchen\'s count: a whole number from 0 on.');
        }
        $number = $this->current->get()->changed;
        $since = (int) $after;
        if ($since === $number) {
            return new JsonResponse(['number' => $number, 'anew' => false, 'kinds' => (object) [], 'gone' => []]);
        }
        $changes = Change::query()->where('number', '>', $since)->orderBy('number')->limit(self::MOST + 1)->get(['number', 'kind', 'row_id']);
        // fewer than were counted: they were swept away, or the count is of another kitchen
        if ($since > $number || $changes->count() > self::MOST || $changes->count() < $number - $since) {
            return new JsonResponse(['number' => $number, 'anew' => true, 'kinds' => (object) [], 'gone' => []]);
        }
        $kinds = [];
        $gone = [];
        foreach ($changes->groupBy('kind') as $kind => $of) {
            if ($kind === 'kitchen') {
                $kinds[$kind] = [new KitchenResource($this->current->get())];

                continue;
            }
            /** @var list<string> $ids */
            $ids = array_values($of->pluck('row_id')->unique()->all());
            $kinds[$kind] = Kinds::told((string) $kind, $ids);
            $there = (Kinds::ROWS[$kind])::query()->whereIn('id', $ids)->pluck('id')->all();
            foreach (array_diff($ids, $there) as $id) {
                $gone[] = ['kind' => $kind, 'id' => $id];
            }
        }

        return new JsonResponse(['number' => $number, 'anew' => false, 'kinds' => (object) $kinds, 'gone' => $gone]);
    }
}

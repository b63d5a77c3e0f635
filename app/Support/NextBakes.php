<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Dog;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Watching\BakeNext;
use MildBowl\Core\Watching\Candidate;
use MildBowl\Core\Watching\Eater;

/** What to bake next in this kitchen, of all that stands on its shelf: core orders, this puts the question. */
final readonly class NextBakes
{
    private const MOST = 12;

    private const SLIPS = <<<'SQL'
        SELECT r.id, r.title, r.judged->'foods' AS foods, r.judged->'clearedFor' AS cleared_for, coalesce(there.pieces, 0) AS there, coalesce(last.begun, '') AS last_on
        FROM recipes r
        LEFT JOIN (SELECT b.recipe_id, sum(g.pieces) AS pieces FROM bags g JOIN batches b ON b.kitchen_id = g.kitchen_id AND b.id = g.batch_id
            WHERE g.kitchen_id = :here AND g.state = 'here' AND g.content = 'treats' AND g.deleted_at IS NULL GROUP BY b.recipe_id) there ON there.recipe_id = r.id
        LEFT JOIN (SELECT recipe_id, max(begun_at)::text AS begun FROM batches WHERE kitchen_id = :kitchen AND deleted_at IS NULL GROUP BY recipe_id) last ON last.recipe_id = r.id
        WHERE r.kitchen_id = :of AND r.deleted_at IS NULL AND r.judged->>'of' = :mark AND jsonb_array_length(r.judged->'clearedFor') > 0
        SQL;

    public function __construct(private CurrentKitchen $current, private KitchenState $state, private KitchenClock $clock, private WatchedDogs $watched, private KitchenParts $parts) {}

    /**
     * @param  list<string>  $lacking  ids of dogs for whom nothing stands in the jars
     * @param  ?string  $bag  of which something is to be used up: only what it goes into is told
     * @return list<array<string, mixed>> the best first
     */
    public function all(array $lacking, ?string $bag = null): array
    {
        $eaters = [];
        foreach (Dog::query()->orderBy('position')->orderBy('name')->get() as $dog) {
            /** @var Dog $dog */
            $eaters[] = new Eater($dog->id, array_values(array_map(strval(...), $dog->dislikes ?? [])), $this->watched->tastesOf($dog->id), in_array($dog->id, $lacking, true));
        }

        $catalogue = $this->parts->catalogue();
        $called = static fn (array $one): array => ['food' => $catalogue->called($one['food'])] + $one;

        return array_map(static fn (BakeNext $one): array => [
            'recipe' => $one->candidate->recipe, 'title' => $one->candidate->title, 'uses' => array_column($one->uses, 'bag'), 'dogs' => $one->dogs, 'refuse' => array_map($called, $one->refuse), 'lack' => $one->lack, 'like' => $one->like, 'there' => $one->candidate->there,
        ], $this->ordered($eaters, $bag));
    }

    /**
     * @param  list<Eater>  $eaters
     * @return list<BakeNext>
     */
    private function ordered(array $eaters, ?string $bag): array
    {
        $open = array_values(array_filter($this->open(), static fn (array $one): bool => $bag === null || $one['bag'] === $bag));
        $next = BakeNext::of($this->candidates(), $eaters, $open, self::MOST);

        return $bag === null ? $next : array_values(array_filter($next, static fn (BakeNext $one): bool => $one->uses !== []));
    }

    /** @return list<Candidate> */
    private function candidates(): array
    {
        $id = $this->current->id();
        $rows = DB::select(self::SLIPS, ['here' => $id, 'kitchen' => $id, 'of' => $id, 'mark' => $this->state->mark()]);
        // a verdict tells foods by name, which is their id in words
        $list = static fn (string $json): array => array_values(array_filter((array) json_decode($json, true), is_string(...)));

        return array_map(static fn (object $row): Candidate => new Candidate(
            (string) $row->id, (string) $row->title, array_map(static fn (string $food): string => str_replace(' ', '-', $food), $list((string) $row->foods)), $list((string) $row->cleared_for), (float) $row->there, (string) $row->last_on,
        ), $rows);
    }

    /** @return list<array{bag: string, food: string, bestBefore: ?string}> */
    private function open(): array
    {
        $open = [];
        $today = $this->clock->today()->format('Y-m-d');
        foreach (Bag::query()->where('state', 'here')->where('content', 'food')->where('frozen', false)->whereNotNull('ingredient')->get() as $bag) {
            /** @var Bag $bag */
            $until = $bag->best_before?->format('Y-m-d');
            if ($until === null || $until >= $today) {
                $open[] = ['bag' => $bag->id, 'food' => (string) $bag->ingredient, 'bestBefore' => $until];
            }
        }

        return $open;
    }
}

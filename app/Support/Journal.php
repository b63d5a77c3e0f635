<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Change;
use App\Models\Kitchen;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Writes down what was changed, in the kitchen's own count: other pages ask what is new since the number they know. */
final readonly class Journal
{
    public function __construct(private CurrentKitchen $current, private KitchenClock $clock, private Request $request) {}

    /** @param  array<string, mixed>  $before  what stood in the columns that were changed */
    public function wrote(Model $row, array $before): void
    {
        $isKitchen = $row instanceof Kitchen;
        Change::query()->create([
            'number' => $this->next(), 'kind' => $isKitchen ? 'kitchen' : Kinds::of($row), 'row_id' => $isKitchen ? null : $row->getKey(),
            'version' => $row->getAttribute('version') ?? 1, 'before' => $before, 'page' => self::page($this->request), 'made_at' => $this->clock->now(),
        ]);
    }

    /** Something that has no version of its own was added to: pages that look ask anew. */
    public function noted(): void
    {
        $kitchen = $this->current->get();
        Change::query()->create(['number' => $this->next(), 'kind' => 'kitchen', 'row_id' => null, 'version' => $kitchen->version, 'before' => [], 'page' => self::page($this->request), 'made_at' => $this->clock->now()]);
    }

    /** Which page of a browser a request comes from (X-Page). */
    public static function page(Request $request): ?string
    {
        $page = $request->headers->get('X-Page');

        return $page !== null && Str::isUuid($page) ? $page : null;
    }

    /** The count goes up under a lock on the kitchen: whoever reads up to a number has seen everything below it. */
    private function next(): int
    {
        $row = DB::selectOne('UPDATE kitchens SET changed = changed + 1 WHERE id = ? RETURNING changed', [$this->current->id()]);

        return (int) $row->changed;
    }
}

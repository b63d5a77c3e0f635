<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use App\Models\Trial;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Dogs\Taste;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Watching\Trials;
use stdClass;

/** What trials and meals told of the dogs until a day, as core is told it. Read once for each day. */
final class WatchedDogs
{
    /** @var array<string, Trials>|null by dog */
    private ?array $trials = null;

    /** @var array<string, list<stdClass>>|null by dog */
    private ?array $tastes = null;

    public function __construct(private readonly CurrentKitchen $current, private readonly KitchenClock $clock) {}

    /** @return Trials of one dog */
    public function trialsOf(string $dog): Trials
    {
        return $this->trials()[$dog] ?? new Trials([]);
    }

    /** @return array<string, Trials> by dog; only of those that are or were in one */
    public function trials(): array
    {
        if ($this->trials === null) {
            $rows = [];
            /** @var Trial $one */
            foreach (Trial::query()->orderBy('from')->get() as $one) {
                $rows[$one->dog_id][] = $one->inCore();
            }
            $this->trials = array_map(static fn (array $of): Trials => new Trials($of), $rows);
        }

        return $this->trials;
    }

    /**
     * A dog as core is told of it on a day: what it is brought to slowly, what is left out, what went badly, what alone it may eat.
     *
     * @param  bool  $withTastes  whether what it takes and leaves is told too
     */
    public function told(Dog $dog, string $on, bool $withTastes = false): stdClass
    {
        $told = $this->by($this->trialsOf($dog->id), $dog, $on);
        $tastes = $withTastes ? $this->tastes()[$dog->id] ?? [] : [];
        if ($tastes !== []) {
            $told->watched ??= new stdClass;
            $told->watched->tastes = $tastes;
        }

        return $told;
    }

    /** A dog as core is told of it, were these all its trials. */
    public function by(Trials $trials, Dog $dog, string $on): stdClass
    {
        $told = $dog->known();
        $watched = array_filter($this->byTrials($told, $trials, $on), static fn (array $one): bool => $one !== []);
        if ($watched !== []) {
            $told->watched = (object) $watched;
        }

        return $told;
    }

    /** @return array<string, list<stdClass|string>> */
    private function byTrials(stdClass $told, Trials $trials, string $on): array
    {
        $today = BagShelf::day($on);
        $allowed = $trials->allowed($today);
        if ($allowed !== null) {
            // the vet's list of the trial is the newer one
            $told->allowList = $allowed;
        }
        $rows = static fn (array $of, string $key): array => array_map(static fn (int|string $food, int|string $one): stdClass => (object) ['food' => (string) $food, $key => $one], array_keys($of), $of);

        return ['broughtIn' => $rows($trials->broughtIn($today), 'day'), 'leftOut' => $rows($trials->leftOut($today), 'until'), 'wentBadly' => $rows($trials->wentBadly(), 'saw'), 'bears' => $trials->bears()];
    }

    /** @return array<string, list<mixed>> what the trials of each dog mean today for what it may have: a verdict rests on it */
    public function effects(): array
    {
        $today = BagShelf::day($this->clock->today()->format('Y-m-d'));
        $effects = [];
        foreach ($this->trials() as $dog => $trials) {
            $effects[$dog] = [array_map(Ramp::onDay(...), $trials->broughtIn($today)), $trials->leftOut($today), $trials->wentBadly(), $trials->allowed($today), $trials->bears()];
        }
        ksort($effects);

        return $effects;
    }

    /** @return array<string, Taste> how often a dog took what a food was in, by food */
    public function tastesOf(string $dog): array
    {
        $tastes = [];
        foreach ($this->tastes()[$dog] ?? [] as $one) {
            $tastes[(string) $one->food] = new Taste($one->took, $one->of);
        }

        return $tastes;
    }

    /** @return array<string, list<stdClass>> how often each dog took what a food was in */
    private function tastes(): array
    {
        if ($this->tastes === null) {
            $this->tastes = [];
            $rows = DB::select(<<<'SQL'
                SELECT dog_id, food, count(*) AS times, count(*) FILTER (WHERE said ->> 'how' IN ('first', 'again')) AS took
                FROM diary_entries e CROSS JOIN LATERAL jsonb_array_elements_text(said -> 'foods') AS food
                WHERE kitchen_id = ? AND kind = 'taken' AND NOT EXISTS (SELECT 1 FROM diary_undone u WHERE u.kitchen_id = e.kitchen_id AND u.entry = e.id)
                GROUP BY dog_id, food ORDER BY dog_id, food
                SQL, [$this->current->id()]);
            foreach ($rows as $row) {
                $this->tastes[$row->dog_id][] = (object) ['food' => $row->food, 'took' => (int) $row->took, 'of' => (int) $row->times];
            }
        }

        return $this->tastes;
    }
}

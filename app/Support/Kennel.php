<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use App\Models\Weighing;
use Illuminate\Database\Eloquent\Collection;
use MildBowl\Core\Questions\RequestRefused;
use stdClass;

/** The dogs of the kitchen as a question names them: by id, as they are described, or those at the table. Read once for each question. */
final class Kennel
{
    /** @var Collection<int, Dog>|null */
    private ?Collection $dogs = null;

    public function __construct(private readonly WatchedDogs $watched, private readonly KitchenClock $clock) {}

    /**
     * Dogs as core knows them: those at the table where nobody said; by id; or as they are described, on top of what is kept of them.
     *
     * @param  bool  $withTastes  whether what each takes and leaves is told too
     * @return list<stdClass>
     *
     * @throws RequestRefused when no dog of this kitchen has the id
     */
    public function asked(mixed $asked, bool $withTastes = false): array
    {
        $on = $this->clock->today()->format('Y-m-d');
        $told = fn (Dog $dog): stdClass => $this->watched->told($dog, $on, $withTastes);
        if (! is_array($asked)) {
            return array_map($told, array_values($this->all()->filter(static fn (Dog $dog): bool => $dog->at_table)->all()));
        }
        $dogs = [];
        foreach (array_values($asked) as $n => $one) {
            $id = is_string($one) ? $one : ($one instanceof stdClass ? $one->id ?? null : null);
            $kept = is_string($id) ? $this->all()->find($id) : null;
            if (is_string($one) && $kept === null) {
                throw RequestRefused::outOfRange("/dogs/$n", 'No dog of this kitchen has this id.');
            }
            $dogs[] = (object) ((array) ($one instanceof stdClass ? $one : []) + (array) ($kept === null ? [] : $told($kept)));
        }

        return $dogs;
    }

    /** @return Collection<int, Dog> in the order in which they sit */
    public function all(): Collection
    {
        return $this->dogs ??= Dog::query()->orderBy('position')->orderBy('name')->get();
    }

    /** The dog's own meals, and every time it was weighed. */
    public function weighed(stdClass $whole): void
    {
        $dog = $this->all()->find((string) $whole->dog);
        if ($dog !== null) {
            $whole->meals ??= $dog->meals;
            $weighings = Weighing::query()->where('dog_id', $dog->id)->with('dog')->orderBy('weighed_on')->get();
            if (! isset($whole->weighings)) {
                $whole->weighings = [];
                foreach ($weighings as $one) {
                    $whole->weighings[] = (object) ['ageMonths' => $one->dog->ageMonths($one->weighed_on), 'kg' => $one->kg];
                }
            }
        }
    }

    /**
     * Portions for the dogs that are at the table now.
     *
     * @param  array<array-key, mixed>  $portions
     * @return list<mixed>
     */
    public static function seated(array $portions, mixed $dogs): array
    {
        $known = [];
        foreach (is_array($dogs) ? $dogs : [] as $dog) {
            array_push($known, $dog->id ?? null, $dog->name ?? null);
        }
        foreach ($portions as $portion) {
            if ($portion instanceof stdClass && is_array($portion->dogs ?? null)) {
                $portion->dogs = array_values(array_filter($portion->dogs, static fn (mixed $dog): bool => $dog !== null && in_array($dog, $known, true)));
            }
        }

        return array_values($portions);
    }
}

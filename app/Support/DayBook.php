<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Batch;
use App\Models\Dog;
use App\Models\DogDay;
use App\Models\LedgerEntry;
use App\Models\Loan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Feeding\Borrowing;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Questions\RequestRefused;
use stdClass;

/** One day of the kitchen: what every dog was given, what it may still have of what stands on the shelves. Core reckons; this puts the question. */
final readonly class DayBook
{
    private const WEEK = 7;

    private const MOST_DOGS = 50;

    /** Batches that are looked at, those that go off first before the rest. */
    private const MOST_BATCHES = 60;

    public function __construct(private Contract $contract, private KitchenParts $parts, private KitchenQuestion $questions, private CurrentKitchen $current, private WeighDays $weigh, private WatchedDogs $watched, private MorningAfter $morning) {}

    /**
     * @param  list<string>|null  $dogs  ids; null for all
     * @param  bool  $withJars  whether what they may have of what stands in the jars is told too
     * @param  list<string>  $except  gifts that are left out of it
     * @return array{date: string, dogs: list<array<string, mixed>>, batches: list<array<string, mixed>>, given: list<array<string, mixed>>, loans: list<array<string, mixed>>, weigh: list<array<string, mixed>>, lacking: list<string>, watch: list<array<string, mixed>>}
     *
     * @throws RequestRefused
     */
    public function of(string $on, ?array $dogs = null, bool $withJars = true, array $except = []): array
    {
        [$kennel, $entries] = $this->concerned($on, $dogs, $except);
        $undone = $this->undone($on);
        $lotOf = $this->lotsOfBags($entries);
        $lots = $this->lots($entries, $lotOf, $withJars);
        $keys = [];
        $batches = [];
        foreach ($lots as $n => $lot) {
            $keys["{$lot['batch']->id}|{$lot['lot']}"] = "b$n";
            $batches[] = (object) ['id' => "b$n", 'question' => self::eatingFrom($lot['batch']->log()->question(), $lot['lot'])];
        }
        $given = [];
        foreach ($entries as $entry) {
            $one = isset($undone[$entry->gift]) ? null : self::given($entry, $lotOf[$entry->bag_id] ?? '', $keys);
            array_push($given, ...$one === null ? [] : [$one]);
        }
        $told = [];
        // core takes so many dogs at a time
        foreach (array_chunk($kennel, self::MOST_DOGS) as $some) {
            array_push($told, ...$this->asked($on, $some, $batches, $given));
        }

        return [
            'date' => $on, 'dogs' => $told,
            'batches' => array_map(static fn (array $lot, int $n): array => ['id' => "b$n", 'batch' => $lot['batch']->id, 'lot' => $lot['lot'] === '' ? null : $lot['lot'], 'title' => $lot['batch']->title], $lots, array_keys($lots)),
            'weigh' => $dogs === null ? $this->weigh->due($on, $kennel) : [],
            'lacking' => self::lacking($told),
            'watch' => $dogs === null ? $this->morning->asks($on, $kennel) : [],
            'loans' => array_map(static fn (Loan $one): array => ['id' => $one->id, 'dog' => $one->dog_id, 'on' => substr($one->on, 0, 10), 'kcal' => $one->kcal, 'by' => $one->by, 'days' => array_map(static fn (string $day, float|int $kcal): array => ['on' => $day, 'kcal' => $kcal], array_keys($one->days), $one->days)], $this->loans($on, array_map(static fn (Dog $dog): string => $dog->id, $kennel))),
            'given' => array_map(static fn (LedgerEntry $one): array => $one->told(isset($undone[$one->gift])), $entries),
        ];
    }

    /**
     * Dogs for whom nothing of what stands in the jars is cleared.
     *
     * @param  list<array<string, mixed>>  $told
     * @return list<string>
     */
    private static function lacking(array $told): array
    {
        $lacking = [];
        foreach ($told as $dog) {
            $may = is_array($dog['may'] ?? null) ? array_filter($dog['may'], static fn (mixed $one): bool => is_array($one) && $one['heldBy'] !== Limit::NOT_CLEARED) : [];
            if ($may === []) {
                $lacking[] = is_string($dog['dogId'] ?? null) ? $dog['dogId'] : '';
            }
        }

        return $lacking;
    }

    /**
     * @param  list<Dog>  $dogs
     * @param  list<stdClass>  $batches
     * @param  list<stdClass>  $given
     * @return list<array<string, mixed>> what core says of each dog's day
     *
     * @throws RequestRefused
     */
    private function asked(string $on, array $dogs, array $batches, array $given): array
    {
        $ids = array_map(static fn (Dog $dog): string => $dog->id, $dogs);
        $request = (object) [
            'version' => 1, 'date' => $on, 'dogs' => array_map(fn (Dog $dog): stdClass => $this->watched->told($dog, $on), $dogs), 'batches' => $batches,
            'given' => array_values(array_filter($given, static fn (stdClass $one): bool => in_array($one->dog, $ids, true))), 'before' => $this->before($on, $ids), 'borrowed' => $this->borrowed($on, $ids),
        ];
        foreach (array_intersect_key($this->parts->all(), ['policy' => 1, 'pantry' => 1, 'names' => 1]) as $key => $part) {
            $request->{$key} = $part;
        }
        /** @var array{dogs: list<array<string, mixed>>} $answer */
        $answer = $this->questions->inUnits($this->contract->answerTo('day', $request));

        return $answer['dogs'];
    }

    /**
     * Reckons the day of some dogs anew, and keeps what it came to.
     *
     * @param  list<string>  $dogs  ids
     * @param  bool  $withJars  whether what they may have now is told too
     * @return array<string, mixed> the day, of these dogs
     */
    public function reckon(string $on, array $dogs, bool $withJars = true): array
    {
        $day = $this->of($on, $dogs, $withJars);
        foreach ($day['dogs'] as $dog) {
            /** @var array{dogId: string, given: array<string, array{best: float|int}>, budgetKcal: ?float, hadPredatorFish: bool, over: bool, ate: list<string>} $dog */
            DogDay::query()->where('dog_id', $dog['dogId'])->where('on', $on)->delete();
            DogDay::query()->create(['dog_id' => $dog['dogId'], 'on' => $on, 'kcal' => $dog['given']['kcal']['best'], 'budget_kcal' => $dog['budgetKcal'], 'garlic_g' => $dog['given']['garlicG']['best'], 'predator_fish' => $dog['hadPredatorFish'], 'over' => $dog['over'], 'foods' => $dog['ate']]);
        }

        return $day;
    }

    /**
     * What a dog eats with a piece of a batch, or with something else that it was given.
     *
     * @return list<string> ids of foods; what nobody knows as it was written
     *
     * @throws RequestRefused
     */
    public function foodsOf(Dog $dog, string $on, ?Batch $batch, string $lot, ?LedgerEntry $entry): array
    {
        $key = 'b';
        $batches = $batch === null ? [] : [(object) ['id' => $key, 'question' => self::eatingFrom($batch->log()->question(), $lot)]];
        $given = match (true) {
            $entry !== null && in_array($entry->kind, ['text', 'label'], true) => self::given($entry, $lot, []),
            $batch !== null => (object) ['dog' => $dog->id, 'batch' => $key, 'pieces' => 1],
            default => null,
        };
        /** @var list<string> $ate */
        $ate = $given === null ? [] : $this->asked($on, [$dog], $batches, [$given])[0]['ate'] ?? [];

        return $ate;
    }

    /**
     * What occasions take from a day, and what the day itself borrows.
     *
     * @param  list<string>  $dogs
     * @return list<stdClass>
     */
    private function borrowed(string $on, array $dogs): array
    {
        $borrowed = [];
        foreach ($this->loans($on, $dogs) as $loan) {
            $kcal = (float) ($loan->days[$on] ?? 0.0) - (substr($loan->on, 0, 10) === $on ? $loan->kcal : 0.0);
            if ($kcal !== 0.0) {
                $borrowed[] = (object) ['dog' => $loan->dog_id, 'kcal' => $kcal];
            }
        }

        return $borrowed;
    }

    /**
     * @param  list<string>  $dogs
     * @return list<Loan> that bear on a day
     */
    public function loans(string $on, array $dogs): array
    {
        $since = CarbonImmutable::parse($on)->subDays(Borrowing::MOST_DAYS)->format('Y-m-d');
        /** @var list<Loan> $loans */
        $loans = Loan::query()->whereIn('dog_id', $dogs)->where('on', '>=', $since)->where('on', '<=', CarbonImmutable::parse($on)->addDays(Borrowing::MOST_DAYS)->format('Y-m-d'))
            ->whereNotIn('id', DB::table('ledger_undone')->where('kitchen_id', $this->current->id())->select('gift'))->get()->all();

        return $loans;
    }

    /** @return array<string, true> gifts of a day that were taken back */
    private function undone(string $on): array
    {
        return array_fill_keys(DB::table('ledger_undone')->where('kitchen_id', $this->current->id())->whereIn('gift', LedgerEntry::query()->where('on', $on)->select('gift'))->pluck('gift')->all(), true);
    }

    /**
     * @param  list<string>|null  $dogs
     * @param  list<string>  $except  gifts
     * @return array{list<Dog>, list<LedgerEntry>}
     */
    private function concerned(string $on, ?array $dogs, array $except): array
    {
        $kennel = Dog::query()->orderBy('position')->orderBy('name');
        $given = LedgerEntry::query()->where('on', $on)->whereNotIn('gift', $except)->orderBy('at')->orderBy('id');
        if ($dogs !== null) {
            $kennel->whereIn('id', $dogs);
            $given->whereIn('dog_id', $dogs);
        }
        /** @var list<Dog> $all */
        $all = $kennel->get()->all();
        /** @var list<LedgerEntry> $entries */
        $entries = $given->get()->all();

        return [$all, $entries];
    }

    /**
     * @param  list<LedgerEntry>  $entries
     * @return array<string, string> the lot by the bag
     */
    private function lotsOfBags(array $entries): array
    {
        $ids = array_values(array_unique(array_filter(array_map(static fn (LedgerEntry $one): ?string => $one->bag_id, $entries))));

        return $ids === [] ? [] : array_map(strval(...), Bag::query()->whereIn('id', $ids)->pluck('lot', 'id')->all());
    }

    /**
     * What stands on the shelves or was given today, each lot of a batch once.
     *
     * @param  list<LedgerEntry>  $entries
     * @param  array<string, string>  $lotOf
     * @return list<array{batch: Batch, lot: string}>
     */
    private function lots(array $entries, array $lotOf, bool $withJars): array
    {
        $wanted = [];
        foreach ($entries as $entry) {
            $wanted["{$entry->batch_id}|".($lotOf[$entry->bag_id] ?? '')] = $entry->batch_id;
        }
        foreach ($withJars ? Bag::query()->where('state', 'here')->where('content', 'treats')->whereNotNull('batch_id')->where('frozen', false)->orderBy('best_before')->get() : [] as $bag) {
            $wanted["{$bag->batch_id}|{$bag->lot}"] = $bag->batch_id;
        }
        $wanted = array_slice(array_filter($wanted), 0, self::MOST_BATCHES);
        /** @var list<Batch> $found */
        $found = Batch::withTrashed()->whereIn('id', array_values(array_unique($wanted)))->get()->all();
        $batches = array_combine(array_map(static fn (Batch $one): string => $one->id, $found), $found);
        $lots = [];
        foreach ($wanted as $key => $id) {
            if (isset($batches[$id])) {
                $lots[] = ['batch' => $batches[$id], 'lot' => explode('|', (string) $key, 2)[1]];
            }
        }

        return $lots;
    }

    /** The question about a batch, where every dog eats from one lot. */
    private static function eatingFrom(stdClass $question, string $lot): stdClass
    {
        if (! is_array($question->portions ?? null)) {
            return $question;
        }
        $question = clone $question;
        $question->portions = array_map(static function (mixed $portion) use ($lot, $question): mixed {
            if (! $portion instanceof stdClass) {
                return $portion;
            }
            $portion = clone $portion;
            $isIt = $lot !== '' && in_array($lot, [$portion->id ?? null, $portion->name ?? null], true);
            $portion->dogs = $isIt ? array_map(static fn (mixed $dog): mixed => $dog instanceof stdClass ? $dog->id ?? $dog->name ?? '' : '', is_array($question->dogs ?? null) ? $question->dogs : []) : [];

            return $portion;
        }, $question->portions);

        return $question;
    }

    /** @param  array<string, string>  $keys  of the batches, by batch and lot */
    private static function given(LedgerEntry $entry, string $lot, array $keys): ?stdClass
    {
        return match (true) {
            $entry->kind === 'text' => (object) ['dog' => $entry->dog_id, 'text' => $entry->words],
            $entry->kind === 'label' => (object) ['dog' => $entry->dog_id, 'label' => json_decode((string) $entry->label), 'pieces' => $entry->pieces],
            $entry->pieces === null => null,
            isset($keys["{$entry->batch_id}|$lot"]) => (object) ['dog' => $entry->dog_id, 'batch' => $keys["{$entry->batch_id}|$lot"], 'pieces' => $entry->pieces],
            default => (object) ['dog' => $entry->dog_id, 'label' => (object) ['name' => $entry->words], 'pieces' => $entry->pieces],
        };
    }

    /**
     * @param  list<string>  $dogs
     * @return list<stdClass> the seven days before, as far as the rules of a week need them
     */
    private function before(string $on, array $dogs): array
    {
        $day = CarbonImmutable::parse($on);
        $before = [];
        foreach (DogDay::query()->whereIn('dog_id', $dogs)->where('on', '<', $on)->where('on', '>=', $day->subDays(self::WEEK)->format('Y-m-d'))->get() as $one) {
            if ($one->garlic_g > 0.0 || $one->predator_fish) {
                $before[] = (object) ['on' => substr($one->on, 0, 10), 'dog' => $one->dog_id, 'garlicG' => $one->garlic_g, 'predatorFish' => $one->predator_fish];
            }
        }

        return $before;
    }
}

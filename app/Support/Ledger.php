<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Batch;
use App\Models\Dog;
use App\Models\JarAct;
use App\Models\LedgerEntry;
use App\Models\Loan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Feeding\Borrowing;
use MildBowl\Core\Feeding\Gift;
use MildBowl\Core\Keeping\JarAct as Act;
use MildBowl\Core\Keeping\JarActKind;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Making\EntryKind;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Figure;
use Ramsey\Uuid\Uuid;

/** Writes down who gave what to which dog, takes the pieces out of their bag, and has the day reckoned anew. Corrected, never erased. */
final readonly class Ledger
{
    /** Days back that something may still be written down. */
    private const LOOKS_BACK = 60;

    /** min that a device may be ahead of the kitchen. */
    private const CLOCK_OFF = 10;

    /** Of a piece: less is none. */
    private const CRUMB = 1e-6;

    public function __construct(private KitchenClock $clock, private CurrentKitchen $current, private Jars $jars, private DayBook $days, private Journal $journal) {}

    /**
     * @return array<string, mixed> the day of the dogs it concerns, as it stands then
     *
     * @throws RequestRefused when it cannot be; then nothing is written
     */
    public function give(Gift $gift): array
    {
        $at = new CarbonImmutable($gift->at);
        $on = $at->setTimezone($this->current->get()->timezone)->format('Y-m-d');
        $dogs = array_column($gift->dogs, 'dog');
        $known = LedgerEntry::query()->where('gift', $gift->id)->first();
        if ($known !== null) {
            // told again it is nothing new; but what another hand gave after a slip was taken back must not be taken for that slip
            return ! $known->at->equalTo($at) && DB::table('ledger_undone')->where('kitchen_id', $this->current->id())->where('gift', $gift->id)->exists()
                ? throw RequestRefused::outOfRange('/id', 'That was written down before and taken back meanwhile: if it was given after all, write it down once more.')
                : $this->days->of($on, $dogs);
        }
        if ($at->greaterThan($this->clock->now()->addMinutes(self::CLOCK_OFF))) {
            throw RequestRefused::outOfRange('/at', 'That moment has not come yet: what will be given is written down when it is given. Is the clock of this device right?');
        }
        if ($at->lessThan($this->clock->now()->subDays(self::LOOKS_BACK))) {
            throw RequestRefused::outOfRange('/at', 'That is more than '.self::LOOKS_BACK.' days ago.');
        }
        $known = Dog::query()->whereIn('id', $dogs)->pluck('id')->all();
        foreach ($dogs as $n => $dog) {
            if (! in_array($dog, $known, true)) {
                throw RequestRefused::outOfRange("/dogs/$n/dog", 'No dog of this kitchen has this id.');
            }
        }
        [$kind, $said] = $this->what($gift);
        $says = $gift->bag === null ? null : $this->fromBag($gift, $gift->bag);
        foreach ($gift->dogs as $one) {
            LedgerEntry::query()->create($said + [
                'id' => (string) Uuid::uuid5($gift->id, $one['dog']), 'gift' => $gift->id, 'dog_id' => $one['dog'], 'on' => $on, 'at' => $at, 'by' => $gift->by, 'kind' => $kind, 'pieces' => $one['pieces'],
                'unsure' => $gift->isUnsure, 'came_at' => $this->clock->now(),
            ]);
        }
        $this->journal->noted();

        return $this->days->reckon($on, $dogs) + ['says' => $says];
    }

    /**
     * Takes it out of its bag. What a dog had it had: where the bag holds less, or was emptied meanwhile by another hand, the ledger is
     * right and the bag is to be counted.
     *
     * @return ?string what is to be said of the bag
     */
    private function fromBag(Gift $gift, string $id): ?string
    {
        $bag = Bag::query()->findOrFail($id);
        $there = $bag->state === 'here' ? min($bag->pieces, $gift->pieces()) : 0.0;
        $held = $there > 0.0 ? 'only '.Figure::of($there) : 'nothing';
        $isShort = $there + self::CRUMB < $gift->pieces();
        $says = $isShort ? "Bag {$bag->number} held $held by our reckoning: it is written down all the same. Count the bag." : null;
        if ($there <= self::CRUMB) {
            return $says;
        }
        DB::beginTransaction();
        try {
            $this->jars->act(new Act($gift->id, $gift->at, $gift->by, JarActKind::Take, ['bag' => $id, 'pieces' => $there, 'why' => 'given']));
            DB::commit();
        } catch (RequestRefused $refused) {
            DB::rollBack();

            return $refused->getMessage().' It is written down all the same; count the bag.';
        }

        return $says;
    }

    /**
     * @return array<string, mixed> the day of the dogs it concerned
     *
     * @throws RequestRefused when what was done since stands on it
     */
    public function takeBack(string $gift, string $id, CarbonImmutable $at, string $by): array
    {
        $loan = Loan::query()->where('id', $gift)->first();
        $entries = LedgerEntry::query()->where('gift', $gift)->get();
        $first = $loan ?? $entries->firstOrFail();
        $on = substr($first->on, 0, 10);
        /** @var list<string> $dogs */
        $dogs = $loan === null ? array_values($entries->pluck('dog_id')->all()) : [$loan->dog_id];
        $undone = DB::table('ledger_undone')->where('kitchen_id', $this->current->id());
        if ((clone $undone)->where('gift', $gift)->exists()) {
            return $this->days->of($on, $dogs);
        }
        DB::table('ledger_undone')->insert(['kitchen_id' => $this->current->id(), 'gift' => $gift, 'id' => $id, 'at' => $at, 'by' => $by]);
        if ($first instanceof LedgerEntry && $first->bag_id !== null && JarAct::query()->where('id', $gift)->exists()) {
            $this->jars->act(new Act($id, $at->utc()->format('Y-m-d\TH:i:s.v\Z'), $by, JarActKind::Undo, [], $gift));
        }
        $this->journal->noted();

        return $this->days->reckon($on, $dogs);
    }

    /**
     * An occasion: what a dog had too much of on a day is taken from the days after it.
     *
     * @param  bool  $ifOver  whether a dog that is not over borrows nothing, instead of being refused
     * @return array<string, mixed> the day of the dog
     *
     * @throws RequestRefused when nothing is to be borrowed, or seven days are too few
     */
    public function borrow(string $id, string $dog, string $on, CarbonImmutable $at, string $by, bool $ifOver = false): array
    {
        $kept = Dog::query()->find($dog) ?? throw RequestRefused::outOfRange('/dog', 'No dog of this kitchen has this id.');
        if (Loan::query()->where('id', $id)->exists()) {
            return $this->days->of($on, [$dog]);
        }
        $day = $this->days->of($on, [$dog])['dogs'][0] ?? [];
        $left = $day['leftKcal'] ?? null;
        if ($ifOver && (! is_numeric($left) || $left >= 0.0)) {
            return $this->days->of($on, [$dog]);
        }
        $budget = $day['budgetKcal'] ?? null;
        if (! is_numeric($left) || ! is_numeric($budget) || $left >= 0.0) {
            throw RequestRefused::outOfRange('/dog', "{$kept->name} is not over on that day: nothing is borrowed.");
        }
        $taken = [];
        foreach ($this->days->loans($on, [$dog]) as $loan) {
            foreach ($loan->days as $of => $kcal) {
                $taken[$of] = ($taken[$of] ?? 0.0) + (float) $kcal;
            }
        }
        $borrowing = Borrowing::of(-(float) $left, (float) $budget, BagShelf::day($on), $taken)
            ?? throw RequestRefused::outOfRange('/dog', 'Even with '.Borrowing::MOST_DAYS.' days without other treats that is too much to borrow: leave out of its meals what the dish says, and ask your vet if it is unwell.');
        Loan::query()->create(['id' => $id, 'dog_id' => $dog, 'on' => $on, 'at' => $at, 'by' => $by, 'kcal' => $borrowing->kcal, 'days' => $borrowing->days]);
        $this->journal->noted();

        return $this->days->reckon($on, [$dog]);
    }

    /**
     * What a dog had of a batch while it was made: licked the spoon, ate a raw end.
     *
     * @throws RequestRefused
     */
    public function followLog(Batch $batch, Entry $entry): void
    {
        if ($entry->kind === EntryKind::Undone && $entry->corrects !== null && LedgerEntry::query()->where('gift', $entry->corrects)->exists()) {
            $this->takeBack($entry->corrects, $entry->id, new CarbonImmutable($entry->at), $entry->by);
        }
        $dog = $entry->kind === EntryKind::Tasted && ($entry->said['took'] ?? false) === true ? Dog::query()->find((string) $entry->text('dog')) : null;
        if ($dog === null) {
            return;
        }
        $grams = $entry->number('grams');
        $what = (string) $entry->text('what');
        $each = ($entry->said['ofBatch'] ?? false) === true ? $this->gramsOfAPiece($batch) : null;
        $at = new CarbonImmutable($entry->at);
        $on = $at->setTimezone($this->current->get()->timezone)->format('Y-m-d');
        $said = match (true) {
            $each !== null && $grams !== null && $grams > 0.0 => ['kind' => 'taste', 'pieces' => $grams / $each],
            $grams !== null && $grams > 0.0 => ['kind' => 'text', 'words' => "$grams g $what"],
            // nobody knows how much: it is told, and counts for nothing
            default => ['kind' => 'taste', 'pieces' => null],
        };
        LedgerEntry::query()->create($said + [
            'id' => (string) Uuid::uuid5($entry->id, $dog->id), 'gift' => $entry->id, 'dog_id' => $dog->id, 'on' => $on, 'at' => $at, 'by' => $entry->by, 'batch_id' => $batch->id, 'words' => "$what ({$batch->title})",
            'unsure' => false, 'came_at' => $this->clock->now(),
        ]);
        $this->days->reckon($on, [$dog->id]);
    }

    private function gramsOfAPiece(Batch $batch): ?float
    {
        $answer = json_decode($batch->answer, true, 64, JSON_THROW_ON_ERROR);
        $grams = is_array($answer) ? $answer['portions'][0]['piece']['doughGrams']['best'] ?? null : null;

        return is_numeric($grams) && $grams > 0 ? (float) $grams : null;
    }

    /**
     * @return array{string, array<string, mixed>} the kind, and what it was
     *
     * @throws RequestRefused
     */
    private function what(Gift $gift): array
    {
        if ($gift->bag !== null) {
            $bag = Bag::query()->find($gift->bag) ?? throw RequestRefused::outOfRange('/bag', 'No bag of this kitchen has this id.');
            if ($bag->content !== 'treats') {
                throw RequestRefused::outOfRange('/bag', "Bag {$bag->number} holds ".($bag->content === 'dough' ? 'raw dough: bake it first' : 'no treats: write down what was given in words').'.');
            }

            return $bag->batch_id === null
                ? ['label', ['bag_id' => $bag->id, 'words' => $bag->title, 'label' => json_encode(['name' => $bag->title], JSON_THROW_ON_ERROR)]]
                : ['pieces', ['bag_id' => $bag->id, 'batch_id' => $bag->batch_id, 'words' => $bag->title]];
        }
        if ($gift->batch !== null) {
            $batch = Batch::query()->find($gift->batch) ?? throw RequestRefused::outOfRange('/batch', 'No batch of this kitchen has this id.');

            return ['pieces', ['batch_id' => $batch->id, 'words' => $batch->title]];
        }
        if ($gift->text !== null) {
            return ['text', ['words' => $gift->text]];
        }

        return ['label', ['words' => is_string($gift->label['name'] ?? null) ? $gift->label['name'] : '', 'label' => json_encode((object) $gift->label, JSON_THROW_ON_ERROR)]];
    }
}

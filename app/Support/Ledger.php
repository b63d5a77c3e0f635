<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Batch;
use App\Models\Dog;
use App\Models\LedgerEntry;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Feeding\Gift;
use MildBowl\Core\Keeping\JarAct as Act;
use MildBowl\Core\Keeping\JarActKind;
use MildBowl\Core\Questions\RequestRefused;
use Ramsey\Uuid\Uuid;

/** Writes down who gave what to which dog, takes the pieces out of their bag, and has the day reckoned anew. Corrected, never erased. */
final readonly class Ledger
{
    /** Days back that something may still be written down. */
    private const LOOKS_BACK = 60;

    /** min that a device may be ahead of the kitchen. */
    private const CLOCK_OFF = 10;

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
        if (LedgerEntry::query()->where('gift', $gift->id)->exists()) {
            return $this->days->of($on, $dogs);
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
        if ($gift->bag !== null) {
            $this->jars->act(new Act($gift->id, $gift->at, $gift->by, JarActKind::Take, ['bag' => $gift->bag, 'pieces' => $gift->pieces(), 'why' => 'given']));
        }
        foreach ($gift->dogs as $one) {
            LedgerEntry::query()->create($said + [
                'id' => (string) Uuid::uuid5($gift->id, $one['dog']), 'gift' => $gift->id, 'dog_id' => $one['dog'], 'on' => $on, 'at' => $at, 'by' => $gift->by, 'kind' => $kind, 'pieces' => $one['pieces'],
                'unsure' => $gift->isUnsure, 'came_at' => $this->clock->now(),
            ]);
        }
        $this->journal->noted();

        return $this->days->reckon($on, $dogs);
    }

    /**
     * @return array<string, mixed> the day of the dogs it concerned
     *
     * @throws RequestRefused when what was done since stands on it
     */
    public function takeBack(string $gift, string $id, CarbonImmutable $at, string $by): array
    {
        $entries = LedgerEntry::query()->where('gift', $gift)->get();
        $first = $entries->firstOrFail();
        $on = substr($first->on, 0, 10);
        /** @var list<string> $dogs */
        $dogs = array_values($entries->pluck('dog_id')->all());
        $undone = DB::table('ledger_undone')->where('kitchen_id', $this->current->id());
        if ((clone $undone)->where('gift', $gift)->exists()) {
            return $this->days->of($on, $dogs);
        }
        DB::table('ledger_undone')->insert(['kitchen_id' => $this->current->id(), 'gift' => $gift, 'id' => $id, 'at' => $at, 'by' => $by]);
        if ($first->bag_id !== null) {
            $this->jars->act(new Act($id, $at->utc()->format('Y-m-d\TH:i:s.v\Z'), $by, JarActKind::Undo, [], $gift));
        }
        $this->journal->noted();

        return $this->days->reckon($on, $dogs);
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
            if ($bag->frozen) {
                throw RequestRefused::outOfRange('/bag', "Bag {$bag->number} is frozen: thaw it first.");
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

<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use App\Models\Batch;
use App\Models\Dog;
use App\Models\LedgerEntry;
use App\Support\CurrentKitchen;
use App\Support\DayBook;
use App\Support\Journal;
use App\Support\KitchenClock;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/** What the dogs were given, whatever was taken back of it. A row from outside without an id is known again by what it says. */
final class Ledger implements Table
{
    private const AT_ONCE = 500;

    private const NAMESPACE = '6f1f6c0e-5c0e-5b0e-9d0c-2f6a1c0e7a11';

    /** In an hour that nobody wrote down. */
    private const NOON = '12:00:00';

    /** @var array<string, int>|null ids that are kept, or were read in this table */
    private ?array $known = null;

    /** @var array<string, int>|null ids */
    private ?array $batches = null;

    /** @var list<array<string, mixed>> that are read and not written yet: thousands are written many at a time */
    private array $waiting = [];

    /** @var array<string, array<string, true>> dogs by day whose days are to be reckoned */
    private array $days = [];

    public function __construct(private readonly DogNames $dogs, private readonly KitchenClock $clock, private readonly CurrentKitchen $current, private readonly DayBook $book, private readonly Journal $journal) {}

    public function columns(): array
    {
        return ['id' => false, 'gift' => false, 'dog' => true, 'on' => true, 'at' => false, 'by' => false, 'kind' => false, 'batch' => false, 'bag' => false, 'pieces' => false, 'words' => true, 'label' => false, 'not sure who' => false, 'taken back at' => false, 'taken back by' => false];
    }

    public function rows(): iterable
    {
        $names = Dog::withTrashed()->pluck('name', 'id');
        $undone = DB::table('ledger_undone')->where('kitchen_id', $this->current->id())->get()->keyBy('gift');
        foreach (LedgerEntry::query()->orderBy('on')->orderBy('at')->orderBy('id')->lazy(self::AT_ONCE) as $one) {
            /** @var LedgerEntry $one */
            $back = $undone[$one->gift] ?? null;
            yield [
                $one->id, $one->gift, (string) ($names[$one->dog_id] ?? ''), substr($one->on, 0, 10), Cells::moment($one->at), $one->by, $one->kind, (string) $one->batch_id, (string) $one->bag_id, Cells::number($one->pieces), $one->words,
                (string) $one->label, $one->unsure ? 'yes' : '', Cells::moment($back->at ?? null), Cells::text($back->by ?? ''),
            ];
        }
    }

    public function take(Row $row): string
    {
        $dog = $this->dogs->of($row);
        $on = $row->pastDay('on', $this->clock->today());
        $id = $row->id('id') ?? (string) Uuid::uuid5(self::NAMESPACE, $dog->id.$row->sum());
        $this->known ??= array_flip(LedgerEntry::query()->pluck('id')->all());
        if (isset($this->known[$id])) {
            return 'same';
        }
        $gift = $row->id('gift') ?? $id;
        $at = $row->moment('at') ?? new \Carbon\CarbonImmutable("$on ".self::NOON, $this->current->get()->timezone);
        $batch = $row->id('batch');
        $this->batches ??= array_flip(Batch::withTrashed()->pluck('id')->all());
        if ($batch !== null && ! isset($this->batches[$batch])) {
            throw new CellRefused('batch', 'No batch of this kitchen has this id: bring in the batches first, or leave it empty.');
        }
        $kind = $row->choice('kind', ['pieces', 'text', 'label', 'taste'], false) ?? 'text';
        $pieces = $row->number('pieces', 0.001, 1000);
        if ($kind === 'pieces' && ($batch === null || $pieces === null)) {
            throw new CellRefused($batch === null ? 'batch' : 'pieces', 'Pieces are given of a batch: say of which, and how many.');
        }
        $by = $row->who('by', $this->current->get()->baker);
        $entry = new LedgerEntry([
            'id' => $id, 'gift' => $gift, 'dog_id' => $dog->id, 'on' => $on, 'at' => $at, 'by' => $by, 'kind' => $kind, 'batch_id' => $batch, 'bag_id' => $row->id('bag'), 'pieces' => $pieces, 'words' => $row->text('words', 500, $kind !== 'pieces'),
            'label' => $this->label($row, $kind), 'unsure' => $row->choice('not sure who', ['yes', 'no'], false) === 'yes', 'came_at' => $this->clock->now(),
        ]);
        $this->known[$id] = 1;
        $this->waiting[] = ['kitchen_id' => $this->current->id()] + $entry->getAttributes();
        if (count($this->waiting) >= self::AT_ONCE) {
            $this->write();
        }
        $back = $row->moment('taken back at');
        if ($back !== null) {
            DB::table('ledger_undone')->insertOrIgnore(['kitchen_id' => $this->current->id(), 'gift' => $gift, 'id' => (string) Uuid::uuid5(self::NAMESPACE, "back $gift"), 'at' => $back, 'by' => $row->maybe('taken back by', 60) ?? $by]);
        }
        $this->days[$on][$dog->id] = true;

        return 'new';
    }

    private function label(Row $row, string $kind): ?string
    {
        $label = $row->maybe('label', 2000);
        if ($label !== null && ! is_array(json_decode($label, true))) {
            throw new CellRefused('label', 'Here stands what a label said, as the kitchen wrote it: leave it as it was, or empty.');
        }

        return $label ?? ($kind === 'label' ? json_encode(['name' => $row->text('words', 500)], JSON_THROW_ON_ERROR) : null);
    }

    private function write(): void
    {
        LedgerEntry::query()->toBase()->insert($this->waiting);
        $this->waiting = [];
    }

    public function finish(): void
    {
        $this->write();
        foreach ($this->days as $on => $dogs) {
            $this->book->reckon((string) $on, array_keys($dogs), false);
        }
        $this->journal->noted();
    }
}

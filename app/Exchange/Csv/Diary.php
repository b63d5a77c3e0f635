<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use App\Models\DiaryEntry;
use App\Models\Dog;
use App\Support\CurrentKitchen;
use App\Support\Journal;
use App\Support\KitchenClock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Contract\DiaryReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Watching\DiaryKind;
use Ramsey\Uuid\Uuid;

/** What was seen of the dogs. What can be written down at all, core says. */
final readonly class Diary implements Table
{
    private const AT_ONCE = 500;

    private const NAMESPACE = '6f1f6c0e-5c0e-5b0e-9d0c-2f6a1c0e7a12';

    private const NOON = '12:00:00';

    /** Columns by what an entry says; those that name several hold them between semicolons. */
    private const SAID = ['sign' => 'sign', 'step' => 'step', 'score' => 'score', 'note' => 'note', 'text' => 'note', 'how' => 'how it took it', 'words' => 'of what', 'foods' => 'foods', 'texture' => 'texture', 'shape' => 'shape', 'gift' => 'gift', 'batch' => 'batch'];

    public function __construct(private DogNames $dogs, private KitchenClock $clock, private CurrentKitchen $current, private Journal $journal) {}

    public function columns(): array
    {
        return ['id' => false, 'dog' => true, 'on' => true, 'at' => false, 'by' => false, 'kind' => true, ...array_fill_keys(self::SAID, false), 'photo' => false, 'taken back at' => false, 'taken back by' => false];
    }

    public function rows(): iterable
    {
        $names = Dog::withTrashed()->pluck('name', 'id');
        $undone = DB::table('diary_undone')->where('kitchen_id', $this->current->id())->get()->keyBy('entry');
        foreach (DiaryEntry::query()->orderBy('on')->orderBy('at')->orderBy('id')->lazy(self::AT_ONCE) as $one) {
            /** @var DiaryEntry $one */
            $cells = array_fill_keys(self::SAID, '');
            foreach ($one->said as $key => $value) {
                $cells[self::SAID[$key]] = is_array($value) ? Cells::several($value) : (is_string($value) ? $value : Cells::number($value));
            }
            $back = $undone[$one->id] ?? null;
            yield [$one->id, (string) ($names[$one->dog_id] ?? ''), substr($one->on, 0, 10), Cells::moment($one->at), $one->by, $one->kind, ...array_values($cells), (string) $one->photo_id, Cells::moment($back->at ?? null), Cells::text($back->by ?? '')];
        }
    }

    public function take(Row $row): string
    {
        $dog = $this->dogs->of($row);
        $on = $row->pastDay('on', $this->clock->today());
        $id = $row->id('id') ?? (string) Uuid::uuid5(self::NAMESPACE, $dog->id.$row->sum());
        if (DiaryEntry::query()->whereKey($id)->exists()) {
            return 'same';
        }
        $kind = DiaryKind::from((string) $row->choice('kind', array_column(DiaryKind::cases(), 'value')));
        $at = $row->moment('at') ?? new CarbonImmutable("$on ".self::NOON, $this->current->get()->timezone);
        $by = $row->who('by', $this->current->get()->baker);
        $said = $this->said($row, $kind);
        $asked = ['id' => $id, 'at' => Cells::moment($at), 'by' => $by, 'dog' => $dog->id, 'on' => $on, 'kind' => $kind->value, 'said' => (object) $said];
        try {
            $entry = DiaryReader::entry(Node::decode(json_encode($asked, JSON_THROW_ON_ERROR)));
        } catch (RequestRefused $refused) {
            $key = explode('/', $refused->path)[2] ?? explode('/', $refused->path)[1] ?? '';
            throw new CellRefused(self::SAID[$key] ?? $key, $refused->getMessage());
        }
        DiaryEntry::query()->create(['id' => $id, 'dog_id' => $dog->id, 'on' => $on, 'at' => $at, 'by' => $entry->by, 'kind' => $kind->value, 'said' => $kind === DiaryKind::Taken ? $said : $entry->said, 'came_at' => $this->clock->now(), 'photo_id' => $this->photo($row)]);
        $back = $row->moment('taken back at');
        if ($back !== null) {
            DB::table('diary_undone')->insertOrIgnore(['kitchen_id' => $this->current->id(), 'entry' => $id, 'id' => (string) Uuid::uuid5(self::NAMESPACE, "back $id"), 'at' => $back, 'by' => $row->maybe('taken back by', 60) ?? $by]);
        }

        return 'new';
    }

    /** @return array<string, mixed> */
    private function said(Row $row, DiaryKind $kind): array
    {
        $said = [];
        foreach (match ($kind) {
            DiaryKind::Sign => ['sign', 'step', 'score', 'note'],
            DiaryKind::Note => ['text'],
            DiaryKind::Taken => ['how', 'words', 'foods', 'texture', 'shape', 'gift', 'batch'],
            DiaryKind::Well => [],
        } as $key) {
            $column = self::SAID[$key];
            if (! $row->has($column)) {
                continue;
            }
            $said[$key] = match ($key) {
                'step' => (int) $row->number($column, 1, 20),
                'score' => $row->number($column, 0, 10),
                'foods' => $row->several($column),
                'gift', 'batch' => $row->id($column),
                default => $row->text($column, 1000),
            };
        }

        return $kind === DiaryKind::Sign && isset($said['step']) ? array_diff_key($said, ['score' => 1]) : $said;
    }

    private function photo(Row $row): ?string
    {
        $id = $row->id('photo');

        // pictures travel with a backup; a table has none
        return $id !== null && DB::table('photos')->where('kitchen_id', $this->current->id())->where('id', $id)->exists() ? $id : null;
    }

    public function finish(): void
    {
        $this->journal->noted();
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Batch;
use App\Models\DiaryEntry;
use App\Models\Dog;
use App\Models\LedgerEntry;
use App\Models\Photo;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Watching\DiaryEntry as Entry;
use MildBowl\Core\Watching\DiaryKind;

/** Writes down what was seen of a dog. Corrected, never erased. */
final readonly class Diary
{
    /** Days back that something may still be written down: an owner brings her notes of a season. */
    private const LOOKS_BACK = 400;

    /** min that a device may be ahead of the kitchen. */
    private const CLOCK_OFF = 10;

    /** Of what was not baked. */
    private const RAW = 'none';

    public function __construct(private KitchenClock $clock, private CurrentKitchen $current, private Journal $journal, private DayBook $days) {}

    /**
     * @throws RequestRefused when it cannot be; then nothing is written
     */
    public function write(Entry $entry): DiaryEntry
    {
        $known = DiaryEntry::query()->find($entry->id);
        if ($known !== null) {
            return $known;
        }
        $dog = Dog::query()->find($entry->dog) ?? throw RequestRefused::outOfRange('/dog', 'No dog of this kitchen has this id.');
        $today = $this->clock->today();
        $at = new CarbonImmutable($entry->at);
        match (true) {
            $at->greaterThan($this->clock->now()->addMinutes(self::CLOCK_OFF)) => throw RequestRefused::outOfRange('/at', 'That moment has not come yet. Is the clock of this device right?'),
            $entry->on->iso > $today->format('Y-m-d') => throw RequestRefused::outOfRange('/on', 'That day has not come yet: write it down when it is over.'),
            $entry->on->iso < $today->subDays(self::LOOKS_BACK)->format('Y-m-d') => throw RequestRefused::outOfRange('/on', 'That is more than '.self::LOOKS_BACK.' days ago.'),
            $dog->born_on !== null && $entry->on->iso < $dog->born_on->format('Y-m-d') => throw RequestRefused::outOfRange('/on', "{$dog->name} was born on {$dog->born_on->format('j F Y')}: nothing can be seen of it before."),
            $entry->photo !== null && ! Photo::query()->where('id', $entry->photo)->exists() => throw RequestRefused::outOfRange('/photo', 'No photograph of this kitchen has this id.'),
            default => null,
        };
        $written = DiaryEntry::query()->create([
            'id' => $entry->id, 'dog_id' => $dog->id, 'on' => $entry->on->iso, 'at' => $at, 'by' => $entry->by, 'kind' => $entry->kind->value,
            'said' => $entry->kind === DiaryKind::Taken ? $this->offered($entry, $dog) : $entry->said, 'photo_id' => $entry->photo, 'came_at' => $this->clock->now(),
        ]);
        $this->journal->noted();

        return $written;
    }

    /** A slip: it stays written down as one. */
    public function takeBack(DiaryEntry $entry, string $id, CarbonImmutable $at, string $by): void
    {
        DB::table('diary_undone')->insertOrIgnore(['kitchen_id' => $this->current->id(), 'entry' => $entry->id, 'id' => $id, 'at' => $at, 'by' => $by]);
        $this->journal->noted();
    }

    /**
     * What it was offered, as it was made then: its foods, texture and shape stand with the entry, whatever becomes of the batch.
     *
     * @return array<string, mixed>
     *
     * @throws RequestRefused when the gift or the batch is of nobody
     */
    private function offered(Entry $entry, Dog $dog): array
    {
        $gift = isset($entry->said['gift']) ? LedgerEntry::query()->where('gift', $entry->said['gift'])->where('dog_id', $entry->dog)->first() : null;
        if (isset($entry->said['gift']) && $gift === null) {
            throw RequestRefused::outOfRange('/said/gift', 'Nothing with this id was given to this dog.');
        }
        $id = $gift->batch_id ?? $entry->said['batch'] ?? null;
        $batch = $id === null ? null : Batch::withTrashed()->find($id) ?? throw RequestRefused::outOfRange('/said/batch', 'No batch of this kitchen has this id.');
        $lot = $gift?->bag_id === null ? '' : (string) Bag::query()->find($gift->bag_id)?->lot;

        if ($gift === null && $batch === null) {
            return $entry->said;
        }
        $foods = $this->days->foodsOf($dog, $entry->on->iso, $batch, $lot, $gift);

        return ['foods' => $foods] + $entry->said + self::cutOf($batch, $lot, $gift) + ['words' => $gift->words ?? $batch->title ?? ''];
    }

    /**
     * The texture and the shape of what it was offered; dough that it had while it was made is raw.
     *
     * @return array{texture?: string, shape?: string}
     */
    private static function cutOf(?Batch $batch, string $lot, ?LedgerEntry $gift): array
    {
        if ($gift?->kind === 'taste') {
            return ['texture' => self::RAW];
        }
        if ($batch === null) {
            return [];
        }
        $question = $batch->log()->question();
        $of = $question;
        foreach (is_array($question->portions ?? null) ? $question->portions : [] as $portion) {
            if ($lot !== '' && in_array($lot, [$portion->id ?? null, $portion->name ?? null], true)) {
                $of = $portion;
            }
        }
        $texture = $of->bake->texture ?? $of->texture ?? $question->bake->texture ?? null;
        $shape = $of->cut->shape ?? $question->cut->shape ?? null;

        return (is_string($texture) ? ['texture' => $texture] : []) + (is_string($shape) && in_array($shape, Shapes::ids(), true) ? ['shape' => $shape] : []);
    }
}

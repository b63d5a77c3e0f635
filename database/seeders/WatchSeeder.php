<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Batch;
use App\Models\DiaryEntry;
use App\Models\Dog;
use App\Models\LedgerEntry;
use App\Models\Trial;
use App\Support\DayBook;
use App\Support\Diary;
use App\Support\KitchenClock;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Watching\DiaryEntry as Told;
use MildBowl\Core\Watching\DiaryKind;

/**
 * Ten weeks of two dogs, made up: Bosun scratches after what has mussels in it, whoever gives it; Tuppence is picky. And trials: one that
 * went well, one that runs.
 */
final class WatchSeeder extends Seeder
{
    private const BAKER = 'Ines Marlow';

    private const HELPER = 'Tom Reed';

    /** What Bosun had, by days ago: pieces of a batch, or words. */
    private const BOSUN = [
        'Mussel and millet fingers' => [66, 52, 44, 31, 17], '20 g cooked mussels' => [59, 37, 24, 10, 3], '30 g cooked millet' => [62, 48, 28, 13],
        'Lentil and celery crisps' => [69, 64, 56, 49, 41, 34, 27, 20, 12], 'Beetroot and barley rounds' => [68, 61, 54, 46, 39, 33, 26, 19, 14],
    ];

    /** Days ago on which it itched, and how much. */
    private const ITCHED = [65 => 6, 64 => 5, 58 => 7, 51 => 6, 50 => 4, 43 => 6, 42 => 5, 36 => 6, 35 => 4, 30 => 7, 29 => 6, 21 => 4, 16 => 5, 15 => 6, 9 => 6, 8 => 4, 2 => 6];

    /** What Tuppence was offered, by days ago, and how it took it. */
    private const TUPPENCE = [
        'Venison and parsnip coins' => [55 => 'first', 50 => 'first', 45 => 'again', 38 => 'first', 30 => 'again', 22 => 'first', 18 => 'first'],
        'Pear and sorghum squares' => [48 => 'first', 42 => 'again', 33 => 'left', 25 => 'first'],
        'Mussel and millet fingers' => [51 => 'refused', 43 => 'left', 35 => 'refused', 28 => 'refused'],
        'Lentil and celery crisps' => [53 => 'left', 47 => 'first', 36 => 'left', 20 => 'left'],
    ];

    /** Days ago on which its stool was one of the steps. */
    private const STOOL = [52 => 5, 46 => 4, 35 => 5, 19 => 4];

    /** @var array<string, Dog> */
    private array $dogs = [];

    public function run(KitchenClock $clock, DayBook $days, Diary $diary): void
    {
        $today = $clock->today();
        foreach (['Bosun', 'Tuppence', 'Biscay'] as $name) {
            $this->dogs[$name] = Dog::query()->where('name', $name)->firstOrFail();
        }
        $fed = [];
        foreach (self::BOSUN as $what => $agos) {
            foreach ($agos as $ago) {
                $this->gift('Bosun', $what, $today->subDays($ago));
                $fed[$ago][] = 'Bosun';
            }
        }
        foreach (self::TUPPENCE as $what => $agos) {
            foreach ($agos as $ago => $how) {
                $this->took('Tuppence', $today->subDays($ago), $this->gift('Tuppence', $what, $today->subDays($ago)), $how, $diary);
                $fed[$ago][] = 'Tuppence';
            }
        }
        krsort($fed);
        foreach ($fed as $ago => $names) {
            $days->reckon($today->subDays($ago)->format('Y-m-d'), array_map(fn (string $name): string => $this->dogs[$name]->id, array_values(array_unique($names))));
        }
        foreach (self::ITCHED as $ago => $score) {
            $this->saw('Bosun', $today->subDays($ago), DiaryKind::Sign, ['sign' => 'skin', 'score' => $score], $ago === 30 ? 'scratched behind the ears until it woke us' : null);
        }
        foreach (self::STOOL as $ago => $step) {
            $this->saw('Tuppence', $today->subDays($ago), DiaryKind::Sign, ['sign' => 'gut', 'step' => $step, 'score' => [4 => 3, 5 => 5][$step]]);
        }
        for ($ago = 69; $ago > 3; $ago -= 2) {
            foreach (['Bosun' => self::ITCHED, 'Tuppence' => self::STOOL] as $name => $seen) {
                if (! isset($seen[$ago])) {
                    $this->saw($name, $today->subDays($ago), DiaryKind::Well, []);
                }
            }
        }
        $this->saw('Bosun', $today->subDays(41), DiaryKind::Note, ['text' => 'swam in the basin, long walk']);
        $this->trials($today);
    }

    private function trials(CarbonImmutable $today): void
    {
        Trial::query()->create(['dog_id' => $this->dogs['Tuppence']->id, 'kind' => 'new-food', 'foods' => ['venison'], 'from' => $today->subDays(55), 'days' => 14, 'ended_on' => $today->subDays(41), 'outcome' => 'well']);
        Trial::query()->create(['dog_id' => $this->dogs['Biscay']->id, 'kind' => 'new-food', 'foods' => ['carrot'], 'from' => $today->subDays(2), 'days' => 14]);
    }

    /** Written into the ledger as it was then: no bag of that time stands on the shelves any more. */
    private function gift(string $dog, string $what, CarbonImmutable $day): string
    {
        $at = $day->setTime(17, 30);
        $batch = Batch::query()->where('title', $what)->where('begun_at', '<', $at)->orderByDesc('begun_at')->first() ?? Batch::query()->where('title', $what)->orderBy('begun_at')->first();
        $id = (string) Str::uuid7();
        LedgerEntry::query()->create([
            'id' => $id, 'gift' => $id, 'dog_id' => $this->dogs[$dog]->id, 'on' => $day->format('Y-m-d'), 'at' => $at, 'by' => $batch === null ? self::HELPER : self::BAKER,
            'kind' => $batch === null ? 'text' : 'pieces', 'batch_id' => $batch?->id, 'pieces' => $batch === null ? null : ($dog === 'Bosun' ? 6.0 : 2.0), 'words' => $what, 'unsure' => false, 'came_at' => $at,
        ]);

        return $id;
    }

    private function took(string $dog, CarbonImmutable $day, string $gift, string $how, Diary $diary): void
    {
        $on = Day::read($day->format('Y-m-d'));
        assert($on !== null);
        $diary->write(new Told((string) Str::uuid7(), $day->setTime(17, 40)->utc()->format('Y-m-d\TH:i:s.v\Z'), self::BAKER, $this->dogs[$dog]->id, $on, DiaryKind::Taken, ['how' => $how, 'gift' => $gift], null));
    }

    /** @param  array<string, mixed>  $said */
    private function saw(string $dog, CarbonImmutable $day, DiaryKind $kind, array $said, ?string $note = null): void
    {
        $at = $day->addDay()->setTime(7, 30);
        DiaryEntry::query()->create(['id' => (string) Str::uuid7(), 'dog_id' => $this->dogs[$dog]->id, 'on' => $day->format('Y-m-d'), 'at' => $at, 'by' => $day->day % 3 === 0 ? self::HELPER : self::BAKER, 'kind' => $kind->value, 'said' => $said + ($note === null ? [] : ['note' => $note]), 'came_at' => $at]);
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\DiaryEntry;
use App\Models\Dog;
use App\Models\DogDay;
use App\Models\LedgerEntry;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Watching\DiaryKind;
use MildBowl\Core\Watching\Trial;
use MildBowl\Core\Watching\TrialKind;

/**
 * Which dogs the page asks after on a morning: those in a trial, those that were not well of late, those that ate something for the first
 * time in weeks. Of few at a time, and of none of whom somebody has already said how it was.
 */
final readonly class MorningAfter
{
    /** Dogs at a time: a page that asks for more is not answered. */
    private const MOST = 3;

    /** Days in which something was seen that bring a question. */
    private const OF_LATE = 3;

    /** Days without a food after which it counts as eaten for the first time. */
    private const LONG_AGO = 56;

    /** Score under which nothing was the matter. */
    private const SOMETHING = 3;

    public function __construct(private WatchedDogs $watched, private CurrentKitchen $current, private KitchenParts $parts) {}

    /**
     * @param  list<Dog>  $dogs
     * @return list<array{dog: string, on: string, because: list<string>, gifts: list<array{gift: string, words: string}>, taken: list<string>}>
     */
    public function asks(string $today, array $dogs): array
    {
        $on = BagShelf::day($today)->after(-1)->iso;
        $said = $this->said($on);
        $ill = $this->ill($on);
        $fresh = $this->fresh($on);
        $because = [];
        foreach ($dogs as $dog) {
            $trials = isset($said['how'][$dog->id]) ? [] : array_filter($this->watched->trialsOf($dog->id)->open(BagShelf::day($on)), static fn (Trial $one): bool => $one->dayOn(BagShelf::day($on)) <= $one->days);
            $reasons = [
                ...array_values(array_map(fn (Trial $one): string => $this->tells($one, $on), $trials)),
                ...isset($ill[$dog->id]) ? ['it was not well '.($ill[$dog->id] === $on ? 'yesterday' : 'these days')] : [],
                ...isset($fresh[$dog->id]) ? ['first time with '.implode(', ', $fresh[$dog->id])] : [],
            ];
            if ($reasons !== [] && ! isset($said['how'][$dog->id])) {
                $because[$dog->id] = $reasons;
            }
        }
        $some = array_slice($because, 0, self::MOST, true);
        $gifts = $this->gifts($on, array_map(strval(...), array_keys($some)));

        return array_map(static fn (int|string $dog, array $reasons): array => [
            'dog' => (string) $dog, 'on' => $on, 'because' => $reasons, 'gifts' => $gifts[$dog] ?? [], 'taken' => $said['taken'][$dog] ?? [],
        ], array_keys($some), $some);
    }

    private function tells(Trial $trial, string $on): string
    {
        $foods = implode(', ', array_map($this->catalogue()->called(...), $trial->foods));

        return match (true) {
            $trial->kind->bringsIn() => "day {$trial->dayOn(BagShelf::day($on))} with $foods",
            $trial->kind === TrialKind::LeaveOut => "day {$trial->dayOn(BagShelf::day($on))} without $foods",
            default => "day {$trial->dayOn(BagShelf::day($on))} of only a few foods",
        };
    }

    private function catalogue(): Catalogue
    {
        return $this->parts->catalogue();
    }

    /** @return array{how: array<string, true>, taken: array<string, list<string>>} of which dogs it was said how they were, and which gifts how they were taken */
    private function said(string $on): array
    {
        $how = $taken = [];
        foreach ($this->entries($on, $on) as $one) {
            if ($one->kind === DiaryKind::Taken->value) {
                $taken[$one->dog_id][] = is_string($one->said['gift'] ?? null) ? $one->said['gift'] : '';
            } elseif ($one->kind !== DiaryKind::Note->value) {
                $how[$one->dog_id] = true;
            }
        }

        return ['how' => $how, 'taken' => $taken];
    }

    /** @return array<string, string> the last day on which something was seen, by dog */
    private function ill(string $on): array
    {
        $ill = [];
        foreach ($this->entries(BagShelf::day($on)->after(1 - self::OF_LATE)->iso, $on) as $one) {
            if ($one->kind === DiaryKind::Sign->value && is_numeric($one->said['score'] ?? null) && $one->said['score'] >= self::SOMETHING) {
                $ill[$one->dog_id] = substr($one->on, 0, 10);
            }
        }

        return $ill;
    }

    /** @return list<DiaryEntry> that stand, in order */
    private function entries(string $from, string $to): array
    {
        /** @var list<DiaryEntry> $rows */
        $rows = DiaryEntry::query()->whereBetween('on', [$from, $to])->whereNotIn('id', DB::table('diary_undone')->where('kitchen_id', $this->current->id())->select('entry'))->orderBy('on')->orderBy('at')->get()->all();

        return $rows;
    }

    /** @return array<string, list<string>> names of foods that a dog ate on the day and not in the weeks before, by dog; of none whose weeks are unknown */
    private function fresh(string $on): array
    {
        $since = CarbonImmutable::parse($on)->subDays(self::LONG_AGO)->format('Y-m-d');
        $ate = $before = [];
        foreach (DogDay::query()->whereBetween('on', [$since, $on])->whereNotNull('foods')->get(['kitchen_id', 'dog_id', 'on', 'foods']) as $day) {
            /** @var DogDay $day */
            $foods = $day->foods ?? [];
            if (substr($day->on, 0, 10) === $on) {
                $ate[$day->dog_id] = $foods;
            } else {
                $before[$day->dog_id] = ($before[$day->dog_id] ?? []) + array_fill_keys($foods, true);
            }
        }
        $fresh = [];
        foreach ($ate as $dog => $foods) {
            $new = array_filter($foods, static fn (string $food): bool => ! isset($before[$dog][$food]));
            if ($new !== [] && ($before[$dog] ?? []) !== []) {
                $fresh[$dog] = array_values(array_map($this->catalogue()->called(...), $new));
            }
        }

        return $fresh;
    }

    /**
     * @param  list<string>  $dogs
     * @return array<string, list<array{gift: string, words: string}>> what each was given, each kind of it once
     */
    private function gifts(string $on, array $dogs): array
    {
        $gifts = [];
        $undone = DB::table('ledger_undone')->where('kitchen_id', $this->current->id())->select('gift');
        foreach (LedgerEntry::query()->where('on', $on)->whereIn('dog_id', $dogs)->whereNotIn('gift', $undone)->orderBy('at')->orderBy('came_at')->get() as $one) {
            /** @var LedgerEntry $one */
            $gifts[$one->dog_id][$one->words] ??= ['gift' => $one->gift, 'words' => $one->words];
        }

        return array_map(array_values(...), $gifts);
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\DiaryEntry;
use App\Models\Dog;
use App\Models\DogDay;
use App\Models\LedgerEntry;
use App\Models\Trial;
use App\Models\Weighing;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Watching\DiaryKind;
use MildBowl\Core\Watching\SignKind;
use stdClass;

/** A dog's days beside each other: what it ate and what it came to, what was seen, what it weighed, its trials; which food is suspect, what it likes. */
final readonly class Seasons
{
    /** Days whose foods are looked up at once where an older version of the kitchen kept none. */
    private const LOOKS_UP = 40;

    /** Days that suspects look back before the first: the longest window. */
    private const WINDOW = 14;

    public function __construct(private Contract $contract, private KitchenParts $parts, private KitchenQuestion $questions, private DayBook $book, private CurrentKitchen $current, private KitchenClock $clock) {}

    /** @return array<string, mixed> */
    public function of(Dog $dog, string $from, string $to): array
    {
        $this->lookUp($dog, $from, $to);
        $days = $this->days($dog, $from, $to);
        $entries = $this->entries($dog, $from, $to);
        $seen = array_values(array_filter($entries, static fn (array $one): bool => ! $one['undone']));
        $since = self::since($days, $seen, $from);
        $catalogue = array_intersect_key($this->parts->all(), ['names' => 1, 'pantry' => 1]);

        $told = [
            'dog' => $dog->id, 'from' => $from, 'to' => $to,
            'days' => array_values(array_filter($days, static fn (array $day): bool => $day['on'] >= $from)),
            'entries' => $entries,
            'weighings' => $this->weighings($dog, $to),
            'trials' => $this->trials($dog),
            'countedFrom' => $since,
            'suspects' => $this->asked('suspects', ['dog' => $dog->name, 'from' => $since, 'to' => $to, 'ate' => self::ate($days), 'signs' => self::signs($seen)] + $catalogue),
            'likes' => $this->asked('likes', ['dog' => $dog->name, 'offered' => self::offered($seen)] + $catalogue),
        ];

        return $told + ['names' => $this->names($told)];
    }

    /**
     * The first day of which anything was written down: days before the book was begun are no good days, nobody looked.
     *
     * @param  list<array{on: string, foods: list<string>}>  $days
     * @param  list<array<string, mixed>>  $seen
     */
    private static function since(array $days, array $seen, string $from): string
    {
        $first = min([...array_column($days, 'on'), ...array_map(strval(...), array_column($seen, 'on')), '9']);

        return $first === '9' ? $from : max($from, $first);
    }

    /**
     * What every food that is named by its id is called.
     *
     * @param  array<string, mixed>  $told
     */
    private function names(array $told): stdClass
    {
        $catalogue = $this->parts->catalogue();
        $names = new stdClass;
        $name = static function (mixed $id) use ($catalogue, $names): void {
            if (is_string($id) && $id !== '' && ! isset($names->{$id})) {
                $names->{$id} = $catalogue->called($id);
            }
        };
        $visit = static function (mixed $node, string|int $key) use (&$visit, $name): void {
            if (is_array($node) || $node instanceof stdClass) {
                $ofFoods = in_array($key, ['foods', 'together', 'leaveOut', 'keep'], true);
                foreach ((array) $node as $at => $one) {
                    $ofFoods && is_string($one) ? $name($one) : $visit($one, $at);
                }
            } elseif (in_array($key, ['food', 'what'], true)) {
                $name($node);
            }
        };
        $visit($told, '');

        return $names;
    }

    /** @return array{dog: string, from: string, to: string, given: list<array<string, mixed>>, days: list<array<string, mixed>>, names: stdClass} all it was given, the latest first, with what each day brought */
    public function given(Dog $dog, string $from, string $to): array
    {
        $this->lookUp($dog, $from, $to);
        /** @var list<LedgerEntry> $entries */
        $entries = LedgerEntry::query()->where('dog_id', $dog->id)->whereBetween('on', [$from, $to])->orderByDesc('at')->orderBy('id')->get()->all();
        $undone = array_fill_keys(DB::table('ledger_undone')->where('kitchen_id', $this->current->id())->whereIn('gift', array_map(static fn (LedgerEntry $one): string => $one->gift, $entries))->pluck('gift')->all(), true);

        $told = [
            'dog' => $dog->id, 'from' => $from, 'to' => $to,
            'given' => array_map(static fn (LedgerEntry $one): array => $one->told(isset($undone[$one->gift])), $entries),
            'days' => array_values(array_filter($this->days($dog, $from, $to), static fn (array $day): bool => $day['on'] >= $from)),
        ];

        return $told + ['names' => $this->names($told)];
    }

    /**
     * @param  array<string, mixed>  $request
     * @return array<string, mixed>
     */
    private function asked(string $question, array $request): array
    {
        return $this->questions->inUnits($this->contract->answerTo($question, (object) (['version' => 1] + $request)));
    }

    /** @return list<array{on: string, kg: float, bodyCondition: ?int}> */
    private function weighings(Dog $dog, string $to): array
    {
        $told = [];
        foreach (Weighing::query()->where('dog_id', $dog->id)->where('weighed_on', '<=', $to)->orderBy('weighed_on')->get() as $one) {
            /** @var Weighing $one */
            $told[] = ['on' => $one->weighed_on->format('Y-m-d'), 'kg' => $one->kg, 'bodyCondition' => $one->body_condition];
        }

        return $told;
    }

    /** @return list<array<string, mixed>> */
    private function trials(Dog $dog): array
    {
        $told = [];
        foreach (Trial::query()->where('dog_id', $dog->id)->orderBy('from')->get() as $one) {
            /** @var Trial $one */
            $told[] = $one->told($this->clock->today()->format('Y-m-d'));
        }

        return $told;
    }

    /** @return list<array{on: string, kcal: float, budgetKcal: ?float, over: bool, foods: list<string>}> and those just before, for what they leave behind */
    private function days(Dog $dog, string $from, string $to): array
    {
        $first = CarbonImmutable::parse($from)->subDays(self::WINDOW)->format('Y-m-d');
        $days = [];
        foreach (DogDay::query()->toBase()->where('dog_id', $dog->id)->whereBetween('on', [$first, $to])->orderBy('on')->get() as $one) {
            /** @var stdClass $one */
            $foods = json_decode((string) ($one->foods ?? '[]'), true);
            $days[] = ['on' => substr((string) $one->on, 0, 10), 'kcal' => (float) $one->kcal, 'budgetKcal' => $one->budget_kcal === null ? null : (float) $one->budget_kcal, 'over' => (bool) $one->over, 'foods' => is_array($foods) ? array_values(array_map(strval(...), $foods)) : []];
        }

        return $days;
    }

    /** Days that an older version of the kitchen kept without their foods. */
    private function lookUp(Dog $dog, string $from, string $to): void
    {
        $unknown = DogDay::query()->where('dog_id', $dog->id)->whereBetween('on', [$from, $to])->whereNull('foods')->orderByDesc('on')->limit(self::LOOKS_UP)->pluck('on')->all();
        foreach ($unknown as $on) {
            $this->book->reckon(substr((string) $on, 0, 10), [$dog->id]);
        }
    }

    /** @return list<array<string, mixed>> the diary, the newest last */
    private function entries(Dog $dog, string $from, string $to): array
    {
        /** @var list<DiaryEntry> $rows */
        $rows = DiaryEntry::query()->where('dog_id', $dog->id)->whereBetween('on', [$from, $to])->orderBy('on')->orderBy('at')->get()->all();
        $undone = array_fill_keys(DB::table('diary_undone')->where('kitchen_id', $this->current->id())->whereIn('entry', array_map(static fn (DiaryEntry $one): string => $one->id, $rows))->pluck('entry')->all(), true);

        return array_map(static fn (DiaryEntry $one): array => $one->told(isset($undone[$one->id])), $rows);
    }

    /**
     * @param  list<array{on: string, foods: list<string>}>  $days
     * @return list<stdClass>
     */
    private static function ate(array $days): array
    {
        return array_values(array_map(static fn (array $day): stdClass => (object) ['on' => $day['on'], 'foods' => $day['foods']], array_filter($days, static fn (array $day): bool => $day['foods'] !== [])));
    }

    /**
     * A day that was told to be well is one without a sign of the gut and the skin, and not one of which nothing is known.
     *
     * @param  list<array<string, mixed>>  $entries
     * @return list<stdClass>
     */
    private static function signs(array $entries): array
    {
        $signs = [];
        foreach ($entries as $one) {
            $said = (array) $one['said'];
            if ($one['kind'] === DiaryKind::Sign->value) {
                $signs[] = (object) ['on' => $one['on'], 'kind' => $said['sign'], 'score' => $said['score']];
            } elseif ($one['kind'] === DiaryKind::Well->value) {
                array_push($signs, (object) ['on' => $one['on'], 'kind' => SignKind::Gut->value, 'score' => 0], (object) ['on' => $one['on'], 'kind' => SignKind::Skin->value, 'score' => 0]);
            }
        }

        return $signs;
    }

    /**
     * @param  list<array<string, mixed>>  $entries
     * @return list<stdClass>
     */
    private static function offered(array $entries): array
    {
        $offered = [];
        foreach ($entries as $one) {
            $said = (array) $one['said'];
            if ($one['kind'] === DiaryKind::Taken->value) {
                $offered[] = (object) array_filter(['on' => $one['on'], 'how' => $said['how'], 'foods' => $said['foods'] ?? [], 'texture' => $said['texture'] ?? null, 'shape' => $said['shape'] ?? null], static fn (mixed $of): bool => $of !== null);
            }
        }

        return $offered;
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use App\Models\Occasion;
use App\Models\Recipe;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Feeding\Borrowing;
use MildBowl\Core\Questions\PartyQuestion;
use MildBowl\Core\Questions\RequestRefused;
use stdClass;

/**
 * Occasions put to core: as they are kept, or as they are being written. What was taken away since is left out of them.
 *
 * @phpstan-import-type Guest from Occasion
 * @phpstan-import-type Treat from Occasion
 * @phpstan-import-type Share from Occasion
 * @phpstan-import-type Box from Occasion
 */
final class OccasionPlans
{
    private const UPCOMING = 20;

    /** The recipes of the shelf that the most of these dogs are cleared for, as they were judged last. */
    private const LIKELY = <<<'SQL'
        SELECT id, title FROM recipes WHERE kitchen_id = :kitchen AND deleted_at IS NULL AND text <> ''
        ORDER BY (SELECT count(*) FROM jsonb_array_elements_text(coalesce(judged->'clearedFor', '[]'::jsonb)) AS dog
            WHERE dog = ANY(string_to_array(:dogs, ','))) DESC, favourite DESC, lower(title), id LIMIT :most
        SQL;

    /** @var array<string, array<string, mixed>> answers by occasion: one that is planned earlier is asked for by each after it */
    private array $planned = [];

    public function __construct(
        private readonly KitchenQuestion $question,
        private readonly CurrentKitchen $current,
        private readonly KitchenClock $clock,
        private readonly OccasionDays $days,
        private readonly OccasionGifts $gifts,
    ) {}

    /**
     * @return array<string, mixed> the answer of `party`
     *
     * @throws RequestRefused where nothing is served yet
     */
    public function of(Occasion $occasion): array
    {
        [$dogs, $taken, $stopped] = $this->counted($occasion, $this->dogs($occasion));
        $treats = $this->treats($occasion->treats);
        if ($treats === []) {
            throw RequestRefused::missing('/treats', 'What is served');
        }
        $served = array_column($treats, 'id');
        $coming = array_map(static fn (string|stdClass $dog): string => is_string($dog) ? $dog : (string) $dog->id, $dogs);
        $asked = (object) [
            'dogs' => $dogs, 'treats' => $treats, 'on' => $occasion->on->format('Y-m-d'), 'at' => $occasion->at, 'transportMinutes' => $occasion->transport_minutes,
            'unasked' => self::unasked($occasion->guests), 'taken' => $taken, 'stopped' => $stopped,
            'shares' => array_values(array_map(
                static fn (array $one): object => (object) [
                    'dog' => $one['dog'], 'treat' => in_array($one['recipeId'], $served, true) ? $one['recipeId'] : null, 'pieces' => $one['pieces'],
                ],
                array_filter($occasion->shares, static fn (array $one): bool => in_array($one['dog'], $coming, true)),
            )),
            'boxes' => array_map(
                static fn (array $one): object => (object) [
                    'for' => $one['for'], 'dog' => in_array($one['dog'], $coming, true) ? $one['dog'] : null, 'treat' => $one['recipeId'], 'pieces' => $one['pieces'],
                ],
                $this->boxes($occasion, $served),
            ),
        ];

        return $this->question->answer('party', $asked);
    }

    /**
     * @param  list<string>  $served  ids of recipes
     * @return list<Box> that can be filled, in the order of the answer
     */
    public function boxes(Occasion $occasion, ?array $served = null): array
    {
        $served ??= array_column($this->treats($occasion->treats), 'id');

        return array_values(array_filter($occasion->boxes, static fn (array $one): bool => in_array($one['recipeId'], $served, true)));
    }

    /**
     * The fewest recipes of the shelf that serve everybody who comes.
     *
     * @return array<string, mixed>
     */
    public function find(Occasion $occasion): array
    {
        $dogs = $this->dogs($occasion);
        if ($dogs === []) {
            throw RequestRefused::missing('/dogs', 'Who comes');
        }
        $rows = DB::select(self::LIKELY, [
            'kitchen' => $this->current->id(), 'dogs' => implode(',', array_filter($dogs, is_string(...))), 'most' => PartyQuestion::MOST_TREATS,
        ]);
        if ($rows === []) {
            throw RequestRefused::outOfRange('/treats', 'There is no recipe on the shelf yet.');
        }
        [$counted, $taken, $stopped] = $this->counted($occasion, $dogs);
        $answer = $this->question->answer('party', (object) [
            'dogs' => $counted, 'taken' => $taken, 'stopped' => $stopped, 'on' => $occasion->on->format('Y-m-d'), 'unasked' => self::unasked($occasion->guests),
            'treats' => array_map(
                static fn (object $row): object => (object) ['id' => (string) $row->id, 'name' => (string) $row->title, 'recipe' => (object) ['id' => (string) $row->id]],
                $rows,
            ),
        ]);
        /** @var list<array<string, mixed>> $treats */
        $treats = $answer['treats'];
        $told = static fn (array $one): array => ['recipeId' => $one['id'], 'title' => $one['name'], 'serves' => array_column($one['serves'], 'dog')];

        return [
            'fewest' => array_values(array_map($told, array_filter($treats, static fn (array $one): bool => in_array($one['id'], (array) $answer['fewest'], true)))),
            'forAll' => array_values(array_map($told, array_filter($treats, static fn (array $one): bool => count($one['serves']) === count($dogs)))),
            'notServed' => array_values(array_map(
                static fn (array $one): array => ['dog' => $one['dog'], 'why' => $one['says']],
                array_filter((array) $answer['guests'], static fn (array $one): bool => $one['state'] === 'none'),
            )),
            'looked' => count($rows), 'of' => Recipe::query()->count(),
        ];
    }

    /**
     * What is to be done for occasions from today on, by day.
     *
     * @return list<array{occasion: string, name: string, recipeId: ?string, title: ?string, kind: string, on: string, at: ?string, text: string}>
     */
    public function due(int $days): array
    {
        $today = $this->clock->today();
        [$from, $until] = [$today->format('Y-m-d'), $today->addDays($days)->format('Y-m-d')];
        $due = [];
        foreach (Occasion::query()->where('on', '>=', $from)->orderBy('on')->limit(self::UPCOMING)->get() as $occasion) {
            /** @var Occasion $occasion */
            $on = $occasion->on->format('Y-m-d');
            $due[] = [
                'occasion' => $occasion->id, 'name' => $occasion->name, 'recipeId' => null, 'title' => null,
                'kind' => 'occasion', 'on' => $on, 'at' => $occasion->at, 'text' => $occasion->place,
            ];
            if (! self::mayBeDue($occasion, $until)) {
                continue;
            }
            array_push($due, ...array_map(static fn (array $one): array => ['occasion' => $occasion->id, 'name' => $occasion->name] + $one, $this->steps($occasion)));
        }
        $due = array_values(array_filter($due, static fn (array $one): bool => $one['on'] >= $from && $one['on'] <= $until));
        usort($due, static fn (array $one, array $two): int => [$one['on'], $one['at'] ?? ''] <=> [$two['on'], $two['at'] ?? '']);

        return $due;
    }

    /** Nothing is done earlier than the day before, but a bake on the day that somebody chose. */
    private static function mayBeDue(Occasion $occasion, string $until): bool
    {
        $days = [$occasion->on->subDay()->format('Y-m-d'), ...array_filter(array_column($occasion->treats, 'bakeOn'))];

        return min($days) <= $until;
    }

    /** @return list<array{recipeId: ?string, title: string, kind: string, on: string, at: ?string, text: string}> what is taken along is one errand */
    private function steps(Occasion $occasion): array
    {
        $steps = [];
        foreach ($this->treatsOf($occasion) as $treat) {
            foreach ($treat['plan']['steps'] ?? [] as $step) {
                if (in_array($step['kind'], ['bake', 'thaw'], true)) {
                    $steps[] = ['recipeId' => $treat['id'], 'title' => $treat['name']] + $step;
                } elseif ($step['kind'] === 'leave') {
                    $known = $steps['leave'] ?? null;
                    $steps['leave'] = $known === null ? ['recipeId' => null, 'title' => $treat['name']] + $step : [
                        'title' => "{$known['title']}, {$treat['name']}",
                        'text' => $known['text'] === $step['text'] ? $step['text'] : "{$known['text']} {$treat['name']}: {$step['text']}",
                    ] + $known;
                }
            }
        }

        return array_values($steps);
    }

    /** @return list<array<string, mixed>> none where nothing can be reckoned yet */
    private function treatsOf(Occasion $occasion): array
    {
        try {
            /** @var list<array<string, mixed>> */
            return $this->of($occasion)['treats'];
        } catch (RequestRefused) {
            // half written: the day itself stands all the same
            return [];
        }
    }

    /**
     * Own dogs with what they had on the day already, and what is taken of their days by the ledger and by occasions before this one.
     *
     * @param  list<string|stdClass>  $dogs
     * @return array{list<string|stdClass>, list<stdClass>, list<stdClass>}
     */
    private function counted(Occasion $occasion, array $dogs): array
    {
        $own = array_values(array_filter($dogs, is_string(...)));
        ['had' => $had, 'taken' => $taken, 'stopped' => $stopped] = $this->days->of($occasion, $own);
        foreach ($this->before($occasion, $own) as $other) {
            foreach ($this->takenBy($other, $occasion, $own) as $id => $of) {
                array_push($taken, ...$of['taken']);
                foreach ($of['holds'] as $substance => $amount) {
                    $had[$id] ??= new stdClass;
                    $had[$id]->{$substance} = ($had[$id]->{$substance} ?? 0.0) + $amount;
                }
            }
        }

        $told = static fn (string|stdClass $dog): string|stdClass => is_string($dog) && isset($had[$dog]) ? (object) ['id' => $dog, 'alreadyToday' => $had[$dog]] : $dog;

        return [array_map($told, $dogs), $taken, $stopped];
    }

    /**
     * Occasions that lend first, because they are earlier: planned ones only, since what was given stands in the ledger.
     *
     * @param  list<string>  $dogs
     * @return list<Occasion>
     */
    private function before(Occasion $occasion, array $dogs): array
    {
        $since = max($this->clock->today()->format('Y-m-d'), $occasion->on->subDays(Borrowing::MOST_DAYS)->format('Y-m-d'));
        $order = static fn (Occasion $one): array => [$one->on->format('Y-m-d'), $one->at ?? '', (string) $one->getKey()];
        /** @var list<Occasion> $near */
        $near = Occasion::query()->where('on', '>=', $since)->where('on', '<=', $occasion->on->format('Y-m-d'))->orderBy('on')->limit(self::UPCOMING)->get()->all();

        return array_values(array_filter(
            $near,
            static fn (Occasion $one): bool => $one->id !== $occasion->id && $order($one) < $order($occasion) && array_intersect($one->dogs, $dogs) !== [],
        ));
    }

    /**
     * What an occasion before takes of the days of this one, and on the same day what its share holds beside its energy.
     *
     * @param  list<string>  $dogs
     * @return array<string, array{taken: list<stdClass>, holds: array<string, float>}> by dog
     */
    private function takenBy(Occasion $other, Occasion $occasion, array $dogs): array
    {
        $given = array_column(array_merge([], ...array_column($this->gifts->of($other), 'given')), 'dog');
        $away = (int) $other->on->diffInDays($occasion->on);
        try {
            $answer = $this->planned[$other->id] ??= $this->of($other);
        } catch (RequestRefused) {
            return [];
        }
        $by = [];
        /** @var list<array{dogId: ?string, kcal: ?float, holds: list<array{substance: string, amount: float}>, borrows: list<array{daysAfter: int, kcal: float}>}> $guests */
        $guests = $answer['guests'];
        foreach ($guests as $guest) {
            if (! in_array($guest['dogId'], $dogs, true) || in_array($guest['dogId'], $given, true) || $guest['kcal'] === null) {
                continue;
            }
            $take = static fn (int $daysAfter, float $kcal, bool $spreads): stdClass => (object) [
                'dog' => $guest['dogId'], 'on' => $other->on->addDays($daysAfter)->format('Y-m-d'), 'kcal' => $kcal, 'for' => $other->name, 'spreads' => $spreads,
            ];
            $later = array_values(array_filter($guest['borrows'], static fn (array $one): bool => $one['daysAfter'] >= $away));
            $onDay = max(0.0, $guest['kcal'] - array_sum(array_column($guest['borrows'], 'kcal')));
            $by[$guest['dogId']] = [
                'taken' => [
                    ...$away === 0 ? [$take(0, $onDay, false)] : [],
                    ...array_map(static fn (array $one): stdClass => $take($one['daysAfter'], $one['kcal'], true), $later),
                ],
                'holds' => $away === 0 ? array_column($guest['holds'], 'amount', 'substance') : [],
            ];
        }

        return $by;
    }

    /** @return list<string|stdClass> ids of own dogs, and guests as they are described */
    private function dogs(Occasion $occasion): array
    {
        $own = Dog::query()->whereIn('id', $occasion->dogs)->pluck('id')->all();

        return [
            ...array_values(array_filter($occasion->dogs, static fn (string $id): bool => in_array($id, $own, true))),
            ...array_map(static fn (array $guest): stdClass => (object) $guest, $occasion->guests),
        ];
    }

    /**
     * @param  list<Guest>  $guests
     * @return list<stdClass>
     */
    private static function unasked(array $guests): array
    {
        $unasked = [];
        foreach ($guests as $guest) {
            $facts = ['allergies' => $guest['allergies'], 'conditions' => $guest['conditions'], 'age' => $guest['ageMonths'], 'weight' => $guest['weightKg']];
            $what = array_keys(array_filter($facts, is_null(...)));
            if ($what !== []) {
                $unasked[] = (object) ['dog' => $guest['id'], 'what' => $what];
            }
        }

        return $unasked;
    }

    /**
     * @param  list<Treat>  $treats
     * @return list<stdClass> those whose recipe is still on the shelf
     */
    private function treats(array $treats): array
    {
        $titles = Recipe::query()->whereIn('id', array_column($treats, 'recipeId'))->pluck('title', 'id');
        $asked = [];
        foreach ($treats as $one) {
            if (isset($titles[$one['recipeId']])) {
                $kept = ['id' => $one['recipeId'], 'name' => (string) $titles[$one['recipeId']], 'recipe' => (object) ['id' => $one['recipeId']]];
                $asked[] = (object) ($kept + ($one['bakeOn'] === null ? [] : ['bakeOn' => $one['bakeOn']]));
            }
        }

        return $asked;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Making\EntryKind;
use MildBowl\Core\Making\Kind;
use MildBowl\Core\Making\Log;
use MildBowl\Core\Making\Method;
use MildBowl\Core\Making\Planned;

/**
 * A batch as it is kept: the question it was begun with, what was answered and planned then, and its log. Holds one against the other,
 * and asks again about what was really made.
 *
 * @phpstan-type Three array{low: float|int, best: float|int, high: float|int}
 * @phpstan-type Portion array{name: ?string, dogs: list<string>, texture: string, doughGrams: Three, bakedGrams: Three, piece: array{count: Three, bakedGrams: Three}}
 * @phpstan-type Step array{id: string, kind: string, lot: ?string, minutes: Three}
 * @phpstan-type Formulated array{batch: array{wetness: ?float}, portions: list<Portion>}
 * @phpstan-type Work array{steps: list<Step>}
 */
final readonly class BatchLog
{
    public Log $log;

    public Planned $planned;

    /**
     * @param  \stdClass  $question  a whole `formulate` request, as it was when the batch was begun
     * @param  Formulated  $answer  of `formulate`, then
     * @param  Work  $plan  of `bake`, then
     * @param  list<Entry>  $entries
     */
    public function __construct(private \stdClass $question, private array $answer, private array $plan, array $entries)
    {
        $this->log = new Log($entries);
        $this->planned = new Planned($this->steps(), $this->lots());
    }

    /** @return array<string, array{kind: Kind, lot: ?string}> */
    private function steps(): array
    {
        $steps = [];
        foreach ($this->plan['steps'] as $step) {
            $steps[$step['id']] = ['kind' => Kind::from($step['kind']), 'lot' => $step['lot']];
        }

        return $steps;
    }

    /** @return array<string, array{count: float, doughGrams: float, bakedGrams: float}> */
    private function lots(): array
    {
        $lots = [];
        foreach ($this->portions() as [$name, $portion]) {
            $lots[$name] = ['count' => (float) $portion['piece']['count']['best'], 'doughGrams' => (float) $portion['doughGrams']['best'], 'bakedGrams' => (float) $portion['bakedGrams']['best']];
        }

        return $lots;
    }

    /** @return list<array{string, Portion}> by the names the plan calls them; '' where there is one */
    private function portions(): array
    {
        $portions = $this->answer['portions'];
        $named = [];
        foreach ($portions as $portion) {
            $named[] = [count($portions) === 1 ? '' : $portion['name'] ?? ($portion['dogs'] === [] ? 'the rest' : 'for '.implode(', ', $portion['dogs'])), $portion];
        }

        return $named;
    }

    /** The question it was begun with, about what was made and measured since. */
    public function question(): \stdClass
    {
        $question = clone $this->question;
        $made = $this->log->asMade();
        if ($made !== [] || $this->log->isClosed()) {
            $question->recipe = self::with($question->recipe, 'asMade', json_decode((string) json_encode($made)));
        }
        $asked = is_array($question->portions ?? null) ? array_values($question->portions) : [];
        foreach ($this->portions() as $n => [$name, $portion]) {
            $measured = (object) $this->measured($name, $portion);
            if (isset($asked[$n])) {
                $asked[$n] = self::with($asked[$n], 'measured', $measured);
            } else {
                $question->measured = $measured;
            }
        }
        if ($asked !== []) {
            $question->portions = $asked;
        }

        return $question;
    }

    /** A copy of a part of the request with one key more: the question it was begun with stays as it is. */
    private static function with(mixed $of, string $key, mixed $value): \stdClass
    {
        return (object) ([$key => $value] + (array) $of);
    }

    /**
     * @param  Portion  $portion
     * @return array{count: ?float, bakedGrams: ?float, wasteGrams: ?float} as `formulate` takes them
     */
    private function measured(string $lot, array $portion): array
    {
        $of = $this->log->measured($lot === '' ? null : $lot);
        $each = $of['bakedGrams'] !== null && $of['count'] > 0 ? $of['bakedGrams'] / $of['count'] : (float) $portion['piece']['bakedGrams']['best'];
        $waste = $of['wasteGrams'] + $of['tastedGrams'] + $of['wastePieces'] * $each;

        return ['count' => $of['count'] > 0 ? $of['count'] : null, 'bakedGrams' => $of['bakedGrams'] > 0 ? $of['bakedGrams'] : null, 'wasteGrams' => $waste > 0 ? $waste : null];
    }

    /** @return array<string, mixed> the batch in short, for lists and for learning */
    public function summary(): array
    {
        $log = $this->log;
        $finished = $log->last(EntryKind::Finished);
        $given = $log->last(EntryKind::GivenUp);
        $whole = $log->measured(null);
        $felt = $log->last(EntryKind::Felt);
        $notes = $log->of(EntryKind::Note);
        $next = array_values(array_filter($notes, static fn (Entry $note): bool => $note->text('about') === 'next'));
        $timers = [];
        foreach ($log->isClosed() ? [] : $log->timers() as $id => $timer) {
            if (! $timer['stopped']) {
                $timers[] = ['id' => $id, 'name' => $timer['name'], 'lot' => $timer['lot'], 'endsAt' => gmdate('Y-m-d\TH:i:s', (int) $timer['endsAt']).'.'.sprintf('%03d', (int) round(fmod($timer['endsAt'], 1) * 1000)).'Z'];
            }
        }

        return [
            'state' => $finished !== null ? 'finished' : ($given !== null ? 'given-up' : 'making'), 'finishedAt' => $finished->at ?? $given->at ?? null,
            'steps' => count($this->planned->steps), 'done' => count($log->of(EntryKind::Done, EntryKind::Skipped)), 'made' => count($log->of(EntryKind::Made)),
            'count' => $whole['count'], 'bakedGrams' => $whole['bakedGrams'], 'wastePieces' => $whole['wastePieces'], 'wasteGrams' => $whole['wasteGrams'],
            'felt' => $felt?->text('feel'), 'wetness' => $this->answer['batch']['wetness'], 'next' => $next === [] ? null : $next[count($next) - 1]->text('text'), 'photoId' => $log->last(EntryKind::Photo)?->text('photo'),
            'timers' => $timers, 'lots' => array_map(fn (array $one): array => $this->lotInShort(...$one), $this->portions()),
        ];
    }

    /**
     * The method with the minutes it really took, for a recipe of one lot; null where nobody wrote them down or they are as told.
     *
     * @return array{minutes: int, steps: string}|null
     */
    public function corrected(): ?array
    {
        $portions = $this->portions();
        $took = count($portions) === 1 ? $this->log->minutesInHeat($this->planned, null) : null;
        $steps = $this->question->recipe instanceof \stdClass && is_string($this->question->recipe->steps ?? null) ? $this->question->recipe->steps : '';
        if ($took === null || round($took) < 1.0) {
            return null;
        }
        $minutes = (int) round($took);
        $written = Method::withMinutes($steps, $minutes);

        return $written === $steps ? null : ['minutes' => $minutes, 'steps' => $written];
    }

    /**
     * Planned is told without what was learned then: the log is held against what was computed.
     *
     * @param  Portion  $portion
     * @return array<string, mixed>
     */
    private function lotInShort(string $name, array $portion): array
    {
        $class = $portion['texture'];
        $lot = $name === '' ? null : $name;
        $of = $this->log->measured($lot);
        $minutes = null;
        foreach ($this->plan['steps'] as $step) {
            if ($step['kind'] === Kind::Heat->value && $step['lot'] === $lot) {
                $minutes = max($minutes ?? 0.0, (float) $step['minutes']['best']);
            }
        }

        return [
            'lot' => $lot, 'class' => $class,
            'plannedMinutes' => $minutes === null ? null : $minutes / $this->learned(Learned::MINUTES, $class), 'minutes' => $this->log->minutesInHeat($this->planned, $lot),
            'computedGrams' => $portion['bakedGrams']['best'] / $this->learned(Learned::MASS, $class), 'bakedGrams' => $of['bakedGrams'],
            'computedCount' => $portion['piece']['count']['best'] / $this->learned(Learned::COUNT, $class), 'count' => $of['count'],
            'put' => $this->log->bagged($lot),
        ];
    }

    private function learned(string $of, string $class): float
    {
        foreach (is_array($this->question->learned ?? null) ? $this->question->learned : [] as $one) {
            if ($one instanceof \stdClass && ($one->of ?? null) === $of && ($one->class ?? null) === $class) {
                return is_numeric($one->factor ?? null) ? max(1e-6, (float) $one->factor) : 1.0;
            }
        }

        return 1.0;
    }
}

<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Models\Dog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use MildBowl\Core\Data\Compiled;

const ROUNDS = "200 g oat flour\n1 large egg\n80 g pumpkin puree";

beforeEach(function (): void {
    $this->open('lock-cottage');
    // those of the demo kitchen have a test of their own below
    Batch::query()->forceDelete();
    $this->begin = fn (array $asked = [], array $more = []): array => $this->postJson('/api/batches', $more + [
        'asked' => $asked + ['recipe' => ['text' => ROUNDS], 'cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6], 'bake' => ['texture' => 'biscuit']],
        'title' => 'Rounds', 'at' => '2026-06-20T12:00:00.000Z', 'startAt' => '2026-06-20T13:00', 'by' => 'Ines',
    ])->assertCreated()->json();
    $this->tell = fn (string $batch, string $kind, array $said = [], array $more = []): TestResponse => $this->postJson("/api/batches/$batch/entries", $more + ['id' => (string) Str::uuid(), 'at' => '2026-06-20T12:05:00.000Z', 'by' => 'Ines', 'kind' => $kind, 'said' => (object) $said]);
});

it('is begun with everything as it is now, and stays so', function (): void {
    $batch = ($this->begin)(['dogs' => [Dog::query()->where('name', 'Quill')->firstOrFail()->id]]);
    expect(schemaErrors($batch, 'kitchen.json#/$defs/batch'))->toBe('');
    expect([$batch['title'], $batch['state'], $batch['begunAt'], $batch['begunBy'], $batch['dataVersion'], $batch['oven']])
        ->toBe(['Rounds', 'making', '2026-06-20T12:00:00.000Z', 'Ines', Compiled::version(), 'the oven'])
        ->and($batch['question']['dogs'][0]['name'])->toBe('Quill')
        ->and($batch['answer']['rations'][0]['dog'])->toBe('Quill')
        ->and(array_column($batch['plan']['steps'], 'kind'))->toContain('heat')
        ->and($batch['plan']['readyAt'])->toStartWith('2026-06-20T')
        ->and($batch['entries'])->toBe([]);
    Dog::query()->where('name', 'Quill')->firstOrFail()->update(['name' => 'Quilla', 'weight_kg' => 30]);
    $later = $this->getJson("/api/batches/{$batch['id']}")->assertOk()->json();
    expect($later['question'])->toBe($batch['question'])->and($later['answer']['rations'])->toBe($batch['answer']['rations']);
});

it('is begun once, however often it is sent', function (): void {
    $key = (string) Str::uuid();
    $ask = fn (): TestResponse => $this->withHeaders(['Idempotency-Key' => $key])->postJson('/api/batches', ['asked' => ['recipe' => ['text' => ROUNDS]], 'at' => '2026-06-20T12:00:00.000Z', 'startAt' => '2026-06-20T13:00', 'by' => 'Ines']);
    expect($ask()->json('id'))->toBe($key)->and($ask()->json('id'))->toBe($key)->and(Batch::query()->count())->toBe(1);
});

it('adds to the log and says what follows, once for each entry', function (): void {
    $batch = ($this->begin)();
    $heat = array_values(array_filter($batch['plan']['steps'], static fn (array $step): bool => $step['kind'] === 'heat'))[0]['id'];
    $id = (string) Str::uuid();
    ($this->tell)($batch['id'], 'begun', ['step' => $heat], ['id' => $id])->assertCreated();
    $again = ($this->tell)($batch['id'], 'begun', ['step' => $heat], ['id' => $id])->assertCreated()->json();
    ($this->tell)($batch['id'], 'timer', ['timer' => 'oven', 'name' => 'rounds', 'seconds' => 1080, 'step' => $heat]);
    $told = ($this->tell)($batch['id'], 'done', ['step' => $heat], ['at' => '2026-06-20T12:27:30.500Z', 'by' => 'Tom'])->assertCreated();
    expect(schemaErrors($told->json('entry'), 'kitchen.json#/$defs/batchEntry'))->toBe('')
        ->and(schemaErrors($told->json('batch'), 'kitchen.json#/$defs/batchSlip'))->toBe('')
        ->and($again['entry']['id'])->toBe($id)
        ->and($told->json('batch.done'))->toBe(1)
        ->and($told->json('batch.lots.0.minutes'))->toEqualWithDelta(22.508, 0.001)
        ->and($told->json('batch.timers.0.endsAt'))->toBe('2026-06-20T12:23:00.000Z')
        ->and(array_column($this->getJson("/api/batches/{$batch['id']}/entries")->json(), 'by'))->toBe(['Ines', 'Ines', 'Tom']);
});

it('says in words what cannot be, and the log stays as it was', function (string $kind, array $said, string $says): void {
    $batch = ($this->begin)();
    ($this->tell)($batch['id'], 'done', ['step' => 's1']);
    ($this->tell)($batch['id'], $kind, $said)->assertStatus(422)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    expect(BatchEntry::query()->count())->toBe(1);
})->with([
    ['done', ['step' => 's1'], 'done already, by Ines'],
    ['done', ['step' => 's99'], 'no step "s99"'],
    ['timer', ['timer' => 't', 'name' => 'x', 'seconds' => 0], 'rings at once'],
    ['timer', ['timer' => 't', 'name' => 'x', 'seconds' => 72000], 'longer than 16 hours'],
    ['weight', ['grams' => 5000], 'are more than the'],
    ['waste', ['pieces' => 500, 'why' => 'burnt'], 'wasted are more than'],
    ['core', ['celsius' => 740], 'is 74 °C meant?'],
    ['sung', [], 'one of'],
    ['made', ['entry' => ['row' => 99, 'share' => 0.5]], 'no line'],
    ['made', ['entry' => ['row' => 0, 'grams' => 90000]], 'is the bowl on the scale?'],
    ['tasted', ['dog' => 'nobody', 'name' => 'Nobody', 'what' => 'dough', 'took' => true], 'No dog of this kitchen'],
    ['photo', ['photo' => '5b0e3a9e-7a4e-4a39-8f39-3b6a0a1f2c11'], 'No photograph of this kitchen'],
    ['photo', ['photo' => 'mine'], 'No photograph of this kitchen'],
    ['weight', ['grams' => 0], 'Nothing is on the scale'],
    ['bag', ['place' => 'jar', 'pieces' => 0, 'bags' => 1], 'Nothing was put away'],
    ['bag', ['place' => 'jar', 'pieces' => 5000, 'bags' => 1], 'count them first'],
]);

it('keeps the log when an addition is taken back on which another rests', function (): void {
    $batch = ($this->begin)();
    ($this->tell)($batch['id'], 'made', ['entry' => ['row' => 0, 'share' => 0.5]])->assertCreated();
    $second = ($this->tell)($batch['id'], 'made', ['entry' => ['row' => 0, 'grams' => 100]]);
    expect($this->getJson("/api/batches/{$batch['id']}/figures")->status())->toBe(200)->and($second->status())->toBeIn([201, 422]);
});

it('takes no moment that cannot be of this batch', function (string $at, string $says): void {
    $batch = ($this->begin)();
    ($this->tell)($batch['id'], 'note', ['about' => 'oven', 'text' => 'hot'], ['at' => $at])->assertStatus(422)->assertJsonPath('path', '/at')->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
})->with([['2026-06-21T15:00:00.000Z', 'lies in the future'], ['2026-06-19T09:00:00.000Z', 'before this batch was begun']]);

it('finds no batches of what is no recipe', function (): void {
    $this->getJson('/api/batches?recipe=abc')->assertNotFound();
    $this->getJson('/api/batches?recipe='.Str::uuid())->assertNotFound();
});

it('lets a dog that sat at no table have a taste, as long as it is of this kitchen', function (): void {
    $batch = ($this->begin)(['dogs' => []]);
    $odette = Dog::query()->where('name', 'Odette')->firstOrFail()->id;
    ($this->tell)($batch['id'], 'tasted', ['dog' => $odette, 'name' => 'Odette', 'what' => 'licked the spoon', 'took' => true, 'ofBatch' => true, 'grams' => 2])->assertCreated();
    ($this->tell)($batch['id'], 'tasted', ['dog' => $odette, 'name' => 'Odette', 'what' => 'the bowl', 'took' => true, 'ofBatch' => true, 'grams' => 5000])->assertStatus(422);
});

it('answers about what was really made, weighed and counted', function (): void {
    $batch = ($this->begin)(['dogs' => [Dog::query()->where('name', 'Bosun')->firstOrFail()->id, Dog::query()->where('name', 'Tuppence')->firstOrFail()->id]]);
    $figures = fn (): array => $this->getJson("/api/batches/{$batch['id']}/figures")->assertOk()->json();
    $before = $figures();
    expect($before['batch']['doughGrams'])->toEqual($batch['answer']['batch']['doughGrams']);
    ($this->tell)($batch['id'], 'made', ['entry' => ['row' => 0, 'grams' => 212], 'says' => 'weighed 212 g']);
    $slip = ($this->tell)($batch['id'], 'made', ['entry' => ['text' => '2 tbsp whole wheat flour'], 'says' => '+2 tbsp wheat flour'])->json('entry.id');
    $made = $figures();
    $added = collect($made['lines'])->firstWhere('added', true);
    expect($made['batch']['doughGrams']['best'])->toBeGreaterThan($before['batch']['doughGrams']['best'] + 20)
        // a dog at the table may not have what was added
        ->and(array_column($added['findings'], 'level'))->toContain('allergen')
        ->and(array_column($added['findings'], 'dog'))->toContain('Tuppence');
    ($this->tell)($batch['id'], 'undone', [], ['corrects' => $slip])->assertCreated();
    ($this->tell)($batch['id'], 'count', ['pieces' => 60]);
    ($this->tell)($batch['id'], 'weight', ['grams' => 200]);
    ($this->tell)($batch['id'], 'waste', ['pieces' => 6, 'why' => 'burnt']);
    $counted = $figures();
    expect(collect($counted['lines'])->firstWhere('added', true))->toBeNull()
        ->and($counted['piece']['count']['best'])->toEqual(60)
        ->and($counted['batch']['bakedGrams']['best'])->toEqual(200)
        // six of sixty-six are burnt and gone with their energy
        ->and($counted['batch']['kcal']['best'])->toEqualWithDelta($counted['lines'][0]['kcal']['best'] * 60 / 66 + 60 / 66 * array_sum(array_map(static fn (array $line): float => $line['kcal']['best'] ?? 0.0, array_slice($counted['lines'], 1))), 0.01);
});

it('is never changed in the database, only added to', function (): void {
    $batch = ($this->begin)();
    ($this->tell)($batch['id'], 'done', ['step' => 's1']);
    DB::table('batch_entries')->update(['by' => 'Nobody']);
})->throws(Illuminate\Database\QueryException::class, 'never changed');

it('tells other pages of a batch and of what was added to it', function (): void {
    $number = fn (): int => $this->getJson('/api/kitchen')->json('number');
    $before = $number();
    $batch = ($this->begin)();
    $news = $this->getJson("/api/changes?after=$before")->json('kinds.batches');
    expect(array_column($news, 'id'))->toBe([$batch['id']]);
    $then = $number();
    ($this->tell)($batch['id'], 'done', ['step' => 's1']);
    $news = $this->getJson("/api/changes?after=$then")->json('kinds.batches.0');
    expect([$news['id'], $news['done'], $news['version']])->toBe([$batch['id'], 1, 2]);
    $this->deleteJson("/api/batches/{$batch['id']}")->assertNoContent();
    $this->postJson("/api/trash/batches/{$batch['id']}", [])->assertSuccessful();
    expect($this->getJson("/api/batches/{$batch['id']}")->assertOk()->json('entries'))->toHaveCount(1);
});

it('refuses what cannot be begun, at its place', function (array $more, string $path): void {
    $this->postJson('/api/batches', $more + ['asked' => ['recipe' => ['text' => ROUNDS]], 'at' => '2026-06-20T12:00:00.000Z', 'startAt' => '2026-06-20T13:00', 'by' => 'Ines'])->assertStatus(422)->assertJsonPath('path', $path);
    expect(Batch::query()->count())->toBe(0);
})->with([
    [['asked' => ['recipe' => ['text' => ' ']]], '/asked/recipe/text'],
    [['asked' => ['recipe' => ['text' => '1 egg'], 'cut' => ['shape' => 'blob']]], '/asked/cut/shape'],
    [['by' => ''], '/by'],
    [['at' => 'now'], '/at'],
    [['startAt' => '13:00'], '/startAt'],
    [['startAt' => '2026-02-30T13:00'], '/startAt'],
    [['at' => '2026-09-20T12:00:00.000Z'], '/at'],
    [['asked' => 'rounds'], '/asked'],
    [['by' => str_repeat('I', 61)], '/by'],
    [['oven' => str_repeat('o', 61)], '/oven'],
    [['ovens' => 11], '/ovens'],
    [['trays' => 0], '/trays'],
    [['colour' => 'red'], '/colour'],
]);

it('learns of each oven by itself, and reckons with it only when it was accepted, until it is taken back', function (): void {
    foreach (['the oven' => [22, 24, 23], 'the small one' => [17, 17, 17]] as $oven => $took) {
        foreach ($took as $n => $minutes) {
            $batch = ($this->begin)([], ['oven' => $oven, 'at' => "2026-06-1{$n}T12:00:00.000Z"]);
            $heat = array_values(array_filter($batch['plan']['steps'], static fn (array $step): bool => $step['kind'] === 'heat'))[0]['id'];
            ($this->tell)($batch['id'], 'begun', ['step' => $heat], ['at' => "2026-06-1{$n}T12:00:00.000Z"]);
            ($this->tell)($batch['id'], 'done', ['step' => $heat], ['at' => "2026-06-1{$n}T12:$minutes:00.000Z"]);
            ($this->tell)($batch['id'], 'finished', [], ['at' => "2026-06-1{$n}T13:00:00.000Z"]);
        }
    }
    $lessons = collect($this->getJson('/api/lessons')->assertOk()->json())->where('of', 'minutes')->keyBy('oven');
    expect(schemaErrors($lessons['the oven'], 'kitchen.json#/$defs/lesson'))->toBe('')
        ->and($lessons['the oven']['says'])->toBe('your last 3 biscuit bakes: 15 % longer')
        ->and($lessons['the small one']['says'])->toBe('your last 3 biscuit bakes: 15 % shorter')
        ->and($lessons['the oven']['batches'])->toHaveCount(3);
    $planned = fn (string $oven): float => array_values(array_filter(($this->begin)([], ['oven' => $oven])['plan']['steps'], static fn (array $step): bool => $step['kind'] === 'heat'))[0]['minutes']['best'];
    expect([$planned('the oven'), $planned('the small one')])->toEqual([20, 20]);
    $accepted = $this->postJson('/api/accepted', ['by' => 'Ines'] + array_intersect_key($lessons['the oven'], ['oven' => 1, 'class' => 1, 'of' => 1, 'factor' => 1, 'says' => 1]))->assertCreated()->json();
    expect(schemaErrors($accepted, 'kitchen.json#/$defs/acceptedFactor'))->toBe('')
        ->and([$planned('the oven'), $planned('the small one')])->toEqual([23, 20]);
    // what is learned stays held against what was computed, not against what was learned
    $batch = ($this->begin)();
    expect($batch['lots'][0]['plannedMinutes'])->toEqualWithDelta(20, 1e-6);
    $this->deleteJson("/api/accepted/{$accepted['id']}")->assertNoContent();
    expect($planned('the oven'))->toEqual(20);
});

it('has a dozen batches in the demo kitchen, made up and plausible, and one in the oven', function (): void {
    Batch::query()->forceDelete();
    $this->seed(Database\Seeders\BatchSeeder::class);
    $all = collect($this->getJson('/api/batches')->assertOk()->json());
    expect($all->where('state', 'finished'))->toHaveCount(12)
        ->and($all->where('state', 'making')->first()['timers'])->toHaveCount(1)
        ->and($all->where('wastePieces', '>', 10))->toHaveCount(1)
        ->and($all->filter(static fn (array $one): bool => str_contains($one['title'], 'doubled')))->toHaveCount(1);
    foreach ($all->where('state', 'finished') as $one) {
        expect($one['done'])->toBe($one['steps'])->and($one['count'])->toBeGreaterThan(20)->and($one['bakedGrams'])->toBeGreaterThan(50);
    }
    expect(collect($this->getJson('/api/lessons')->json())->firstWhere('of', 'minutes')['says'])->toContain('% longer');
});

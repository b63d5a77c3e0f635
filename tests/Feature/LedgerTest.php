<?php

declare(strict_types=1);

use App\Models\Bag;
use App\Models\Batch;
use App\Models\Dog;
use App\Models\DogDay;
use App\Models\JarAct;
use App\Models\LedgerEntry;
use App\Models\Place;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->open('lock-cottage');
    Bag::query()->forceDelete();
    JarAct::query()->delete();
    LedgerEntry::query()->delete();
    DogDay::query()->delete();
    Batch::query()->forceDelete();
    $fridge = Place::query()->where('kind', 'fridge')->firstOrFail()->id;
    $this->dog = static fn (string $name): string => Dog::query()->where('name', $name)->firstOrFail()->id;
    $this->fill = function (string $text, int $count = 60, string $title = 'Coins', ?string $place = null) use ($fridge): string {
        $batch = $this->postJson('/api/batches', ['asked' => ['recipe' => ['text' => $text], 'cut' => ['shape' => 'pieces', 'count' => $count], 'bake' => ['texture' => 'biscuit']], 'title' => $title, 'at' => '2026-06-20T06:00:00.000Z', 'startAt' => '2026-06-20T08:00', 'by' => 'Ines'])->assertCreated()->json('id');
        $this->postJson("/api/batches/$batch/entries", ['id' => (string) Str::uuid(), 'at' => '2026-06-20T07:00:00.000Z', 'by' => 'Ines', 'kind' => 'count', 'said' => ['pieces' => $count]])->assertCreated();
        $bag = (string) Str::uuid();
        $this->postJson('/api/jar-acts', ['id' => (string) Str::uuid(), 'at' => '2026-06-20T07:30:00.000Z', 'by' => 'Ines', 'do' => 'put', 'said' => ['batch' => $batch, 'split' => [['bag' => $bag, 'place' => $place ?? $fridge, 'pieces' => $count]]]])->assertCreated();

        return $bag;
    };
    $this->give = fn (array $what, array $more = []): TestResponse => $this->postJson('/api/given', $more + $what + ['id' => (string) Str::uuid(), 'at' => '2026-06-20T09:00:00.000Z', 'by' => 'Ines']);
    $this->day = fn (string $on = '2026-06-20'): array => array_column($this->getJson("/api/day?on=$on")->assertOk()->json('dogs'), null, 'dog');
});

it('gives a piece out of a bag: the bag has one less, the dog has had it, and who gave it is known', function (): void {
    $bag = ($this->fill)("200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil");
    $before = ($this->day)()['Bosun'];
    $id = (string) Str::uuid();
    $told = ($this->give)(['bag' => $bag, 'dogs' => [['dog' => ($this->dog)('Bosun'), 'pieces' => 1.5]]], ['id' => $id, 'by' => 'Tom'])->assertCreated();
    expect(schemaErrors($told->json(), 'kitchen.json#/$defs/kitchenDay'))->toBe('')->and(schemaErrors($this->getJson('/api/day')->json(), 'kitchen.json#/$defs/kitchenDay'))->toBe('');
    // sent again it is the same
    ($this->give)(['bag' => $bag, 'dogs' => [['dog' => ($this->dog)('Bosun'), 'pieces' => 1.5]]], ['id' => $id, 'by' => 'Tom'])->assertCreated();
    $after = ($this->day)()['Bosun'];
    expect(Bag::query()->findOrFail($bag)->pieces)->toEqual(58.5)->and(LedgerEntry::query()->count())->toBe(1)
        ->and($after['leftKcal'])->toEqualWithDelta($before['leftKcal'] - $after['given']['kcal']['best'], 1e-9)->and($after['given']['kcal']['best'])->toBeGreaterThan(0)
        ->and($told->json('dogs.0.leftKcal'))->toEqual($after['leftKcal'])->and($told->json('bags.*.pieces'))->toEqual([58.5])->and($told->json('given.0.by'))->toBe('Tom')->and(DogDay::query()->firstOrFail()->kcal)->toEqualWithDelta($after['given']['kcal']['best'], 1e-9)
        ->and(fn () => DB::table('ledger_entries')->update(['pieces' => 3]))->toThrow(QueryException::class);
});

it('takes it back: the pieces are in the bag again, and what was written stays', function (): void {
    $bag = ($this->fill)("200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil");
    $gift = (string) Str::uuid();
    ($this->give)(['bag' => $bag, 'dogs' => [['dog' => ($this->dog)('Bosun'), 'pieces' => 2], ['dog' => ($this->dog)('Tuppence'), 'pieces' => 1]]], ['id' => $gift])->assertCreated();
    $back = ['id' => (string) Str::uuid(), 'at' => '2026-06-20T09:05:00.000Z', 'by' => 'Ines'];
    foreach ([1, 2] as $_) {
        $this->postJson("/api/given/$gift/back", $back)->assertCreated()->assertJsonPath('given.0.undone', true)->assertJsonPath('bags.0.pieces', 60);
    }
    expect(Bag::query()->findOrFail($bag)->pieces)->toEqual(60)->and(LedgerEntry::query()->count())->toBe(2)->and(($this->day)()['Bosun']['given']['kcal']['best'])->toEqual(0)->and(DogDay::query()->sum('kcal'))->toEqual(0);
    $this->postJson('/api/given/'.Str::uuid().'/back', $back)->assertStatus(404);
});

it('shares a piece among those who may have had it, each against its own budget', function (): void {
    $bag = ($this->fill)("200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil");
    ($this->give)(['bag' => $bag, 'dogs' => [['dog' => ($this->dog)('Bosun')], ['dog' => ($this->dog)('Odette')]], 'unsure' => ['pieces' => 3]])->assertCreated();
    $day = ($this->day)();
    expect($day['Bosun']['given']['kcal']['best'])->toEqual($day['Odette']['given']['kcal']['best'])->and(LedgerEntry::query()->pluck('pieces')->all())->toEqual([1.5, 1.5])->and(LedgerEntry::query()->where('unsure', true)->count())->toBe(2)
        ->and(Bag::query()->findOrFail($bag)->pieces)->toEqual(57);
});

it('counts scraps and bought treats by their label, and tells what should never have been given', function (): void {
    ($this->give)(['text' => '20 g cooked chicken', 'dogs' => [['dog' => ($this->dog)('Tuppence')]]])->assertCreated()->assertJsonPath('dogs.0.findings.0.code', 'allergy-chicken');
    ($this->give)(['text' => '3 raisins', 'dogs' => [['dog' => ($this->dog)('Bosun')]]])->assertCreated()->assertJsonPath('dogs.0.findings.0.emergency', true);
    ($this->give)(['label' => ['name' => 'Cabin chew', 'kcal' => 35], 'dogs' => [['dog' => ($this->dog)('Odette'), 'pieces' => 2]]])->assertCreated()->assertJsonPath('dogs.0.over', true)->assertJsonPath('dogs.0.given.kcal.best', 70);
});

it('may be given to a dog that is not cleared, and says so plainly', function (): void {
    $bag = ($this->fill)("200 g oat flour\n100 g minced chicken");
    expect(array_column(($this->day)()['Tuppence']['may'], 'why'))->toBe(['Tuppence is not cleared: Minced chicken, raw: Tuppence reacts to chicken.']);
    ($this->give)(['bag' => $bag, 'dogs' => [['dog' => ($this->dog)('Tuppence'), 'pieces' => 1]]])->assertCreated()->assertJsonPath('dogs.0.findings.0.level', 'allergen');
});

it('knows what was had in the week before', function (): void {
    $bag = ($this->fill)("200 g rice flour\n120 g tinned tuna in water\n1 large egg");
    ($this->give)(['text' => '10 g tinned tuna in water', 'dogs' => [['dog' => ($this->dog)('Bosun')]]], ['at' => '2026-06-17T09:00:00.000Z'])->assertCreated();
    expect(($this->day)()['Bosun']['may'][0]['heldBy'])->toBe('predator-fish')->and(($this->day)()['Odette']['may'][0]['heldBy'])->not->toBe('predator-fish');
});

it('never lets two hands overrun a budget unseen', function (): void {
    $bag = ($this->fill)("200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil", 20);
    $dog = ($this->dog)('Tuppence');
    $may = ($this->day)()['Tuppence']['may'][0]['pieces'];
    $first = ($this->give)(['bag' => $bag, 'dogs' => [['dog' => $dog, 'pieces' => $may]]], ['by' => 'Ines'])->assertCreated();
    // the other device still shows what it showed before
    $second = ($this->give)(['bag' => $bag, 'dogs' => [['dog' => $dog, 'pieces' => $may]]], ['by' => 'Tom'])->assertCreated();
    expect($first->json('dogs.0.over'))->toBeFalse()->and($second->json('dogs.0.over'))->toBeTrue()->and(array_column($second->json('given'), 'by'))->toEqualCanonicalizing(['Ines', 'Tom']);
});

it('says in words what cannot be, and nothing is written', function (array $what, string $says, array $more = []): void {
    $bag = ($this->fill)("200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil", 12);
    $what = json_decode(strtr((string) json_encode($what), ['BAG' => $bag, 'BOSUN' => ($this->dog)('Bosun'), 'NOBODY' => (string) Str::uuid()]), true);
    ($this->give)($what, $more)->assertStatus(422)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    expect(LedgerEntry::query()->count())->toBe(0)->and(Bag::query()->findOrFail($bag)->pieces)->toEqual(12);
})->with([
    'tomorrow' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1]]], 'has not come yet', ['at' => '2026-06-21T09:00:00.000Z']],
    'long ago' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1]]], 'more than 60 days ago', ['at' => '2026-01-21T09:00:00.000Z']],
    'a thousand' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1000]]], 'is a slip, or a raid'],
    'none' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 0]]], 'more than 0'],
    'nobody' => [['bag' => 'BAG', 'dogs' => []], 'At least one dog'],
    'an unknown dog' => [['bag' => 'BAG', 'dogs' => [['dog' => 'NOBODY', 'pieces' => 1]]], 'No dog of this kitchen'],
    'twice the same' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1], ['dog' => 'BOSUN', 'pieces' => 1]]], 'stands here twice'],
    'nothing' => [['dogs' => [['dog' => 'BOSUN', 'pieces' => 1]]], 'What was given'],
    'an unknown bag' => [['bag' => 'NOBODY', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1]]], 'No bag of this kitchen'],
    'words with pieces' => [['text' => '2 g carrot', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1]]], 'its amount in its words'],
    'no pieces' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN']]], 'How many pieces'],
]);

it('writes down what a dog had though the bag is known to hold less, or was emptied meanwhile', function (): void {
    $bag = ($this->fill)("200 g rice flour\n60 g water", 12);
    $dog = ($this->dog)('Bosun');
    $gift = (string) Str::uuid();
    ($this->give)(['id' => $gift, 'bag' => $bag, 'dogs' => [['dog' => $dog, 'pieces' => 13]]])->assertCreated()->assertJsonPath('says', fn (?string $says): bool => str_contains((string) $says, 'held only 12'));
    expect(Bag::query()->findOrFail($bag)->pieces)->toEqual(0)->and(LedgerEntry::query()->firstOrFail()->pieces)->toEqual(13);
    // a tap that waited on another device while the bag was emptied
    $late = (string) Str::uuid();
    ($this->give)(['id' => $late, 'bag' => $bag, 'dogs' => [['dog' => $dog, 'pieces' => 1]]])->assertCreated()->assertJsonPath('says', fn (?string $says): bool => str_contains((string) $says, 'held nothing'));
    expect(array_column($this->getJson('/api/day')->json('given'), 'pieces'))->toEqualCanonicalizing([13, 1]);
    $back = fn (string $of): TestResponse => $this->postJson("/api/given/$of/back", ['id' => (string) Str::uuid(), 'at' => '2026-06-20T09:30:00.000Z', 'by' => 'Ines'])->assertCreated();
    $back($late);
    expect(Bag::query()->findOrFail($bag)->pieces)->toEqual(0);
    $back($gift);
    expect(Bag::query()->findOrFail($bag)->pieces)->toEqual(12)->and(array_filter($this->getJson('/api/day')->json('given'), static fn (array $one): bool => ! $one['undone']))->toBe([]);
    // it stood in the freezer by the time the tap arrived: the dog had it all the same
    $freezer = Place::query()->where('kind', 'freezer')->firstOrFail()->id;
    $frozen = ($this->fill)("200 g rice flour\n60 g water", 12, 'Coins', $freezer);
    ($this->give)(['bag' => $frozen, 'dogs' => [['dog' => $dog, 'pieces' => 1]]])->assertCreated()->assertJsonPath('says', null);
    expect(Bag::query()->findOrFail($frozen)->pieces)->toEqual(11);
    // written down of a moment before the bag was filled
    ($this->give)(['bag' => $frozen, 'dogs' => [['dog' => $dog, 'pieces' => 1]]], ['at' => '2026-06-10T09:00:00.000Z'])->assertCreated()->assertJsonPath('says', fn (?string $says): bool => str_contains((string) $says, 'before it was made') && str_contains((string) $says, 'all the same'));
    expect(Bag::query()->findOrFail($frozen)->pieces)->toEqual(11);
    $this->getJson('/api/day?on=soon')->assertStatus(422);
});

it('borrows for an occasion from the days after, and gives it back', function (): void {
    $dog = ($this->dog)('Bosun');
    ($this->give)(['label' => ['name' => 'Birthday slice', 'kcal' => 500], 'dogs' => [['dog' => $dog, 'pieces' => 1]]])->assertCreated()->assertJsonPath('dogs.0.over', true);
    $budget = ($this->day)()['Bosun']['budgetKcal'];
    $loan = (string) Str::uuid();
    $ask = fn (string $of, ?string $id = null): TestResponse => $this->postJson('/api/borrowed', ['id' => $id ?? (string) Str::uuid(), 'dog' => $of, 'on' => '2026-06-20', 'at' => '2026-06-20T10:00:00.000Z', 'by' => 'Ines']);
    foreach ([1, 2] as $_) {
        $ask($dog, $loan)->assertCreated()->assertJsonPath('dogs.0.over', false)->assertJsonPath('loans.0.days.0.on', '2026-06-21');
    }
    $days = array_column($this->getJson('/api/day')->json('loans.0.days'), 'kcal', 'on');
    expect(array_sum($days))->toEqualWithDelta(500 - $budget, 1e-6)->and($days['2026-06-21'])->toEqualWithDelta($budget, 1e-6)
        ->and(($this->day)('2026-06-21')['Bosun']['leftKcal'])->toEqualWithDelta(0.0, 1e-6)->and(($this->day)('2026-06-23')['Bosun']['leftKcal'])->toEqualWithDelta($budget, 1e-6)
        // another dog gives up nothing
        ->and(($this->day)('2026-06-21')['Odette']['leftKcal'])->toEqual(($this->day)('2026-06-21')['Odette']['budgetKcal']);
    $this->postJson("/api/given/$loan/back", ['id' => (string) Str::uuid(), 'at' => '2026-06-20T10:05:00.000Z', 'by' => 'Ines'])->assertCreated()->assertJsonPath('dogs.0.over', true)->assertJsonPath('loans', []);
    $ask(($this->dog)('Odette'))->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'is not over on that day'));
    ($this->give)(['label' => ['name' => 'Whole cake', 'kcal' => 1900], 'dogs' => [['dog' => ($this->dog)('Odette'), 'pieces' => 1]]])->assertCreated();
    $ask(($this->dog)('Odette'))->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'Even with 7 days'));
});

it('has what was handed down at the oven, with the amount somebody knows and none that nobody does', function (): void {
    $batch = $this->postJson('/api/batches', ['asked' => ['recipe' => ['text' => "200 g rice flour\n90 g cooked beetroot"], 'cut' => ['shape' => 'pieces', 'count' => 29], 'bake' => ['texture' => 'biscuit']], 'title' => 'Rounds', 'at' => '2026-06-20T06:00:00.000Z', 'startAt' => '2026-06-20T08:00', 'by' => 'Ines'])->assertCreated()->json('id');
    $tell = fn (array $said, array $more = []): TestResponse => $this->postJson("/api/batches/$batch/entries", $more + ['id' => (string) Str::uuid(), 'at' => '2026-06-20T08:30:00.000Z', 'by' => 'Tom', 'kind' => 'tasted', 'said' => $said + ['dog' => ($this->dog)('Bosun'), 'name' => 'Bosun', 'took' => true]])->assertCreated();
    $id = (string) Str::uuid();
    $tell(['what' => 'licked the spoon', 'ofBatch' => true]);
    $tell(['what' => 'a lump of dough', 'ofBatch' => true, 'grams' => 5], ['id' => $id, 'at' => '2026-06-20T08:31:00.000Z']);
    $tell(['what' => 'carrot', 'grams' => 4], ['at' => '2026-06-20T08:32:00.000Z']);
    $tell(['what' => 'a raw celery end', 'took' => false]);
    $day = $this->getJson('/api/day')->json();
    expect(array_map(static fn (array $one): array => [$one['kind'], $one['words'], $one['by'], $one['pieces'] === null ? null : round($one['pieces'], 2)], $day['given']))
        ->toBe([['taste', 'licked the spoon (Rounds)', 'Tom', null], ['taste', 'a lump of dough (Rounds)', 'Tom', 0.5], ['text', '4 g carrot', 'Tom', null]]);
    $had = ($this->day)()['Bosun'];
    expect($had['given']['kcal']['best'])->toBeGreaterThan(8)->and(array_column($had['findings'], 'code'))->not->toContain('given-unknown');
    $this->postJson("/api/batches/$batch/entries", ['id' => (string) Str::uuid(), 'at' => '2026-06-20T08:35:00.000Z', 'by' => 'Tom', 'kind' => 'undone', 'said' => (object) [], 'corrects' => $id])->assertCreated();
    expect(($this->day)()['Bosun']['given']['kcal']['best'])->toBeLessThan($had['given']['kcal']['best'] - 5);
});

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
        ->and($told->json('dogs.0.leftKcal'))->toEqual($after['leftKcal'])->and($told->json('given.0.by'))->toBe('Tom')->and(DogDay::query()->firstOrFail()->kcal)->toEqualWithDelta($after['given']['kcal']['best'], 1e-9)
        ->and(fn () => DB::table('ledger_entries')->update(['pieces' => 3]))->toThrow(QueryException::class);
});

it('takes it back: the pieces are in the bag again, and what was written stays', function (): void {
    $bag = ($this->fill)("200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil");
    $gift = (string) Str::uuid();
    ($this->give)(['bag' => $bag, 'dogs' => [['dog' => ($this->dog)('Bosun'), 'pieces' => 2], ['dog' => ($this->dog)('Tuppence'), 'pieces' => 1]]], ['id' => $gift])->assertCreated();
    $back = ['id' => (string) Str::uuid(), 'at' => '2026-06-20T09:05:00.000Z', 'by' => 'Ines'];
    foreach ([1, 2] as $_) {
        $this->postJson("/api/given/$gift/back", $back)->assertCreated()->assertJsonPath('given.0.undone', true);
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
    expect($first->json('dogs.0.over'))->toBeFalse()->and($second->json('dogs.0.over'))->toBeTrue()->and(array_column($second->json('given'), 'by'))->toBe(['Ines', 'Tom']);
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
    'more than there is' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 13]]], 'only 12 pieces'],
    'nobody' => [['bag' => 'BAG', 'dogs' => []], 'At least one dog'],
    'an unknown dog' => [['bag' => 'BAG', 'dogs' => [['dog' => 'NOBODY', 'pieces' => 1]]], 'No dog of this kitchen'],
    'twice the same' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1], ['dog' => 'BOSUN', 'pieces' => 1]]], 'stands here twice'],
    'nothing' => [['dogs' => [['dog' => 'BOSUN', 'pieces' => 1]]], 'What was given'],
    'an unknown bag' => [['bag' => 'NOBODY', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1]]], 'No bag of this kitchen'],
    'words with pieces' => [['text' => '2 g carrot', 'dogs' => [['dog' => 'BOSUN', 'pieces' => 1]]], 'its amount in its words'],
    'no pieces' => [['bag' => 'BAG', 'dogs' => [['dog' => 'BOSUN']]], 'How many pieces'],
]);

it('does not give what is frozen, or raw dough', function (): void {
    $freezer = Place::query()->where('kind', 'freezer')->firstOrFail()->id;
    $bag = ($this->fill)("200 g rice flour\n60 g water", 12, 'Coins', $freezer);
    ($this->give)(['bag' => $bag, 'dogs' => [['dog' => ($this->dog)('Bosun'), 'pieces' => 1]]])->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'is frozen: thaw it first'));
    $this->getJson('/api/day?on=soon')->assertStatus(422);
});

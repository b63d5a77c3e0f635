<?php

declare(strict_types=1);

use App\Models\Bag;
use App\Models\BagEvent;
use App\Models\Batch;
use App\Models\Dog;
use App\Models\JarAct;
use App\Models\Place;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

const COINS = "200 g oat flour\n250 g minced turkey\n60 g water";

beforeEach(function (): void {
    $this->open('lock-cottage');
    Bag::query()->forceDelete();
    JarAct::query()->delete();
    Place::query()->forceDelete();
    Batch::query()->forceDelete();
    foreach ([['jar', 'jar', 20.0], ['warm', 'jar', 30.0], ['fridge', 'fridge', null], ['freezer', 'freezer', null], ['far', 'freezer', null]] as [$name, $kind, $celsius]) {
        $this->{$name} = Place::query()->create(['name' => "The $name place", 'kind' => $kind, 'celsius' => $celsius])->id;
    }
    $this->act = fn (string $do, array $said, array $more = []): TestResponse => $this->postJson('/api/jar-acts', $more + ['id' => (string) Str::uuid(), 'at' => '2026-06-20T09:00:00.000Z', 'by' => 'Ines', 'do' => $do, 'said' => (object) $said]);
    $this->bake = function (string $text = "200 g oat flour\n60 g water", string $texture = 'biscuit', int $count = 60, string $on = '2026-06-20', array $more = []): string {
        $batch = $this->postJson('/api/batches', ['asked' => $more + ['recipe' => ['text' => $text], 'cut' => ['shape' => 'pieces', 'count' => $count], 'bake' => ['texture' => $texture]], 'title' => 'Coins', 'at' => "{$on}T07:00:00.000Z", 'startAt' => "{$on}T09:00", 'by' => 'Ines'])->assertCreated()->json('id');
        $this->postJson("/api/batches/$batch/entries", ['id' => (string) Str::uuid(), 'at' => "{$on}T08:00:00.000Z", 'by' => 'Ines', 'kind' => 'count', 'said' => ['pieces' => $count]])->assertCreated();

        return $batch;
    };
    $this->put = function (string $batch, array $split, array $more = [], string $at = '2026-06-20T09:00:00.000Z'): array {
        $split = array_map(static fn (array $one): array => ['bag' => (string) Str::uuid(), 'place' => $one[0], 'pieces' => $one[1]], $split);
        ($this->act)('put', ['batch' => $batch, 'split' => $split] + $more, ['at' => $at])->assertCreated();

        return array_column($split, 'bag');
    };
    $this->bag = fn (string $id): array => $this->getJson("/api/bags/$id")->assertOk()->json();
});

it('puts a batch away in bags with a number, a date, a best before and what is left', function (): void {
    $batch = ($this->bake)();
    [$a, $b, $c] = ($this->put)($batch, [[$this->jar, 12], [$this->fridge, 24], [$this->freezer, 20]]);
    expect(schemaErrors(($this->bag)($a), 'kitchen.json#/$defs/bagWithActs'))->toBe('')->and(schemaErrors($this->getJson('/api/bags')->json()[0], 'kitchen.json#/$defs/bag'))->toBe('')
        ->and(array_map(fn (string $id): array => [($this->bag)($id)['number'], ($this->bag)($id)['made'], ($this->bag)($id)['bestBefore'], ($this->bag)($id)['pieces']], [$a, $b, $c]))
        ->toEqual([[1, '2026-06-20', '2026-06-30', 12], [2, '2026-06-20', '2026-07-11', 24], [3, '2026-06-20', '2026-10-18', 20]])
        ->and(($this->bag)($a)['class'])->toBe('biscuit')->and(($this->bag)($a)['acts'][0]['do'])->toBe('put');
    // four are left, and no more
    ($this->act)('put', ['batch' => $batch, 'split' => [['bag' => (string) Str::uuid(), 'place' => $this->jar, 'pieces' => 5]]])->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, '60'));
    expect(Bag::query()->count())->toBe(3)->and(JarAct::query()->count())->toBe(1);
    ($this->put)($batch, [[$this->jar, 4]]);
    expect(Bag::query()->sum('pieces'))->toEqual(60);
});

it('says with what was done what of the batch still stands about, so that no page waits for the news of it', function (): void {
    $batch = ($this->bake)();
    $split = [['bag' => (string) Str::uuid(), 'place' => $this->jar, 'pieces' => 50]];
    $done = ($this->act)('put', ['batch' => $batch, 'split' => $split])->assertCreated();
    expect(schemaErrors($done->json(), 'kitchen.json#/$defs/actDone'))->toBe('')->and($done->json('batches.0.lots.0.put'))->toEqual(50)
        ->and($done->json('batches.0.version'))->toBe($this->getJson('/api/batches')->json('0.version'));
    $undone = ($this->act)('undo', [], ['corrects' => $done->json('act.id')])->assertCreated();
    expect($undone->json('batches.0.lots.0.put'))->toEqual(0)->and($undone->json('batches.0.version'))->toBeGreaterThan($done->json('batches.0.version'));
    [$bag] = ($this->put)($batch, [[$this->jar, 4]]);
    ($this->act)('take', ['bag' => $bag, 'pieces' => 1, 'why' => 'eaten'])->assertCreated()->assertJsonPath('batches', []);
});

it('knows the dates of what spoils soon, of a warm room, and of raw dough', function (): void {
    $batch = ($this->bake)(COINS, 'soft');
    [$a, $b, $c] = ($this->put)($batch, [[$this->fridge, 12], [$this->freezer, 20], [$this->jar, 1]]);
    expect([($this->bag)($a)['bestBefore'], ($this->bag)($b)['bestBefore'], ($this->bag)($c)['bestBefore']])->toBe(['2026-06-23', '2026-08-19', '2026-06-20']);
    $biscuit = ($this->bake)();
    [$warm] = ($this->put)($biscuit, [[$this->warm, 5]]);
    expect(($this->bag)($warm)['bestBefore'])->toBe('2026-06-20');
    [$dough, $frozen] = ($this->put)(($this->bake)(COINS, 'soft'), [[$this->fridge, 30], [$this->freezer, 30]], ['as' => 'dough']);
    expect([($this->bag)($dough)['content'], ($this->bag)($dough)['bestBefore'], ($this->bag)($frozen)['bestBefore']])->toBe(['dough', '2026-06-21', '2026-07-20']);
});

it('freezes, thaws, and never freezes again', function (): void {
    [$bag] = ($this->put)(($this->bake)(COINS, 'soft', on: '2026-06-10'), [[$this->fridge, 12]], at: '2026-06-10T09:00:00.000Z');
    ($this->act)('move', ['bag' => $bag, 'place' => $this->freezer], ['at' => '2026-06-11T09:00:00.000Z'])->assertCreated()->assertJsonPath('bags.0.frozen', true)->assertJsonPath('bags.0.thawedDays', 2);
    ($this->act)('move', ['bag' => $bag, 'place' => $this->far], ['at' => '2026-06-12T09:00:00.000Z'])->assertCreated()->assertJsonPath('bags.0.bestBefore', '2026-08-10');
    ($this->act)('move', ['bag' => $bag, 'place' => $this->fridge], ['at' => '2026-06-18T09:00:00.000Z'])->assertCreated()->assertJsonPath('bags.0.bestBefore', '2026-06-20')->assertJsonPath('bags.0.thawedOn', '2026-06-18');
    ($this->act)('move', ['bag' => $bag, 'place' => $this->freezer])->assertStatus(422)->assertJsonPath('message', 'Bag 1: it was thawed on 2026-06-18, and what was thawed is never frozen again: eat it by 2026-06-20, or throw it away.');
    expect(($this->bag)($bag)['place'])->toBe($this->fridge);
});

it('splits, pours together, counts, takes and throws away without losing a piece', function (): void {
    [$bag] = ($this->put)(($this->bake)(), [[$this->fridge, 30]]);
    [$one, $two] = [(string) Str::uuid(), (string) Str::uuid()];
    ($this->act)('split', ['bag' => $bag, 'to' => [['bag' => $one, 'pieces' => 10], ['bag' => $two, 'pieces' => 5.5, 'place' => $this->freezer, 'dogs' => [Dog::query()->firstOrFail()->id]]]])->assertCreated();
    expect(Bag::query()->orderBy('number')->pluck('pieces')->all())->toEqual([14.5, 10, 5.5])->and(($this->bag)($two)['frozen'])->toBeTrue()->and(($this->bag)($one)['bestBefore'])->toBe(($this->bag)($bag)['bestBefore']);
    ($this->act)('merge', ['bag' => $one, 'into' => $bag])->assertCreated();
    expect(($this->bag)($bag)['pieces'])->toEqual(24.5)->and(($this->bag)($one)['state'])->toBe('empty');
    ($this->act)('merge', ['bag' => $two, 'into' => $bag])->assertStatus(422);
    ($this->act)('take', ['bag' => $bag, 'pieces' => 4.5, 'why' => 'eaten'])->assertCreated();
    ($this->act)('take', ['bag' => $bag, 'pieces' => 21, 'why' => 'eaten'])->assertStatus(422)->assertJsonPath('message', 'Bag 1: there are only 20 pieces in it: 21 cannot be taken.');
    ($this->act)('count', ['bag' => $bag, 'pieces' => 18])->assertCreated();
    ($this->act)('take', ['bag' => $bag, 'why' => 'thrown', 'because' => 'mould'])->assertCreated()->assertJsonPath('bags.0.state', 'empty');
    expect(array_column(($this->bag)($bag)['acts'], 'do'))->toBe(['put', 'split', 'merge', 'take', 'count', 'take'])->and($this->getJson('/api/bags')->json())->toHaveCount(1);
    ($this->act)('move', ['bag' => $bag, 'place' => $this->jar])->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'is empty'));
});

it('takes an act back, whole, as long as nothing stands on it', function (): void {
    $batch = ($this->bake)();
    $put = (string) Str::uuid();
    $bag = (string) Str::uuid();
    ($this->act)('put', ['batch' => $batch, 'split' => [['bag' => $bag, 'place' => $this->jar, 'pieces' => 60]]], ['id' => $put])->assertCreated();
    $taken = (string) Str::uuid();
    ($this->act)('take', ['bag' => $bag, 'pieces' => 60, 'why' => 'eaten'], ['id' => $taken])->assertCreated();
    ($this->act)('undo', [], ['corrects' => $taken])->assertCreated()->assertJsonPath('bags.0.pieces', 60);
    ($this->act)('undo', [], ['corrects' => $taken])->assertStatus(422)->assertJsonPath('message', 'That was taken back already.');
    ($this->act)('undo', [], ['corrects' => $put])->assertCreated()->assertJsonPath('bags.0.state', 'undone');
    // they can be put away anew
    ($this->put)($batch, [[$this->freezer, 60]]);
    expect(Bag::query()->where('state', 'here')->sum('pieces'))->toEqual(60);
    $split = (string) Str::uuid();
    $from = Bag::query()->where('state', 'here')->firstOrFail()->id;
    $to = (string) Str::uuid();
    ($this->act)('split', ['bag' => $from, 'to' => [['bag' => $to, 'pieces' => 20]]], ['id' => $split])->assertCreated();
    ($this->act)('take', ['bag' => $to, 'pieces' => 3, 'why' => 'eaten'])->assertCreated();
    ($this->act)('undo', [], ['corrects' => $split])->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'Take back first what was done with it since'));
    expect(($this->bag)($to)['pieces'])->toEqual(17);
});

it('does what was sent twice once, and nothing of what is refused', function (): void {
    [$bag] = ($this->put)(($this->bake)(), [[$this->jar, 12]]);
    $id = (string) Str::uuid();
    foreach ([1, 2] as $_) {
        ($this->act)('take', ['bag' => $bag, 'pieces' => 5, 'why' => 'eaten'], ['id' => $id])->assertCreated()->assertJsonPath('bags.0.pieces', 7);
    }
    expect(BagEvent::query()->count())->toBe(2)->and(fn () => DB::table('bag_events')->update(['kind' => 'counted']))->toThrow(QueryException::class);
});

it('fills a bag from the log at the oven, and empties it when that was a slip', function (): void {
    $batch = ($this->bake)();
    $entry = (string) Str::uuid();
    $tell = fn (string $kind, array $said, array $more): TestResponse => $this->postJson("/api/batches/$batch/entries", $more + ['at' => '2026-06-20T09:00:00.000Z', 'by' => 'Tom', 'kind' => $kind, 'said' => (object) $said]);
    $tell('bag', ['place' => 'freezer', 'pieces' => 48, 'bags' => 4], ['id' => $entry])->assertCreated();
    expect(Bag::query()->orderBy('number')->pluck('pieces')->all())->toEqual([12, 12, 12, 12])->and(Bag::query()->firstOrFail()->place_id)->toBe($this->far);
    $tell('undone', [], ['id' => (string) Str::uuid(), 'corrects' => $entry])->assertCreated();
    expect(Bag::query()->where('state', 'here')->count())->toBe(0)->and(Bag::query()->where('state', 'undone')->count())->toBe(4);
});

it('asks and answers what a power cut did', function (): void {
    [$meat, $frozen] = ($this->put)(($this->bake)(COINS, 'soft'), [[$this->fridge, 12], [$this->freezer, 20]]);
    [$biscuit] = ($this->put)(($this->bake)(), [[$this->fridge, 5]]);
    $ask = fn (array $asked): array => array_column($this->postJson('/api/ask/power-cut', $asked)->assertOk()->json('bags'), 'outcome', 'bag');
    expect($ask(['hours' => 3]))->toBe([$meat => 'kept', $frozen => 'kept', $biscuit => 'kept'])
        ->and($ask(['hours' => 30]))->toBe([$meat => 'throw', $frozen => 'look', $biscuit => 'stood'])
        ->and($ask(['hours' => 30, 'full' => true, 'places' => [$this->freezer]]))->toBe([$frozen => 'kept'])
        ->and(schemaErrors($this->postJson('/api/ask/power-cut', ['hours' => 30])->json(), 'kitchen.json#/$defs/powerCutAnswer'))->toBe('');
    ($this->act)('cut', ['hours' => 30])->assertStatus(422)->assertJsonPath('message', 'Feel bag 2 first (Coins): hard, icy inside, or soft?');
    ($this->act)('cut', ['hours' => 30, 'feels' => [['bag' => $frozen, 'feels' => 'icy']]])->assertCreated();
    expect(($this->bag)($meat)['state'])->toBe('empty')->and(($this->bag)($frozen)['bestBefore'])->toBe('2026-06-23')->and(($this->bag)($frozen)['frozen'])->toBeFalse()->and(($this->bag)($biscuit)['bestBefore'])->toBe('2026-07-08');
    $this->postJson('/api/ask/power-cut', ['hours' => 0])->assertStatus(422);
});

it('keeps opened tins and bags that nobody marked, as what goes off soon', function (): void {
    [$tin, $found] = [(string) Str::uuid(), (string) Str::uuid()];
    ($this->act)('open', ['bag' => $tin, 'title' => 'pumpkin purée', 'food' => 'tin', 'ingredient' => 'pumpkin-puree', 'grams' => 210, 'place' => $this->fridge])->assertCreated()->assertJsonPath('bags.0.bestBefore', '2026-06-23')->assertJsonPath('bags.0.bestBeforeAtMost', '2026-06-24');
    ($this->act)('found', ['bag' => $found, 'title' => 'Some coins', 'made' => '2026-05-20', 'pieces' => 9, 'place' => $this->freezer, 'note' => 'no label'])->assertCreated()->assertJsonPath('bags.0.class', 'moist')->assertJsonPath('bags.0.note', 'no label');
    ($this->act)('date', ['bag' => $tin, 'bestBefore' => '2026-06-24'])->assertCreated();
    ($this->act)('date', ['bag' => $tin, 'bestBefore' => '2026-06-25'])->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'At most until 2026-06-24') || str_contains($says, 'at most until 2026-06-24'));
});

it('says in words what cannot be, and everything stays as it was', function (string $do, array $said, string $says, array $more = []): void {
    $batch = ($this->bake)();
    [$bag] = ($this->put)($batch, [[$this->jar, 12]]);
    array_walk_recursive($said, function (mixed &$one) use ($bag, $batch): void {
        $one = match ($one) {
            'BAG' => $bag, 'BATCH' => $batch, 'JAR' => $this->jar, 'FREEZER' => $this->freezer, default => $one,
        };
    });
    $before = [BagEvent::query()->count(), JarAct::query()->count()];
    ($this->act)($do, $said, $more)->assertStatus(422)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    expect([BagEvent::query()->count(), JarAct::query()->count()])->toBe($before);
})->with([
    ['take', ['bag' => 'BAG', 'pieces' => 0, 'why' => 'eaten'], 'more than 0'],
    ['take', ['bag' => 'BAG', 'pieces' => 13, 'why' => 'eaten'], 'only 12 pieces'],
    ['take', ['bag' => 'BAG', 'pieces' => 1, 'why' => 'vanished'], 'one of: eaten'],
    ['take', ['bag' => '018f2f6e-0000-7000-8000-000000000000', 'why' => 'eaten'], 'No bag of this kitchen'],
    ['take', ['bag' => 'BAG', 'pieces' => 1, 'why' => 'eaten'], 'before it was made', ['at' => '2026-06-19T09:00:00.000Z']],
    ['take', ['bag' => 'BAG', 'pieces' => 1, 'why' => 'eaten'], 'lies in the future', ['at' => '2026-06-29T09:00:00.000Z']],
    ['move', ['bag' => 'BAG', 'place' => '018f2f6e-0000-7000-8000-000000000000'], 'No place of this kitchen'],
    ['move', ['bag' => 'BAG', 'place' => 'JAR'], 'stands there already'],
    ['put', ['batch' => 'BATCH', 'made' => '2026-06-19', 'split' => [['bag' => '018f2f6e-0000-7000-8000-000000000001', 'place' => 'JAR', 'pieces' => 1]]], 'begun on 2026-06-20: 2026-06-19 lies before'],
    ['put', ['batch' => 'BATCH', 'made' => '2026-06-21', 'split' => [['bag' => '018f2f6e-0000-7000-8000-000000000001', 'place' => 'JAR', 'pieces' => 1]]], 'ready on 2026-06-20: it was not made later'],
    ['open', ['bag' => '018f2f6e-0000-7000-8000-000000000001', 'title' => 'x', 'food' => 'tin', 'made' => '2026-06-21', 'place' => 'JAR'], 'before it was made'],
    ['merge', ['bag' => 'BAG', 'into' => 'BAG'], 'into itself'],
    ['put', ['batch' => '018f2f6e-0000-7000-8000-000000000000', 'split' => [['bag' => '018f2f6e-0000-7000-8000-000000000001', 'place' => '018f2f6e-0000-7000-8000-000000000001', 'pieces' => 1]]], 'No batch of this kitchen'],
    ['put', ['batch' => '018f2f6e-0000-7000-8000-000000000000', 'split' => []], 'At least one bag'],
    ['open', ['bag' => '018f2f6e-0000-7000-8000-000000000001', 'title' => 'x', 'food' => 'shoe', 'place' => 'JAR'], 'one of: tin'],
    ['found', ['bag' => 'BAG', 'title' => 'x', 'made' => '2026-06-01', 'pieces' => 2, 'place' => 'JAR'], 'here already'],
    ['undo', [], 'Which act'],
    ['undo', [], 'Nothing of this kitchen', ['corrects' => '018f2f6e-0000-7000-8000-000000000000']],
    ['dance', [], 'one of: put'],
    ['count', ['bag' => 'BAG', 'pieces' => -1], 'from 0'],
]);

it('keeps jars for another time once their room is warmer, and knows no warm fridge', function (): void {
    [$a, $b] = ($this->put)(($this->bake)("300 g oat flour\n60 g water\n60 g pumpkin puree"), [[$this->jar, 12], [$this->fridge, 12]]);
    $before = [($this->bag)($a)['bestBefore'], ($this->bag)($b)['bestBefore']];
    $this->travelTo('2026-06-20T12:00:00Z');
    $this->patchJson("/api/places/{$this->jar}", ['celsius' => 27])->assertOk();
    expect(($this->bag)($a)['bestBefore'])->toBe('2026-06-20')->and($before[0])->toBe('2026-06-30')->and(($this->bag)($b)['bestBefore'])->toBe($before[1]);
    // said again it is no news
    $this->patchJson("/api/places/{$this->jar}", ['celsius' => 27])->assertOk();
    expect(count(($this->bag)($a)['acts']))->toBe(2);
    foreach ([[$this->fridge, 5, 'A fridge has 4 °C or less'], [$this->freezer, -12, 'A freezer has -18 °C or less']] as [$place, $celsius, $says]) {
        $this->patchJson("/api/places/$place", ['celsius' => $celsius])->assertStatus(422)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    }
    $this->patchJson("/api/places/{$this->fridge}", ['celsius' => 4])->assertOk();
    $this->patchJson("/api/places/{$this->warm}", ['kind' => 'fridge'])->assertOk()->assertJsonPath('celsius', null);
});

it('keeps its places: named, not taken away while something stands there', function (): void {
    ($this->put)(($this->bake)(), [[$this->jar, 12]]);
    $this->deleteJson("/api/places/{$this->jar}")->assertStatus(422)->assertJsonPath('message', 'The jar place holds a bag: put them elsewhere first.');
    $this->patchJson("/api/places/{$this->jar}", ['kind' => 'fridge'])->assertStatus(422);
    $this->patchJson("/api/places/{$this->jar}", ['name' => 'The blue jar', 'celsius' => 18])->assertOk()->assertJsonPath('name', 'The blue jar');
    $this->deleteJson("/api/places/{$this->far}")->assertNoContent();
    $this->postJson('/api/places', ['name' => 'the BLUE jar', 'kind' => 'jar'])->assertStatus(422)->assertJsonPath('message', 'Another place is called so: give this one another name.');
    expect(schemaErrors($this->getJson('/api/places')->json()[0], 'kitchen.json#/$defs/place'))->toBe('');
});

it('has a bag in every state in the demo kitchen', function (): void {
    $this->seed(\Database\Seeders\BatchSeeder::class);
    $this->seed(\Database\Seeders\JarSeeder::class);
    $bags = Bag::query()->where('state', 'here')->get();
    expect($bags->where('frozen', true)->count())->toBeGreaterThan(5)->and($bags->where('content', 'food')->count())->toBe(2)->and($bags->where('content', 'dough')->count())->toBe(1)
        ->and($bags->filter(fn (Bag $bag): bool => $bag->best_before?->format('Y-m-d') === '2026-06-19')->count())->toBe(1)->and(Bag::query()->where('state', 'empty')->count())->toBe(3);
});

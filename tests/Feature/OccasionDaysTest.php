<?php

declare(strict_types=1);

use App\Models\Bag;
use App\Models\Dog;
use App\Models\LedgerEntry;
use App\Models\Loan;
use App\Models\Recipe;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/*
 * What the days of an occasion hold beside it: what its dogs had already, what the ledger lent, what an earlier occasion takes; and what of
 * it is written down, once however many write.
 */

const PARTY_TODAY = '2026-06-20';

beforeEach(function (): void {
    $this->open('lock-cottage');
    CarbonImmutable::setTestNow(PARTY_TODAY.' 15:00:00');
    LedgerEntry::query()->delete();
    Loan::query()->delete();
    $this->coins = Recipe::query()->where('title', 'Venison and parsnip coins')->firstOrFail()->id;
    $this->bosun = Dog::query()->where('name', 'Bosun')->firstOrFail()->id;
    $this->fields = fn (array $more = []): array => $more + ['name' => 'Quill is twelve', 'on' => PARTY_TODAY, 'dogs' => [$this->bosun], 'treats' => [['recipeId' => $this->coins, 'bakeOn' => null]]];
    /** the plan of an occasion that is kept as it is asked about */
    $this->keep = fn (array $more = []): string => $this->postJson('/api/occasions', ($this->fields)($more))->assertCreated()->json('id');
    $this->ask = function (string $id, array $more = []): array {
        $answer = $this->postJson("/api/ask/occasion-plan?occasion=$id", ($this->fields)($more))->assertOk()->json();
        expect(schemaErrors($answer, 'kitchen.json#/$defs/occasionPlan'))->toBe('');

        return $answer;
    };
    $this->guest = fn (string $id, array $more = []): array => ($this->ask)($id, $more)['plan']['guests'][0];
    $this->give = fn (array $what): TestResponse => $this->postJson('/api/given', $what + ['id' => (string) Str::uuid(), 'at' => PARTY_TODAY.'T08:00:00Z', 'by' => 'Ines', 'dogs' => [['dog' => $this->bosun]]]);
});

it('counts what a dog had since the morning, and nothing of it on another day', function (): void {
    $id = ($this->keep)();
    $before = ($this->guest)($id);
    $tomorrow = ($this->guest)($id, ['on' => '2026-06-21']);
    ($this->give)(['text' => '60 g cooked lean beef'])->assertSuccessful();
    $after = ($this->guest)($id);
    expect($after['leftKcal'])->toBeLessThan($before['leftKcal'])->and($after['mostPieces'])->toBeLessThan($before['mostPieces'])
        ->and(($this->guest)($id, ['on' => '2026-06-21']))->toEqual($tomorrow);
    $day = collect($this->getJson('/api/day')->json('dogs'))->firstWhere('dogId', $this->bosun);
    expect($after['leftKcal'])->toEqualWithDelta($day['leftKcal'], 1e-6);
});

it('takes a day as used up where nobody can say what was given on it', function (): void {
    $id = ($this->keep)();
    ($this->give)(['text' => 'something of the wedding'])->assertSuccessful();
    expect(($this->guest)($id))->leftKcal->toEqual(0)->countedWith->toBe(['a treat that nobody can put a figure to']);
});

it('gives nobody twice: its own gifts are not counted against it, and two hands write the same down once', function (): void {
    $id = ($this->keep)();
    $bag = Bag::query()->where(['state' => 'here', 'content' => 'treats', 'frozen' => false])->whereNotNull('batch_id')->where('pieces', '>=', 3)->firstOrFail();
    $held = $bag->pieces;
    $before = ($this->ask)($id);
    $gift = ['id' => $before['written'][0]['next'], 'bag' => $bag->id, 'dogs' => [['dog' => $this->bosun, 'pieces' => 1]]];
    expect($before['written'][0]['given'])->toBe([]);
    ($this->give)($gift)->assertSuccessful();
    ($this->give)($gift + ['by' => 'Tom'])->assertSuccessful();
    $after = ($this->ask)($id);
    expect($bag->refresh()->pieces)->toEqual($held - 1)->and(LedgerEntry::query()->count())->toBe(1)
        ->and($after['plan']['guests'])->toEqual($before['plan']['guests'])
        ->and($after['written'][0]['given'])->toEqual([['gift' => $gift['id'], 'dog' => $this->bosun, 'pieces' => 1, 'at' => PARTY_TODAY.'T08:00:00.000Z', 'by' => 'Ines']])
        ->and($after['written'][0]['next'])->not->toBe($gift['id']);
    // another occasion of the same day counts it
    $other = ($this->keep)(['name' => 'The fair']);
    expect(($this->guest)($other)['leftKcal'])->toBeLessThan($before['plan']['guests'][0]['leftKcal']);
    // a slip that was taken back is not given, and its id is not used again
    $this->postJson("/api/given/{$gift['id']}/back", ['id' => (string) Str::uuid(), 'at' => PARTY_TODAY.'T08:05:00Z', 'by' => 'Ines'])->assertSuccessful();
    // nothing that another hand gives is taken for the slip; the slip told again is nothing new
    ($this->give)(['at' => PARTY_TODAY.'T08:10:00Z', 'by' => 'Tom'] + $gift)->assertStatus(422)->assertJsonPath('path', '/id');
    ($this->give)($gift)->assertSuccessful();
    $back = ($this->ask)($id);
    expect($back['written'][0]['given'])->toBe([])->and($back['written'][0]['next'])->toBe($after['written'][0]['next']);
});

it('counts what the ledger lent from the days after', function (): void {
    $id = ($this->keep)(['on' => '2026-06-22']);
    $free = ($this->guest)($id, ['on' => '2026-06-22']);
    Loan::query()->create(['id' => (string) Str::uuid(), 'dog_id' => $this->bosun, 'on' => '2026-06-19', 'at' => '2026-06-19 12:00:00', 'by' => 'Ines', 'kcal' => 30.0, 'days' => ['2026-06-20' => 10.0, '2026-06-22' => 12.0, '2026-06-23' => 8.0]]);
    $lent = ($this->guest)($id, ['on' => '2026-06-22']);
    expect($lent['leftKcal'])->toEqualWithDelta($free['leftKcal'] - 12.0, 1e-6)->and($lent['countedWith'])->toBe(['the occasion of 19 June 2026']);
});

it('lends from the earlier occasion first, whatever was written first', function (): void {
    $late = ($this->keep)(['on' => '2026-06-24', 'name' => 'The fair']);
    // so much that the days after are lent for a good part
    $shares = ['shares' => [['dog' => $this->bosun, 'recipeId' => $this->coins, 'pieces' => 0.5 * ($this->guest)($late, ['on' => '2026-06-24'])['mostPieces']]]];
    $this->patchJson("/api/occasions/$late", $shares)->assertOk();
    $free = ($this->guest)($late, ['on' => '2026-06-24'] + $shares);
    $early = ($this->keep)(['on' => '2026-06-22'] + $shares);
    $first = ($this->guest)($early, ['on' => '2026-06-22'] + $shares);
    $second = ($this->guest)($late, ['on' => '2026-06-24'] + $shares);
    expect($first)->toMatchArray(['daysWithout' => $free['daysWithout'], 'countedWith' => []])->and($first['daysWithout'])->toBeGreaterThan(2)
        ->and($second['countedWith'])->toBe(['Quill is twelve'])->and($second['leftKcal'])->toEqual(0)->and($second['daysWithout'])->toBeGreaterThan($free['daysWithout'])
        // a dog that does not come to the other is not asked to wait
        ->and(($this->guest)($late, ['on' => '2026-06-24', 'dogs' => [Dog::query()->where('name', 'Tuppence')->firstOrFail()->id]])['countedWith'])->toBe([]);
    $this->deleteJson("/api/occasions/$early")->assertNoContent();
    expect(($this->guest)($late, ['on' => '2026-06-24'] + $shares))->toEqual($free);
});

it('shares a day between two occasions', function (): void {
    $noon = ($this->keep)(['at' => '12:00']);
    $alone = ($this->guest)($noon, ['at' => '12:00']);
    $evening = ($this->keep)(['at' => '18:00', 'name' => 'The fair']);
    expect(($this->guest)($noon, ['at' => '12:00']))->toEqual($alone)
        ->and(($this->guest)($evening, ['at' => '18:00']))->leftKcal->toEqualWithDelta($alone['leftKcal'] - $alone['kcal'], 1e-6)->countedWith->toBe(['Quill is twelve'])->daysWithout->toBe(0);
    // so much at noon that the day is full, its fat too
    $much = ['at' => '12:00', 'shares' => [['dog' => $this->bosun, 'recipeId' => $this->coins, 'pieces' => 1.02 * $alone['leftKcal'] / $alone['kcal']]]];
    $this->patchJson("/api/occasions/$noon", $much)->assertOk();
    expect(($this->guest)($evening, ['at' => '18:00', 'name' => 'The fair']))->leftKcal->toEqual(0)->daysWithout->toBe(1)
        ->and(($this->guest)($evening, ['at' => '18:00', 'name' => 'The fair'])['mostPieces'])->toBeLessThan($alone['mostPieces']);
});

it('asks for an id where the occasion is named otherwise', function (): void {
    $this->postJson('/api/ask/occasion-plan?occasion=tonight', ($this->fields)())->assertStatus(422)->assertJsonPath('path', '/occasion');
});

it('gives nothing to a dog that had a poison that day, whatever somebody said', function (): void {
    $id = ($this->keep)();
    $said = ['shares' => [['dog' => $this->bosun, 'recipeId' => $this->coins, 'pieces' => 1]], 'boxes' => [['id' => (string) Str::uuid(), 'for' => 'Bosun', 'dog' => $this->bosun, 'recipeId' => $this->coins, 'pieces' => 9, 'in' => 'tin']]];
    expect(($this->guest)($id, $said)['state'])->toBe('may');
    $gift = (string) Str::uuid();
    ($this->give)(['id' => $gift, 'text' => '30 g raisins'])->assertSuccessful();
    foreach ([[], $said] as $more) {
        $plan = ($this->ask)($id, $more)['plan'];
        expect($plan['guests'][0])->toMatchArray(['state' => 'none', 'pieces' => 0, 'mostPieces' => 0])->and($plan['guests'][0]['says'])->toContain('aisin')->toEndWith('Nothing more before a vet says so.')
            ->and($plan['treats'][0]['serves'])->toBe([])->and($plan['treats'][0]['lacks'][0]['confirmable'])->toBeFalse()
            ->and(array_column($plan['boxes'], 'stops'))->toBe($more === [] ? [] : [$plan['guests'][0]['says']]);
    }
    $found = $this->postJson('/api/ask/occasion-find', ($this->fields)())->assertOk()->json();
    expect($found['fewest'])->toBe([])->and($found['notServed'][0]['why'])->toContain('Nothing more before a vet says so.');
    expect(($this->guest)($id, ['on' => '2026-06-21'])['state'])->toBe('may');
    $this->postJson("/api/given/$gift/back", ['id' => (string) Str::uuid(), 'at' => PARTY_TODAY.'T08:05:00Z', 'by' => 'Ines'])->assertSuccessful();
    expect(($this->guest)($id)['state'])->toBe('may');
});

<?php

declare(strict_types=1);

use App\Models\Batch;
use App\Models\DiaryEntry;
use App\Models\Dog;
use App\Models\DogDay;
use App\Models\LedgerEntry;
use App\Models\Photo;
use App\Models\Trial;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** The kitchen's day in these tests is the 20th of June 2026. */
beforeEach(function (): void {
    $this->open('lock-cottage');
    LedgerEntry::query()->delete();
    DogDay::query()->delete();
    DiaryEntry::query()->delete();
    Trial::query()->forceDelete();
    Batch::query()->forceDelete();
    $this->dog = static fn (string $name): string => Dog::query()->where('name', $name)->firstOrFail()->id;
    $this->write = fn (string $kind, array $said = [], array $more = []): TestResponse => $this->postJson('/api/diary', $more + ['id' => (string) Str::uuid(), 'at' => '2026-06-20T08:00:00.000Z', 'by' => 'Ines', 'dog' => ($this->dog)('Tuppence'), 'on' => '2026-06-19', 'kind' => $kind, 'said' => (object) $said]);
    $this->feed = fn (string $text, string $on, string $dog = 'Tuppence'): string => $this->postJson('/api/given', ['id' => $id = (string) Str::uuid(), 'at' => "{$on}T09:00:00.000Z", 'by' => 'Tom', 'text' => $text, 'dogs' => [['dog' => ($this->dog)($dog)]]])->assertCreated()->json('given.0.gift') ?? $id;
    $this->begin = fn (array $more = []): TestResponse => $this->postJson('/api/trials', $more + ['dogId' => ($this->dog)('Tuppence'), 'kind' => 'new-food', 'foods' => ['mackerel'], 'from' => '2026-06-18']);
    $this->season = fn (string $query = '', string $dog = 'Tuppence'): array => $this->getJson('/api/dogs/'.($this->dog)($dog)."/season$query")->assertOk()->json();
    $this->watch = fn (): array => array_column($this->getJson('/api/day')->assertOk()->json('watch'), null, 'dog');
});

it('writes down what was seen, once however often it is sent, and keeps a slip as one', function (): void {
    $id = (string) Str::uuid();
    foreach ([1, 2] as $_) {
        $told = ($this->write)('sign', ['sign' => 'gut', 'step' => 6], ['id' => $id])->assertCreated()->assertJsonPath('said.score', 7);
    }
    expect(schemaErrors($told->json(), 'kitchen.json#/$defs/diaryEntry'))->toBe('')->and(DiaryEntry::query()->count())->toBe(1)
        ->and(fn () => DB::transaction(fn () => DB::table('diary_entries')->update(['by' => 'Nobody'])))->toThrow(QueryException::class);
    $back = ['id' => (string) Str::uuid(), 'at' => '2026-06-20T08:01:00.000Z', 'by' => 'Tom'];
    foreach ([1, 2] as $_) {
        $this->postJson("/api/diary/$id/back", $back)->assertCreated()->assertJsonPath('undone', true);
    }
    expect(($this->season)()['entries'][0])->toMatchArray(['id' => $id, 'undone' => true])->and(($this->season)()['suspects']['kinds'])->toBe([]);
});

it('refuses in plain words what cannot be', function (string $kind, array $said, array $more, string $path, string $says): void {
    ($this->write)($kind, $said, isset($more['dog']) && ! Str::isUuid($more['dog']) ? ['dog' => ($this->dog)($more['dog'])] + $more : $more)->assertUnprocessable()->assertJsonPath('path', $path)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    expect(DiaryEntry::query()->count())->toBe(0);
})->with([
    'a score of 12' => ['sign', ['sign' => 'skin', 'score' => 12], [], '/said/score', 'from 0 to 10'],
    'a step that is not drawn' => ['sign', ['sign' => 'gut', 'step' => 8], [], '/said/step', 'from 1 to 7'],
    'a number where there are steps' => ['sign', ['sign' => 'gut', 'score' => 3], [], '/said/step', 'Which step it was'],
    'a step where there is a number' => ['sign', ['sign' => 'skin', 'step' => 3], [], '/said/step', 'from 0 to 10'],
    'before it was born' => ['sign', ['sign' => 'gut', 'step' => 6], ['on' => '2025-10-01', 'dog' => 'Biscay'], '/on', 'Biscay was born on'],
    'tomorrow' => ['well', [], ['on' => '2026-06-21'], '/on', 'has not come yet'],
    'years ago' => ['well', [], ['on' => '2024-06-21'], '/on', 'days ago'],
    'from a clock ahead' => ['well', [], ['at' => '2026-06-21T08:00:00.000Z'], '/at', 'clock of this device'],
    'of no dog' => ['well', [], ['dog' => '6b1f1f34-6a53-4bb5-9d3e-0d5b1f4f1c11'], '/dog', 'No dog of this kitchen'],
    'of no gift' => ['taken', ['how' => 'first', 'gift' => '6b1f1f34-6a53-4bb5-9d3e-0d5b1f4f1c11'], [], '/said/gift', 'Nothing with this id'],
    'with no picture' => ['note', ['text' => 'red'], ['photo' => '6b1f1f34-6a53-4bb5-9d3e-0d5b1f4f1c11'], '/photo', 'No photograph'],
    'nothing in a note' => ['note', ['text' => ' '], [], '/said/text', 'must not be empty'],
]);

it('knows what a dog took was made of, whatever becomes of it', function (): void {
    $gift = ($this->feed)('20 g cooked venison', '2026-06-19');
    $told = ($this->write)('taken', ['how' => 'again', 'gift' => $gift])->assertCreated();
    expect($told->json('said'))->toMatchArray(['how' => 'again', 'foods' => ['venison-cooked'], 'words' => '20 g cooked venison']);
    $batch = $this->postJson('/api/batches', ['asked' => ['recipe' => ['text' => "200 g rice flour\n90 g cooked beetroot\n20 g rapeseed oil"], 'cut' => ['shape' => 'pieces', 'count' => 60], 'bake' => ['texture' => 'biscuit']], 'title' => 'Coins', 'at' => '2026-06-18T06:00:00.000Z', 'startAt' => '2026-06-18T08:00', 'by' => 'Ines'])->assertCreated()->json('id');
    expect(($this->write)('taken', ['how' => 'left', 'batch' => $batch])->assertCreated()->json('said'))->toMatchArray(['foods' => ['beetroot-cooked', 'rapeseed-oil', 'white-rice-flour'], 'texture' => 'biscuit', 'words' => 'Coins']);
    $likes = ($this->season)()['likes'];
    expect(array_column($likes['foods'], 'took', 'what'))->toBe(['venison-cooked' => 1, 'beetroot-cooked' => 0, 'rapeseed-oil' => 0, 'white-rice-flour' => 0])->and($likes['textures'][0])->toMatchArray(['what' => 'biscuit', 'took' => 0, 'of' => 1]);
});

it('lays a dog\'s days beside each other, and asks core which food is suspect', function (): void {
    foreach ([1, 8, 15] as $n) {
        ($this->feed)('20 g cooked duck', sprintf('2026-06-%02d', $n));
        ($this->write)('sign', ['sign' => 'skin', 'score' => 7], ['on' => sprintf('2026-06-%02d', $n + 1)])->assertCreated();
    }
    ($this->feed)('20 g carrot', '2026-06-05');
    ($this->write)('well', [], ['on' => '2026-06-06'])->assertCreated();
    $season = ($this->season)('?from=2026-05-20&to=2026-06-20');
    $whole = (string) $this->getJson('/api/dogs/'.($this->dog)('Tuppence').'/season')->assertOk()->content();
    expect(schemaErrors(json_decode($whole), 'kitchen.json#/$defs/season'))->toBe('')
        ->and(array_column($season['days'], 'foods', 'on')['2026-06-05'])->toBe(['carrot'])
        ->and($season['suspects']['kinds'][1]['suspects'][0])->toMatchArray(['food' => 'duck-meat-cooked', 'a' => 3, 'b' => 9, 'c' => 0, 'd' => 8])
        ->and($season['names']['duck-meat-cooked'])->toContain('duck')->and(array_column($season['suspects']['kinds'], 'kind'))->toBe(['gut', 'skin']);
    // days before the book was begun are none that were good
    expect(($this->season)('?from=2025-09-01&to=2026-06-20')['countedFrom'])->toBe('2026-06-01')->and(($this->season)('?from=2026-06-10&to=2026-06-20')['countedFrom'])->toBe('2026-06-10');
    $given = $this->getJson('/api/dogs/'.($this->dog)('Tuppence').'/given?from=2026-06-14&to=2026-06-20')->assertOk()->json();
    expect(schemaErrors($given, 'kitchen.json#/$defs/dogGiven'))->toBe('')->and(array_column($given['given'], 'words'))->toBe(['20 g cooked duck']);
    foreach (['season?from=yesterday', 'season?from=2026-06-21&to=2026-06-20', 'season?from=2020-01-01', 'given?from=2026-01-01'] as $wrong) {
        $this->getJson('/api/dogs/'.($this->dog)('Tuppence')."/$wrong")->assertUnprocessable();
    }
});

it('looks up what an older kitchen kept without its foods', function (): void {
    ($this->feed)('20 g carrot', '2026-06-05');
    DogDay::query()->update(['foods' => null]);
    expect(($this->season)()['days'][0]['foods'])->toBe(['carrot'])->and(DogDay::query()->firstOrFail()->foods)->toBe(['carrot']);
});

it('keeps a body condition beside a weight, and a photograph that a diary shows is not swept away', function (): void {
    $dog = ($this->dog)('Tuppence');
    $this->postJson("/api/dogs/$dog/weighings", ['on' => '2026-06-19', 'kg' => 9.2, 'bodyCondition' => 6])->assertCreated()->assertJsonPath('bodyCondition', 6);
    $this->postJson("/api/dogs/$dog/weighings", ['on' => '2026-06-19', 'kg' => 9.1])->assertCreated()->assertJsonPath('bodyCondition', 6);
    $this->postJson("/api/dogs/$dog/weighings", ['on' => '2026-06-18', 'kg' => 9.1, 'bodyCondition' => 10])->assertUnprocessable()->assertJsonPath('path', '/bodyCondition');
    expect(Dog::query()->findOrFail($dog)->body_condition)->toBe(6)->and(collect(($this->season)()['weighings'])->last())->toBe(['on' => '2026-06-19', 'kg' => 9.1, 'bodyCondition' => 6]);
    $photo = $this->postJson('/api/photos', ['image' => 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='])->assertCreated()->json('id');
    ($this->write)('note', ['text' => 'a red ear'], ['photo' => $photo])->assertCreated();
    DB::table('photos')->update(['created_at' => '2026-01-01']);
    DB::table('kitchens')->update(['swept_on' => null]);
    app(App\Support\Trash::class)->sweepOnceADay();
    expect(Photo::query()->where('id', $photo)->exists())->toBeTrue();
});

it('begins a trial that core knows of everywhere: the ration, the mark of verdicts, the calendar', function (): void {
    $asked = ['recipe' => ['text' => "200 g rice flour\n90 g mackerel\n20 g rapeseed oil"], 'dogs' => [($this->dog)('Tuppence')], 'cut' => ['shape' => 'pieces', 'count' => 60], 'bake' => ['texture' => 'biscuit']];
    $mark = app(App\Support\KitchenState::class)->mark();
    $full = $this->postJson('/api/ask/formulate', $asked)->assertOk()->json('rations.0');
    $told = ($this->begin)()->assertCreated()->assertJsonPath('isOpen', true)->assertJsonPath('says', 'day 3 of 14: half of it, watch stool and skin');
    expect(schemaErrors($told->json(), 'kitchen.json#/$defs/trial'))->toBe('')->and(app(App\Support\KitchenState::class)->mark())->not->toBe($mark);
    $held = $this->postJson('/api/ask/formulate', $asked)->assertOk()->json('rations.0');
    expect($held['heldBy'])->toBe('new-ingredient')->and($held['piecesPerDay'])->toBeLessThan($full['piecesPerDay'])->and($held['piecesPerDay'])->toBeGreaterThanOrEqual($full['piecesPerDay'] / 2 - 0.25);
    expect($this->get('/api/calendar')->assertOk()->content())->toContain('Tuppence\, mackerel')->toContain('how did it go?');
    $id = $told->json('id');
    $this->patchJson("/api/trials/$id", ['outcome' => 'badly', 'endedOn' => '2026-06-20'])->assertUnprocessable()->assertJsonPath('path', '/saw');
    $this->patchJson("/api/trials/$id", ['outcome' => 'badly', 'endedOn' => '2026-06-17', 'saw' => 'it itched'])->assertUnprocessable()->assertJsonPath('path', '/endedOn');
    $this->patchJson("/api/trials/$id", ['outcome' => 'badly', 'endedOn' => '2026-06-20', 'saw' => 'it itched'])->assertOk()->assertJsonPath('isOpen', false);
    expect($this->postJson('/api/ask/formulate', $asked)->assertOk()->json('verdict.dogs.0.worst'))->toBe('ask-vet');
    $this->patchJson("/api/trials/$id", ['outcome' => null])->assertOk()->assertJsonPath('isOpen', true);
    $this->patchJson("/api/trials/$id", ['outcome' => 'well', 'endedOn' => '2026-06-20'])->assertOk();
    expect($this->postJson('/api/ask/formulate', $asked)->assertOk()->json('rations.0'))->toEqual($full);
});

it('tries one food at a time with a sensitive dog, and no trial inside a trial', function (): void {
    $first = ($this->begin)()->assertCreated()->json('id');
    ($this->begin)(['foods' => ['millet-flour']])->assertUnprocessable()->assertJsonPath('path', '/from')->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'One at a time: Tuppence'));
    ($this->begin)(['foods' => ['millet-flour'], 'dogId' => ($this->dog)('Bosun')])->assertCreated();
    $this->deleteJson("/api/trials/$first")->assertNoContent();
    $second = ($this->begin)(['foods' => ['millet-flour']])->assertCreated()->json('id');
    // what lies in the trash comes back only where it may stand
    $this->postJson("/api/trash/trials/$first")->assertUnprocessable();
    $this->deleteJson("/api/trials/$second")->assertNoContent();
    $this->postJson("/api/trash/trials/$first")->assertOk();
    $this->deleteJson("/api/trials/$first")->assertNoContent();
    ($this->begin)(['kind' => 'elimination', 'foods' => ['duck', 'pea']])->assertUnprocessable();
    ($this->begin)(['kind' => 'elimination', 'foods' => ['duck', 'pea'], 'vetSaid' => true])->assertCreated()->assertJsonPath('days', 56);
    ($this->begin)(['foods' => ['millet-flour'], 'from' => '2026-06-19'])->assertUnprocessable()->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'a trial inside that trial would tell nothing'));
    $asked = ['recipe' => ['text' => "200 g rice flour\n20 g rapeseed oil"], 'dogs' => [($this->dog)('Tuppence')]];
    expect((string) $this->postJson('/api/ask/formulate', $asked)->assertOk()->content())->toContain('allow-list');
    ($this->begin)(['dogId' => ($this->dog)('Biscay'), 'from' => '2025-08-01'])->assertUnprocessable()->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'was born on'));
});

it('begins no trial of a poison, and changes nothing where nothing is said', function (): void {
    ($this->begin)(['foods' => ['raisin'], 'vetSaid' => true])->assertUnprocessable()->assertJsonPath('path', '/foods')->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'never tried'));
    ($this->begin)(['foods' => ['barley-flour']])->assertUnprocessable()->assertJsonPath('path', '/foods');
    $id = ($this->begin)()->assertCreated()->json('id');
    $this->patchJson("/api/trials/$id", ['saw' => null])->assertUnprocessable()->assertJsonPath('path', '/outcome');
    $this->patchJson("/api/trials/$id", ['outcome' => 'badly', 'endedOn' => '2026-06-20', 'saw' => 'it itched'])->assertOk();
    // what went badly is asked about before it is tried again
    ($this->begin)(['from' => '2026-06-20'])->assertUnprocessable()->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'it itched: ask your vet first'));
    ($this->begin)(['from' => '2026-06-20', 'vetSaid' => true])->assertCreated();
    $this->postJson('/api/ask/raid', ['dog' => ($this->dog)('Bosun'), 'bag' => ['id' => 'x']])->assertUnprocessable()->assertJsonPath('path', '/bag/id');
});

it('asks next morning after a dog in a trial, one that was not well, and one that ate something new, and after nobody twice', function (): void {
    ($this->feed)('20 g carrot', '2026-06-10');
    ($this->feed)('20 g carrot', '2026-06-19');
    expect(($this->watch)())->toBe([]);
    ($this->feed)('20 g cooked duck', '2026-06-19');
    $asked = ($this->watch)()[($this->dog)('Tuppence')];
    expect($asked['because'])->toBe(['first time with cooked duck meat'])->and(array_column($asked['gifts'], 'words'))->toEqualCanonicalizing(['20 g carrot', '20 g cooked duck'])->and(schemaErrors($this->getJson('/api/day')->json(), 'kitchen.json#/$defs/kitchenDay'))->toBe('');
    // how it took it does not say how it was
    ($this->write)('taken', ['how' => 'first', 'gift' => $asked['gifts'][1]['gift']])->assertCreated();
    expect(($this->watch)()[($this->dog)('Tuppence')]['taken'])->toBe([$asked['gifts'][1]['gift']]);
    $well = ($this->write)('well')->assertCreated()->json('id');
    expect(($this->watch)())->toBe([]);
    $this->postJson("/api/diary/$well/back", ['id' => (string) Str::uuid(), 'at' => '2026-06-20T08:01:00.000Z', 'by' => 'Tom'])->assertCreated();
    expect(($this->watch)())->toHaveCount(1);
    ($this->write)('well')->assertCreated();
    // of late
    ($this->write)('sign', ['sign' => 'skin', 'score' => 2], ['dog' => ($this->dog)('Bosun'), 'on' => '2026-06-18'])->assertCreated();
    expect(($this->watch)())->toBe([]);
    ($this->write)('sign', ['sign' => 'skin', 'score' => 3], ['dog' => ($this->dog)('Bosun'), 'on' => '2026-06-17'])->assertCreated();
    expect(($this->watch)()[($this->dog)('Bosun')]['because'])->toBe(['it was not well these days']);
    ($this->begin)(['dogId' => ($this->dog)('Odette'), 'foods' => ['pear']])->assertCreated();
    expect(($this->watch)()[($this->dog)('Odette')]['because'])->toBe(['day 2 with pear']);
    foreach (['Quill', 'Ferris'] as $dog) {
        ($this->begin)(['dogId' => ($this->dog)($dog), 'foods' => ['pear']])->assertCreated();
    }
    expect(($this->watch)())->toHaveCount(3);
});

it('writes down a raid on a bag with all that is missing', function (): void {
    $dog = ($this->dog)('Bosun');
    $given = ['id' => (string) Str::uuid(), 'at' => '2026-06-20T09:00:00.000Z', 'by' => 'Tom', 'label' => ['name' => 'chews', 'kcal' => 3], 'dogs' => [['dog' => $dog, 'pieces' => 150]]];
    $this->postJson('/api/given', $given)->assertUnprocessable()->assertJsonPath('path', '/dogs/0/pieces');
    $this->postJson('/api/given', $given + ['raid' => true])->assertCreated()->assertJsonPath('dogs.0.over', true);
    $this->postJson('/api/given', ['dogs' => [['dog' => $dog, 'pieces' => 1001]], 'id' => (string) Str::uuid(), 'raid' => true] + $given)->assertUnprocessable();
});

it('tells rescue and swaps what a dog takes and leaves, and no other question', function (): void {
    foreach (range(1, 4) as $n) {
        ($this->write)('taken', ['how' => 'refused', 'foods' => ['rabbit']], ['on' => "2026-06-1$n"])->assertCreated();
        ($this->write)('taken', ['how' => 'first', 'foods' => ['cod']], ['on' => "2026-06-1$n"])->assertCreated();
    }
    $asked = ['line' => 1, 'recipe' => ['text' => "200 g rice flour\n90 g minced chicken\n20 g rapeseed oil"], 'dogs' => [($this->dog)('Tuppence')]];
    $texts = array_map(static fn (array $one): string => implode(' ', $one['texts']), $this->postJson('/api/ask/swaps', $asked)->assertOk()->json('candidates'));
    $place = static fn (string $of): int => (int) array_key_first(array_filter($texts, static fn (string $text): bool => str_contains($text, $of)));
    expect($place('cod'))->toBeLessThan($place('rabbit'));
});

it('suggests what to bake next by what is open, who has nothing and what is liked', function (): void {
    $bake = fn (string $title, string $text): string => $this->postJson('/api/recipes', ['title' => $title, 'text' => $text, 'cut' => ['shape' => 'pieces', 'count' => 60], 'texture' => 'biscuit'])->assertCreated()->json('id');
    $this->getJson('/api/recipes')->assertOk();
    App\Models\Recipe::query()->forceDelete();
    $cod = $bake('Cod', "200 g rice flour\n90 g cooked cod\n20 g rapeseed oil");
    $pear = $bake('Pear', "200 g rice flour\n90 g pear\n20 g rapeseed oil");
    $this->postJson('/api/shelf/judge', ['recipes' => [$cod, $pear]])->assertOk();
    $bosun = ($this->dog)('Bosun');
    foreach (range(1, 4) as $n) {
        ($this->write)('taken', ['how' => 'again', 'foods' => ['pear']], ['on' => "2026-06-1$n", 'dog' => $bosun])->assertCreated();
        ($this->write)('taken', ['how' => 'refused', 'foods' => ['pear']], ['on' => "2026-06-1$n"])->assertCreated();
    }
    $next = array_column($this->getJson("/api/next?lacking=$bosun")->assertOk()->json(), null, 'title');
    expect(array_keys($next))->toBe(['Pear', 'Cod'])->and(schemaErrors($next['Pear'], 'kitchen.json#/$defs/nextBake'))->toBe('')
        ->and($next['Pear'])->toMatchArray(['lack' => [$bosun], 'like' => [$bosun], 'refuse' => [['dog' => ($this->dog)('Tuppence'), 'food' => 'pear']]])->and($next['Cod']['refuse'])->toBe([]);
    $this->getJson('/api/next?lacking=all')->assertUnprocessable()->assertJsonPath('path', '/lacking');
});

<?php

declare(strict_types=1);

use App\Models\Bag;
use App\Models\Batch;
use App\Models\Dog;
use App\Models\Occasion;
use App\Models\Place;
use App\Models\Recipe;
use Illuminate\Support\Str;
use Sabre\VObject\Reader;

beforeEach(function (): void {
    $this->open('lock-cottage');
    $this->rounds = Recipe::query()->where('title', 'Beetroot and barley rounds')->firstOrFail()->id;
    $this->coins = Recipe::query()->where('title', 'Venison and parsnip coins')->firstOrFail()->id;
    $this->dog = static fn (string $name): string => Dog::query()->where('name', $name)->firstOrFail()->id;
    $this->guest = static fn (string $name, array $more = []): array => $more + ['id' => (string) Str::uuid(), 'name' => $name, 'weightKg' => 12, 'ageMonths' => 40, 'allergies' => [], 'conditions' => [], 'medicines' => []];
    $this->treats = static fn (string ...$ids): array => array_map(static fn (string $id): array => ['recipeId' => $id, 'bakeOn' => null], $ids);
    $this->fields = fn (array $more = []): array => $more + ['name' => 'Quill is twelve', 'on' => '2026-06-27', 'dogs' => [($this->dog)('Bosun'), ($this->dog)('Tuppence')], 'treats' => ($this->treats)($this->rounds, $this->coins)];
    $this->plan = function (array $more = []): array {
        $answer = $this->postJson('/api/ask/occasion-plan', ($this->fields)($more))->assertOk()->json();
        expect(schemaErrors($answer, 'kitchen.json#/$defs/occasionPlan'))->toBe('');

        return $answer['plan'];
    };
});

it('keeps every field as it was written, one at a time, and brings it back out of the trash', function (): void {
    $guest = ($this->guest)('Pim', ['weightKg' => 7.25, 'allergies' => null, 'conditions' => ['heart'], 'medicines' => ['nsaid']]);
    $one = ($this->fields)([
        'at' => '15:30', 'place' => 'the upper lock', 'transportMinutes' => 25, 'words' => "Bring towels.\n<b>Wet grass</b>", 'guests' => [$guest], 'treats' => [['recipeId' => $this->rounds, 'bakeOn' => '2026-06-25']],
        'shares' => [['dog' => $guest['id'], 'recipeId' => $this->rounds, 'pieces' => 'half a slice'], ['dog' => ($this->dog)('Bosun'), 'recipeId' => null, 'pieces' => 2.5]],
        'boxes' => [['id' => (string) Str::uuid(), 'for' => 'Pim', 'dog' => $guest['id'], 'recipeId' => $this->rounds, 'pieces' => 12.5, 'in' => 'tin']],
    ]);
    $kept = $this->postJson('/api/occasions', $one)->assertCreated()->json();
    expect(schemaErrors($kept, 'kitchen.json#/$defs/occasion'))->toBe('');
    foreach ($one as $key => $value) {
        expect($kept[$key])->toEqual($value, $key);
    }
    foreach (['name' => 'Another', 'on' => '2026-07-01', 'at' => null, 'place' => '', 'transportMinutes' => null, 'words' => '', 'dogs' => [], 'guests' => [], 'treats' => [], 'shares' => [], 'boxes' => []] as $key => $value) {
        $before = $this->getJson('/api/occasions')->json();
        $after = $this->patchJson("/api/occasions/{$kept['id']}", [$key => $value])->assertOk()->json();
        expect($after)->toEqual([$key => $value, 'version' => $after['version']] + collect($before)->firstWhere('id', $kept['id']));
    }
    $this->deleteJson("/api/occasions/{$kept['id']}")->assertNoContent();
    expect(collect($this->getJson('/api/trash')->json())->firstWhere('id', $kept['id'])['name'])->toBe('Another');
    $this->postJson("/api/trash/occasions/{$kept['id']}", [])->assertSuccessful();
    expect($this->getJson('/api/occasions')->json('*.id'))->toContain($kept['id']);
});

it('tells who may have what, of which of two treats, and asks first where nobody asked', function (): void {
    $asked = ($this->guest)('Pim', ['allergies' => ['egg']]);
    $unasked = ($this->guest)('Moss', ['allergies' => null, 'conditions' => null, 'ageMonths' => null]);
    $answer = ($this->plan)(['guests' => [$asked, $unasked]]);
    $by = collect($answer['guests'])->keyBy('dog');
    expect($by['Bosun']['state'])->toBe('may')->and($by['Tuppence']['treat'])->toBe($this->coins)
        ->and($by['Pim']['state'])->toBe('none')->and($by['Pim']['why'])->toContain('egg')
        ->and($by['Moss']['state'])->toBe('ask-first')->and($by['Moss']['ask'])->toBe(['allergies', 'conditions', 'age'])
        ->and($answer['allServed'])->toBeFalse()->and($answer['fewest'])->toBe([$this->coins]);
    $rounds = collect($answer['treats'])->firstWhere('id', $this->rounds);
    expect(array_column($rounds['lacks'], 'dog'))->toBe(['Tuppence', 'Pim'])->and($rounds['pieces'])->toEqual(0)->and($rounds['plan'])->toBeNull();
});

it('leaves out what was taken away since, and a share of it', function (): void {
    $kept = $this->postJson('/api/occasions', ($this->fields)(['shares' => [['dog' => ($this->dog)('Bosun'), 'recipeId' => $this->rounds, 'pieces' => 3]], 'boxes' => [['id' => (string) Str::uuid(), 'for' => 'the boat', 'dog' => ($this->dog)('Tuppence'), 'recipeId' => $this->rounds, 'pieces' => 9, 'in' => 'tin'], ['id' => (string) Str::uuid(), 'for' => 'Tuppence', 'dog' => ($this->dog)('Tuppence'), 'recipeId' => $this->coins, 'pieces' => 9, 'in' => 'box']]]))->json();
    $this->deleteJson("/api/recipes/$this->rounds")->assertNoContent();
    $this->deleteJson('/api/dogs/'.($this->dog)('Tuppence'))->assertNoContent();
    unset($kept['id'], $kept['version']);
    $answer = $this->postJson('/api/ask/occasion-plan', $kept)->assertOk()->json('plan');
    expect(array_column($answer['treats'], 'id'))->toBe([$this->coins])->and(array_column($answer['guests'], 'dog'))->toBe(['Bosun'])->and($answer['guests'][0]['pieces'])->toEqual(3)
        // a box of a dog that is gone is a box for dogs nobody knows
        ->and(array_column($answer['boxes'], 'for'))->toBe(['Tuppence'])->and($answer['boxes'][0]['dogId'])->toBeNull();
    $this->postJson('/api/ask/occasion-plan', ['treats' => []] + $kept)->assertStatus(422)->assertJsonPath('path', '/treats');
});

it('looks through the shelf for one that all may have, or the fewest', function (): void {
    $dogs = [($this->dog)('Bosun'), ($this->dog)('Odette')];
    $found = $this->postJson('/api/ask/occasion-find', ($this->fields)(['dogs' => $dogs, 'guests' => [($this->guest)('Pim', ['allergies' => ['egg', 'gluten']])]]))->assertOk()->json();
    expect(schemaErrors($found, 'kitchen.json#/$defs/occasionFound'))->toBe('')->and($found['looked'])->toBe($found['of'])->and($found['forAll'])->not->toBe([]);
    foreach ($found['forAll'] as $one) {
        $plan = ($this->plan)(['dogs' => $dogs, 'guests' => [($this->guest)('Pim', ['allergies' => ['egg', 'gluten']])], 'treats' => ($this->treats)($one['recipeId'])]);
        expect($plan['allServed'])->toBeTrue($one['title']);
    }
    Recipe::query()->whereIn('id', array_column($found['forAll'], 'recipeId'))->get()->each->delete();
    $less = $this->postJson('/api/ask/occasion-find', ($this->fields)(['dogs' => $dogs, 'guests' => [($this->guest)('Pim', ['allergies' => ['egg', 'gluten']])]]))->assertOk()->json();
    expect($less['forAll'])->toBe([])->and(count($less['fewest']) + count($less['notServed']))->toBeGreaterThan(0);
    $this->postJson('/api/ask/occasion-find', ($this->fields)(['dogs' => []]))->assertStatus(422)->assertJsonPath('path', '/dogs');
});

it('rescues a recipe over own dogs and guests together', function (): void {
    $guest = array_filter(($this->guest)('Pim', ['allergies' => ['egg']]), static fn (mixed $one): bool => $one !== null);
    $rescued = $this->postJson('/api/ask/rescue', ['recipe' => ['id' => $this->rounds], 'dogs' => [($this->dog)('Bosun'), ($this->dog)('Tuppence'), $guest]])->assertOk()->json('rescues.0');
    expect($rescued['servedDogs'])->toContain('Bosun', 'Pim')->and($rescued['recipeText'])->not->toContain('egg');
});

it('tells what is due before it, and stands in the calendar with its days', function (): void {
    $id = $this->postJson('/api/occasions', ($this->fields)(['at' => '15:00', 'transportMinutes' => 20, 'place' => 'the lawn', 'on' => now()->addDays(5)->format('Y-m-d')]))->assertCreated()->json('id');
    $due = collect($this->getJson('/api/occasions/due')->assertOk()->json())->where('occasion', $id);
    expect($due->pluck('kind')->all())->toBe(['bake', 'leave', 'occasion'])->and($due->firstWhere('kind', 'leave')['at'])->toBe('14:40');
    foreach ($due as $one) {
        expect(schemaErrors($one, 'kitchen.json#/$defs/occasionDue'))->toBe('');
    }
    // of the days that were asked alone, a bake that was put early among them
    expect($this->getJson('/api/occasions/due?days=3')->assertOk()->json())->toBe([])
        ->and($this->getJson('/api/occasions/due?days=4')->json('*.kind'))->toBe(['bake']);
    $this->patchJson("/api/occasions/$id", ['treats' => [['recipeId' => $this->coins, 'bakeOn' => now()->addDay()->format('Y-m-d')]]])->assertOk();
    expect($this->getJson('/api/occasions/due?days=1')->json('*.kind'))->toBe(['bake']);
    foreach (['0', '61', 'x', '-1'] as $days) {
        $this->getJson("/api/occasions/due?days=$days")->assertStatus(422)->assertJsonPath('path', '/days');
    }
    $this->patchJson("/api/occasions/$id", ['treats' => ($this->treats)($this->coins)])->assertOk();
    $calendar = Reader::read((string) $this->get('/api/calendar')->getContent());
    $events = collect(iterator_to_array($calendar->VEVENT ?? [], false));
    $own = $events->filter(static fn ($one): bool => str_contains((string) $one->UID, $id));
    expect($own->map(static fn ($one): string => (string) $one->SUMMARY)->values()->all())->toBe(['Quill is twelve', 'Bake: Venison and parsnip coins, for Quill is twelve', 'Take along: Venison and parsnip coins, for Quill is twelve'])
        ->and((string) $own->first()->LOCATION)->toBe('the lawn');
    // planned by itself it stands there once
    $this->postJson('/api/planned', ['recipeId' => $this->coins, 'on' => now()->addDays(4)->format('Y-m-d')])->assertCreated();
    expect(substr_count((string) $this->get('/api/calendar')->getContent(), 'SUMMARY:Bake: Venison'))->toBe(1);
});

it('invites: the moment is the same in any zone, what is served is told with its foods, and what nobody asked is asked', function (): void {
    $this->patchJson('/api/kitchen', ['timezone' => 'Europe/Berlin'])->assertOk();
    $guest = ($this->guest)('Moss', ['allergies' => null]);
    $id = $this->postJson('/api/occasions', ($this->fields)(['at' => '15:00', 'guests' => [$guest], 'words' => 'Bring a towel; mind the steps, please']))->json('id');
    $read = Reader::read((string) $this->get("/api/occasions/$id/invitation?guest={$guest['id']}")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent());
    $event = $read->VEVENT;
    expect((string) $event->DTSTART)->toBe('20260627T130000Z')->and((string) $event->DTEND)->toBe('20260627T150000Z')
        ->and((string) $event->DESCRIPTION)->toContain('Bring a towel; mind the steps, please')->toContain('Made of minced venison')->toContain('whole egg (an allergen)')->toContain('Moss would get 1 piece')->toContain('what it must not eat')->toContain('not a complete food')
        ->and($read->validate())->toBe([]);
    $text = (string) $this->get("/api/occasions/$id/invitation?as=txt")->assertOk()->getContent();
    expect($text)->toContain('Saturday, 27 June 2026, 15:00')->toContain('of each dog that comes');
    $this->getJson("/api/occasions/$id/invitation?guest=".Str::uuid())->assertStatus(422)->assertJsonPath('path', '/guest');
    $this->getJson("/api/occasions/$id/invitation?guest[]=1")->assertStatus(422);
    $day = $this->postJson('/api/occasions', ($this->fields)(['treats' => []]))->json('id');
    $whole = Reader::read((string) $this->get("/api/occasions/$day/invitation")->getContent());
    expect((string) $whole->VEVENT->DTSTART)->toBe('20260627')->and($whole->validate())->toBe([]);
});

it('prints a label for each box that can be filled, with the day of the bag that was baked for it and of no older one', function (): void {
    $box = static fn (string $for, ?string $dog, string $recipe): array => ['id' => (string) Str::uuid(), 'for' => $for, 'dog' => $dog, 'recipeId' => $recipe, 'pieces' => 12, 'in' => 'box'];
    $id = $this->postJson('/api/occasions', ($this->fields)(['on' => now()->addDay()->format('Y-m-d'), 'boxes' => [$box('Tuppence', ($this->dog)('Tuppence'), $this->rounds), $box('the boat', null, $this->rounds), $box('Bosun', ($this->dog)('Bosun'), $this->coins)]]))->json('id');
    $words = fn (): string => implode(' ', array_map(static fn (array $page): string => implode(' ', array_column($page['runs'], 'text')), $this->getJson("/api/print?what=gift&sheet=a4-8&occasion=$id")->assertOk()->json('pages')));
    // gluten: no label for it
    expect($words())->toContain('Made for the boat, 12 pieces in it.')->toContain('a day for Bosun')->not->toContain('Tuppence')->toContain('Best before .....')->not->toContain('bag ');
    $batch = Batch::query()->where('recipe_id', $this->rounds)->firstOrFail()->id;
    $bag = fn (int $number, string $made, bool $frozen): Bag => Bag::query()->create(['number' => $number, 'batch_id' => $batch, 'title' => 'Rounds', 'content' => 'treats', 'made' => $made, 'best_before' => now()->addDays(8), 'keeps' => [], 'because' => '', 'for_dogs' => [], 'pieces' => 30, 'put_pieces' => 30, 'place_id' => Place::query()->firstOrFail()->id, 'frozen' => $frozen, 'thawed_days' => 3, 'state' => 'here']);
    $bag(801, now()->subDays(20)->format('Y-m-d'), false);
    $bag(802, now()->format('Y-m-d'), true);
    expect($words())->not->toContain('bag 801')->not->toContain('bag 802');
    $bag(803, now()->format('Y-m-d'), false);
    expect($words())->toContain('bag 803');
    $none = $this->postJson('/api/occasions', ($this->fields)())->json('id');
    $this->getJson("/api/print?what=gift&sheet=a4-8&occasion=$none")->assertStatus(422)->assertJsonPath('path', '/occasion');
    $this->getJson('/api/print?what=gift&sheet=a4-8&occasion='.Str::uuid())->assertStatus(422)->assertJsonPath('message', 'That occasion is not in this kitchen.');
    $this->getJson('/api/print?what=gift&sheet=a4-8&occasion=one')->assertStatus(422)->assertJsonPath('message', 'That occasion is not in this kitchen.');
});

it('says in words what cannot be, at its place, and keeps nothing', function (array $said, string $path, string $says): void {
    $before = Occasion::query()->count();
    $guests = array_map(fn (array $one): array => $one + ($this->guest)('Pim'), $said['guests'] ?? []);
    $fields = ($guests === [] ? [] : ['guests' => $guests]) + $said;
    $this->postJson('/api/occasions', ($this->fields)($fields))->assertStatus(422)->assertJsonPath('path', $path)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    $this->postJson('/api/ask/occasion-plan', ($this->fields)($fields))->assertStatus(422);
    expect(Occasion::query()->count())->toBe($before);
})->with([
    'no name' => [['name' => ' '], '/name', 'has a name'],
    'a claim' => [['name' => 'Cures arthritis party'], '/name', 'about health'],
    'no day' => [['on' => null], '/on', 'on which day'],
    'a day that is none' => [['on' => '2026-02-30'], '/on', 'written like'],
    'a time that is none' => [['at' => '25:00'], '/at', 'written like 15:30'],
    'a way of two days' => [['transportMinutes' => 2000], '/transportMinutes', '1440'],
    'no such dog' => [['dogs' => ['018f2f6e-0000-7000-8000-00000000dead']], '/dogs/0', 'not in this kitchen'],
    'a guest called like a dog that comes' => [['guests' => [['name' => 'bosun']]], '/guests/0/name', 'called so'],
    'two guests called the same' => [['guests' => [['name' => 'Pim'], ['name' => 'PIM']]], '/guests/0/name', 'called so'],
    'a guest without a name' => [['guests' => [['name' => '']]], '/guests/0/name', 'has a name'],
    'a guest of a ton' => [['guests' => [['weightKg' => 1000]]], '/guests/0/weightKg', 'weighs from'],
    'an old guest' => [['guests' => [['ageMonths' => 500]]], '/guests/0/ageMonths', 'months'],
    'an allergy to nothing known' => [['guests' => [['allergies' => ['grackle dust']]]], '/guests/0/allergies/0', 'neither a group'],
    'an illness nobody knows' => [['guests' => [['conditions' => ['the blues']]]], '/guests/0/conditions/0', ''],
    'a word too much of a guest' => [['guests' => [['sort' => 'terrier']]], '/guests/0', 'nothing else'],
    'no such recipe' => [['treats' => [['recipeId' => '018f2f6e-0000-7000-8000-00000000dead', 'bakeOn' => null]]], '/treats/0/recipeId', 'not in this kitchen'],
    'a share of nothing' => [['shares' => [['dog' => '018f2f6e-0000-7000-8000-00000000dead', 'recipeId' => null, 'pieces' => 0]]], '/shares/0/pieces', 'how many pieces'],
    'a key nobody knows' => [['who' => []], '/who', 'spelled right'],
]);

it('names the place of a share that no one can read, and of a day after it', function (): void {
    $this->postJson('/api/ask/occasion-plan', ($this->fields)(['shares' => [['dog' => ($this->dog)('Bosun'), 'recipeId' => null, 'pieces' => 'plenty']]]))->assertStatus(422)->assertJsonPath('path', '/shares/0/pieces');
    $this->postJson('/api/ask/occasion-plan', ($this->fields)(['treats' => [['recipeId' => $this->rounds, 'bakeOn' => '2026-06-28']]]))->assertStatus(422)->assertJsonPath('path', '/treats/0/bakeOn');
});

it('takes what two devices wrote at once: in two guests both, in one and the same it is asked', function (): void {
    [$pim, $moss, $ivy] = [($this->guest)('Pim'), ($this->guest)('Moss'), ($this->guest)('Ivy')];
    $id = $this->postJson('/api/occasions', ($this->fields)(['guests' => [$pim, $moss]]))->json('id');
    $on = fn (int $version, array $fields) => $this->patchJson("/api/occasions/$id", $fields, ['If-Match' => "\"$version\"", 'X-Page' => (string) Str::uuid()]);
    $on(1, ['guests' => [['weightKg' => 9] + $pim, $moss, $ivy]])->assertOk();
    // on what stood before: Moss does not come, another does
    $new = ($this->guest)('Wren');
    $on(1, ['guests' => [$pim, $new], 'dogs' => [($this->dog)('Bosun')]])->assertOk();
    $now = collect($this->getJson('/api/occasions')->json())->firstWhere('id', $id);
    expect(array_column($now['guests'], 'weightKg', 'name'))->toEqual(['Pim' => 9, 'Ivy' => 12, 'Wren' => 12])->and($now['dogs'])->toBe([($this->dog)('Bosun')]);
    $conflict = $on(1, ['guests' => [['weightKg' => 7] + $pim, $moss]])->assertStatus(409)->json();
    expect($conflict['code'])->toBe('conflict')->and($conflict['conflicts'][0]['field'])->toBe('guests');
    expect(collect($this->getJson('/api/occasions')->json())->firstWhere('id', $id)['guests'])->toEqual($now['guests']);
});

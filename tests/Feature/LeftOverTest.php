<?php

declare(strict_types=1);

use App\Models\Bag;
use App\Models\Batch;
use App\Models\Place;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->open('lock-cottage');
    $this->act = fn (string $do, array $said, array $more = []): TestResponse => $this->postJson('/api/jar-acts', $more + ['id' => (string) Str::uuid(), 'at' => '2026-06-20T09:00:00.000Z', 'by' => 'Ines', 'do' => $do, 'said' => (object) $said]);
    $this->begin = fn (string $text, array $cut = ['shape' => 'pieces', 'count' => 40]): string => $this->postJson('/api/batches', ['asked' => ['recipe' => ['text' => $text], 'cut' => $cut, 'bake' => ['texture' => 'soft']], 'title' => 'Coins', 'at' => '2026-06-20T07:00:00.000Z', 'startAt' => '2026-06-20T09:00', 'by' => 'Ines'])->assertCreated()->json('id');
    $this->left = function (string $batch): array {
        $told = $this->getJson("/api/batches/$batch/left-over")->assertOk()->json();
        expect(schemaErrors($told, 'kitchen.json#/$defs/leftOver'))->toBe('');

        return $told;
    };
    $this->fridge = Place::query()->where('kind', 'fridge')->firstOrFail()->id;
    $this->freezer = Place::query()->where('kind', 'freezer')->firstOrFail()->id;
});

it('asks after half a tin, and knows what was said of it', function (): void {
    $batch = ($this->begin)("200 g oat flour\n100 g pumpkin puree\n1 egg yolk\n1 apple, cored and grated");
    $left = ($this->left)($batch);
    expect(array_column($left['kept'], 'answered', 'ingredient'))->toBe(['pumpkin-puree' => null, 'egg-white' => null])
        ->and(array_column($left['kept'], 'days', 'ingredient'))->toBe(['pumpkin-puree' => 3, 'egg-white' => 2])
        ->and(array_column($left['scraps'], 'outOfReach', 'scrap'))->toBe(['core and seeds' => true, 'tin and lid' => true, 'peel' => false]);
    $bag = (string) Str::uuid();
    ($this->act)('open', ['bag' => $bag, 'title' => 'pumpkin purée', 'food' => 'tin', 'ingredient' => 'pumpkin-puree', 'place' => $this->fridge, 'batch' => $batch, 'made' => '2026-06-20'], ['at' => '2026-06-21T09:00:00.000Z'])->assertCreated();
    $gone = (string) Str::uuid();
    ($this->act)('gone', ['batch' => $batch, 'ingredient' => 'egg-white'], ['id' => $gone])->assertCreated()->assertJsonPath('bags', []);
    expect(array_column(($this->left)($batch)['kept'], 'answered', 'ingredient'))->toBe(['pumpkin-puree' => 'kept', 'egg-white' => 'gone'])
        // its days run from the day it was opened, not from when somebody put it by
        ->and(Bag::query()->findOrFail($bag)->best_before?->format('Y-m-d'))->toBe('2026-06-23');
    ($this->act)('undo', [], ['corrects' => $gone])->assertCreated();
    expect(array_column(($this->left)($batch)['kept'], 'answered', 'ingredient')['egg-white'])->toBeNull();
});

it('offers the ends of the dough, and nothing where there are none', function (): void {
    expect(($this->left)(($this->begin)("200 g oat flour\n60 g water")))->toBe(['kept' => [], 'dough' => null, 'scraps' => []]);
    $moulds = ($this->begin)("300 g melon\n100 g yogurt", ['shape' => 'mould', 'cavityMl' => 70, 'cavities' => 4]);
    $answer = json_decode(Batch::query()->findOrFail($moulds)->answer, true);
    $told = ($this->left)($moulds)['dough'];
    expect($told)->toMatchArray(['answered' => null])->and($told['grams'])->toEqualWithDelta($answer['batch']['leftGrams'], 0.01)->and($told['grams'])->toBeGreaterThan(10)
        ->and($told['pieces'])->toEqualWithDelta($told['grams'] / $answer['portions'][0]['piece']['doughGrams']['best'], 0.13);
    ($this->act)('put', ['batch' => $moulds, 'as' => 'dough', 'split' => [['bag' => (string) Str::uuid(), 'place' => $this->freezer, 'pieces' => $told['pieces'], 'grams' => $told['grams']]]])->assertCreated();
    expect(($this->left)($moulds)['dough']['answered'])->toBe('kept');
    // what a cutter leaves between the rounds
    $rounds = ($this->begin)("300 g oat flour\n100 g water", ['shape' => 'round', 'diameterMm' => 40, 'thicknessMm' => 8]);
    $answer = json_decode(Batch::query()->findOrFail($rounds)->answer, true);
    $pieces = $answer['portions'][0]['piece'];
    expect(($this->left)($rounds)['dough']['grams'])->toEqualWithDelta($answer['batch']['doughGrams']['best'] - $pieces['count']['best'] * $pieces['doughGrams']['best'], 0.01)->toBeGreaterThan(5);
});

it('is of this kitchen only, and of a batch that is there', function (): void {
    $this->getJson('/api/batches/'.Str::uuid().'/left-over')->assertNotFound();
    ($this->act)('gone', ['batch' => (string) Str::uuid(), 'ingredient' => 'egg-white'])->assertStatus(422)->assertJsonPath('path', '/said/batch');
    ($this->act)('gone', ['batch' => ($this->begin)('100 g oat flour')])->assertStatus(422)->assertJsonPath('path', '/said/ingredient');
});

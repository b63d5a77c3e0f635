<?php

declare(strict_types=1);

use App\Models\Dog;
use App\Models\StockItem;
use App\Models\Weighing;

beforeEach(fn () => $this->open('lock-cottage'));

it('keeps one word for each food, the latest', function (): void {
    $first = $this->postJson('/api/stock', ['ingredient' => 'oat-flour', 'state' => 'at-hand'])->assertCreated()->json();
    expect(schemaErrors($first, 'kitchen.json#/$defs/stockItem'))->toBe('');
    $this->postJson('/api/stock', ['ingredient' => 'oat-flour', 'state' => 'out'])->assertCreated()->assertJsonPath('id', $first['id'])->assertJsonPath('version', 2);
    $this->patchJson("/api/stock/{$first['id']}", ['state' => 'low'])->assertOk()->assertJsonPath('version', 3);
    $this->patchJson("/api/stock/{$first['id']}", ['state' => 'much'])->assertStatus(422)->assertJsonPath('path', '/state');
    expect($this->getJson('/api/stock')->json('*.state'))->toBe(['low']);
    $this->deleteJson("/api/stock/{$first['id']}")->assertNoContent();
    $this->getJson('/api/stock')->assertExactJson([]);
    $this->postJson('/api/stock', ['ingredient' => 'oat-flour', 'state' => 'plenty'])->assertStatus(422)->assertJsonPath('path', '/state');
    $this->postJson('/api/stock', ['ingredient' => 'moon-flour', 'state' => 'low'])->assertStatus(422)->assertJsonPath('path', '/ingredient');
});

it('reaches for what is at hand first in a rescue', function (): void {
    $ask = fn (): array => $this->postJson('/api/ask/rescue', ['recipe' => ['text' => "200 g wheat flour\n1/4 cup raisins\n1 egg"], 'dogs' => [Dog::query()->where('name', 'Tuppence')->firstOrFail()->id]])->assertOk()->json();
    $without = json_encode($ask());
    StockItem::query()->create(['ingredient' => 'millet-flour', 'state' => 'low']);
    StockItem::query()->create(['ingredient' => 'egg', 'state' => 'at-hand']);
    StockItem::query()->create(['ingredient' => 'sorghum-flour', 'state' => 'out']);
    expect(json_encode($ask()))->toContain('millet')->not->toBe($without);
});

it('asks to weigh a dog that grows each week, and no grown one', function (): void {
    $due = fn (): array => array_column($this->getJson('/api/day')->json('weigh'), 'dueOn', 'dog');
    $biscay = Dog::query()->where('name', 'Biscay')->firstOrFail();
    Weighing::query()->forceDelete();
    expect($due())->toBe([$biscay->id => null]);
    Weighing::query()->create(['dog_id' => $biscay->id, 'weighed_on' => '2026-06-14', 'kg' => 17]);
    expect($due())->toBe([]);
    Weighing::query()->where('dog_id', $biscay->id)->update(['weighed_on' => '2026-06-13']);
    expect($due())->toBe([$biscay->id => '2026-06-20']);
    Dog::query()->where('name', 'Ferris')->firstOrFail()->update(['conditions' => ['weight-loss']]);
    expect($due())->toHaveCount(2);
});

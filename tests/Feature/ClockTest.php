<?php

declare(strict_types=1);

use App\Support\KitchenClock;
use Carbon\CarbonImmutable;

it('takes the kitchen\'s own day for today', function (string $zone, string $today, string $yesterday): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T23:30:00Z'));
    $this->patchJson('/api/kitchen', ['timezone' => $zone])->assertOk()->assertJsonPath('timezone', $zone);
    expect(app(KitchenClock::class)->today()->format('Y-m-d'))->toBe($today);
    $dog = $this->postJson('/api/dogs', ['name' => 'Tiny', 'weightKg' => 5, 'bornOn' => $today])->assertCreated()->assertJsonPath('ageMonths', 0)->json();
    expect($this->getJson("/api/dogs/{$dog['id']}/weighings")->json('0.on'))->toBe($today);
    $tomorrow = CarbonImmutable::parse($today)->addDay()->format('Y-m-d');
    $this->postJson("/api/dogs/{$dog['id']}/weighings", ['on' => $tomorrow, 'kg' => 5])->assertStatus(422);
    $this->postJson("/api/dogs/{$dog['id']}/weighings", ['on' => $yesterday, 'kg' => 5])->assertCreated();
    expect($this->postJson('/api/recipes', ['title' => 'x', 'text' => '200 g oat flour'])->json('judged.on'))->toBe($today);
})->with([
    ['UTC', '2026-05-14', '2026-05-13'],
    ['Pacific/Auckland', '2026-05-15', '2026-05-14'],
    ['America/New_York', '2026-05-14', '2026-05-13'],
]);

it('refuses a time zone that is none', function (): void {
    $this->patchJson('/api/kitchen', ['timezone' => 'Atlantis'])
        ->assertStatus(422)
        ->assertJsonPath('message', 'This is no time zone: write one such as Europe/London.');
});

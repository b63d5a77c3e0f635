<?php

declare(strict_types=1);

use App\Models\Bag;
use App\Models\Kitchen;
use Sabre\VObject\Reader;

it('tells the days of the kitchen as a calendar that others can read', function (): void {
    $this->open('lock-cottage');
    $answer = $this->get('/api/calendar')->assertOk();
    expect($answer->headers->get('Content-Type'))->toBe('text/calendar; charset=utf-8');
    $calendar = Reader::read($answer->getContent());
    expect(array_filter($calendar->validate(), static fn (array $one): bool => $one['level'] > 1))->toBe([]);
    $events = iterator_to_array($calendar->select('VEVENT') ?: [], false);
    $bags = Bag::query()->where('state', 'here')->get();
    $of = static fn (string $prefix): array => array_values(array_filter($events, static fn ($one): bool => str_starts_with((string) $one->UID, $prefix)));
    expect(count($of('bag-')))->toBe($bags->count())->and(count($of('thaw-')))->toBeGreaterThan(0)
        ->and(count(array_unique(array_map(static fn ($one): string => (string) $one->UID, $events))))->toBe(count($events));
    $first = $bags->sortBy('best_before')->first();
    expect((string) $of('bag-')[0]->DTSTART)->toBe($first->best_before->format('Ymd'))->and((string) $of('bag-')[0]->SUMMARY)->toContain("bag {$first->number}, {$first->title}")
        // an event of a day ends on the next
        ->and((string) $of('bag-')[0]->DTEND)->toBe($first->best_before->addDay()->format('Ymd'));
    // a puppy is weighed each week
    expect(array_map(static fn ($one): string => (string) $one->SUMMARY, $of('weigh-')))->toContain('Weigh: Biscay');
    // what is frozen needs no reminder; what is to be done on a day does, in its morning
    $reminds = static fn ($event): bool => isset($event->VALARM) && (string) $event->VALARM->TRIGGER === 'PT8H';
    expect(array_unique(array_map($reminds, $of('thaw-'))))->toBe([true]);
    foreach ($of('bag-') as $event) {
        expect($reminds($event))->toBe(! $bags->firstWhere('id', substr((string) $event->UID, 4, 36))->frozen);
    }
    foreach (explode("\r\n", $answer->getContent()) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75);
    }
});

it('can be subscribed to by a private address, and by no other', function (): void {
    $this->open('lock-cottage');
    $this->getJson('/api/calendar/address')->assertOk()->assertExactJson(['address' => null]);
    $first = $this->postJson('/api/calendar/address')->assertCreated()->json('address');
    expect($this->get($first)->assertOk()->getContent())->toContain('BEGIN:VCALENDAR');
    $second = $this->postJson('/api/calendar/address')->assertCreated()->json('address');
    expect($second)->not->toBe($first);
    $this->get($first)->assertNotFound();
    $this->get('/calendar/'.str_repeat('a', 40).'.ics')->assertNotFound();
    $this->get('/calendar/a.ics')->assertNotFound();
    // another kitchen's address shows that kitchen only
    $other = Kitchen::factory()->create(['name' => 'Elsewhere']);
    $other->forceFill(['calendar_token' => str_repeat('b', 40)])->save();
    expect($this->get('/calendar/'.str_repeat('b', 40).'.ics')->assertOk()->getContent())->toContain('Elsewhere')->not->toContain('Lentil');
});

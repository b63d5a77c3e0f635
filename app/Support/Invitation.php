<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Occasion;
use Carbon\CarbonImmutable;
use MildBowl\Core\Questions\RequestRefused;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;

/** The invitation to an occasion, for all or for the people of one guest: in plain text, and as iCalendar (RFC 5545). */
final readonly class Invitation
{
    private const HOURS = 2;

    private const ASKS = ['allergies' => 'what it must not eat', 'conditions' => 'its illnesses and medicines', 'age' => 'how old it is', 'weight' => 'what it weighs'];

    public function __construct(private OccasionPlans $plans, private KitchenQuestion $question, private CurrentKitchen $current, private KitchenClock $clock) {}

    /** @throws RequestRefused when the guest is not invited */
    public function text(Occasion $occasion, ?string $guest): string
    {
        $on = $occasion->on->format('l, j F Y').($occasion->at === null ? '' : ", $occasion->at");

        return implode("\n", array_filter(["{$occasion->name}: $on", $occasion->place === '' ? null : "At: $occasion->place", '', ...$this->says($occasion, $guest)], static fn (?string $line): bool => $line !== null))."\n";
    }

    /** @throws RequestRefused when the guest is not invited */
    public function calendar(Occasion $occasion, ?string $guest): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Mild Bowl//Kitchen//EN', 'CALSCALE' => 'GREGORIAN', 'METHOD' => 'PUBLISH']);
        $event = self::event($calendar, $occasion, $this->current->get()->timezone, $this->clock->now());
        $event->add('DESCRIPTION', implode("\n", $this->says($occasion, $guest)));
        $calendar->add($event);

        return $calendar->serialize();
    }

    /** The occasion in a calendar: a moment, which is the same everywhere, or the whole day. */
    public static function event(VCalendar $calendar, Occasion $occasion, string $timezone, CarbonImmutable $now): Component
    {
        $event = $calendar->createComponent('VEVENT', ['UID' => "occasion-{$occasion->id}@mildbowl.invalid", 'SUMMARY' => $occasion->name, 'DTSTAMP' => $now->utc()->format('Ymd\THis\Z'), 'SEQUENCE' => max(0, (int) $occasion->version - 1)]);
        assert($event instanceof Component);
        $day = $occasion->on->format('Y-m-d');
        if ($occasion->at === null) {
            $event->add('DTSTART', str_replace('-', '', $day), ['VALUE' => 'DATE']);
            $event->add('DTEND', str_replace('-', '', BagShelf::day($day)->after(1)->iso), ['VALUE' => 'DATE']);
        } else {
            $at = CarbonImmutable::parse("$day $occasion->at", $timezone)->utc();
            $event->add('DTSTART', $at->format('Ymd\THis\Z'));
            $event->add('DTEND', $at->addHours(self::HOURS)->format('Ymd\THis\Z'));
        }
        if ($occasion->place !== '') {
            $event->add('LOCATION', $occasion->place);
        }

        return $event;
    }

    /**
     * @return list<string>
     *
     * @throws RequestRefused
     */
    private function says(Occasion $occasion, ?string $guest): array
    {
        $invited = array_values(array_filter($occasion->guests, static fn (array $one): bool => $one['id'] === $guest))[0] ?? null;
        if ($guest !== null && $invited === null) {
            throw RequestRefused::outOfRange('/guest', 'No guest of this occasion has this id.');
        }
        $lines = $occasion->words === '' ? [] : [trim($occasion->words), ''];
        $answer = $this->answer($occasion);
        foreach ($answer === null ? [] : (array) $answer['treats'] as $treat) {
            if ($treat['times'] > 0 && $treat['pieces'] > 0) {
                $lines[] = "Served: {$treat['name']}. Made of ".$this->foods((string) $treat['id']).'.';
            }
        }
        foreach ($answer === null ? [] : (array) $answer['guests'] as $one) {
            if ($invited !== null && ($one['dogId'] ?? null) === $invited['id']) {
                $lines[] = $one['state'] === 'none' ? "{$one['dog']}: nothing of it as it is now. Bring something of its own." : "{$one['dog']} would get ".Pieces::said((float) $one['pieces']).'.';
                if ($one['ask'] !== []) {
                    $lines[] = 'Tell us before: '.implode(', ', array_map(static fn (string $what): string => self::ASKS[$what], $one['ask'])).'.';
                }
            }
        }
        if ($invited === null) {
            $lines[] = 'Tell us before, of each dog that comes: '.implode(', ', self::ASKS).'.';
        }
        $lines[] = 'Treats, not a complete food. For a dog with a condition, on medicine or on a diet, ask your vet first.';

        return $lines;
    }

    /** @return array<string, mixed>|null */
    private function answer(Occasion $occasion): ?array
    {
        try {
            return $this->plans->of($occasion);
        } catch (RequestRefused) {
            return null;
        }
    }

    private function foods(string $recipe): string
    {
        $away = $this->question->answer('give-away', (object) ['recipe' => (object) ['id' => $recipe], 'dogs' => []]);

        return implode(', ', array_map(static fn (array $one): string => $one['name'].($one['isAllergen'] ? ' (an allergen)' : ''), (array) $away['foods']));
    }
}

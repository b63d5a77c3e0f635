<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Confirmation;
use App\Models\Dog;
use App\Models\Occasion;
use App\Models\PlannedBake;
use App\Models\Recipe;
use Carbon\CarbonImmutable;
use MildBowl\Core\Questions\RequestRefused;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;

/** The kitchen's days as iCalendar (RFC 5545): best before, what to thaw, what to bake, whom to weigh, what is tried, when a vet's word runs out, when the jars are empty. */
final readonly class KitchenCalendar
{
    private const DAYS = 60;

    private const MOST = 1000;

    private const DOES = ['bake' => 'Bake', 'thaw' => 'Thaw', 'leave' => 'Take along'];

    /** After the day has begun: at eight. */
    private const REMINDS = 'PT8H';

    public function __construct(private KitchenClock $clock, private CurrentKitchen $current, private ThawPlans $plans, private WeighDays $weigh, private WatchedDogs $watched, private KitchenParts $parts, private OccasionPlans $occasions) {}

    public function text(): string
    {
        $kitchen = $this->current->get();
        $calendar = new VCalendar(['PRODID' => '-//Mild Bowl//Kitchen//EN', 'CALSCALE' => 'GREGORIAN', 'METHOD' => 'PUBLISH', 'X-WR-CALNAME' => "Mild Bowl: {$kitchen->name}", 'NAME' => "Mild Bowl: {$kitchen->name}"]);
        /** @var list<Bag> $bags */
        $bags = Bag::query()->where('state', 'here')->whereNotNull('best_before')->orderBy('best_before')->limit(self::MOST)->get()->all();
        $named = [];
        foreach ($bags as $bag) {
            $named[$bag->id] = "bag {$bag->number}, {$bag->title}";
            $left = $bag->content === 'treats' ? ' ('.rtrim(rtrim(number_format($bag->pieces, 2), '0'), '.').' left)' : '';
            $this->event($calendar, "bag-{$bag->id}", $bag->best_before?->format('Y-m-d') ?? '', "Best before: {$named[$bag->id]}$left", $bag->frozen ? 'In the freezer.' : 'Past this day: throw it away when in doubt.', ! $bag->frozen);
        }
        /** @var list<Confirmation> $words */
        $words = Confirmation::query()->where('level', 'ask-vet')->whereNull('taken_back_at')->whereNotNull('holds_until')->get()->all();
        foreach ($words as $word) {
            $this->event($calendar, "vet-{$word->id}", CarbonImmutable::parse((string) $word->getAttribute('holds_until'))->format('Y-m-d'), "Ask the vet again: {$word->getAttribute('dog')}", 'What the vet said holds until this day.');
        }
        $titles = Recipe::query()->whereIn('id', PlannedBake::open()->select('recipe_id'))->pluck('title', 'id');
        foreach (PlannedBake::open()->orderBy('on')->limit(self::MOST)->get() as $plan) {
            $this->event($calendar, "bake-{$plan->id}", $plan->on->format('Y-m-d'), 'Bake: '.($titles[$plan->recipe_id] ?? 'a recipe'), 'Planned in the kitchen.');
        }
        $today = $this->clock->today();
        /** @var list<Dog> $dogs */
        $dogs = Dog::query()->get()->all();
        $names = array_column($dogs, 'name', 'id');
        foreach ($this->weigh->due($today->addDays(self::DAYS)->format('Y-m-d'), $dogs) as $due) {
            $this->event($calendar, "weigh-{$due['dog']}", max($due['dueOn'] ?? '', $today->format('Y-m-d')), "Weigh: {$names[$due['dog']]}", $due['lastOn'] === null ? 'Never weighed here.' : "Last on {$due['lastOn']}.");
        }
        $this->trials($calendar, $names);
        $this->occasions($calendar);
        foreach ($this->thaws() as $n => [$on, $bag]) {
            $this->event($calendar, "thaw-$bag", $on, 'Thaw: '.($named[$bag] ?? 'a bag'), 'Take it out of the freezer on this day.');
        }

        return $calendar->serialize();
    }

    /**
     * When more of a new food is given, and when to say how it went.
     *
     * @param  array<string, string>  $names  of the dogs
     */
    private function trials(VCalendar $calendar, array $names): void
    {
        $catalogue = $this->parts->catalogue();
        foreach ($this->watched->trials() as $dog => $trials) {
            foreach (isset($names[$dog]) ? $trials->all : [] as $trial) {
                foreach ($trial->ended === null ? $trial->dates() : [] as $on => $says) {
                    $foods = implode(', ', array_map($catalogue->called(...), $trial->foods));
                    $this->event($calendar, "trial-{$trial->id}-$on", $on, "{$names[$dog]}, $foods: $says", "A trial: {$trial->kind->label()}, since {$trial->from->spelled()}.");
                }
            }
        }
    }

    /** The occasions, and what is done for them before; a bake that is planned by itself stands there already. */
    private function occasions(VCalendar $calendar): void
    {
        $today = $this->clock->today()->format('Y-m-d');
        foreach (Occasion::query()->where('on', '>=', $today)->orderBy('on')->limit(self::MOST)->get() as $occasion) {
            /** @var Occasion $occasion */
            $calendar->add(Invitation::event($calendar, $occasion, $this->current->get()->timezone, $this->clock->now()));
        }
        $planned = PlannedBake::open()->pluck('recipe_id')->all();
        foreach ($this->occasions->due(self::DAYS) as $one) {
            if ($one['kind'] !== 'occasion' && ! ($one['kind'] === 'bake' && in_array($one['recipeId'], $planned, true))) {
                $what = self::DOES[$one['kind']].": {$one['title']}";
                $this->event($calendar, "occasion-{$one['occasion']}-{$one['kind']}-{$one['recipeId']}", $one['on'], "$what, for {$one['name']}", ($one['at'] === null ? '' : "{$one['at']}: ").$one['text']);
            }
        }
    }

    /** @return list<array{string, string}> day and bag */
    private function thaws(): array
    {
        try {
            $plan = $this->plans->from($this->clock->today()->format('Y-m-d'), self::DAYS);
        } catch (RequestRefused) {
            // nobody can say what will be eaten: the rest of the calendar stands all the same
            return [];
        }
        /** @var list<array{on: string, bag: string}> $takeOut */
        $takeOut = $plan['takeOut'];

        return array_map(static fn (array $one): array => [$one['on'], $one['bag']], $takeOut);
    }

    private function event(VCalendar $calendar, string $uid, string $on, string $summary, string $description, bool $reminds = true): void
    {
        $day = str_replace('-', '', $on);
        $event = $calendar->createComponent('VEVENT', [
            'UID' => "$uid@mildbowl.invalid", 'SUMMARY' => $summary, 'DESCRIPTION' => $description, 'TRANSP' => 'TRANSPARENT', 'DTSTAMP' => $this->clock->now()->utc()->format('Ymd\THis\Z'),
        ]);
        assert($event instanceof Component);
        $event->add('DTSTART', $day, ['VALUE' => 'DATE']);
        $event->add('DTEND', str_replace('-', '', BagShelf::day($on)->after(1)->iso), ['VALUE' => 'DATE']);
        if ($reminds) {
            $event->add('VALARM', ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $summary, 'TRIGGER' => self::REMINDS]);
        }
        $calendar->add($event);
    }
}

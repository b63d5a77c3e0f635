<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use App\Models\Trial;
use Carbon\CarbonImmutable;
use MildBowl\Core\Contract\DogReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Watching\Trial as Told;
use MildBowl\Core\Watching\TrialFoods;
use MildBowl\Core\Watching\TrialOutcome;
use MildBowl\Core\Watching\Trials;

/** Whether a trial may begin beside those that a dog is in, and whether it can end as somebody says. */
final readonly class Trying
{
    /** Days ahead that a trial can be planned. */
    private const AHEAD = 366;

    /** Days back that one may have begun: an owner brings her notes of a season. */
    private const BACK = 400;

    public function __construct(private KitchenClock $clock, private KitchenParts $parts, private WatchedDogs $watched) {}

    /** @throws RequestRefused when it may not stand beside the others of this dog */
    public function check(Trial $trial): void
    {
        $dog = Dog::query()->find($trial->dog_id) ?? throw RequestRefused::outOfRange('/dogId', 'No dog of this kitchen has this id.');
        $others = new Trials(array_values(array_filter($this->watched->trialsOf($dog->id)->all, static fn (Told $one): bool => $one->id !== $trial->id)));
        $this->begins($trial->inCore(), $dog, $others);
    }

    /**
     * @param  ?Trials  $others  of the dog; all of them where it is not one of them
     *
     * @throws RequestRefused when it may not begin so
     */
    public function begins(Told $trial, Dog $dog, ?Trials $others = null): void
    {
        $today = $this->clock->today();
        $from = $trial->from->iso;
        match (true) {
            $from > $today->addDays(self::AHEAD)->format('Y-m-d') => throw RequestRefused::outOfRange('/from', 'That is more than a year away.'),
            $from < $today->subDays(self::BACK)->format('Y-m-d') => throw RequestRefused::outOfRange('/from', 'That is more than '.self::BACK.' days ago.'),
            $dog->born_on !== null && $from < $dog->born_on->format('Y-m-d') => throw RequestRefused::outOfRange('/from', "{$dog->name} was born on {$dog->born_on->format('j F Y')}: no trial began before."),
            default => null,
        };
        $others ??= $this->watched->trialsOf($dog->id);
        $known = DogReader::one(new Node($this->watched->by($others, $dog, $today->format('Y-m-d'))), $this->parts->catalogue());
        $refused = TrialFoods::refuses($trial, $known, $this->parts->catalogue(), $this->parts->lines());
        if ($refused !== null) {
            throw RequestRefused::outOfRange('/foods', $refused);
        }
        $why = $others->refuses($trial, $known, $this->parts->catalogue());
        if ($why !== null) {
            throw RequestRefused::outOfRange('/from', $why);
        }
    }

    /**
     * @param  array{Day, TrialOutcome, ?string}  $end
     *
     * @throws RequestRefused when it cannot have ended then
     */
    public function ends(Trial $trial, array $end): void
    {
        [$on, $outcome, $saw] = $end;
        $today = $this->clock->today()->format('Y-m-d');
        match (true) {
            $on->iso > $today => throw RequestRefused::outOfRange('/endedOn', 'That day has not come yet: end it when it is over.'),
            $on->iso < $trial->from->format('Y-m-d') => throw RequestRefused::outOfRange('/endedOn', 'It began on '.$trial->from->format('j F Y').' and cannot have ended before.'),
            $outcome === TrialOutcome::Badly && $saw === null => throw RequestRefused::missing('/saw', 'What was seen'),
            default => null,
        };
        $trial->update(['ended_on' => CarbonImmutable::parse($on->iso), 'outcome' => $outcome->value, 'saw' => $outcome === TrialOutcome::Badly ? $saw : null]);
    }
}

<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Contract\DogReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\TrialReader;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Reading\Said;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Screener;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Level;
use MildBowl\Core\Watching\Trial;
use MildBowl\Core\Watching\TrialFoods;
use MildBowl\Core\Watching\TrialKind;
use MildBowl\Core\Watching\TrialOutcome;
use MildBowl\Core\Watching\Trials;
use Random\Engine\Mt19937;
use Random\Randomizer;

function calendarDay(int $n): Day
{
    return Day::numbered(20000 + $n);
}

/** @param  list<string>  $foods */
function trial(TrialKind $kind, array $foods, int $from, ?int $days = null, bool $vet = false, ?int $ended = null, ?TrialOutcome $outcome = null, string $id = ''): Trial
{
    return new Trial($id === '' ? "$kind->value $from" : $id, $kind, $foods, calendarDay($from), $days ?? Trial::usualDays($kind), $vet, $ended === null ? null : calendarDay($ended), $outcome, $outcome === TrialOutcome::Badly ? 'it itched' : null);
}

/** @param  array<string, mixed>  $more */
function watchedDog(array $more = []): Dog
{
    return DogReader::one(Node::decode(json_encode($more + ['name' => 'Tuppence', 'weightKg' => 9, 'ageMonths' => 48], JSON_THROW_ON_ERROR)), Asking::kitchen()->catalogue);
}

/** @param  list<Trial>  $before */
function refusal(array $before, Trial $new, ?Dog $dog = null): ?string
{
    return (new Trials($before))->refuses($new, $dog ?? watchedDog(), Asking::kitchen()->catalogue);
}

it('watches a new food for as long as skin takes, and an elimination for eight weeks', function (): void {
    expect(array_map(Trial::usualDays(...), TrialKind::cases()))->toBe([14, 14, 56, 14]);
    // nobody spoke for a vet
    expect((new Trial('a', TrialKind::Elimination, ['duck'], calendarDay(0), 56))->vetSaid)->toBeFalse();
});

it('brings a food in by the calendar: a quarter, a half, all of it', function (): void {
    $said = static fn (int $on): string => trial(TrialKind::NewFood, ['mackerel'], 0)->says(calendarDay($on));
    expect(array_map(Ramp::onDay(...), [1, 2, 3, 4, 5, 40]))->toBe([0.25, 0.25, 0.5, 0.5, 1.0, 1.0]);
    expect($said(-1))->toContain('begins on')
        ->and([$said(0), $said(1)])->each->toContain('a quarter')->and([$said(2), $said(3)])->each->toContain('half of it')->and([$said(4), $said(13)])->each->toContain('all of it');
    expect($said(6))->toContain('stool and skin')->and($said(7))->toContain('watch the skin')->not->toContain('stool')->and($said(14))->toContain('how did it go?');
});

it('tells a food in trial as new until somebody says what it came to', function (): void {
    $open = new Trials([trial(TrialKind::NewFood, ['mackerel'], 0)]);
    expect($open->broughtIn(calendarDay(-1)))->toBe([])->and($open->broughtIn(calendarDay(0)))->toBe(['mackerel' => 1])->and($open->broughtIn(calendarDay(40)))->toBe(['mackerel' => 41]);
    $well = new Trials([trial(TrialKind::NewFood, ['mackerel'], 0, null, false, 14, TrialOutcome::Well)]);
    expect($well->broughtIn(calendarDay(13)))->toBe(['mackerel' => 14])->and($well->broughtIn(calendarDay(14)))->toBe([])->and($well->bears())->toBe(['mackerel'])->and($well->wentBadly())->toBe([]);
    $badly = new Trials([...$well->all, trial(TrialKind::NewFood, ['mackerel'], 20, null, false, 25, TrialOutcome::Badly)]);
    expect($badly->bears())->toBe([])->and($badly->wentBadly())->toBe(['mackerel' => 'it itched']);
    // broken off says nothing new
    $broken = new Trials([...$badly->all, trial(TrialKind::NewFood, ['mackerel'], 30, null, false, 31, TrialOutcome::Open)]);
    expect($broken->wentBadly())->toBe(['mackerel' => 'it itched']);
    $again = new Trials([...$broken->all, trial(TrialKind::NewFood, ['mackerel'], 40, null, false, 60, TrialOutcome::Well)]);
    expect($again->wentBadly())->toBe([])->and($again->bears())->toBe(['mackerel']);
});

it('leaves a food out until its last day, and knows what alone may be eaten', function (): void {
    $out = new Trials([trial(TrialKind::LeaveOut, ['barley'], 0)]);
    expect(array_keys($out->leftOut(calendarDay(0))))->toBe(['barley'])->and($out->leftOut(calendarDay(13))['barley'])->toBe(calendarDay(13)->iso)->and($out->leftOut(calendarDay(14)))->toBe([]);
    $few = trial(TrialKind::Elimination, ['duck', 'pea'], 0, null, true);
    expect((new Trials([$few]))->allowed(calendarDay(-1)))->toBeNull()->and((new Trials([$few]))->allowed(calendarDay(90)))->toBe(['duck', 'pea']);
    $challenged = new Trials([$few, trial(TrialKind::Challenge, ['chicken'], 60)]);
    expect($challenged->allowed(calendarDay(59)))->toBe(['duck', 'pea'])->and($challenged->allowed(calendarDay(60)))->toBe(['duck', 'pea', 'chicken'])->and($challenged->broughtIn(calendarDay(60)))->toBe(['chicken' => 1]);
    expect((new Trials([trial(TrialKind::Elimination, ['duck'], 0, null, true, 57, TrialOutcome::Well)]))->allowed(calendarDay(57)))->toBeNull();
});

it('refuses in words a trial that would tell nothing', function (array $before, Trial $new, array $dog, ?string $says): void {
    expect(refusal($before, $new, watchedDog($dog)))->toBe($says === null ? null : refusal($before, $new, watchedDog($dog)))->and((string) refusal($before, $new, watchedDog($dog)))->toContain($says ?? '');
    expect(refusal($before, $new, watchedDog($dog)) === null)->toBe($says === null);
})->with(function (): array {
    $mackerel = trial(TrialKind::NewFood, ['mackerel'], 0);
    $few = trial(TrialKind::Elimination, ['duck'], 0, null, true);

    return [
        'the first' => [[], $mackerel, [], null],
        'two at once, of a dog that bears much' => [[$mackerel], trial(TrialKind::NewFood, ['barley'], 3), [], null],
        'two at once, of one with an allergy' => [[$mackerel], trial(TrialKind::NewFood, ['barley'], 3), ['allergies' => ['chicken']], 'One at a time'],
        'two at once, of one with a sensitive stomach' => [[$mackerel], trial(TrialKind::NewFood, ['barley'], 3), ['conditions' => ['sensitive-stomach']], 'One at a time'],
        'two at once, of one with arthritis' => [[$mackerel], trial(TrialKind::NewFood, ['barley'], 3), ['conditions' => ['arthritis']], null],
        'two at once, of one that did not bear another' => [[$mackerel], trial(TrialKind::NewFood, ['barley'], 3), ['watched' => ['wentBadly' => [['food' => 'pork', 'saw' => 'it itched']]]], 'One at a time'],
        'one after another' => [[trial(TrialKind::NewFood, ['mackerel'], 0, null, false, 14, TrialOutcome::Well)], trial(TrialKind::NewFood, ['barley'], 14), ['allergies' => ['chicken']], null],
        'before the other has ended' => [[trial(TrialKind::NewFood, ['mackerel'], 0, null, false, 14, TrialOutcome::Well)], trial(TrialKind::NewFood, ['barley'], 13), ['allergies' => ['chicken']], 'One at a time'],
        'the same food twice' => [[$mackerel], trial(TrialKind::LeaveOut, ['mackerel'], 3), [], 'is in a trial already'],
        'a few foods without a vet' => [[], trial(TrialKind::Elimination, ['duck'], 0), [], 'is for a vet to begin'],
        'a few foods while something is tried' => [[$mackerel], trial(TrialKind::Elimination, ['duck'], 3, null, true), [], 'is in a trial already'],
        'a new food inside it' => [[$few], trial(TrialKind::NewFood, ['mackerel'], 10), [], 'a trial inside that trial would tell nothing'],
        'a challenge of nothing' => [[], trial(TrialKind::Challenge, ['chicken'], 10), [], 'begin that first'],
        'a challenge too early' => [[$few], trial(TrialKind::Challenge, ['chicken'], 55), [], 'The first challenge comes after 56 days'],
        'a challenge on the first day after' => [[$few], trial(TrialKind::Challenge, ['chicken'], 56), [], null],
        'a challenge that the vet wants early' => [[$few], trial(TrialKind::Challenge, ['chicken'], 40, null, true), [], null],
        'two challenges' => [[$few, trial(TrialKind::Challenge, ['chicken'], 60)], trial(TrialKind::Challenge, ['beef'], 65), [], 'One at a time'],
    ];
});

it('never has two trials of one food, nor two of a sensitive dog, on one day', function (): void {
    $chance = new Randomizer(new Mt19937(16));
    $foods = ['mackerel', 'barley', 'pork', 'pear'];
    foreach ([[], ['allergies' => ['chicken']]] as $dog) {
        for ($n = 0; $n < 60; $n++) {
            $kept = [];
            for ($i = 0; $i < 12; $i++) {
                $from = $chance->getInt(0, 120);
                $kind = TrialKind::cases()[$chance->getInt(0, 3)];
                $new = trial($kind, [$foods[$chance->getInt(0, 3)]], $from, null, $chance->getInt(0, 1) === 1, $chance->getInt(0, 2) === 0 ? null : $from + $chance->getInt(1, 40), TrialOutcome::Well, "t$i");
                if (refusal($kept, $new, watchedDog($dog)) === null) {
                    $kept[] = $new;
                }
            }
            for ($on = 0; $on < 170; $on++) {
                $open = (new Trials($kept))->open(calendarDay($on));
                $tried = array_merge(...array_map(static fn (Trial $one): array => $one->kind === TrialKind::Elimination ? [] : $one->foods, $open));
                $few = array_filter($open, static fn (Trial $one): bool => $one->kind === TrialKind::Elimination);
                expect($tried)->toBe(array_values(array_unique($tried)))->and(count($few))->toBeLessThan(2);
                expect($dog === [] && $few === [] ? 1 : count($tried))->toBeLessThan(2);
            }
        }
    }
});

it('writes into the calendar when more is given and when to say how it went, and nothing after an end', function (): void {
    expect(array_keys(trial(TrialKind::NewFood, ['mackerel'], 0)->dates()))->toBe(array_map(static fn (int $n): string => calendarDay($n)->iso, [0, 2, 4, 14]));
    expect(array_keys(trial(TrialKind::NewFood, ['mackerel'], 0, null, false, 3, TrialOutcome::Badly)->dates()))->toBe([calendarDay(0)->iso, calendarDay(2)->iso]);
    expect(array_values(trial(TrialKind::Elimination, ['duck'], 0, null, true)->dates()))->toBe(['only what is on the list from today', 'eight weeks are over: ask your vet about challenges']);
});

it('reads a trial, and refuses in words what is none', function (array $change, string $path, string $says): void {
    $told = $change + ['kind' => 'new-food', 'foods' => ['mackerel'], 'from' => '2026-05-14'];
    $read = static fn (): Trial => TrialReader::trial(Node::decode(json_encode($told, JSON_THROW_ON_ERROR)), 'a', Asking::kitchen()->catalogue);
    if ($path === '') {
        expect($read()->foods)->toBe($change['foods'] ?? ['mackerel']);

        return;
    }
    try {
        $read();
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->path)->toBe($path)->and($refused?->getMessage())->toContain($says);
})->with([
    [[], '', ''], [['kind' => 'elimination', 'foods' => ['duck', 'pea']], '', ''],
    [['foods' => []], '/foods', 'Say which food'], [['foods' => ['beef', 'pear']], '/foods', 'One food at a time'], [['foods' => ['stardust']], '/foods/0', 'neither a group of foods nor a food'],
    [['kind' => 'leave-out', 'foods' => ['beef', 'pear', 'cod', 'duck', 'pork', 'lamb']], '/foods', 'At most 5'], [['kind' => 'guess'], '/kind', 'new-food'],
    [['days' => 0], '/days', 'from 1 to 84'], [['days' => 85], '/days', 'from 1 to 84'], [['kind' => 'elimination', 'days' => 20], '/days', 'eight weeks'], [['from' => '2026-13-01'], '/from', 'a date such as'],
]);

it('never tries a poison, nor what a dog is known to react to', function (TrialKind $kind, array $foods, array $dog, bool $vet, ?string $says): void {
    $refused = TrialFoods::refuses(trial($kind, $foods, 0, null, $vet), watchedDog($dog), Asking::kitchen()->catalogue, Asking::kitchen()->reader->lines);
    expect($refused === null)->toBe($says === null)->and((string) $refused)->toContain($says ?? '');
})->with([
    'raisins' => [TrialKind::NewFood, ['raisin'], [], true, 'no dose is known to be safe. It is never tried.'],
    'xylitol, as a challenge' => [TrialKind::Challenge, ['xylitol'], [], true, 'ring a vet or an animal poison line now'],
    'onions of all kinds' => [TrialKind::NewFood, ['allium-plant'], [], false, 'It is never tried'],
    'one poison among what may be eaten' => [TrialKind::Elimination, ['duck', 'onion', 'pea'], [], true, 'It is never tried'],
    'fruit, of which some is poison' => [TrialKind::NewFood, ['fruit'], [], false, null],
    'raisins, left out' => [TrialKind::LeaveOut, ['raisin'], [], false, null],
    'mackerel' => [TrialKind::NewFood, ['mackerel'], [], false, null],
    'mackerel, of a dog with an allow-list' => [TrialKind::NewFood, ['mackerel'], ['allowList' => ['duck']], false, null],
    'barley, of a dog that reacts to gluten' => [TrialKind::NewFood, ['barley-flour'], ['allergies' => ['gluten']], true, 'is for a vet, as a challenge'],
    'its allergen, as a challenge without a word' => [TrialKind::Challenge, ['chicken'], ['allergies' => ['chicken']], false, 'is for a vet'],
    'its allergen, as a challenge that the vet wants' => [TrialKind::Challenge, ['chicken'], ['allergies' => ['chicken']], true, null],
    'what went badly' => [TrialKind::NewFood, ['pear'], ['watched' => ['wentBadly' => [['food' => 'pear', 'saw' => 'it itched']]]], false, 'it itched: ask your vet first'],
    'what went badly, as the vet wants' => [TrialKind::NewFood, ['pear'], ['watched' => ['wentBadly' => [['food' => 'pear', 'saw' => 'it itched']]]], true, null],
]);

it('lets no food into a trial that the bench calls a poison, whichever it is', function (): void {
    [$catalogue, $lines] = [Asking::kitchen()->catalogue, Asking::kitchen()->reader->lines];
    $bench = new Screener(Circumstances::of([], Texture::of('biscuit'), new Policy), $lines);
    foreach (Catalogue::ids() as $id) {
        $never = array_filter($bench->foods([$catalogue->get($id)], Said::nothing()), static fn (Finding $one): bool => $one->level === Level::Never);
        expect(TrialFoods::refuses(trial(TrialKind::NewFood, [$id], 0, null, true), watchedDog(), $catalogue, $lines) !== null)->toBe($never !== [], $id);
    }
});

<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Borrowing;
use MildBowl\Core\Feeding\TakenDays;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\KeepQuestion;
use MildBowl\Core\Questions\PartyBox;
use MildBowl\Core\Questions\PartyBoxed;
use MildBowl\Core\Questions\PartyDog;
use MildBowl\Core\Questions\PartyQuestion;
use MildBowl\Core\Questions\PartyServed;
use MildBowl\Core\Questions\PartyShare;
use MildBowl\Core\Questions\PartyTreat;
use MildBowl\Core\Questions\PartyWhen;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Minute;

/** `party` */
final readonly class Party implements Answers
{
    /** What a host can have forgotten to ask of a dog that is not hers. */
    public const ASKED = ['allergies', 'conditions', 'age', 'weight'];

    private const MOST_MINUTES = 1440;

    private const KEYS = [
        'version', 'dogs', 'policy', 'names', 'pantry', 'treats', 'shares', 'boxes', 'unasked', 'taken', 'stopped', 'on', 'at', 'transportMinutes', 'roomCelsius',
    ];

    /** Of 50 dogs, each of the eight days for twenty occasions. */
    private const MOST_TAKEN = 8000;

    private const MOST_KCAL = 1e5;

    public function name(): string
    {
        return 'party';
    }

    public function says(): string
    {
        return 'an occasion: who may have what of several treats, how much is baked, and the plan backward from it';
    }

    public function asks(): Asks
    {
        return Asks::Treats;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(self::KEYS)->requireVersion();
        $when = $this->when($node);
        $treats = $this->treats($node, $shipped, $when->on);
        $dogs = $treats[0]->question->dogs;
        $ids = array_column($treats, 'id');
        $shares = [];
        foreach ($node->get('shares')?->list(50) ?? [] as $one) {
            $share = $this->share($one, $dogs, $ids);
            if (isset($shares[$share->dog->key()])) {
                throw RequestRefused::outOfRange("{$one->path}/dog", "{$share->dog->name} has a share already.");
            }
            $shares[$share->dog->key()] = $share;
        }
        $boxes = array_map(fn (Node $one): PartyBox => $this->box($one, $dogs, $ids), $node->get('boxes')?->list(PartyQuestion::MOST_BOXES) ?? []);
        $unasked = [];
        foreach ($node->get('unasked')?->list(50) ?? [] as $one) {
            $one->object(['dog', 'what']);
            $what = array_map(static fn (Node $said): string => $said->choice(self::ASKED), $one->required('what', 'What nobody asked')->list(count(self::ASKED)));
            $unasked[DogReader::named($one->required('dog', 'The dog'), $dogs)->key()] = array_values(array_unique($what));
        }
        $answer = (new PartyQuestion($treats, array_values($shares), $boxes, $unasked, self::taken($node, $dogs, $when->on), self::stopped($node, $dogs), $when))->answer();

        return [
            'version' => 1, 'treats' => array_map(self::served(...), $answer->treats), 'fewest' => $answer->fewest, 'allServed' => $answer->allServed,
            'guests' => array_map(self::guest(...), $answer->guests),
            'boxes' => array_map(static fn (PartyBoxed $one): array => ['dog' => $one->dog?->name, 'dogId' => $one->dog?->id] + Presenter::object($one), $answer->boxes),
        ];
    }

    /** @throws RequestRefused */
    private function when(Node $node): PartyWhen
    {
        $on = $node->required('on', 'The day')->day();
        $at = $node->get('at');

        return new PartyWhen(
            $on, $at === null ? null : (Minute::read($on->iso.'T'.$at->string(5)) ?? throw RequestRefused::outOfRange($at->path, 'This must be a time of day such as 15:30.')),
            $node->get('transportMinutes')?->integer(0, self::MOST_MINUTES), $node->get('roomCelsius')?->number(-30, 50, '°C') ?? KeepQuestion::ROOM_CELSIUS,
        );
    }

    /**
     * @return non-empty-list<PartyTreat>
     *
     * @throws RequestRefused
     */
    private function treats(Node $node, Kitchen $shipped, Day $on): array
    {
        $treats = [];
        foreach ($node->required('treats', 'What is served')->list(PartyQuestion::MOST_TREATS) as $one) {
            $one->object(['id', 'name', 'bakeOn', 'recipe', 'cut', 'bake', 'labels', 'confirmed', 'measured', 'portions']);
            $bakeOn = $one->get('bakeOn')?->day();
            if ($bakeOn !== null && $on->isBefore($bakeOn)) {
                throw RequestRefused::outOfRange("{$one->path}/bakeOn", 'That is after the occasion: bake it on the day or before.');
            }
            $id = $one->required('id', 'The id of the treat')->filled(DogReader::LONGEST_ID);
            if (isset($treats[$id])) {
                throw RequestRefused::outOfRange("{$one->path}/id", 'Two treats have this id.');
            }
            $treats[$id] = new PartyTreat($id, $one->required('name', 'The name of the treat')->filled(200), Week::question($node, $one, $shipped, ['id', 'name', 'bakeOn']), $bakeOn);
        }

        return $treats === [] ? throw RequestRefused::missing('/treats', 'At least one treat') : array_values($treats);
    }

    /**
     * @param  list<Dog>  $dogs
     * @return array<string, TakenDays> by dog
     *
     * @throws RequestRefused
     */
    private static function taken(Node $node, array $dogs, Day $on): array
    {
        $taken = [];
        foreach ($node->get('taken')?->list(self::MOST_TAKEN) ?? [] as $one) {
            $one->object(['dog', 'on', 'kcal', 'for', 'spreads']);
            $dog = DogReader::named($one->required('dog', 'The dog'), $dogs)->key();
            $after = $on->until($one->required('on', 'The day')->day());
            if ($after < 0 || $after > Borrowing::MOST_DAYS) {
                $says = 'An occasion borrows from its own day and the '.Borrowing::MOST_DAYS.' days after it: this is none of them.';
                throw RequestRefused::outOfRange("{$one->path}/on", $says);
            }
            $kcal = $one->required('kcal', 'How much')->number(0, self::MOST_KCAL, 'kcal');
            $for = $one->required('for', 'What takes it')->filled(120);
            $taken[$dog] = ($taken[$dog] ?? TakenDays::none())->and($after, $kcal, $for, $one->get('spreads')?->boolean() ?? true);
        }

        return $taken;
    }

    /**
     * @param  list<Dog>  $dogs
     * @return array<string, string> why, by dog
     *
     * @throws RequestRefused
     */
    private static function stopped(Node $node, array $dogs): array
    {
        $stopped = [];
        foreach ($node->get('stopped')?->list(50) ?? [] as $one) {
            $one->object(['dog', 'why']);
            $dog = DogReader::named($one->required('dog', 'The dog'), $dogs)->key();
            $stopped[$dog] ??= $one->required('why', 'Why it gets nothing')->filled(1000);
        }

        return $stopped;
    }

    /**
     * @param  list<Dog>  $dogs
     * @param  list<string>  $treats  ids
     *
     * @throws RequestRefused
     */
    private function share(Node $one, array $dogs, array $treats): PartyShare
    {
        $one->object(['dog', 'treat', 'pieces']);
        $pieces = $one->get('pieces');
        $said = match (true) {
            $pieces === null => null,
            is_string($pieces->value) => $pieces->filled(80),
            default => (string) $pieces->number(0.01, 1000, 'pieces'),
        };

        return new PartyShare(
            DogReader::named($one->required('dog', 'The dog\'s name'), $dogs),
            $one->get('treat') === null ? null : self::treat($one->required('treat', 'The treat'), $treats), $said, "{$one->path}/pieces",
        );
    }

    /**
     * @param  list<Dog>  $dogs
     * @param  list<string>  $treats  ids
     *
     * @throws RequestRefused
     */
    private function box(Node $one, array $dogs, array $treats): PartyBox
    {
        $one->object(['for', 'dog', 'treat', 'pieces']);

        return new PartyBox(
            $one->required('for', 'Whom it is for')->filled(80), $one->get('dog') === null ? null : DogReader::named($one->required('dog', 'The dog'), $dogs),
            self::treat($one->required('treat', 'The treat'), $treats), $one->required('pieces', 'How many pieces')->positive(Keep::MOST_PIECES, 'pieces'),
        );
    }

    /** @param  list<string>  $treats  ids */
    private static function treat(Node $node, array $treats): string
    {
        $id = $node->filled(DogReader::LONGEST_ID);

        return in_array($id, $treats, true) ? $id : throw RequestRefused::outOfRange($node->path, 'No treat of this occasion has this id.');
    }

    /** @return array<string, mixed> */
    private static function guest(PartyDog $one): array
    {
        $holds = [];
        foreach ($one->holds as $substance => $amount) {
            $holds[] = ['substance' => $substance, 'amount' => $amount];
        }

        return Presenter::dog($one->dog) + [
            'state' => $one->state, 'treat' => $one->treat, 'pieces' => $one->pieces, 'ask' => $one->ask, 'without' => $one->dog->without,
            'holds' => $holds, 'borrows' => array_map(Presenter::object(...), $one->answer->borrows),
        ] + Presenter::object($one->answer);
    }

    /** @return array<string, mixed> */
    private static function served(PartyServed $one): array
    {
        return [
            'id' => $one->id, 'name' => $one->name, 'serves' => array_map(static fn (Dog $dog): array => Presenter::dog($dog), $one->serves),
            'lacks' => array_map(static fn (array $lack): array => Presenter::dog($lack[0]) + ['why' => $lack[1], 'confirmable' => $lack[2]], $one->lacks),
            'pieces' => $one->pieces, 'aBatch' => $one->aBatch, 'times' => $one->times, 'left' => $one->left, 'slices' => array_map(Presenter::object(...), $one->slices),
            'plan' => $one->plan === null ? null : ['steps' => array_map(Presenter::object(...), $one->plan->steps)] + Presenter::object($one->plan),
        ];
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Keeping\Place;
use MildBowl\Core\Keeping\StoredBag;
use MildBowl\Core\Keeping\ThawPlan;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;

/** `thaw` */
final readonly class Thaw implements Answers
{
    private const MOST_BAGS = 2000;

    private const MOST_DAYS = 366;

    private const MOST_EATERS = 200;

    /** Where a bag may be: its place, or thawed and in the fridge. */
    public const PLACES = ['jar', 'fridge', 'freezer', 'thawed'];

    public function name(): string
    {
        return 'thaw';
    }

    public function says(): string
    {
        return 'which bag to take out of the freezer when, and what would be wasted';
    }

    public function asks(): Asks
    {
        return Asks::Nothing;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'from', 'days', 'eaters', 'bags'])->requireVersion();
        $need = 0.0;
        foreach ($node->required('eaters', 'Who eats')->list(self::MOST_EATERS) as $eater) {
            $eater->object(['dog', 'piecesPerDay']);
            $eater->required('dog', 'The dog')->filled(DogReader::LONGEST_ID);
            $need += $eater->required('piecesPerDay', 'Pieces a day')->number(0, 1000, 'pieces a day');
        }
        $bags = [];
        foreach ($node->required('bags', 'The bags')->list(self::MOST_BAGS) as $one) {
            $bag = self::bag($one);
            if (isset($bags[$bag->id])) {
                throw RequestRefused::outOfRange("{$one->path}/id", "Two bags are called \"{$bag->id}\".");
            }
            $bags[$bag->id] = $bag;
        }
        $plan = ThawPlan::of($node->required('from', 'The first day')->day(), $node->required('days', 'How many days')->integer(1, self::MOST_DAYS), $need, array_values($bags));

        return ['version' => 1, 'takeOut' => $plan->takeOut, 'waste' => $plan->waste, 'lastsUntil' => $plan->lastsUntil, 'shortOn' => $plan->shortOn];
    }

    /** @throws RequestRefused */
    private static function bag(Node $node): StoredBag
    {
        $node->object(['id', 'pieces', 'place', 'bestBefore', 'thawedDays']);
        $isFrozen = $node->required('place', 'The place')->choice(self::PLACES) === Place::Freezer->value;
        $thawed = $node->get('thawedDays');
        if ($isFrozen && $thawed === null) {
            throw RequestRefused::missing("{$node->path}/thawedDays", 'How many days it is good once it is thawed');
        }

        return new StoredBag(
            $node->required('id', 'The bag\'s id')->filled(DogReader::LONGEST_ID), $node->required('pieces', 'How many pieces')->number(0, Keep::MOST_PIECES, 'pieces'), $isFrozen,
            $node->required('bestBefore', 'Best before')->day(), $thawed?->integer(1, 365) ?? 1,
        );
    }
}

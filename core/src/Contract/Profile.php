<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Dogs\Weight;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\ProfileQuestion;
use MildBowl\Core\Questions\Weighing;

/** `profile` */
final readonly class Profile implements Answers
{
    public function name(): string
    {
        return 'profile';
    }

    public function says(): string
    {
        return 'what follows from one dog\'s profile';
    }

    public function asks(): Asks
    {
        return Asks::Dogs;
    }

    public function answer(Node $node, Kitchen $shipped): array
    {
        $node->object(['version', 'dog', 'policy', 'weighings', 'meals', 'names', 'pantry'])->requireVersion();
        $kitchen = KitchenReader::read($node, $shipped);
        $weighings = array_map(static function (Node $one): Weighing {
            $one->object(['ageMonths', 'kg']);

            return new Weighing($one->get('ageMonths')?->number(0, 400, 'months'), $one->required('kg', 'The weight')->number(Weight::LIGHTEST_KG, Weight::HEAVIEST_KG, 'kg'));
        }, $node->get('weighings')?->list(500) ?? []);
        $dog = DogReader::one($node->required('dog', 'The dog'), $kitchen->catalogue);

        return ['version' => 1] + Presenter::object((new ProfileQuestion($dog, $kitchen->policy, $weighings, $node->get('meals')?->integer(1, 10)))->answer());
    }
}

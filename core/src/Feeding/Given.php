<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Values\Range;

/** Something a dog was given in a day: pieces of a batch, a bought treat, a scrap of the table. */
final readonly class Given
{
    /** What is counted of it, beside its energy. */
    public const SUBSTANCES = ['sodiumMg', 'fatG', 'addedSugarG', 'retinolUg', 'vitaminDUg', 'coumarinMg', 'garlicG', 'calciumMg', 'newFibreG', 'kelpG', 'rootSpiceG'];

    /**
     * @param  Range  $kcal  what is known of its energy
     * @param  float  $unknownKcal  over the best guess, because nobody knows what it is made of
     * @param  array<string, Range>  $substances  of SUBSTANCES; what nobody wrote down is a range whose high end holds the ration
     * @param  list<Finding>  $findings  what stands against it for this dog
     * @param  ?string  $unread  what of it nobody can put a figure to; no more is told today until somebody does
     * @param  bool  $isNew  whether it holds a food that the dog is being brought to slowly
     * @param  bool  $isPredatorFish  whether it holds a fish for one day of the week
     * @param  list<string>  $foods  ids of all that is in it, in traces excepted; what nobody knows stands as it was written
     */
    public function __construct(
        public Dog $dog,
        public Range $kcal,
        public float $unknownKcal = 0.0,
        public array $substances = [],
        public array $findings = [],
        public ?string $unread = null,
        public bool $isNew = false,
        public bool $isPredatorFish = false,
        public ?string $batch = null,
        public float $pieces = 0.0,
        public array $foods = [],
    ) {}
}

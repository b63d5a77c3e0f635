<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Watching\Strength;

/** What the days say of one food, or of several that were always eaten on the same days. */
final readonly class Suspect
{
    /**
     * @param  list<string>  $together  foods and groups of exactly the same days
     * @param  int  $a  bad days with it
     * @param  int  $b  good days with it
     * @param  int  $c  bad days without it
     * @param  int  $d  good days without it
     * @param  float  $p  by Fisher's exact test, one-sided
     * @param  float  $adjusted  after Holm, over all foods of the kind
     */
    public function __construct(
        public string $food,
        public array $together,
        public int $a,
        public int $b,
        public int $c,
        public int $d,
        public float $p,
        public float $adjusted,
        public Strength $strength,
        public string $says,
    ) {}
}

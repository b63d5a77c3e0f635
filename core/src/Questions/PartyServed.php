<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** What an occasion takes of one treat. */
final readonly class PartyServed
{
    /**
     * @param  list<Dog>  $serves  who may have some of it
     * @param  list<array{Dog, string, bool}>  $lacks  who may not, why, and whether a label or a vet could settle that
     * @param  float  $pieces  that are eaten and boxed
     * @param  float  $aBatch  pieces that one batch makes
     * @param  int  $times  whole batches
     * @param  float  $left  pieces over
     * @param  list<Slice>  $slices
     */
    public function __construct(public string $id, public string $name, public array $serves, public array $lacks, public float $pieces, public float $aBatch, public int $times, public float $left, public array $slices, public ?BackwardPlan $plan) {}
}

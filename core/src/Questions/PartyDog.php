<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** What one dog gets at an occasion. */
final readonly class PartyDog
{
    /** It gets its share. */
    public const MAY = 'may';

    /** It is baked for, and its people are asked before it gets any. */
    public const ASK_FIRST = 'ask-first';

    public const NONE = 'none';

    /**
     * @param  'may'|'ask-first'|'none'  $state
     * @param  ?string  $treat  its id
     * @param  list<string>  $ask  what nobody asked its people yet
     * @param  array<string, float>  $holds  of its share, each substance that has a limit and is in it
     */
    public function __construct(public Dog $dog, public string $state, public ?string $treat, public float $pieces, public array $ask, public OccasionAnswer $answer, public array $holds = []) {}
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Baking\Texture;

/** A part before it is mixed: its headings, and what was said or guessed of it. */
final readonly class Planned
{
    /**
     * @param  list<?string>  $sections
     * @param  list<string>  $guessed  by the keys of the contract
     * @param  list<string>  $into  keys of the headings with a line that names it
     */
    public function __construct(
        public array $sections,
        public Role $role,
        public ?Process $process,
        public Joins $joins,
        public Keeps $keeps,
        public ?float $gramsPerPiece,
        public ?Texture $texture,
        public array $guessed,
        public ?AskedPart $asked,
        public array $into = [],
    ) {}
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Dogs\Dog;

/** One thing that can be done with a line: keep it, replace it, write it plainer, or leave it out. */
final readonly class Option
{
    public const KEEP = 'keep';

    public const SWAP = 'swap';

    public const ADJUST = 'adjust';

    public const REMOVE = 'remove';

    /**
     * @param  list<string>  $texts  the lines written in its place
     * @param  list<Weighed>  $portions  what they weigh
     * @param  float  $cost  by rescue-weights.csv, without what depends on the other lines
     * @param  int  $serves  bit n is set when dog n may have it
     * @param  list<string>  $labels  what must be read on a label first
     * @param  int  $jobs  bit n is set when it does Jobs::NEEDED[n]
     * @param  list<Dog>  $newTo  dogs to whom a food in it is new
     */
    public function __construct(
        public string $action,
        public array $texts,
        public array $portions,
        public float $cost,
        public int $serves,
        public string $reason,
        public array $labels,
        public int $jobs,
        public array $newTo,
    ) {}

    public function dearer(float $by): self
    {
        return new self($this->action, $this->texts, $this->portions, $this->cost + $by, $this->serves, $this->reason, $this->labels, $this->jobs, $this->newTo);
    }

    /** @return list<string> ids of the foods in it */
    public function foods(): array
    {
        return array_map(static fn (Weighed $portion): string => $portion->ingredient->id, $this->portions);
    }
}

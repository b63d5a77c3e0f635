<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Swaps\Composed;
use MildBowl\Core\Swaps\Option;

/** One thing that may be done with a line. */
final readonly class SwapCandidate
{
    /**
     * @param  list<Dog>  $serves
     * @param  list<Dog>  $notFor
     * @param  ?string  $mending  what keeps the dough as wet as it was; null where nothing needs to
     * @param  array{out: string, in: string}|null  $swap  null where nothing is put in
     */
    public function __construct(public Option $option, public array $serves, public array $notFor, public ?string $mending, public Composed $composed, public SwapFigures $after, public ?array $swap) {}

    /** @return list<string> what is written for the line: of what is poured a little may be held back */
    public function texts(): array
    {
        $texts = $this->option->texts;
        foreach ($this->composed->changes as $change) {
            if ($change->action === Option::SWAP && $change->to !== null) {
                return [$change->to, ...array_slice($texts, 1)];
            }
        }

        return $texts;
    }
}

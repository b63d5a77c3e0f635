<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/** Everything found in one document, and what in it nobody understood. */
final readonly class Clipped
{
    /**
     * @param  list<Clipping>  $recipes
     * @param  list<string>  $notUnderstood
     */
    public function __construct(public array $recipes, public array $notUnderstood) {}

    /** @param  callable(string, string): list<Doubt>  $of */
    public function withDoubts(callable $of): self
    {
        return new self(array_map(static fn (Clipping $one): Clipping => $one->withDoubts($of($one->text, $one->steps)), $this->recipes), $this->notUnderstood);
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/** Everything found in one document, and what in it nobody understood. */
final readonly class Clipped
{
    /**
     * @param  list<Clipping>  $recipes
     * @param  list<string>  $notUnderstood
     * @param  list<array{said: string, span: array{int, int}}>  $setAside  talk that is no recipe
     */
    public function __construct(public array $recipes, public array $notUnderstood, public array $setAside = []) {}

    /** @param  callable(string, string): list<Doubt>  $of */
    public function withDoubts(callable $of): self
    {
        return new self(array_map(static fn (Clipping $one): Clipping => $one->withDoubts($of($one->text, $one->steps)), $this->recipes), $this->notUnderstood, $this->setAside);
    }
}

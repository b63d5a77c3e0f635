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
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Watching\Acceptance;

final readonly class LikesAnswer
{
    /**
     * @param  list<Acceptance>  $foods
     * @param  list<Acceptance>  $textures
     * @param  list<Acceptance>  $shapes
     */
    public function __construct(public array $foods, public array $textures, public array $shapes, public string $says) {}
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** Something that went in beside what was written. */
final readonly class Addition
{
    /**
     * @param  string  $text  as a line of the recipe would say it
     * @param  ?string  $section  the heading it belongs under; null: under none
     */
    public function __construct(public string $text, public ?string $section) {}
}

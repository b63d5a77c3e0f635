<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** A scrap of the table or an extra of a meal, as a person writes it: "20 g cooked chicken". */
final readonly class GivenText
{
    public function __construct(public Dog $dog, public string $text) {}
}

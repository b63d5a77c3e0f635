<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What to buy, by aisle, and what each treat costs. */
final readonly class ShoppingAnswer
{
    /**
     * @param  list<array{aisle: string, label: string, items: list<ShoppingItem>}>  $aisles  what is to be bought
     * @param  list<ShoppingItem>  $atHand  what is wanted and there
     * @param  list<array{for: string, text: string}>  $unread  rows in which no food was found: they stand on the list as they were written
     * @param  list<ShoppingCost>  $costs
     * @param  ?float  $price  of everything that is bought whose price is known; null where none is
     * @param  list<string>  $withoutPrice  of what is bought
     */
    public function __construct(public array $aisles, public array $atHand, public array $unread, public array $costs, public ?float $price, public array $withoutPrice) {}
}

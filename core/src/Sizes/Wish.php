<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\RequestRefused;

/** So many pieces a day for one dog. */
final readonly class Wish
{
    private function __construct(public Dog $dog, public float $piecesPerDay) {}

    /**
     * @param  list<Dog>  $dogs  at the table
     * @return non-empty-list<self>
     *
     * @throws RequestRefused
     */
    public static function all(Node $node, array $dogs): array
    {
        $wishes = [];
        foreach ($node->list(50) as $one) {
            $one->object(['dog', 'piecesPerDay']);
            $name = $one->required('dog', 'The dog\'s name');
            foreach ($dogs as $dog) {
                if ($dog->name === $name->string(60)) {
                    if (isset($wishes[$dog->name])) {
                        throw RequestRefused::outOfRange($name->path, "There are two wishes for {$dog->name}.");
                    }
                    $wishes[$dog->name] = new self($dog, $one->required('piecesPerDay', 'The pieces a day')->number(0.25, 200, 'pieces a day'));

                    continue 2;
                }
            }
            throw RequestRefused::outOfRange($name->path, "No dog called {$name->string(60)} is at the table.");
        }
        if ($wishes === []) {
            throw RequestRefused::missing($node->path, 'At least one wish');
        }

        return array_values($wishes);
    }
}

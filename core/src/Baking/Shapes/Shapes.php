<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** Every shape there is. A new one is a class and a row here; bite, size, tray, schema, the page's list and its drawing follow. */
final class Shapes
{
    /** @return non-empty-list<Shape> in the order they are offered */
    public static function all(): array
    {
        return [
            new Round, new Square, TwoSided::rectangle(), TwoSided::bone(), TwoSided::heart(), TwoSided::star(), new OwnCutter, TwoSided::strip(),
            new Log, new Ball, new Scoop, new Mould, new Grid, Counted::slices(), Counted::pieces(),
        ];
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_map(static fn (Shape $shape): string => $shape->id(), self::all());
    }

    /** @throws \OutOfBoundsException when there is no such shape */
    public static function named(string $id): Shape
    {
        return self::find($id) ?? throw new \OutOfBoundsException("There is no shape \"$id\".");
    }

    public static function find(string $id): ?Shape
    {
        foreach (self::all() as $shape) {
            if ($shape->id() === $id) {
                return $shape;
            }
        }

        return null;
    }
}

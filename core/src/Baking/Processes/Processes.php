<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Every process there is. A new one is a class and a row here; heat, schema and the page's list follow. */
final class Processes
{
    /** @return non-empty-list<Process> in the order they are offered */
    public static function all(): array
    {
        return [new Oven, new Hob, new Griddle, new Microwave, new Dried, new Frozen, new Set, new NoHeat];
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_map(static fn (Process $process): string => $process->id(), self::all());
    }

    /** @throws \OutOfBoundsException when there is no such process */
    public static function named(string $id): Process
    {
        foreach (self::all() as $process) {
            if ($process->id() === $id) {
                return $process;
            }
        }
        throw new \OutOfBoundsException("There is no process \"$id\".");
    }
}

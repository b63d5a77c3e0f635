<?php

declare(strict_types=1);

namespace MildBowl\Core\Values;

/** Something that had to be taken for granted, said to the person. */
final readonly class Assumption
{
    public function __construct(public string $code, public string $message) {}

    /**
     * Each once, in the order they came up.
     *
     * @param  list<self>  $all
     * @return list<self>
     */
    public static function distinct(array $all): array
    {
        $distinct = [];
        foreach ($all as $one) {
            $distinct["{$one->code}|{$one->message}"] ??= $one;
        }

        return array_values($distinct);
    }
}

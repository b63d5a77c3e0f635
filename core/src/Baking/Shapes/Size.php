<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** One of the sizes a shape is given by: its key in the contract, what the baker calls it, its unit, and what it starts at. */
final readonly class Size
{
    public const MM = 'mm';

    public const MM2 = 'mm²';

    public const ML = 'ml';

    public const COUNT = '';

    /** @param  float  $most  larger than this is a slip */
    private function __construct(public string $key, public string $label, public string $unit, public float $start, public float $most) {}

    public static function mm(string $key, string $label, float $start): self
    {
        return new self($key, $label, self::MM, $start, 2000);
    }

    public static function thickness(): self
    {
        return self::mm('thicknessMm', 'thick', 6);
    }

    public static function mm2(string $key, string $label, float $start): self
    {
        return new self($key, $label, self::MM2, $start, 1e6);
    }

    public static function ml(string $key, string $label, float $start): self
    {
        return new self($key, $label, self::ML, $start, 5000);
    }

    public static function count(string $key, string $label, float $start): self
    {
        return new self($key, $label, self::COUNT, $start, 10000);
    }
}

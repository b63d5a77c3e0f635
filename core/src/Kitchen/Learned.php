<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

/** What a kitchen's own log says of its bakes and a person accepted, by the class of treat: the texture it is baked to. */
final readonly class Learned
{
    public const MINUTES = 'minutes';

    public const MASS = 'mass';

    public const COUNT = 'count';

    public const WETNESS = 'wetness';

    public const OF = [self::MINUTES, self::MASS, self::COUNT, self::WETNESS];

    private const MORE = [self::MINUTES => ['longer', 'shorter'], self::MASS => ['heavier', 'lighter'], self::COUNT => ['more pieces', 'fewer pieces'], self::WETNESS => ['wetter', 'drier']];

    /** @param  array<string, array<string, float>>  $factors  of the log ÷ the plan, by class and by what it is of */
    public function __construct(private array $factors = []) {}

    /** "15 % longer"; "as planned" where the log agrees to half a percent. */
    public static function inWords(string $of, float $factor): string
    {
        $percent = (int) round(100 * abs($factor - 1));

        return $percent === 0 ? 'as planned' : "$percent % ".self::MORE[$of][$factor > 1 ? 0 : 1];
    }

    /** 1 where nothing was learned. */
    public function factor(string $of, string $class): float
    {
        return $this->factors[$class][$of] ?? 1.0;
    }

    /** @return array<string, float> what holds for a class */
    public function of(string $class): array
    {
        return $this->factors[$class] ?? [];
    }
}

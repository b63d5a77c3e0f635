<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

/** What a part is to the piece. */
enum Role: string
{
    /** It is cut or counted. */
    case Body = 'body';
    case Filling = 'filling';
    case Topping = 'topping';
    case Frosting = 'frosting';
    case Coating = 'coating';
    /** A broth, made for another part. */
    case Liquid = 'liquid';
    case Dusting = 'dusting';

    /** @return list<string> */
    public static function ids(): array
    {
        return array_column(self::cases(), 'value');
    }

    /** As the baker calls it. */
    public function label(): string
    {
        return match ($this) {
            self::Body => 'what is cut',
            self::Filling => 'filling',
            self::Topping => 'topping',
            self::Frosting => 'frosting',
            self::Coating => 'coating',
            self::Liquid => 'broth for another part',
            self::Dusting => 'dusting',
        };
    }

    /** Where it joins when nobody said: what is in the piece or under it before the heat, what is on it after. */
    public function joins(): Joins
    {
        return in_array($this, [self::Body, self::Filling, self::Liquid, self::Dusting], true) ? Joins::Before : Joins::After;
    }
}

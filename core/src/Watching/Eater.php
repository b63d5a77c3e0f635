<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Dogs\Liking;
use MildBowl\Core\Dogs\Taste;

/** A dog of the kitchen, as far as what it takes and leaves goes. */
final readonly class Eater
{
    /**
     * @param  list<string>  $dislikes  as they were told
     * @param  array<string, Taste>  $tastes  by food
     * @param  bool  $lacks  whether nothing that stands in the jars is for it
     */
    public function __construct(public string $id, private array $dislikes, private array $tastes, public bool $lacks) {}

    /**
     * What of these foods it is known to refuse: as it was told ("big crumbly apple" is told of apple; what it refuses raw it may like
     * baked), or the id of one that it showed. Null where nothing.
     *
     * @param  list<string>  $foods  by id
     */
    public function refuses(array $foods): ?string
    {
        $words = array_map(self::plain(...), $foods);
        foreach ($this->dislikes as $one) {
            $said = self::plain($one);
            $isOfOne = ! preg_match('/^raw\b/', $said) && array_intersect($words, preg_split('/\s+/', $said) ?: []) !== [];
            if (in_array($said, $words, true) || $isOfOne) {
                return $one;
            }
        }
        foreach ($foods as $food) {
            if ($this->liking($food) === Liking::Refused) {
                return $food;
            }
        }

        return null;
    }

    /** @param  list<string>  $foods  by id */
    public function likesSomeOf(array $foods): bool
    {
        foreach ($foods as $food) {
            if ($this->liking($food) === Liking::Liked) {
                return true;
            }
        }

        return false;
    }

    public static function plain(string $food): string
    {
        return trim(str_replace('-', ' ', mb_strtolower($food)));
    }

    private function liking(string $food): Liking
    {
        return ($this->tastes[$food] ?? null)?->liking() ?? Liking::Unknown;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Pantry\Catalogue;

/** A swap that a kitchen added, or what it thinks of a known one. */
final readonly class OwnSwap
{
    public const RATINGS = ['good', 'bad'];

    private function __construct(public string $out, public string $in, public float $ratio, public ?string $rating, public string $note) {}

    /**
     * @return list<self>
     *
     * @throws RequestRefused
     */
    public static function all(?Node $node): array
    {
        return array_map(self::one(...), $node?->list(500) ?? []);
    }

    /** @throws RequestRefused */
    public static function one(Node $node): self
    {
        $node->object(['out', 'in', 'ratio', 'rating', 'note']);
        $food = static function (string $key) use ($node): string {
            $one = $node->required($key, 'The food');
            $id = $one->filled(80);

            return Catalogue::has($id) ? $id : throw RequestRefused::outOfRange($one->path, "The catalogue holds no ingredient \"$id\".");
        };
        [$out, $in] = [$food('out'), $food('in')];
        if ($out === $in) {
            throw RequestRefused::outOfRange("{$node->path}/in", 'A food is no swap for itself.');
        }

        return new self($out, $in, $node->get('ratio')?->positive(50, 'g for a gram') ?? 1.0, $node->get('rating')?->choice(self::RATINGS), $node->get('note')?->string(200) ?? '');
    }

    /** What worked here comes first; what failed comes last. */
    public function rank(): float
    {
        return match ($this->rating) {
            'good' => 0.0,
            'bad' => 1.5,
            default => 0.05,
        };
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Parts\AskedPart;
use MildBowl\Core\Baking\Parts\Joins;
use MildBowl\Core\Baking\Parts\Keeps;
use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Questions\RequestRefused;

/** Reads what was said of the parts of a recipe. */
final class PartReader
{
    private const LONGEST_SECTION = 200;

    private const MOST_GRAMS = 100000;

    /**
     * @return list<AskedPart>
     *
     * @throws RequestRefused
     */
    public static function all(?Node $node): array
    {
        $parts = [];
        foreach ($node?->list(AskedPart::MOST) ?? [] as $one) {
            $one->object(['section', 'role', 'process', 'joins', 'keeps', 'gramsPerPiece', 'texture']);
            $role = $one->get('role')?->choice(Role::ids());
            $process = $one->get('process')?->choice(Processes::ids());
            $joins = $one->get('joins')?->choice(Joins::ids());
            $texture = $one->get('texture')?->choice(Texture::ids());
            $parts[] = new AskedPart(
                $one->path, $one->get('section')?->string(self::LONGEST_SECTION), $role === null ? null : Role::from($role), $process === null ? null : Processes::named($process),
                $joins === null ? null : Joins::from($joins), self::keeps($one->get('keeps')), $one->get('gramsPerPiece')?->positive(self::MOST_GRAMS, 'g a piece'), $texture === null ? null : Texture::of($texture),
            );
        }

        return $parts;
    }

    /**
     * Parts as a kitchen keeps them; refused when they are not the contract's.
     *
     * @param  array<array-key, mixed>  $parts
     *
     * @throws RequestRefused
     */
    public static function kept(array $parts): void
    {
        self::all(new Node(json_decode((string) json_encode(array_values($parts))), '/parts'));
    }

    private static function keeps(?Node $node): ?Keeps
    {
        $node?->object(['grams', 'strained', 'drained']);

        return $node === null ? null : new Keeps(
            $node->get('grams')?->positive(self::MOST_GRAMS, 'g'), $node->get('strained')?->boolean() ?? false, $node->get('drained')?->boolean() ?? false,
        );
    }
}

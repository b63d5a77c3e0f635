<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Measured;
use MildBowl\Core\Baking\Shapes\Shape;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Baking\Shapes\Size;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Sizes\OpenCut;

/** Reads cuts, textures, and what was measured. */
final class CutReader
{
    /** @throws RequestRefused */
    public static function read(?Node $node): ?Cut
    {
        if ($node === null) {
            return null;
        }
        $shape = self::shape($node);
        $sizes = [];
        foreach ($shape->sizes() as $size) {
            $sizes[$size->key] = self::size($size, $node->required($size->key, "The size {$size->key} of a {$shape->id()}"));
        }

        return Cut::of($shape, $sizes);
    }

    /**
     * A cut as a kitchen keeps it; refused when it is not one of the contract's.
     *
     * @param  array<array-key, mixed>  $cut
     *
     * @throws RequestRefused
     */
    public static function kept(array $cut): void
    {
        self::read(new Node((object) $cut, '/cut'));
    }

    /**
     * A cut whose sizes may be left out.
     *
     * @throws RequestRefused
     */
    public static function open(?Node $node): OpenCut
    {
        $shape = $node === null ? Shapes::named('round') : self::shape($node);
        $sizes = [];
        foreach ($shape->sizes() as $size) {
            $given = $node?->get($size->key);
            if ($given !== null) {
                $sizes[$size->key] = self::size($size, $given);
            }
        }

        return OpenCut::of($shape, $sizes);
    }

    /** @throws RequestRefused when a key is there that no shape, or not this one, is given by */
    private static function shape(Node $node): Shape
    {
        $node->objectValue();
        $id = $node->required('shape', 'The shape')->string();
        $shape = Shapes::find($id) ?? throw RequestRefused::outOfRange("{$node->path}/shape", 'This must be one of: '.implode(', ', Shapes::ids()).'.');
        $own = array_map(static fn (Size $size): string => $size->key, $shape->sizes());
        $node->object(['shape', ...$own]);

        return $shape;
    }

    private static function size(Size $size, Node $node): float
    {
        return $size->unit === Size::COUNT ? (float) $node->integer(1, (int) $size->most) : $node->positive($size->most, $size->unit);
    }

    /** @throws RequestRefused */
    public static function texture(?Node $bake): ?Texture
    {
        $texture = $bake?->object(['texture'])->get('texture')?->choice(Texture::ids());

        return $texture === null ? null : Texture::of($texture);
    }

    /** @throws RequestRefused */
    public static function measured(?Node $node): Measured
    {
        $node?->object(['count', 'bakedGrams', 'wasteGrams']);

        return new Measured($node?->get('count')?->positive(10000, 'pieces'), $node?->get('bakedGrams')?->positive(100000, 'g'), $node?->get('wasteGrams')?->number(0, 100000, 'g'));
    }
}

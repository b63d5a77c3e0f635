<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;

/** A share of the dough as it was asked for; what it leaves open is taken from the recipe's own cut and texture. */
final readonly class AskedPortion
{
    public const MOST = 10;

    /**
     * @param  list<string>  $dogs  names
     * @param  array{count: ?float, bakedGrams: ?float, wasteGrams: ?float}  $measured
     */
    private function __construct(
        public ?string $name,
        public array $dogs,
        public ?float $share,
        public ?Cut $cut,
        public ?Texture $texture,
        public array $measured,
    ) {}

    /**
     * Portions as a kitchen keeps them, whoever is at the table; refused when they are not the contract's.
     *
     * @param  array<array-key, mixed>  $portions
     *
     * @throws RequestRefused
     */
    public static function kept(array $portions): void
    {
        self::all(new Node(json_decode((string) json_encode(array_values($portions))), '/portions'), null);
    }

    /**
     * @param  list<Dog>|null  $atTable  null: any name is taken
     * @return list<self>
     *
     * @throws RequestRefused
     */
    public static function all(?Node $node, ?array $atTable): array
    {
        $names = $atTable === null ? null : array_map(static fn (Dog $dog): string => $dog->name, $atTable);
        $portions = $taken = [];
        $shares = 0.0;
        foreach ($node?->list(self::MOST) ?? [] as $one) {
            $one->object(['name', 'dogs', 'share', 'cut', 'bake', 'measured']);
            $dogs = [];
            foreach ($one->get('dogs')?->list(50) ?? [] as $dog) {
                $name = $dog->string(60);
                if ($names !== null && ! in_array($name, $names, true)) {
                    throw RequestRefused::outOfRange($dog->path, "No dog called $name is at the table.");
                }
                if (isset($taken[$name])) {
                    throw RequestRefused::outOfRange($dog->path, "$name already eats from another portion.");
                }
                $taken[$name] = true;
                $dogs[] = $name;
            }
            $share = $one->get('share');
            $shares += $share?->positive(1, 'of the dough') ?? 0.0;
            if ($shares > 1 + 1e-9) {
                throw RequestRefused::outOfRange("{$one->path}/share", 'The shares come to more than the whole dough.');
            }
            $texture = $one->get('bake')?->object(['texture'])->get('texture')?->choice(Texture::ids());
            $portions[] = new self(
                $one->get('name')?->string(60), $dogs, $share?->positive(1, 'of the dough'), Request::cut($one->get('cut')),
                $texture === null ? null : Texture::of($texture), Request::measured($one->get('measured')),
            );
        }

        return $portions;
    }
}

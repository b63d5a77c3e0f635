<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Baking\Tray;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\OwnPantry;
use MildBowl\Core\Pantry\Prices;
use MildBowl\Core\Screening\Finding;

/** The question: this recipe, these dogs, this kitchen's policies. Version 1 of the contract. */
final readonly class Request
{
    public const LONGEST_TEXT = 20000;

    public const MOST_LINES = 200;

    private const KEYS = ['version', 'recipe', 'cut', 'bake', 'dogs', 'policy', 'labels', 'confirmed', 'measured', 'today', 'explain', 'names', 'pantry', 'portions', 'tray', 'oven', 'prices'];

    /**
     * @param  list<Dog>  $dogs
     * @param  list<array{name: string, ingredients: string}>  $labels
     * @param  list<array{code: string, line: ?string, dog: ?string}>  $confirmed
     * @param  array{count: ?float, bakedGrams: ?float, wasteGrams: ?float}  $measured
     * @param  array<string, string>  $names  ingredient id by the kitchen's own words for it
     * @param  list<OwnFood>  $pantry  the kitchen's own foods
     * @param  list<AskedPortion>  $portions  shares of the dough with their own cut and texture
     * @param  array{celsius: ?float, fan: bool}|null  $oven
     */
    private function __construct(
        public string $title,
        public string $text,
        public string $steps,
        public ?Cut $cut,
        public ?Texture $texture,
        public array $dogs,
        public Policy $policy,
        public array $labels,
        public array $confirmed,
        public array $measured,
        public bool $explain,
        public array $names,
        public array $pantry,
        public array $portions = [],
        public ?Tray $tray = null,
        public ?array $oven = null,
        public ?Prices $prices = null,
    ) {}

    /** The same question about another text. */
    public function withText(string $text, string $steps): self
    {
        return new self($this->title, $text, $steps, $this->cut, $this->texture, $this->dogs, $this->policy, $this->labels, $this->confirmed, $this->measured, false, $this->names, $this->pantry, $this->portions, $this->tray, $this->oven, $this->prices);
    }

    /** The same question about another cut of the whole dough. */
    public function withCut(Cut $cut): self
    {
        return new self($this->title, $this->text, $this->steps, $cut, $this->texture, $this->dogs, $this->policy, $this->labels, $this->confirmed, ['count' => null, 'bakedGrams' => null, 'wasteGrams' => null], false, $this->names, $this->pantry);
    }

    /**
     * @template T
     *
     * @param  callable(): T  $ask
     * @return T
     */
    public function withOwnPantry(callable $ask): mixed
    {
        $foods = [];
        foreach ($this->pantry as $own) {
            $foods[$own->ingredient->id] = $own->ingredient;
        }

        return OwnPantry::during($foods, $this->names, $ask);
    }

    public function texture(): Texture
    {
        return $this->texture ?? Texture::of('biscuit');
    }

    public function cutOrCount(): Cut
    {
        return $this->cut ?? new Cut('pieces', ['count' => 24.0]);
    }

    /** Whether a person has settled a finding of this line (null: of the dog). */
    public function isConfirmed(Finding $finding, ?string $line): bool
    {
        if (! $finding->level->canBeConfirmed()) {
            return false;
        }
        foreach ($this->confirmed as $one) {
            $sameCode = $one['code'] === $finding->code || $one['code'] === $finding->level->value;
            $sameLine = $one['line'] === null || ($line !== null && trim($one['line']) === trim($line));
            if ($sameCode && $sameLine && ($one['dog'] === null || $one['dog'] === $finding->dog)) {
                return true;
            }
        }

        return false;
    }

    /** @throws RequestRefused */
    public static function fromJson(string $json): self
    {
        return self::fromNode(Node::decode($json));
    }

    /**
     * @param  list<string>  $moreKeys  that another command's request may have besides
     *
     * @throws RequestRefused
     */
    public static function fromNode(Node $node, array $moreKeys = []): self
    {
        $node->object([...self::KEYS, ...$moreKeys])->requireVersion();
        $recipe = $node->required('recipe', 'The recipe')->object(['title', 'text', 'steps']);
        $text = $recipe->required('text', 'The recipe\'s text')->filled(self::LONGEST_TEXT);
        $steps = $recipe->get('steps')?->string(self::LONGEST_TEXT) ?? '';
        self::notTooManyLines($text, '/recipe/text');
        self::notTooManyLines($steps, '/recipe/steps');
        $pantry = OwnFood::all($node->get('pantry'));
        $dogs = DogReader::all($node->get('dogs'));
        $texture = $node->get('bake')?->object(['texture'])->get('texture')?->choice(Texture::ids());
        $today = $node->get('today')?->string(10);
        if ($today !== null && (preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $today, $d) !== 1 || ! checkdate((int) $d[2], (int) $d[3], (int) $d[1]))) {
            throw RequestRefused::outOfRange('/today', 'This must be a date such as 2026-05-14.');
        }

        return new self(
            $recipe->get('title')?->string(200) ?? '',
            $text,
            $steps,
            self::cut($node->get('cut')),
            $texture === null ? null : Texture::of($texture),
            $dogs,
            Policy::from($node->get('policy')),
            self::labels($node->get('labels')),
            self::confirmed($node->get('confirmed')),
            self::measured($node->get('measured')),
            $node->get('explain')?->boolean() ?? false,
            self::names($node->get('names'), $pantry),
            $pantry,
            AskedPortion::all($node->get('portions'), $dogs),
            self::tray($node->get('tray')),
            self::oven($node->get('oven')),
            $node->get('prices') === null ? null : Prices::from($node->get('prices')),
        );
    }

    /**
     * A cut as a kitchen keeps it; refused when it is not one of the contract's.
     *
     * @param  array<array-key, mixed>  $cut
     *
     * @throws RequestRefused
     */
    public static function cutOf(array $cut): Cut
    {
        $decoded = self::cut(new Node((object) $cut, '/cut'));
        assert($decoded !== null);

        return $decoded;
    }

    private static function notTooManyLines(string $text, string $path): void
    {
        if (preg_match_all('/\R\s*\S/u', "\n".$text) > self::MOST_LINES) {
            throw RequestRefused::tooLong($path, 'At most '.self::MOST_LINES.' lines.');
        }
    }

    /** @throws RequestRefused */
    public static function cut(?Node $node): ?Cut
    {
        if ($node === null) {
            return null;
        }
        $shapes = Cut::shapes();
        $all = array_values(array_unique(array_merge(...array_values($shapes))));
        $node->object(['shape', ...$all]);
        $shape = $node->required('shape', 'The shape')->choice(array_keys($shapes));
        foreach (array_keys(get_object_vars((object) $node->value)) as $key) {
            if ($key !== 'shape' && ! in_array($key, $shapes[$shape], true)) {
                throw RequestRefused::unknownKey("{$node->path}/$key");
            }
        }
        $sizes = [];
        foreach ($shapes[$shape] as $key) {
            $sizes[$key] = self::size($key, $node->required($key, "The size $key of a $shape"));
        }

        return new Cut($shape, $sizes);
    }

    /** @throws RequestRefused */
    public static function size(string $key, Node $size): float
    {
        return match (true) {
            in_array($key, ['count', 'cavities', 'columns', 'rows'], true) => (float) $size->integer(1, 10000),
            str_ends_with($key, 'Ml') || $key === 'ml' => $size->positive(5000, 'ml'),
            $key === 'areaMm2' => $size->positive(1e6, 'mm²'),
            default => $size->positive(2000, 'mm'),
        };
    }

    /**
     * @param  list<OwnFood>  $pantry
     * @return array<string, string>
     */
    private static function names(?Node $node, array $pantry): array
    {
        $names = [];
        foreach ($pantry as $own) {
            foreach ($own->names as $name) {
                $names[$name] = $own->ingredient->id;
            }
        }

        return self::namesOf($node) + $names;
    }

    /**
     * A kitchen's own words for foods; refused when they name a poison or no food is meant.
     *
     * @return array<string, string>
     *
     * @throws RequestRefused
     */
    public static function namesOf(?Node $node): array
    {
        $names = [];
        foreach ($node?->list(500) ?? [] as $one) {
            $one->object(['words', 'ingredient']);
            $words = $one->required('words', 'The words')->filled(80);
            $ingredient = $one->required('ingredient', 'The ingredient');
            OwnFood::mayBeCalled($words, "{$one->path}/words");
            if (! Catalogue::has($ingredient->filled(80))) {
                throw RequestRefused::outOfRange($ingredient->path, "The catalogue holds no ingredient \"{$ingredient->filled(80)}\".");
            }
            $names[$words] = $ingredient->filled(80);
        }

        return $names;
    }

    /** @return list<array{name: string, ingredients: string}> */
    private static function labels(?Node $node): array
    {
        $labels = [];
        foreach ($node?->list(100) ?? [] as $one) {
            $one->object(['name', 'ingredients']);
            $labels[] = [
                'name' => $one->required('name', 'The product\'s name')->filled(200),
                'ingredients' => $one->required('ingredients', 'The list of ingredients')->filled(5000),
            ];
        }

        return $labels;
    }

    /** @return list<array{code: string, line: ?string, dog: ?string}> */
    private static function confirmed(?Node $node): array
    {
        $confirmed = [];
        foreach ($node?->list(500) ?? [] as $one) {
            $one->object(['code', 'line', 'dog']);
            $confirmed[] = [
                'code' => $one->required('code', 'The code')->filled(80),
                'line' => $one->get('line')?->string(2000),
                'dog' => $one->get('dog')?->string(60),
            ];
        }

        return $confirmed;
    }

    /** @throws RequestRefused */
    private static function tray(?Node $node): ?Tray
    {
        if ($node === null) {
            return null;
        }
        $node->object(['widthMm', 'lengthMm', 'gapMm', 'atOnce']);

        return new Tray(
            $node->required('widthMm', 'The width of the tray')->number(50, 2000, 'mm'),
            $node->required('lengthMm', 'The length of the tray')->number(50, 2000, 'mm'),
            $node->get('gapMm')?->number(0, 100, 'mm') ?? Tray::GAP_MM,
            $node->get('atOnce')?->integer(1, 20) ?? 1,
        );
    }

    /** @return array{celsius: ?float, fan: bool}|null */
    private static function oven(?Node $node): ?array
    {
        $node?->object(['celsius', 'fahrenheit', 'fan']);
        if ($node === null) {
            return null;
        }
        $fahrenheit = $node->get('fahrenheit')?->number(120, 575, '°F');
        $celsius = $node->get('celsius')?->number(50, 300, '°C') ?? ($fahrenheit === null ? null : ($fahrenheit - 32) * 5 / 9);

        return ['celsius' => $celsius, 'fan' => $node->get('fan')?->boolean() ?? false];
    }

    /** @return array{count: ?float, bakedGrams: ?float, wasteGrams: ?float} */
    public static function measured(?Node $node): array
    {
        $node?->object(['count', 'bakedGrams', 'wasteGrams']);

        return [
            'count' => $node?->get('count')?->positive(10000, 'pieces'),
            'bakedGrams' => $node?->get('bakedGrams')?->positive(100000, 'g'),
            'wasteGrams' => $node?->get('wasteGrams')?->number(0, 100000, 'g'),
        ];
    }
}

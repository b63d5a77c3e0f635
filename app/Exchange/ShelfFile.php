<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Http\Resources\OwnFoodResource;
use App\Http\Resources\OwnNameResource;
use App\Http\Resources\OwnSwapResource;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Product;
use App\Models\Recipe;
use App\Support\CurrentKitchen;
use App\Support\KitchenClock;

/**
 * What one kitchen gives another as a file: recipes, and with them the products, foods, words and swaps that it chooses. A JSON-LD document
 * that any reader of schema.org recipes understands.
 */
final readonly class ShelfFile
{
    public const KINDS = ['recipes', 'products', 'foods', 'words', 'swaps'];

    private const AT_ONCE = 100;

    public function __construct(private RecipeAsLd $recipes, private CurrentKitchen $current, private KitchenClock $clock) {}

    /**
     * @param  list<string>  $kinds
     * @param  ?list<string>  $only  ids of recipes; null: all of them
     * @param  \Closure(string): void  $out  is given one part after the other
     */
    public function write(array $kinds, ?array $only, \Closure $out): void
    {
        $head = ['@context' => Terms::context(), 'bowl:from' => $this->current->get()->name, 'bowl:made' => $this->clock->today()->format('Y-m-d'), 'bowl:version' => Terms::VERSION];
        $out(substr(self::json($head), 0, -1).',"@graph":[');
        $n = 0;
        foreach ($this->nodes($kinds, $only) as $node) {
            $out(($n++ === 0 ? "\n" : ",\n").self::json($node));
        }
        $out("\n]}\n");
    }

    /**
     * @param  list<string>  $kinds
     * @param  ?list<string>  $only
     * @return \Generator<int, array<string, mixed>>
     */
    private function nodes(array $kinds, ?array $only): \Generator
    {
        if (in_array('recipes', $kinds, true)) {
            foreach (Recipe::query()->when($only !== null, static fn ($query) => $query->whereIn('id', $only ?? []))->orderBy('title')->orderBy('id')->lazy(self::AT_ONCE) as $recipe) {
                /** @var Recipe $recipe */
                yield $this->recipes->node($recipe);
            }
        }
        foreach (in_array('products', $kinds, true) ? Product::query()->with('readings')->orderBy('name')->get() : [] as $product) {
            $newest = $product->readings->first();
            yield array_filter(['@type' => 'Product', '@id' => "urn:uuid:$product->id", 'name' => $product->name, 'gtin' => $product->number, 'description' => $newest->ingredients ?? null], static fn (?string $one): bool => $one !== null)
                + ['bowl:product' => ['name' => $product->name, 'number' => $product->number, 'ingredients' => $newest->ingredients ?? '', 'readOn' => $newest?->read_on->format('Y-m-d')]];
        }
        foreach (in_array('foods', $kinds, true) ? OwnFood::query()->orderBy('name')->get() : [] as $food) {
            yield ['@type' => 'bowl:Food', 'name' => $food->name, 'bowl:food' => (new OwnFoodResource($food))->toArray(request())['food']];
        }
        foreach (in_array('words', $kinds, true) ? OwnName::query()->orderBy('words')->get() : [] as $word) {
            yield ['@type' => 'bowl:Word', 'name' => $word->words, 'bowl:word' => array_intersect_key((new OwnNameResource($word))->toArray(request()), ['words' => 1, 'ingredient' => 1])];
        }
        foreach (in_array('swaps', $kinds, true) ? OwnSwap::query()->orderBy('out')->orderBy('in')->get() : [] as $swap) {
            yield ['@type' => 'bowl:Swap', 'name' => "$swap->in for $swap->out", 'bowl:swap' => (new OwnSwapResource($swap))->toArray(request())['swap']];
        }
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}

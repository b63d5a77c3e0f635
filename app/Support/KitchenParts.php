<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Price;
use Illuminate\Database\Eloquent\Model;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\OwnFoodReader;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\LineReader;

/** What the open kitchen adds to a question: its house rules, its foods and words, its prices and swaps, its tray and its oven. */
final class KitchenParts
{
    /** @var array<string, mixed>|null worked out once a request */
    private ?array $parts = null;

    public function __construct(private readonly CurrentKitchen $current) {}

    /** @return array<string, mixed> by the keys of the contract */
    public function all(): array
    {
        return $this->parts ??= $this->read();
    }

    /** The foods this kitchen may name, its own among them. */
    public function catalogue(): Catalogue
    {
        return self::catalogueWith(self::ownFoods());
    }

    /** Reads a line as core does, for what has nothing to do with this kitchen's own words. */
    public function lines(): LineReader
    {
        return Kitchen::shipped()->reader->lines;
    }

    /** @return array<string, mixed> */
    private function read(): array
    {
        $kitchen = $this->current->get();
        $pantry = self::ownFoods();
        $catalogue = self::catalogueWith($pantry);
        // a food that was taken off the shelf takes its prices, words and swaps with it
        $known = static fn (string ...$ids): bool => array_filter($ids, $catalogue->has(...)) === $ids;

        return [
            'policy' => [
                'energySchool' => $kitchen->energy_school, 'calorieConvention' => $kitchen->calorie_convention, 'garlic' => $kitchen->garlic,
                'units' => $kitchen->units, 'pseudoGrains' => $kitchen->pseudo_grains, 'budgetPercent' => $kitchen->budget_percent,
            ],
            'pantry' => $pantry,
            'names' => self::rows(OwnName::class, 'words', static fn (OwnName $one): ?array => $known($one->ingredient) ? ['words' => $one->words, 'ingredient' => $one->ingredient] : null),
            'prices' => self::rows(Price::class, 'ingredient', static fn (Price $one): ?array => $known($one->ingredient) ? ['ingredient' => $one->ingredient, 'grams' => $one->grams, 'price' => $one->price] : null),
            'swaps' => self::rows(OwnSwap::class, 'out', static fn (OwnSwap $one): ?array => $known($one->out, $one->in) ? ['out' => $one->out, 'in' => $one->in, 'ratio' => $one->ratio, 'rating' => $one->rating, 'note' => $one->note] : null),
            'tray' => ['widthMm' => $kitchen->tray_width_mm, 'lengthMm' => $kitchen->tray_length_mm, 'gapMm' => $kitchen->tray_gap_mm, 'atOnce' => $kitchen->trays_at_once],
            'oven' => ['fan' => $kitchen->oven_fan],
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function ownFoods(): array
    {
        return self::rows(OwnFood::class, 'name', static fn (OwnFood $one): array => ['name' => $one->name] + $one->fields);
    }

    /**
     * @template T of Model
     *
     * @param  class-string<T>  $model
     * @param  callable(T): ?array<string, mixed>  $row  null leaves it out
     * @return list<array<string, mixed>>
     */
    private static function rows(string $model, string $order, callable $row): array
    {
        $rows = [];
        foreach ($model::query()->orderBy($order)->get() as $one) {
            /** @var T $one */
            $rows[] = $row($one);
        }

        return array_values(array_filter($rows, static fn (?array $one): bool => $one !== null));
    }

    /** @param  list<array<string, mixed>>  $pantry */
    private static function catalogueWith(array $pantry): Catalogue
    {
        $shipped = Kitchen::shipped()->catalogue;
        $node = new Node(json_decode(json_encode($pantry, JSON_THROW_ON_ERROR)), '/pantry');

        return $shipped->with(OwnFoodReader::all($node, $shipped), []);
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Http\Resources\AcceptedFactorResource;
use App\Http\Resources\BagResource;
use App\Http\Resources\BatchSlipResource;
use App\Http\Resources\ConfirmationResource;
use App\Http\Resources\DogResource;
use App\Http\Resources\OccasionResource;
use App\Http\Resources\OwnFoodResource;
use App\Http\Resources\OwnNameResource;
use App\Http\Resources\OwnSwapResource;
use App\Http\Resources\PlaceResource;
use App\Http\Resources\PlannedBakeResource;
use App\Http\Resources\PriceResource;
use App\Http\Resources\ProductResource;
use App\Http\Resources\StockItemResource;
use App\Http\Resources\TrialResource;
use App\Http\Resources\WeighingResource;
use App\Models\AcceptedFactor;
use App\Models\Bag;
use App\Models\Batch;
use App\Models\Confirmation;
use App\Models\Dog;
use App\Models\Occasion;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Place;
use App\Models\PlannedBake;
use App\Models\Price;
use App\Models\Product;
use App\Models\Recipe;
use App\Models\StockItem;
use App\Models\Trial;
use App\Models\Weighing;
use Illuminate\Database\Eloquent\Model;

/** What a kitchen keeps, by the words of the API: each kind with its rows and how they are told. */
final class Kinds
{
    public const ROWS = [
        'dogs' => Dog::class, 'recipes' => Recipe::class, 'products' => Product::class, 'names' => OwnName::class, 'foods' => OwnFood::class,
        'swaps' => OwnSwap::class, 'prices' => Price::class, 'weighings' => Weighing::class, 'confirmations' => Confirmation::class, 'batches' => Batch::class, 'accepted' => AcceptedFactor::class, 'places' => Place::class, 'bags' => Bag::class, 'stock' => StockItem::class, 'planned' => PlannedBake::class, 'trials' => Trial::class, 'occasions' => Occasion::class,
    ];

    private const TOLD = [
        'dogs' => DogResource::class, 'products' => ProductResource::class, 'names' => OwnNameResource::class, 'foods' => OwnFoodResource::class,
        'swaps' => OwnSwapResource::class, 'prices' => PriceResource::class, 'weighings' => WeighingResource::class, 'confirmations' => ConfirmationResource::class,
        'batches' => BatchSlipResource::class, 'accepted' => AcceptedFactorResource::class, 'places' => PlaceResource::class, 'bags' => BagResource::class, 'stock' => StockItemResource::class, 'planned' => PlannedBakeResource::class, 'trials' => TrialResource::class, 'occasions' => OccasionResource::class,
    ];

    /** What is told of a row is read with it. */
    private const WITH = ['products' => ['readings'], 'weighings' => ['dog']];

    /** What a row of a kind is called by. */
    private const CALLED = ['dogs' => 'name', 'recipes' => 'title', 'products' => 'name', 'names' => 'words', 'foods' => 'name', 'swaps' => 'in', 'prices' => 'ingredient', 'weighings' => 'weighed_on', 'confirmations' => 'words', 'batches' => 'title', 'accepted' => 'says', 'places' => 'name', 'bags' => 'title', 'stock' => 'ingredient', 'planned' => 'title', 'trials' => 'title', 'occasions' => 'name'];

    /** Of which only one stands at a time, the newest: one and the same by these columns. */
    private const LATEST = ['stock' => ['ingredient'], 'planned' => ['recipe_id', 'batch_id']];

    public static function of(Model $row): string
    {
        return (string) array_search($row::class, self::ROWS, true);
    }

    /**
     * @param  list<string>  $ids
     * @return list<mixed> as they are told; recipes as the shelf shows them
     */
    public static function told(string $kind, array $ids): array
    {
        if ($kind === 'recipes') {
            return app(Slips::class)->some($ids);
        }
        $rows = (self::ROWS[$kind])::query()->with(self::WITH[$kind] ?? [])->whereIn('id', $ids)->get();

        $told = [];
        foreach ($rows as $row) {
            $told[] = new (self::TOLD[$kind])($row);
        }

        return $told;
    }

    public static function nameOf(Model $row): string
    {
        $said = $row->getAttribute(self::CALLED[self::of($row)]);

        return $said instanceof \DateTimeInterface ? $said->format('Y-m-d') : (is_scalar($said) ? (string) $said : '');
    }

    /** Whether a newer one stands in its place. */
    public static function isReplaced(Model $row): bool
    {
        $columns = self::LATEST[self::of($row)] ?? [];

        return $columns !== [] && $row->newQuery()->where($row->only($columns))->exists();
    }

    /** The column that bears the name, where only one of the kind may bear it. */
    public static function nameColumn(string $kind): ?string
    {
        return in_array($kind, ['dogs', 'products', 'foods', 'names', 'places'], true) ? self::CALLED[$kind] : null;
    }
}

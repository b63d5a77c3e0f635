<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\Product;
use Illuminate\Database\Eloquent\Model;
use MildBowl\Core\Data\Compiled;

/** What the verdict of a kept recipe rests on besides the recipe: a verdict is shown as long as none of it has changed. */
final readonly class KitchenState
{
    public function __construct(private CurrentKitchen $current) {}

    /** The same for the same dogs, house rules, foods, words, labels and data; another as soon as any of them is another. */
    public function mark(): string
    {
        $kitchen = $this->current->get();
        $bare = static fn (Model $one): array => array_diff_key($one->attributesToArray(), ['created_at' => 1, 'updated_at' => 1, 'position' => 1]);

        return hash('xxh128', json_encode([
            Compiled::version(), $kitchen->energy_school, $kitchen->calorie_convention, $kitchen->garlic, $kitchen->units, $kitchen->pseudo_grains, $kitchen->budget_percent,
            Dog::query()->orderBy('id')->get()->map($bare)->all(),
            OwnFood::query()->orderBy('id')->get()->map($bare)->all(),
            OwnName::query()->orderBy('id')->get()->map($bare)->all(),
            Product::query()->with('readings')->orderBy('id')->get()->map(static fn (Product $one): array => [$one->id, $one->name, $one->readings->first()->ingredients ?? ''])->all(),
        ], JSON_THROW_ON_ERROR));
    }
}

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
    public function __construct(private CurrentKitchen $current, private KitchenWords $words, private WatchedDogs $watched) {}

    /** The same for the same dogs, house rules, foods, words, labels and data on the same day; another as soon as any of them is another, a dog has grown older by half a month or is at another step of a trial. Who sits at the table is none of it: every dog is judged for. */
    public function mark(): string
    {
        $kitchen = $this->current->get();

        return hash('xxh128', json_encode([
            Compiled::version(), $kitchen->energy_school, $kitchen->calorie_convention, $kitchen->garlic, $kitchen->units, $kitchen->pseudo_grains, $kitchen->budget_percent,
            self::rows(Dog::class), self::ages(), self::rows(OwnFood::class), self::rows(OwnName::class), self::labels(), $this->words->mark(), $this->watched->effects(),
        ], JSON_THROW_ON_ERROR));
    }

    /**
     * @param  class-string<Model>  $model
     * @return list<array<string, mixed>>
     */
    private static function rows(string $model): array
    {
        $rows = [];
        foreach ($model::query()->orderBy('id')->get() as $one) {
            /** @var Model $one */
            $rows[] = array_diff_key($one->attributesToArray(), ['created_at' => 1, 'updated_at' => 1, 'position' => 1, 'at_table' => 1, 'version' => 1]);
        }

        return $rows;
    }

    /** @return list<?float> in half months */
    private static function ages(): array
    {
        $ages = [];
        foreach (Dog::query()->orderBy('id')->get() as $dog) {
            /** @var Dog $dog */
            $months = $dog->ageMonths();
            $ages[] = $months === null ? null : floor($months * 2) / 2;
        }

        return $ages;
    }

    /** @return list<array{string, string, string}> the newest wording of each product */
    private static function labels(): array
    {
        $labels = [];
        foreach (Product::query()->with('readings')->orderBy('id')->get() as $one) {
            /** @var Product $one */
            $labels[] = [$one->id, $one->name, $one->readings->first()->ingredients ?? ''];
        }

        return $labels;
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A recipe that is to be baked on a day.
 *
 * @property string $id
 * @property string $recipe_id
 * @property CarbonImmutable $on
 * @property ?string $batch_id the batch that answered it
 */
final class PlannedBake extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'planned_bakes';

    protected $fillable = ['id', 'recipe_id', 'on', 'batch_id'];

    /** @var array<string, string> */
    protected $casts = ['on' => 'immutable_date'];

    /** What it is called by: its recipe. */
    public function getTitleAttribute(): string
    {
        return Recipe::withTrashed()->find($this->recipe_id)->title ?? 'a recipe';
    }

    /** @return Builder<self> those that no batch answered yet */
    public static function open(): Builder
    {
        $open = self::query();
        $open->getQuery()->whereNull('batch_id');

        return $open;
    }

    /** A batch of the recipe was begun: what was planned until the day after is done. */
    public static function answer(Batch $batch, string $today): void
    {
        if ($batch->recipe_id === null) {
            return;
        }
        $tomorrow = CarbonImmutable::parse($today)->addDay()->format('Y-m-d');
        self::open()->where('recipe_id', $batch->recipe_id)->where('on', '<=', $tomorrow)->first()?->update(['batch_id' => $batch->id]);
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A row that belongs to one kitchen. Every query goes through the open kitchen; with none open it throws.
 *
 * @property int $kitchen_id
 */
trait BelongsToKitchen
{
    public static function bootBelongsToKitchen(): void
    {
        static::addGlobalScope('kitchen', function (Builder $query): void {
            $query->where($query->qualifyColumn('kitchen_id'), app(CurrentKitchen::class)->id());
        });
        static::creating(function (self $model): void {
            $model->kitchen_id = app(CurrentKitchen::class)->id();
        });
    }

    /** @return BelongsTo<Kitchen, $this> */
    public function kitchen(): BelongsTo
    {
        return $this->belongsTo(Kitchen::class);
    }

    /**
     * The key is the kitchen with the id.
     *
     * @param  Builder<static>  $query
     * @return Builder<static>
     */
    protected function setKeysForSaveQuery($query): Builder
    {
        return parent::setKeysForSaveQuery($query)->where('kitchen_id', $this->kitchen_id);
    }

    /**
     * Read again it is the same row: another kitchen may have one of the same id, out of the same backup.
     *
     * @param  Builder<static>  $query
     * @return Builder<static>
     */
    protected function setKeysForSelectQuery($query): Builder
    {
        return parent::setKeysForSelectQuery($query)->where('kitchen_id', $this->kitchen_id);
    }
}

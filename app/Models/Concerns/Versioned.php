<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Support\Journal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A row whose every change counts its version up and is written down with what stood there before. What is taken away lies in the trash.
 *
 * @property int $version
 * @property ?\Carbon\CarbonInterface $deleted_at
 *
 * @mixin Model
 */
trait Versioned
{
    use SoftDeletes;

    /** @var array<string, mixed> what the change that is being made takes the place of */
    private array $before = [];

    public function initializeVersioned(): void
    {
        $this->attributes['version'] ??= 1;
    }

    public static function bootVersioned(): void
    {
        static::created(static fn (self $row) => app(Journal::class)->wrote($row, []));
        static::updating(static function (self $row): void {
            $row->before = array_intersect_key($row->asItWas(), array_diff_key($row->getDirty(), array_flip(['version', 'updated_at', ...$row->unsaid()])));
            if ($row->before !== []) {
                $row->version = $row->version + 1;
            }
        });
        static::updated(static function (self $row): void {
            if ($row->before !== []) {
                app(Journal::class)->wrote($row, $row->before);
            }
            $row->before = [];
        });
        static::softDeleted(static function (self $row): void {
            $row->touched(['deleted_at' => null]);
        });
    }

    /**
     * Something that belongs to it was changed, and so was it.
     *
     * @param  array<string, mixed>  $before  what was told of it, by columns or other words
     */
    public function touched(array $before): void
    {
        $this->setKeysForSaveQuery($this->newModelQuery())->update(['version' => $this->version + 1]);
        $this->version = $this->version + 1;
        $this->syncOriginalAttribute('version');
        app(Journal::class)->wrote($this, $before);
    }

    /** @return array<string, mixed> by columns, as JSON has them */
    public function asItWas(): array
    {
        return $this->newInstance([], true)->setRawAttributes($this->getRawOriginal())->attributesToArray();
    }

    /** @return list<string> columns that the kitchen works out by itself: nobody changed them */
    protected function unsaid(): array
    {
        return [];
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Change;
use App\Models\DiaryEntry;
use App\Models\Photo;
use App\Models\ProductReading;
use App\Models\Recipe;
use App\Models\Trial;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Questions\RequestRefused;

/** What was taken away: it can be brought back for thirty days, then it is gone. */
final readonly class Trash
{
    public const DAYS = 30;

    public function __construct(private CurrentKitchen $current, private KitchenClock $clock, private Trying $trying) {}

    /** @return list<array{kind: string, id: string, name: string, takenAt: string, goneOn: string}> the latest first */
    public function all(): array
    {
        $found = [];
        foreach (Kinds::ROWS as $kind => $model) {
            foreach ($model::onlyTrashed()->where('deleted_at', '>', $this->clock->now()->subDays(self::DAYS))->latest('deleted_at')->limit(500)->get() as $row) {
                /** @var Model $row */
                $at = \Carbon\CarbonImmutable::parse($row->getAttribute('deleted_at'));
                $found[] = ['kind' => $kind, 'id' => (string) $row->getKey(), 'name' => Kinds::nameOf($row), 'takenAt' => $at->toIso8601String(), 'goneOn' => $at->addDays(self::DAYS)->format('Y-m-d')];
            }
        }
        usort($found, static fn (array $one, array $two): int => $two['takenAt'] <=> $one['takenAt']);

        return $found;
    }

    /**
     * Brings it back; under another name where its own was given to another meanwhile.
     *
     * @throws RequestRefused when a newer one stands in its place, or another trial runs meanwhile
     */
    public function restore(string $kind, Model $row): void
    {
        if (Kinds::isReplaced($row)) {
            throw RequestRefused::outOfRange('/id', 'A newer one stands in its place: there is nothing to bring back.');
        }
        if ($row instanceof Trial) {
            $this->trying->check($row);
        }
        $column = Kinds::nameColumn($kind);
        if ($column !== null) {
            $name = (string) $row->getAttribute($column);
            for ($n = 2; $n < 100 && self::isBorne($kind, $column, (string) $row->getAttribute($column)); $n++) {
                $row->setAttribute($column, mb_substr($name, 0, 50)." ($n)");
            }
        }
        $row->setAttribute('deleted_at', null);
        $row->save();
    }

    /** Once a day, with the first write of the day. */
    public function sweepOnceADay(): void
    {
        $today = $this->clock->today()->format('Y-m-d');
        $kitchen = $this->current->id();
        if (DB::table('kitchens')->where('id', $kitchen)->whereRaw('swept_on IS DISTINCT FROM ?', [$today])->update(['swept_on' => $today]) === 0) {
            return;
        }
        $old = $this->clock->now()->subDays(self::DAYS);
        foreach (Kinds::ROWS as $model) {
            $model::onlyTrashed()->where('deleted_at', '<=', $old)->forceDelete();
        }
        Photo::query()->where('created_at', '<=', $old)->whereNotIn('id', Recipe::withTrashed()->whereNotNull('photo_id')->select('photo_id'))
            ->whereNotIn('id', DiaryEntry::query()->whereNotNull('photo_id')->select('photo_id'))
            ->whereNotIn('id', ProductReading::query()->whereNotNull('photo_id')->select('photo_id'))->delete();
        Change::query()->where('made_at', '<=', $old->subDays(self::DAYS))->delete();
        DB::table('deliveries')->where('kitchen_id', $kitchen)->where('came_at', '<=', $old)->delete();
    }

    private static function isBorne(string $kind, string $column, string $name): bool
    {
        return (Kinds::ROWS[$kind])::query()->whereRaw("lower($column) = lower(?)", [$name])->exists();
    }
}

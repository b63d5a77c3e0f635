<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use App\Support\BagShelf;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use MildBowl\Core\Watching\Trial as Told;
use MildBowl\Core\Watching\TrialKind;
use MildBowl\Core\Watching\TrialOutcome;

/**
 * A trial of one dog, as core knows it.
 *
 * @property string $id
 * @property string $dog_id
 * @property string $kind
 * @property list<string> $foods ids of foods or groups
 * @property CarbonImmutable $from
 * @property int $days
 * @property bool $vet_said
 * @property ?CarbonImmutable $ended_on
 * @property ?string $outcome well, badly or open
 * @property ?string $saw
 */
final class Trial extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'trials';

    protected $fillable = ['id', 'dog_id', 'kind', 'foods', 'from', 'days', 'vet_said', 'ended_on', 'outcome', 'saw'];

    /** @var array<string, string> */
    protected $casts = ['foods' => 'array', 'from' => 'immutable_date', 'ended_on' => 'immutable_date', 'days' => 'integer', 'vet_said' => 'boolean'];

    /** What it is called by: the dog and its foods. */
    public function getTitleAttribute(): string
    {
        return (Dog::withTrashed()->find($this->dog_id)->name ?? 'a dog').': '.implode(', ', array_map(static fn (string $food): string => str_replace('-', ' ', $food), $this->foods));
    }

    /** @return array<string, mixed> as the page is told on a day */
    public function told(string $today): array
    {
        $told = $this->inCore();
        $on = BagShelf::day($today);

        return [
            'id' => $this->id, 'version' => $this->version, 'dogId' => $this->dog_id, 'kind' => $this->kind, 'foods' => $this->foods, 'from' => $told->from->iso, 'days' => $told->days, 'lastDay' => $told->lastDay()->iso,
            'vetSaid' => $told->vetSaid, 'endedOn' => $told->ended?->iso, 'outcome' => $this->outcome, 'saw' => $this->saw, 'isOpen' => $told->isOpen($on), 'isDue' => $told->isDue($on), 'says' => $told->says($on),
            'dates' => array_map(static fn (string $day, string $says): array => ['on' => $day, 'says' => $says], array_keys($told->dates()), $told->dates()),
        ];
    }

    public function inCore(): Told
    {
        return new Told(
            $this->id, TrialKind::from($this->kind), $this->foods, BagShelf::day($this->from->format('Y-m-d')), $this->days, $this->vet_said,
            $this->ended_on === null ? null : BagShelf::day($this->ended_on->format('Y-m-d')), $this->outcome === null ? null : TrialOutcome::from($this->outcome), $this->saw,
        );
    }
}

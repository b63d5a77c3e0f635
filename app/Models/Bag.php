<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A bag, a jar or a tub: what is in it, and how it stands after everything that was done with it.
 *
 * @property string $id
 * @property int $number
 * @property string $title
 * @property string $content treats, dough or food
 * @property ?string $batch_id
 * @property ?string $lot
 * @property CarbonImmutable $made
 * @property array{class: string, days: array<string, int>, atMost: array<string, int>, thawedDays: int, isDry: bool} $keeps
 * @property string $because
 * @property list<string> $for_dogs ids
 * @property ?string $note
 * @property ?string $ingredient
 * @property ?float $grams
 * @property ?string $place_id
 * @property float $pieces
 * @property float $put_pieces
 * @property ?CarbonImmutable $best_before
 * @property ?CarbonImmutable $at_most
 * @property bool $frozen
 * @property ?CarbonImmutable $thawed_on
 * @property int $thawed_days
 * @property string $state here, empty or undone
 * @property ?CarbonImmutable $ended_at
 */
final class Bag extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $fillable = [
        'id', 'number', 'title', 'content', 'batch_id', 'lot', 'made', 'keeps', 'because', 'for_dogs', 'note', 'ingredient', 'grams', 'place_id', 'pieces', 'put_pieces', 'best_before', 'at_most', 'frozen',
        'thawed_on', 'thawed_days', 'state', 'ended_at',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'made' => 'immutable_date', 'keeps' => 'array', 'for_dogs' => 'array', 'grams' => 'float', 'pieces' => 'float', 'put_pieces' => 'float', 'best_before' => 'immutable_date', 'at_most' => 'immutable_date',
        'frozen' => 'boolean', 'thawed_on' => 'immutable_date', 'thawed_days' => 'integer', 'ended_at' => 'immutable_datetime',
    ];

    protected $dateFormat = 'Y-m-d H:i:s.vO';
}

<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A birthday, a holiday, a tin for each boat: who comes, what is served, and what goes into which box.
 *
 * @phpstan-type Guest array{id: string, name: string, weightKg: ?float, ageMonths: ?float, allergies: list<string>|null, conditions: list<string>|null, medicines: list<string>}
 * @phpstan-type Treat array{recipeId: string, bakeOn: ?string}
 * @phpstan-type Share array{dog: string, recipeId: ?string, pieces: float|string|null}
 * @phpstan-type Box array{id: string, for: string, dog: ?string, recipeId: string, pieces: float, in: string}
 *
 * @property string $id
 * @property string $name
 * @property CarbonImmutable $on
 * @property ?string $at by the kitchen's clock
 * @property string $place
 * @property ?int $transport_minutes on the way there
 * @property string $words
 * @property list<string> $dogs ids of dogs of this kitchen
 * @property list<Guest> $guests dogs of other people
 * @property list<Treat> $treats
 * @property list<Share> $shares
 * @property list<Box> $boxes
 */
final class Occasion extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $fillable = ['id', 'name', 'on', 'at', 'place', 'transport_minutes', 'words', 'dogs', 'guests', 'treats', 'shares', 'boxes'];

    /** @var array<string, string> */
    protected $casts = ['on' => 'immutable_date', 'transport_minutes' => 'integer', 'dogs' => 'array', 'guests' => 'array', 'treats' => 'array', 'shares' => 'array', 'boxes' => 'array'];
}

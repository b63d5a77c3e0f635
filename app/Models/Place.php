<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A place of the kitchen's own where treats are kept: the jar on the dresser, the fridge, a neighbour's freezer.
 *
 * @property string $id
 * @property string $name
 * @property string $kind jar, fridge or freezer
 * @property ?float $celsius of the room a jar stands in
 * @property int $position
 */
final class Place extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $fillable = ['id', 'name', 'kind', 'celsius', 'position'];

    /** @var array<string, string> */
    protected $casts = ['celsius' => 'float', 'position' => 'integer'];
}

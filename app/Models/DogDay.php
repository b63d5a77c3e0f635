<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Illuminate\Database\Eloquent\Model;

/**
 * What a dog's day of treats came to when it was last reckoned.
 *
 * @property string $dog_id
 * @property string $on
 * @property float $kcal
 * @property ?float $budget_kcal
 * @property float $garlic_g
 * @property bool $predator_fish
 * @property bool $over
 * @property ?list<string> $foods what it ate, by id; null where nobody has looked yet
 */
final class DogDay extends Model
{
    use BelongsToKitchen;

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'dog_id';

    protected $keyType = 'string';

    protected $fillable = ['dog_id', 'on', 'kcal', 'budget_kcal', 'garlic_g', 'predator_fish', 'over', 'foods'];

    /** @var array<string, string> */
    protected $casts = ['kcal' => 'float', 'budget_kcal' => 'float', 'garlic_g' => 'float', 'predator_fish' => 'boolean', 'over' => 'boolean', 'foods' => 'array'];
}

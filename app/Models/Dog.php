<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use App\Support\KitchenClock;
use Carbon\CarbonImmutable;
use Database\Factories\DogFactory;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use stdClass;

/**
 * @property string $id
 * @property string $name
 * @property ?float $weight_kg
 * @property ?CarbonImmutable $born_on
 * @property ?string $sex
 * @property ?bool $neutered
 * @property ?int $body_condition
 * @property string $activity
 * @property ?string $breed
 * @property ?float $expected_adult_weight_kg
 * @property ?string $stage
 * @property string $teeth
 * @property string $eating
 * @property list<string> $allergies
 * @property ?list<string> $allow_list
 * @property list<string> $conditions
 * @property list<string> $medicines
 * @property list<string> $new_ingredients
 * @property list<string> $dislikes
 * @property ?float $food_kcal_per_100g
 * @property ?float $budget_percent
 * @property ?int $meals
 * @property ?string $weight_said what was said where it was more than a number: "50 to 60 lb"
 * @property bool $at_table
 * @property int $position
 */
final class Dog extends Model
{
    /** @use HasFactory<DogFactory> */
    use BelongsToKitchen, HasFactory, HasUuids, Versioned;

    protected $table = 'dogs';

    private const DAYS_A_MONTH = 30.4375;

    private const SECONDS_A_DAY = 86400;

    protected $fillable = [
        'id', 'name', 'weight_kg', 'born_on', 'sex', 'neutered', 'body_condition', 'activity', 'breed', 'expected_adult_weight_kg', 'stage', 'teeth', 'eating',
        'allergies', 'allow_list', 'conditions', 'medicines', 'new_ingredients', 'dislikes', 'food_kcal_per_100g', 'budget_percent', 'at_table', 'position', 'meals', 'weight_said',
    ];

    protected $attributes = [
        'activity' => 'normal', 'teeth' => 'full', 'eating' => 'normal', 'allergies' => '[]', 'conditions' => '[]', 'medicines' => '[]',
        'new_ingredients' => '[]', 'dislikes' => '[]', 'at_table' => true, 'position' => 0,
    ];

    /** @var array<string, string> */
    protected $casts = [
        'weight_kg' => 'float', 'born_on' => 'immutable_date', 'neutered' => 'boolean', 'body_condition' => 'integer', 'expected_adult_weight_kg' => 'float',
        'allergies' => 'array', 'allow_list' => 'array', 'conditions' => 'array', 'medicines' => 'array', 'new_ingredients' => 'array', 'dislikes' => 'array',
        'food_kcal_per_100g' => 'float', 'budget_percent' => 'float', 'at_table' => 'boolean', 'position' => 'integer', 'meals' => 'integer',
    ];

    /** @return array<string, mixed> what core is told of it, by the keys of the contract; null where it is not known */
    public function told(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'weightKg' => $this->weight_kg,
            'ageMonths' => $this->ageMonths(),
            'sex' => $this->sex,
            'neutered' => $this->neutered,
            'bodyCondition' => $this->body_condition,
            'activity' => $this->activity,
            'breed' => $this->breed,
            'expectedAdultWeightKg' => $this->expected_adult_weight_kg,
            'stage' => $this->stage,
            'teeth' => $this->teeth,
            'eating' => $this->eating,
            'allergies' => $this->allergies,
            'allowList' => $this->allow_list,
            'conditions' => $this->conditions,
            'medicines' => $this->medicines,
            'newIngredients' => $this->new_ingredients,
            'dislikes' => $this->dislikes,
            'foodKcalPer100g' => $this->food_kcal_per_100g,
            'budgetPercent' => $this->budget_percent,
        ];
    }

    /** What is known of it, as core takes it: what nobody knows is left out. */
    public function known(): stdClass
    {
        return (object) array_filter($this->told(), static fn (mixed $one): bool => $one !== null);
    }

    /** Age in months, on the kitchen's day or on another. */
    public function ageMonths(?CarbonImmutable $on = null): ?float
    {
        $born = $this->born_on;
        if ($born === null) {
            return null;
        }
        // both are dates without a time
        $seconds = ($on ?? app(KitchenClock::class)->today())->getTimestamp() - $born->getTimestamp();

        return round(max(0, $seconds / self::SECONDS_A_DAY) / self::DAYS_A_MONTH, 2);
    }

    public static function bornOn(float $ageMonths): CarbonImmutable
    {
        return app(KitchenClock::class)->today()->subDays((int) round($ageMonths * self::DAYS_A_MONTH));
    }
}

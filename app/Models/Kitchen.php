<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\KitchenFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use MildBowl\Core\Telling\HouseUnits;

/**
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $baker
 * @property string $energy_school
 * @property string $calorie_convention
 * @property string $garlic
 * @property string $units
 * @property string $pseudo_grains
 * @property ?float $budget_percent
 * @property string $amounts_as
 * @property string $temperature
 * @property float $tray_width_mm
 * @property float $tray_length_mm
 * @property float $tray_gap_mm
 * @property int $trays_at_once
 * @property bool $oven_fan
 * @property string $weights_as
 * @property string $sizes_as
 * @property string $dates_as
 * @property int $version
 * @property int $changed
 * @property ?string $calendar_token
 * @property int $backups_kept how many nightly backups
 * @property list<string> $label_languages in which labels are read, such as en
 * @property string $timezone a name such as Europe/London
 */
final class Kitchen extends Model
{
    /** @use HasFactory<KitchenFactory> */
    use HasFactory;

    protected $table = 'kitchens';

    protected $attributes = ['timezone' => 'UTC', 'backups_kept' => 14, 'label_languages' => '["en"]'];

    protected $fillable = ['slug', 'name', 'baker', 'energy_school', 'calorie_convention', 'garlic', 'units', 'pseudo_grains', 'budget_percent', 'amounts_as', 'temperature', 'tray_width_mm', 'tray_length_mm', 'tray_gap_mm', 'trays_at_once', 'oven_fan', 'timezone', 'weights_as', 'sizes_as', 'dates_as', 'version', 'backups_kept', 'label_languages'];

    /** @var array<string, string> */
    protected $casts = ['budget_percent' => 'float', 'tray_width_mm' => 'float', 'tray_length_mm' => 'float', 'tray_gap_mm' => 'float', 'trays_at_once' => 'integer', 'oven_fan' => 'boolean', 'version' => 'integer', 'changed' => 'integer', 'backups_kept' => 'integer', 'label_languages' => 'array'];

    /** In what it writes weights, sizes and heats. */
    public function houseUnits(): HouseUnits
    {
        return new HouseUnits($this->weights_as === 'lb', $this->sizes_as === 'in', $this->temperature);
    }
}

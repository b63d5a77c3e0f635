<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * What was learned of one class of treat out of one oven, and accepted by a person: plans reckon with it until it is taken back.
 *
 * @property string $id
 * @property string $oven
 * @property string $class
 * @property string $of
 * @property float $factor
 * @property string $says
 * @property string $by
 */
final class AcceptedFactor extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'accepted_factors';

    protected $fillable = ['id', 'oven', 'class', 'of', 'factor', 'says', 'by'];

    /** @var array<string, string> */
    protected $casts = ['factor' => 'float'];
}

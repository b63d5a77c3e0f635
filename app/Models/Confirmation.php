<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $code
 * @property string $level
 * @property ?string $line
 * @property ?string $dog as it was called when it was said
 * @property ?string $dog_id
 * @property ?string $recipe_title
 * @property string $words
 * @property string $said_by
 * @property string $data_version
 * @property CarbonImmutable $said_at
 * @property ?CarbonImmutable $taken_back_at
 * @property ?CarbonImmutable $holds_until the last day on which a vet's word holds; null for a label
 * @property ?string $product_id the jar that was read
 * @property list<string> $known conditions and medicines that the dog had when the vet spoke
 */
final class Confirmation extends Model
{
    use BelongsToKitchen, HasUuids, Versioned;

    protected $table = 'confirmations';

    protected $fillable = ['id', 'code', 'level', 'line', 'dog', 'dog_id', 'recipe_title', 'words', 'said_by', 'data_version', 'said_at', 'taken_back_at', 'holds_until', 'product_id', 'known'];

    /** @var array<string, string> */
    protected $casts = ['said_at' => 'immutable_datetime', 'taken_back_at' => 'immutable_datetime', 'holds_until' => 'immutable_date', 'known' => 'array'];

    protected $attributes = ['known' => '[]'];
}

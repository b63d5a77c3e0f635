<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Carbon\CarbonImmutable;
use Database\Factories\RecipeFactory;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $title
 * @property string $text
 * @property string $steps
 * @property ?array<string, mixed> $cut
 * @property ?string $texture
 * @property CarbonImmutable $updated_at
 */
final class Recipe extends Model
{
    /** @use HasFactory<RecipeFactory> */
    use BelongsToKitchen, HasFactory, HasUuids;

    protected $fillable = ['title', 'text', 'steps', 'cut', 'texture'];

    protected $attributes = ['steps' => ''];

    /** @var array<string, string> */
    protected $casts = ['cut' => 'array', 'updated_at' => 'immutable_datetime'];
}

<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use App\Models\Concerns\Versioned;
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
 * @property ?list<array<string, mixed>> $portions
 * @property ?list<array<string, mixed>> $parts
 * @property ?list<array{dog: string, sections: list<string>}> $without
 * @property ?string $parent_id
 * @property string $notes
 * @property bool $promoted
 * @property ?string $source
 * @property ?string $yield
 * @property ?float $prep_minutes
 * @property ?float $bake_minutes
 * @property list<string> $tags
 * @property bool $favourite
 * @property ?string $photo_id
 * @property list<array{code: string, line: ?string, dog: ?string}> $confirmed labels that were read for its own lines
 * @property list<array{line: string, productId: string}> $bound
 * @property ?array<string, mixed> $judged what it rested on is `of`
 * @property CarbonImmutable $updated_at
 */
final class Recipe extends Model
{
    /** @use HasFactory<RecipeFactory> */
    use BelongsToKitchen, HasFactory, HasUuids, Versioned;

    protected $table = 'recipes';

    protected $fillable = ['id', 'title', 'text', 'steps', 'cut', 'texture', 'source', 'yield', 'prep_minutes', 'bake_minutes', 'judged', 'parent_id', 'notes', 'promoted', 'portions', 'parts', 'without', 'tags', 'favourite', 'photo_id', 'confirmed', 'bound'];

    protected $attributes = ['steps' => '', 'notes' => '', 'promoted' => false, 'tags' => '[]', 'favourite' => false, 'confirmed' => '[]', 'bound' => '[]'];

    /** @var array<string, string> */
    protected $casts = ['cut' => 'array', 'portions' => 'array', 'parts' => 'array', 'without' => 'array', 'prep_minutes' => 'float', 'bake_minutes' => 'float', 'judged' => 'array', 'promoted' => 'boolean', 'updated_at' => 'immutable_datetime', 'tags' => 'array', 'favourite' => 'boolean', 'confirmed' => 'array', 'bound' => 'array'];

    /** @return list<string> */
    protected function unsaid(): array
    {
        return ['judged'];
    }
}

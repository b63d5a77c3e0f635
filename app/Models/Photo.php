<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToKitchen;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A photograph of what was baked.
 *
 * @property string $id
 * @property string $media_type
 * @property resource|string $bytes
 */
final class Photo extends Model
{
    use BelongsToKitchen, HasUuids;

    protected $table = 'photos';

    protected $fillable = ['id', 'media_type', 'bytes'];
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use App\Models\Weighing;

/** Writes down what a dog weighed; the newest weight is the one its rations are worked out with. */
final class WeighBook
{
    /**
     * @param  array{body_condition?: ?int}  $besides  where somebody looked
     * @param  array{id?: string}  $id  of a new one
     */
    public static function write(Dog $dog, string $on, float $kg, array $besides = [], array $id = []): Weighing
    {
        $kept = Weighing::query()->firstOrNew(['dog_id' => $dog->id, 'weighed_on' => $on], $id)->fill(['kg' => $kg] + $besides);
        $kept->save();
        if (! Weighing::query()->where('dog_id', $dog->id)->where('weighed_on', '>', $on)->exists()) {
            $dog->update(['weight_kg' => $kept->kg, 'weight_said' => null] + ($kept->body_condition === null ? [] : ['body_condition' => $kept->body_condition]));
        }

        return $kept;
    }
}

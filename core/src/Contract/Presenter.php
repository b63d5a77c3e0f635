<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Reading\Place;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Values\Range;

/** Writes typed answers as JSON has them. */
final class Presenter
{
    /** A value as it is: ranges with their three figures, objects by their public properties. */
    public static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof Range => self::range($value),
            $value instanceof \BackedEnum => $value->value,
            is_array($value) => array_map(self::plain(...), $value),
            is_object($value) => self::object($value),
            default => $value,
        };
    }

    /** @return array<string, mixed> */
    public static function object(object $value): array
    {
        $plain = [];
        foreach (get_object_vars($value) as $key => $one) {
            $plain[(string) $key] = self::plain($one);
        }

        return $plain;
    }

    /** @return array{low: float, best: float, high: float} */
    public static function range(Range $range): array
    {
        return ['low' => $range->low, 'best' => $range->best, 'high' => $range->high];
    }

    /**
     * A dog by its name, with its id beside where it has one.
     *
     * @return array<string, string>
     */
    public static function dog(Dog $dog, string $key = 'dog', string $idKey = 'dogId'): array
    {
        return [$key => $dog->name] + ($dog->id === null ? [] : [$idKey => $dog->id]);
    }

    /**
     * Dogs by their names, with their ids beside where any has one.
     *
     * @param  list<Dog>  $dogs
     * @return array<string, list<?string>>
     */
    public static function dogs(array $dogs, string $key, string $idKey): array
    {
        $ids = array_map(static fn (Dog $dog): ?string => $dog->id, $dogs);

        return [$key => array_map(static fn (Dog $dog): string => $dog->name, $dogs)] + (array_filter($ids) === [] ? [] : [$idKey => $ids]);
    }

    /** @return array{row: ?int, in: ?string, span: array{int, int}|null} */
    public static function place(?Place $place): array
    {
        return ['row' => $place?->row, 'in' => $place?->in, 'span' => $place === null ? null : [$place->from, $place->to]];
    }

    /** @return array<string, mixed> */
    public static function finding(Finding $finding): array
    {
        $array = ['dog' => $finding->dog?->name] + ($finding->dog?->id === null ? [] : ['dogId' => $finding->dog->id]) + [
            'level' => $finding->level->value,
            'code' => $finding->code,
            'message' => $finding->message,
            'advice' => $finding->advice,
            'figure' => $finding->figure,
            'emergency' => $finding->emergency,
            'source' => $finding->source,
        ];

        return $finding->confirmed ? $array + ['confirmed' => true] : $array;
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<array<string, mixed>>
     */
    public static function findings(array $findings): array
    {
        $plain = [];
        foreach ($findings as $finding) {
            $plain[] = self::finding($finding);
        }

        return $plain;
    }

    /** @return array{error: array{code: string, message: string, path: string}} */
    public static function refusal(RequestRefused $refused): array
    {
        return ['error' => ['code' => $refused->errorCode, 'message' => $refused->getMessage(), 'path' => $refused->path]];
    }

    /** @return array<string, float|string> */
    public static function cut(Cut $cut): array
    {
        return ['shape' => $cut->shape()] + $cut->sizes;
    }

    /** @return array{count: array<string, float>, doughGrams: array<string, float>, bakedGrams: array<string, float>, kcal: array<string, float>} */
    public static function piece(Batch $batch): array
    {
        return [
            'count' => self::range($batch->count), 'doughGrams' => self::range($batch->pieceDoughGrams),
            'bakedGrams' => self::range($batch->pieceBakedGrams), 'kcal' => self::range($batch->pieceKcal),
        ];
    }

    /** @return array<string, mixed> */
    public static function heat(Heat $heat): array
    {
        $cores = [];
        foreach ($heat->cores as $core) {
            $cores[] = self::object($core) + ['fahrenheit' => $core->fahrenheit()];
        }

        return ['stages' => array_map(self::object(...), $heat->stages), 'cores' => $cores, 'coreStep' => $heat->coreStep, 'fan' => $heat->fan];
    }

    /** @return array<string, mixed>|null */
    public static function sheet(?SheetPlan $sheet): ?array
    {
        return $sheet === null ? null : self::object($sheet);
    }
}

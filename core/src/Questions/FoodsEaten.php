<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Given;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\LineReader;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Screening\LabelReader;

/** Which foods a dog ate with what it was given: no food of a row vanishes, and what nobody knows stands as it was written. */
final class FoodsEaten
{
    /** Nobody watches for these. */
    private const NO_FOODS = ['water', 'ice'];

    private const LONGEST_NAME = 80;

    /** @return list<string> of a recipe, without the parts this dog goes without and without lines of which nothing went in */
    public static function of(Judgement $judgement, Dog $dog): array
    {
        $bowl = $judgement->bowl;
        $foods = [];
        foreach ($bowl->recipe->lines as $index => $line) {
            $grams = $bowl->grams[$index] ?? null;
            $isLeftOut = $dog->without !== [] && $bowl->parts->under($line->section)->isLeftOutFor($dog);
            if (! $isLeftOut && ($grams === null || $grams->high > 0.0)) {
                array_push($foods, ...self::onLine($line));
            }
        }

        return $foods;
    }

    /** @return list<string> of a printed list; what is in it in traces only is not eaten */
    public static function onLabel(string $ingredients, LineReader $reader): array
    {
        $foods = [];
        foreach (LabelReader::read($ingredients, $reader) as $part) {
            foreach ($part->trace ? [] : $part->lines as $line) {
                array_push($foods, ...self::onLine($line));
            }
        }

        return $foods;
    }

    public static function asWritten(string $text): string
    {
        return trim(mb_substr(trim($text), 0, self::LONGEST_NAME));
    }

    /**
     * @param  array<int, Given>  $given
     * @return list<string> each once, in order
     */
    public static function ofAll(array $given): array
    {
        $foods = [];
        foreach ($given as $one) {
            foreach ($one->foods as $food) {
                $foods[$food] = true;
            }
        }
        $foods = array_map(strval(...), array_keys($foods));
        sort($foods, SORT_STRING);

        return $foods;
    }

    /** @return list<string> */
    private static function onLine(ReadLine $line): array
    {
        $ids = array_map(static fn (Ingredient $food): string => $food->id, $line->foods());
        $ids = array_values(array_diff($ids, self::NO_FOODS));

        return $line->food === null ? [...$ids, self::asWritten($line->text)] : $ids;
    }
}

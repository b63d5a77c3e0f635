<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\AskedPortion;
use MildBowl\Core\Judging\BoundLabel;
use MildBowl\Core\Judging\Confirmation;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;

/** Reads a whole `formulate` request, for whoever asks something about a recipe. Version 1 of the contract. */
final class QuestionReader
{
    public const KEYS = ['version', 'recipe', 'cut', 'bake', 'dogs', 'labels', 'confirmed', 'measured', 'today', 'explain', 'portions', ...KitchenReader::KEYS];

    /**
     * @param  list<string>  $moreKeys  that another question's request may have besides
     * @param  list<string>  $without  keys of this one that it may not have
     *
     * @throws RequestRefused
     */
    public static function read(Node $node, Kitchen $shipped, array $moreKeys = [], array $without = []): Question
    {
        $node->object([...array_values(array_diff(self::KEYS, $without)), ...$moreKeys])->requireVersion();
        $recipe = $node->required('recipe', 'The recipe')->object(['title', 'text', 'steps', 'parts', 'asMade']);
        $text = $recipe->required('text', 'The recipe\'s text')->filled(Question::LONGEST_TEXT);
        $steps = $recipe->get('steps')?->string(Question::LONGEST_TEXT) ?? '';
        self::notTooManyLines($text, '/recipe/text');
        self::notTooManyLines($steps, '/recipe/steps');
        $made = $recipe->get('asMade');
        if ($made !== null && in_array('asMade', $without, true)) {
            throw RequestRefused::outOfRange($made->path, 'This asks about a recipe as it is written: write out what was made, and ask about that.');
        }
        $title = $recipe->get('title')?->string(200) ?? '';
        // which day it is changes nothing that is answered here; a day that does not exist is told all the same
        $node->get('today')?->day();
        $kitchen = KitchenReader::read($node, $shipped);
        self::notTooManyInRows($kitchen, $text, $steps);
        $dogs = DogReader::all($node->get('dogs'), $kitchen->catalogue);

        return new Question(
            $kitchen, $text, $steps, in_array('cut', $without, true) || in_array('cut', $moreKeys, true) ? null : CutReader::read($node->get('cut')), CutReader::texture($node->get('bake')), $dogs,
            self::labels($node->get('labels')), self::confirmed($node->get('confirmed')), CutReader::measured($node->get('measured')),
            in_array('portions', $without, true) ? [] : self::portions($node->get('portions'), $dogs), $node->get('explain')?->boolean() ?? false, PartReader::all($recipe->get('parts')), $title,
            $made === null ? null : AsMadeReader::read($made),
        );
    }

    private static function notTooManyLines(string $text, string $path): void
    {
        if (preg_match_all('/\R\s*\S/u', "\n".$text) > Question::MOST_LINES) {
            throw RequestRefused::tooLong($path, 'At most '.Question::MOST_LINES.' lines.');
        }
    }

    /** A long row may hold many lines: they count as if each had a row of its own. */
    private static function notTooManyInRows(Kitchen $kitchen, string $text, string $steps): void
    {
        if (preg_match('/[^\r\n]{600}/', $text) === 1 && ($lines = count($kitchen->reader->read($text, $steps)->lines)) > Question::MOST_LINES) {
            throw RequestRefused::tooLong('/recipe/text', 'At most '.Question::MOST_LINES." lines: this text holds $lines of them.");
        }
    }

    /** @return list<BoundLabel> */
    private static function labels(?Node $node): array
    {
        $labels = [];
        foreach ($node?->list(100) ?? [] as $one) {
            $one->object(['id', 'name', 'ingredients']);
            $labels[] = new BoundLabel(
                $one->required('name', 'The product\'s name')->filled(200), $one->required('ingredients', 'The list of ingredients')->filled(5000),
                $one->get('id')?->filled(DogReader::LONGEST_ID),
            );
        }

        return $labels;
    }

    /** @return list<Confirmation> */
    private static function confirmed(?Node $node): array
    {
        $confirmed = [];
        foreach ($node?->list(500) ?? [] as $one) {
            $one->object(['code', 'line', 'dog']);
            $confirmed[] = new Confirmation($one->required('code', 'The code')->filled(80), $one->get('line')?->string(2000), $one->get('dog')?->string(DogReader::LONGEST_ID));
        }

        return $confirmed;
    }

    /**
     * Portions as a kitchen keeps them, whoever is at the table; refused when they are not the contract's.
     *
     * @param  array<array-key, mixed>  $portions
     *
     * @throws RequestRefused
     */
    public static function keptPortions(array $portions): void
    {
        self::portions(new Node(json_decode((string) json_encode(array_values($portions))), '/portions'), null);
    }

    /**
     * @param  list<Dog>|null  $atTable  null: any name is taken
     * @return list<AskedPortion>
     *
     * @throws RequestRefused
     */
    private static function portions(?Node $node, ?array $atTable): array
    {
        $portions = $taken = [];
        $shares = 0.0;
        foreach ($node?->list(AskedPortion::MOST) ?? [] as $one) {
            $one->object(['id', 'name', 'dogs', 'share', 'cut', 'bake', 'measured']);
            $dogs = [];
            foreach ($one->get('dogs')?->list(50) ?? [] as $named) {
                $dog = $atTable === null ? new Dog($named->string(DogReader::LONGEST_ID), null) : DogReader::named($named, $atTable);
                if (isset($taken[$dog->key()])) {
                    throw RequestRefused::outOfRange($named->path, "{$dog->name} already eats from another portion.");
                }
                $taken[$dog->key()] = true;
                $dogs[] = $dog;
            }
            $share = $one->get('share')?->positive(1, 'of the dough');
            $shares += $share ?? 0.0;
            if ($shares > 1 + 1e-9) {
                throw RequestRefused::outOfRange("{$one->path}/share", 'The shares come to more than the whole dough.');
            }
            $portions[] = new AskedPortion(
                $one->get('name')?->string(60), $dogs, $share, CutReader::read($one->get('cut')), CutReader::texture($one->get('bake')),
                CutReader::measured($one->get('measured')), $one->get('id')?->filled(DogReader::LONGEST_ID),
            );
        }

        return $portions;
    }
}

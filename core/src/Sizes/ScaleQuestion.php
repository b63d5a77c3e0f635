<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Formulate\Story;
use MildBowl\Core\Kitchen\RecipeReader;

/** The same recipe larger or smaller: by a factor, by pieces, by days for these dogs, by a tin, or by what is at hand. */
final class ScaleQuestion
{
    private const WAYS = ['factor', 'pieces', 'days', 'tin', 'atHand'];

    /** From this many times up or down, leaven and tins do not follow straight. */
    private const FAR = 2.0;

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $request = Request::fromNode($node, ['by']);
        $by = $node->required('by', 'What to scale by')->object(self::WAYS);
        $ways = array_keys(array_filter(get_object_vars($by->objectValue()), static fn (mixed $value): bool => $value !== null));
        if (count($ways) !== 1) {
            throw RequestRefused::outOfRange('/by', 'Say one of: '.implode(', ', self::WAYS).'.');
        }

        return $request->withOwnPantry(static fn (): array => self::scaled($request, $by, (string) $ways[0]));
    }

    /** @return array<string, mixed> */
    private static function scaled(Request $request, Node $by, string $way): array
    {
        $formulate = Formulate::of($request);
        $given = $by->required($way, 'The measure');
        $factor = match ($way) {
            'factor' => $given->positive(100, 'times'),
            'pieces' => self::over($given->integer(1, 100000), $formulate->lots->main()->batch->count->best, '/by/pieces', 'It makes no pieces yet: give the lines amounts.'),
            'days' => self::byDays($request, $formulate, $given->integer(1, 365)),
            'tin' => self::byTin($given, $formulate->dough),
            default => self::byHand($given, $formulate),
        };
        if ($factor > 100 || $factor < 0.01) {
            throw RequestRefused::outOfRange("/by/$way", 'That would be '.Story::number($factor).' times the recipe: from a hundredth to a hundred times can be scaled.');
        }
        $recipe = RecipeReader::read($request->text, $request->steps);
        $scaled = new Scaled($request->text, $recipe, $factor, $request->policy->units);

        return [
            'version' => 1, 'factor' => $factor, 'recipeText' => $scaled->text, 'lines' => $scaled->lines,
            'warnings' => self::warnings($request, $formulate->dough, $factor),
            'wholeEggs' => self::wholeEggs($request, $formulate->dough, $factor),
        ];
    }

    private static function over(float $wanted, float $now, string $path, string $why): float
    {
        return $now > 0.0 ? $wanted / $now : throw RequestRefused::outOfRange($path, $why);
    }

    /** So much that every dog that may have some has its full ration for so many days. */
    private static function byDays(Request $request, Formulate $formulate, int $days): float
    {
        $aDay = [];
        foreach ($request->dogs as $dog) {
            [$ration, $lot] = $formulate->rationOf($dog->name);
            $n = (int) array_search($lot, $formulate->lots->all, true);
            $aDay[$n] = ($aDay[$n] ?? 0.0) + ($formulate->whyNotCleared($dog->name) === null ? $ration->pieces ?? 0.0 : 0.0);
        }
        $factor = 0.0;
        foreach ($aDay as $n => $pieces) {
            $count = $formulate->lots->all[$n]->batch->count->best;
            $factor = $count > 0.0 ? max($factor, $days * $pieces / $count) : $factor;
        }

        return $factor > 0.0 ? $factor : throw RequestRefused::outOfRange('/by/days', 'No dog at the table may have any of it yet: settle what is marked first.');
    }

    /** So much that it fills a tin to its depth. */
    private static function byTin(Node $node, Dough $dough): float
    {
        $node->object(['widthMm', 'lengthMm', 'diameterMm', 'depthMm']);
        $depth = $node->required('depthMm', 'The depth')->positive(500, 'mm');
        $across = $node->get('diameterMm')?->positive(2000, 'mm');
        $area = $across !== null ? M_PI / 4 * $across ** 2
            : $node->required('widthMm', 'The width of the tin')->positive(2000, 'mm') * $node->required('lengthMm', 'The length of the tin')->positive(2000, 'mm');

        return self::over($area * $depth / 1000 * $dough->density(), $dough->grams->best, '/by/tin', 'Nothing in this recipe could be weighed.');
    }

    /** So much that one line comes to what is at hand. */
    private static function byHand(Node $node, Formulate $formulate): float
    {
        $node->object(['line', 'grams']);
        $line = $node->required('line', 'The number of the line')->integer(0, Request::MOST_LINES);
        $grams = $node->required('grams', 'What is at hand')->positive(100000, 'g');
        foreach ($formulate->dough->portions as $portion) {
            if ($portion->line === $line) {
                return self::over($grams, $portion->grams->best, '/by/atHand/line', 'That line weighs nothing.');
            }
        }
        throw RequestRefused::outOfRange('/by/atHand/line', 'That line has no amount that could be weighed.');
    }

    /** @return list<string> */
    private static function warnings(Request $request, Dough $dough, float $factor): array
    {
        $warnings = [];
        foreach ($dough->portions as $portion) {
            if ($portion->ingredient->inGroup('baking-leavener') || in_array($portion->ingredient->id, ['bakers-yeast', 'self-raising-flour'], true)) {
                $warnings['leaven'] = 'Leaven does not scale straight: look early, and note how it rose.';
            }
        }
        if ($factor < self::FAR && $factor > 1 / self::FAR) {
            $warnings = [];
        }
        $shape = $request->cutOrCount()->shape;
        if (in_array($shape, ['grid', 'slices'], true) && abs($factor - 1) > 0.1) {
            $warnings['depth'] = 'In the same tin it stands '.Story::number($factor).' times as deep, and takes longer: take a tin of '.Story::number($factor).' times the area.';
        }
        if ($factor > self::FAR) {
            $warnings['bowl'] = 'A large batch wants a mixer, and may need two bowls.';
        }

        return array_values($warnings);
    }

    /**
     * To the next whole egg, with the rest adjusted; null when the eggs come out whole anyway.
     *
     * @return array{factor: float, recipeText: string, says: string}|null
     */
    private static function wholeEggs(Request $request, Dough $dough, float $factor): ?array
    {
        $recipe = RecipeReader::read($request->text, $request->steps);
        foreach ($recipe->lines as $line) {
            $amount = $line->amounts[0] ?? null;
            if ($line->ingredient !== 'egg' || $amount === null || count($line->amounts) !== 1 || ! $amount->quantity->isExact() || in_array($amount->unit, ['g', 'kg', 'ml', 'cup', 'tbsp', 'tsp', 'oz', 'lb'], true)) {
                continue;
            }
            $eggs = $amount->quantity->best * $factor;
            $whole = max(1.0, ceil($eggs - 0.02));
            if (abs($whole - $eggs) <= 0.02) {
                return null;
            }
            $to = $whole / $amount->quantity->best;

            return ['factor' => $to, 'recipeText' => (new Scaled($request->text, $recipe, $to, $request->policy->units))->text,
                'says' => 'With '.Story::number($whole).' whole '.($whole === 1.0 ? 'egg' : 'eggs').' in place of '.Story::number($eggs).': '.Story::number($to).' times the recipe, '.Story::number(abs($to - $factor) * $dough->grams->best).' g '.($to > $factor ? 'more' : 'less').' dough.'];
        }

        return null;
    }
}

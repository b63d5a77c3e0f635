<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Golden;

use MildBowl\Core\Baking\FreeWater;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Swaps\Plate;
use MildBowl\Core\Tests\Support\Asking;

/** What an oven, a pan, a mould and a bowl are said to do: every class of heat by the doughs and cuts that lead to it, and what each food does in a dough and on a plate. */
final class BakingLedger
{
    private const DOUGHS = [
        'flour' => "300 g whole wheat flour\n140 g water\n1 egg",
        'risen' => "200 g oat flour\n1 tsp baking powder\n300 g mashed banana\n2 eggs",
        'meat' => "500 g minced turkey\n60 g rolled oats\n1 egg",
        'fish' => "300 g cod fillet, minced\n250 g mashed potato\n2 eggs\n60 g oat flour",
        'slices' => '600 g lean beef, sliced',
        'vegetable' => '600 g sweet potato, sliced',
        'seeds' => "200 g pumpkin seeds, hulled\n1 tsp olive oil",
        'egg' => "6 eggs\n100 g grated carrot",
        'pie' => "For the dough:\n300 g plain flour\n120 g butter\n80 g water\nFor the filling:\n300 g minced beef",
        'bars' => "200 g rolled oats\n60 g peanut butter\n150 g mashed banana",
    ];

    private const CUTS = [
        ['shape' => 'round', 'diameterMm' => 40, 'thicknessMm' => 3], ['shape' => 'round', 'diameterMm' => 50, 'thicknessMm' => 9], ['shape' => 'round', 'diameterMm' => 50, 'thicknessMm' => 20],
        ['shape' => 'strip', 'widthMm' => 20, 'lengthMm' => 80, 'thicknessMm' => 5], ['shape' => 'ball', 'diameterMm' => 20], ['shape' => 'ball', 'diameterMm' => 40], ['shape' => 'scoop', 'ml' => 15],
        ['shape' => 'mould', 'cavityMl' => 10, 'cavities' => 24], ['shape' => 'mould', 'cavityMl' => 30, 'cavities' => 24], ['shape' => 'mould', 'cavityMl' => 60, 'cavities' => 12], ['shape' => 'mould', 'cavityMl' => 120, 'cavities' => 6],
        ['shape' => 'grid', 'sheetWidthMm' => 200, 'sheetLengthMm' => 300, 'depthMm' => 10, 'columns' => 5, 'rows' => 10], ['shape' => 'grid', 'sheetWidthMm' => 200, 'sheetLengthMm' => 300, 'depthMm' => 22, 'columns' => 5, 'rows' => 10],
        ['shape' => 'slices', 'count' => 12], ['shape' => 'pieces', 'count' => 60],
    ];

    /** What is heated otherwise than in an oven, and as what. */
    private const PROCESSES = ['griddle' => ['soft'], 'hob' => ['soft'], 'microwave' => ['cake'], 'dried' => ['jerky', 'chewy'], 'frozen' => ['frozen'], 'none' => ['none']];

    private const OVEN = ['cake', 'tray', 'soft', 'chewy', 'biscuit', 'hard', 'jerky'];

    /** @return array<string, string> by dough, cut, texture and process: its stages, what is lost, what is wanted */
    public static function ovens(): array
    {
        $said = [];
        foreach (self::DOUGHS as $dough => $text) {
            foreach (self::CUTS as $cut) {
                foreach (self::OVEN as $texture) {
                    $said[$dough.' '.implode(' ', $cut).", $texture"] = self::baked($text, $cut, $texture, null);
                }
            }
            foreach (self::PROCESSES as $process => $textures) {
                foreach ([self::CUTS[0], self::CUTS[3], self::CUTS[9]] as $cut) {
                    foreach ($textures as $texture) {
                        $said[$dough.' '.implode(' ', $cut).", $texture, $process"] = self::baked($text, $cut, $texture, $process);
                    }
                }
            }
        }

        return $said;
    }

    /** What a food does in a dough and may be on a plate. */
    public static function bowl(string $id): string
    {
        $food = Asking::food($id);
        $states = array_filter(array_keys(Compiled::doughs()['states']), static fn (string $state): bool => Plate::allows($state, $food));
        $most = array_filter(Compiled::doughs()['most'], static fn (string $of): bool => $food->id === $of || $food->inGroup($of), ARRAY_FILTER_USE_KEY);

        return 'wets '.Golden::plain(FreeWater::of($food)).', grated '.Golden::plain(FreeWater::of($food, ['grated'])).', mashed '.Golden::plain(FreeWater::of($food, ['mashed'])).'; drinks '.Golden::plain(Uptake::of($food))
            .'; '.($states === [] ? 'no state' : implode(' ', $states)).($most === [] ? '' : '; at most '.implode(', ', $most).' %');
    }

    /** @param  array<string, mixed>  $cut */
    private static function baked(string $text, array $cut, string $texture, ?string $process): string
    {
        $request = ['version' => 1, 'explain' => true, 'recipe' => ['text' => $text, 'parts' => $process === null ? [] : [['section' => str_starts_with($text, 'For the') ? 'For the dough' : null, 'role' => 'body', 'process' => $process]]], 'cut' => $cut, 'bake' => ['texture' => $texture]];
        $answer = Asking::of('formulate', $request);
        $stages = array_map(
            static fn (array $one): string => implode(' ', [$one['does'], Golden::plain($one['minutesLow']), Golden::plain($one['minutesHigh']), Golden::plain($one['celsius']), "({$one['sign']}; ".($one['turn'] ?? '').')']),
            $answer['portions'][0]['heat']['stages'] ?? [],
        );
        $dough = Asking::of('dough', array_diff_key($request, ['explain' => 1]));

        return implode("\n", [...$stages, 'out of it: '.Golden::plain($answer['batch']['bakedGrams']).'; pieces '.Golden::plain($answer['piece']['count']['best'] ?? null).'; feels '.($answer['batch']['feel'] ?? '-').'; '.$dough['says']]);
    }
}

<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\Recipe;
use App\Support\CurrentKitchen;
use App\Support\KitchenQuestion;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Questions\RequestRefused;

/** A recipe on a card: what goes in, weighed; what is done, at what heat and how long; how the dough feels; the cut at its true size. */
final readonly class RecipeCard
{
    public function __construct(private KitchenQuestion $question, private CurrentKitchen $current) {}

    /** @return list<Block> */
    public function of(Recipe $recipe): array
    {
        $answer = $this->answer($recipe);
        $blocks = [Block::bold($recipe->title, 1.6), Block::plain(implode(', ', array_filter([$this->current->get()->name, $recipe->source])), 0.8, 'where it is from')];
        foreach ($this->lines($recipe, $answer) as $n => $runs) {
            $blocks[] = new Block($runs, 1.0, null, $n === 0 ? 0.5 : 0.05);
        }
        foreach (array_values(array_filter(array_map(trim(...), explode("\n", $recipe->steps)))) as $n => $step) {
            $blocks[] = Block::plain(($n + 1).'. '.$step, 1.0, null, $n === 0 ? 0.5 : 0.1);
        }
        foreach ($this->reckoned($answer, $recipe) as $n => $said) {
            $blocks[] = Block::plain($said, 0.9, null, $n === 0 ? 0.5 : 0.1);
        }
        if ($recipe->notes !== '') {
            $blocks[] = Block::plain($recipe->notes, 0.85, 'the notes', 0.4);
        }
        $outline = self::outline($recipe->cut);
        if ($outline !== null) {
            $blocks[] = new Block([], 1.0, 'the cut at its true size', 0.5, $outline);
            $blocks[] = Block::plain((Labels::size($recipe->cut) ?? '').' The line shows it at its true size.', 0.75, 'what the line shows', 0.2);
        }

        return $blocks;
    }

    /** @return array<string, mixed>|null */
    private function answer(Recipe $recipe): ?array
    {
        try {
            return $this->question->about($recipe, []);
        } catch (RequestRefused) {
            return null;
        }
    }

    /**
     * @param  array<string, mixed>|null  $answer
     * @return list<list<array{string, bool}>>
     */
    private function lines(Recipe $recipe, ?array $answer): array
    {
        $grams = [];
        foreach (is_array($answer['lines'] ?? null) ? $answer['lines'] : [] as $line) {
            if (is_int($line['row'] ?? null) && is_array($line['grams'] ?? null)) {
                $grams[$line['row']] = ($grams[$line['row']] ?? 0.0) + $line['grams']['best'];
            }
        }
        $lines = [];
        foreach (explode("\n", $recipe->text) as $n => $row) {
            if (trim($row) === '') {
                continue;
            }
            $isHeading = str_ends_with(trim($row), ':');
            $lines[] = isset($grams[$n]) ? [[trim($row).', ', false], [($grams[$n] < 10 ? round($grams[$n], 1) : round($grams[$n])).' g', true]] : [[trim($row), $isHeading]];
        }

        return $lines;
    }

    /**
     * @param  array<string, mixed>|null  $answer
     * @return list<string>
     */
    private function reckoned(?array $answer, Recipe $recipe): array
    {
        if ($answer === null) {
            return [];
        }
        $said = [];
        $count = (int) floor($answer['piece']['count']['best'] + 1e-9);
        if ($count > 0) {
            $said[] = "Makes $count of ".round($answer['piece']['bakedGrams']['best'], 1).' g, '.round($answer['piece']['kcal']['best'], 1).' kcal each.';
        }
        if (is_string($answer['batch']['feel'] ?? null)) {
            $said[] = "The dough: {$answer['batch']['feel']}.";
        }

        return [...$said, ...$this->times($recipe)];
    }

    /** @return list<string> */
    private function times(Recipe $recipe): array
    {
        try {
            $work = $this->question->answer('bake', (object) ['question' => (object) ['recipe' => (object) ['id' => $recipe->id], 'dogs' => []], 'startAt' => '2026-01-01T10:00']);
        } catch (RequestRefused) {
            return [];
        }
        $said = ["Hands on {$work['handsOnMinutes']} min, {$work['elapsedMinutes']} min in all."];
        foreach ($work['steps'] as $step) {
            if ($step['kind'] === 'heat' && is_array($step['oven'])) {
                $low = (int) round($step['minutes']['low']);
                $high = (int) round($step['minutes']['high']);
                $said[] = "In the heat at {$step['oven']['celsius']} °C (fan {$step['oven']['fanCelsius']}, gas {$step['oven']['gas']}): ".($low === $high ? $low : "$low to $high").' min, look at '.(int) floor(0.8 * $low).'.';
                break;
            }
        }

        return $said;
    }

    /** @param  array<string, mixed>|null  $cut */
    private static function outline(?array $cut): ?Outline
    {
        $drawing = is_string($cut['shape'] ?? null) && in_array($cut['shape'], Shapes::ids(), true) ? Shapes::named($cut['shape'])->drawing() : null;
        if ($drawing === null || $cut === null) {
            return null;
        }
        $side = static function (array $keys) use ($cut): ?float {
            $size = $cut[$keys[0]] ?? null;
            $by = isset($keys[1]) ? ($cut[$keys[1]] ?? null) : 1;

            return is_numeric($size) && is_numeric($by) && $by > 0 ? $size / $by : null;
        };
        [$across, $down] = [$side($drawing->across), $side($drawing->down)];

        return $across === null || $down === null || $across > 120 || $down > 120 ? null : Outline::ofPath($drawing->path, $across, $down);
    }
}

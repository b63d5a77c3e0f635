<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use App\Models\Recipe;
use MildBowl\Core\Questions\RequestRefused;

/**
 * What is said of a kept recipe for every dog of the kitchen: the same question as the bench asks, with the version of rules and data that
 * answered it. It is kept with the recipe, and shown as long as nothing it rests on has changed.
 */
final readonly class Judging
{
    /** As many dogs as one question takes. */
    private const AT_ONCE = 50;

    public function __construct(private KitchenQuestion $kitchen, private KitchenState $state, private KitchenClock $clock) {}

    /** Works it out anew and keeps it; null where the recipe cannot be judged yet. */
    public function judge(Recipe $recipe): Recipe
    {
        $recipe->judged = $this->of($recipe);
        // nobody changed the recipe
        $recipe->timestamps = false;
        $recipe->save();
        $recipe->timestamps = true;

        return $recipe->refresh();
    }

    /** @return array<string, mixed>|null */
    private function of(Recipe $recipe): ?array
    {
        $ids = Dog::query()->orderBy('position')->orderBy('name')->pluck('id')->all();
        $cleared = [];
        $first = null;
        $all = true;
        try {
            foreach ($ids === [] ? [[]] : array_chunk($ids, self::AT_ONCE) as $dogs) {
                /** @var list<string> $dogs */
                $answer = $this->kitchen->about($recipe, $dogs);
                $verdict = is_array($answer['verdict']) ? $answer['verdict'] : [];
                $all = $all && ($verdict['cleared'] ?? false) === true;
                foreach (is_array($verdict['dogs'] ?? null) ? $verdict['dogs'] : [] as $n => $one) {
                    if (is_array($one) && $one['cleared'] === true && isset($dogs[$n])) {
                        $cleared[] = $dogs[$n];
                    }
                }
                $first ??= $answer;
            }
        } catch (RequestRefused) {
            // what cannot be judged yet is kept all the same
            return null;
        }
        $piece = is_array($first['piece'] ?? null) ? $first['piece'] : [];
        $batch = is_array($first['batch'] ?? null) ? $first['batch'] : [];

        return [
            'dataVersion' => $first['dataVersion'] ?? '', 'on' => $this->clock->today()->format('Y-m-d'), 'of' => $this->state->mark(), 'clearedFor' => $cleared, 'clearedForAll' => $all,
            'kcalPerPiece' => self::best($piece['kcal'] ?? null), 'pieces' => self::best($piece['count'] ?? null), 'feel' => $batch['feel'] ?? null, 'foods' => self::foods($first),
        ];
    }

    private static function best(mixed $range): ?float
    {
        return is_array($range) && is_numeric($range['best'] ?? null) ? round((float) $range['best'], 2) : null;
    }

    /**
     * @param  array<string, mixed>|null  $answer
     * @return list<string> what it is made of, by name, to be found by
     */
    private static function foods(?array $answer): array
    {
        $foods = [];
        foreach (is_array($answer['lines'] ?? null) ? $answer['lines'] : [] as $line) {
            if (is_array($line)) {
                $foods[] = is_string($line['ingredient'] ?? null) ? str_replace('-', ' ', $line['ingredient']) : null;
            }
        }

        return array_values(array_unique(array_filter($foods, is_string(...))));
    }
}

<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Batch;
use App\Models\JarAct;
use MildBowl\Core\Keeping\JarActKind;
use MildBowl\Core\Keeping\LeftOver;
use MildBowl\Core\Pantry\Ingredient;
use stdClass;

/** What a batch leaves over, and what was said of it: put by, or nothing left. */
final readonly class LeftOvers
{
    /** Pieces of which it is worth to speak, and in which raw dough is put by. */
    private const STEP = 0.25;

    public function __construct(private KitchenParts $kitchen) {}

    /** @return array{kept: list<array<string, mixed>>, dough: array<string, mixed>|null, scraps: list<array<string, mixed>>} */
    public function of(Batch $batch): array
    {
        /** @var array{lines: list<array{ingredient: ?string}>, batch: array{doughGrams: array{best: float|int}}, portions: list<array{piece: array{count: array{best: float|int}, doughGrams: array{best: float|int}}}>} $answer */
        $answer = json_decode($batch->answer, true, 64, JSON_THROW_ON_ERROR);
        $catalogue = $this->kitchen->catalogue();
        $ids = array_unique(array_filter(array_column($answer['lines'], 'ingredient'), static fn (?string $id): bool => $id !== null && $catalogue->has($id)));
        $left = LeftOver::of(array_values(array_map($catalogue->get(...), $ids)), $catalogue);
        $said = $this->said($batch);

        return [
            'kept' => array_map(static fn (array $one): array => [
                'ingredient' => $one['food']->id, 'name' => self::called($one['food']), 'of' => self::called($one['of']), 'food' => $one['kept']->kind, 'days' => $one['kept']->fridgeDays,
                'answered' => $said[$one['food']->id] ?? null,
            ], $left->kept),
            'dough' => $this->dough((float) $answer['batch']['doughGrams']['best'], array_column($answer['portions'], 'piece'), $said['dough'] ?? null),
            'scraps' => array_map(static fn (array $one): array => [
                'scrap' => $one['scrap'], 'of' => array_map(self::called(...), $one['of']), 'outOfReach' => ! $one['isForBowl'], 'says' => $one['says'],
            ], $left->scraps),
        ];
    }

    /**
     * @param  list<array{count: array{best: float|int}, doughGrams: array{best: float|int}}>  $pieces  of each portion
     * @return array<string, mixed>|null the ends of the dough, that became no piece; null where there is as good as nothing of it
     */
    private function dough(float $grams, array $pieces, ?string $answered): ?array
    {
        $each = (float) ($pieces[0]['doughGrams']['best'] ?? 0.0);
        $ends = $grams - array_sum(array_map(static fn (array $one): float => $one['count']['best'] * $one['doughGrams']['best'], $pieces));
        $many = $each > 0.0 ? round($ends / $each / self::STEP) * self::STEP : 0.0;

        return $many < self::STEP ? null : ['grams' => $ends, 'pieces' => $many, 'answered' => $answered];
    }

    /** What is written on a tub: "minced venison", not what else is known of it. */
    private static function called(Ingredient $food): string
    {
        return explode(',', $food->name)[0];
    }

    /** @return array<string, string> "kept" or "gone" by ingredient; dough by its own name */
    private function said(Batch $batch): array
    {
        $acts = JarAct::query()->whereIn('do', [JarActKind::Open->value, JarActKind::Gone->value, JarActKind::Put->value])->whereRaw("said ->> 'batch' = ?", [$batch->id])
            ->whereNotIn('id', JarAct::query()->whereNotNull('corrects')->select('corrects'))->get();
        $said = [];
        foreach ($acts as $act) {
            /** @var stdClass $what */
            $what = json_decode($act->said, false, 64, JSON_THROW_ON_ERROR);
            $of = $act->do !== JarActKind::Put->value ? $what->ingredient ?? null : (($what->as ?? null) === 'dough' ? 'dough' : null);
            if (is_string($of)) {
                $said[$of] = $act->do === JarActKind::Gone->value ? 'gone' : 'kept';
            }
        }

        return $said;
    }
}

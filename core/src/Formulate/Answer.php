<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\Lot;
use MildBowl\Core\Baking\Panel;
use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Kitchen\ReadRecipe;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Nearest;
use MildBowl\Core\Pantry\Weigher;
use MildBowl\Core\Range;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Swaps\Jobs;

/** Puts what was worked out into the shape of the contract. */
final class Answer
{
    /** @var array<int, list<string>> what each line does in the dough, when somebody asked for explanations */
    private array $jobs = [];

    /** @param  non-empty-list<Lot>  $lots */
    public function __construct(
        private readonly Request $request,
        private readonly ReadRecipe $recipe,
        private readonly Dough $dough,
        private readonly array $lots,
        private readonly Lot $main,
    ) {
        if ($request->explain) {
            $this->jobs = Jobs::of($dough->portions);
        }
    }

    /**
     * @param  list<?Range>  $grams
     * @param  list<list<Finding>>  $findings
     * @param  list<Ration>  $rations
     * @return list<array<string, mixed>>
     */
    public function lines(array $grams, array $findings, array $rations): array
    {
        $kcal = $poison = [];
        foreach ($this->dough->portions as $portion) {
            $kcal[$portion->line] = $portion->kcal();
            if ($this->request->explain) {
                $poison[$portion->line] = Story::ofPoison($portion->substances, $rations, $this->lots);
            }
        }
        $lines = [];
        foreach ($this->recipe->lines as $index => $line) {
            $lines[] = $this->line($index, $line, $grams[$index], $kcal[$index] ?? null, $findings[$index], $poison[$index] ?? []);
        }

        return $lines;
    }

    /**
     * @param  list<Finding>  $findings
     * @param  list<string>  $poison
     * @return array<string, mixed>
     */
    private function line(int $index, ReadLine $line, ?Range $grams, ?Range $kcal, array $findings, array $poison): array
    {
        $amount = $line->amounts[0] ?? null;
        $array = [
            'text' => $line->text,
            'section' => $line->section,
            'quantity' => $amount?->quantity->toArray(),
            'unit' => $amount?->unit,
            'ingredient' => $line->ingredient,
            'form' => $line->forms === [] ? null : implode(', ', $line->forms),
            'grams' => $grams?->toArray(),
            'kcal' => $kcal?->toArray(),
            'findings' => array_map(static fn (Finding $finding): array => $finding->toArray(), $findings),
        ];
        if ($line->alternatives !== []) {
            $array['alternatives'] = $line->alternatives;
        }
        if ($line->condition !== null) {
            $array['condition'] = $line->condition;
        }
        if ($this->request->explain) {
            $food = $line->ingredient === null ? null : Catalogue::get($line->ingredient);
            $weigher = new Weigher($this->request->policy->units);
            $array['explain'] = [
                'row' => $line->row,
                'name' => $food?->name,
                'measure' => $grams === null ? null : $weigher->measure($line, $grams),
                'made' => $food === null || $grams === null ? [] : Story::ofLine($food, $grams, $kcal, $food->composition?->kcal),
                'poison' => $poison,
                'jobs' => $this->jobs[$index] ?? [],
                'unread' => $line->unread,
                'nearest' => $line->ingredient === null || $line->unread !== [] ? Nearest::to($line->ingredient === null ? $line->text : implode(' ', $line->unread)) : [],
                'words' => array_map(static fn (array $word): array => ['text' => substr($line->clean, $word['from'], $word['length']), 'role' => $word['role']], $line->words),
            ];
        }

        return $array;
    }

    /**
     * @param  list<list<Finding>>  $findings
     * @return list<array<string, mixed>>
     */
    public function steps(array $findings): array
    {
        $steps = [];
        foreach ($this->recipe->steps as $index => $step) {
            $steps[] = ['text' => $step->text, 'findings' => array_map(static fn (Finding $finding): array => $finding->toArray(), $findings[$index])];
        }

        return $steps;
    }

    /** @return array<string, mixed> */
    public function batch(): array
    {
        $dough = $this->dough;
        $baked = $kcal = Range::zero();
        foreach ($this->lots as $lot) {
            $baked = $baked->plus($lot->batch->bakedGrams);
            $kcal = $kcal->plus($lot->batch->kcal);
        }
        $array = [
            'doughGrams' => $dough->grams->toArray(),
            'bakedGrams' => $baked->toArray(),
            'kcal' => $kcal->toArray(),
            'wetness' => $dough->wetness,
            'feel' => $dough->feel(),
        ] + ($this->request->prices === null ? [] : ['cost' => $this->request->prices->of($dough->portions)]);

        return $this->request->explain ? $array + ['explain' => ['sign' => $dough->sign(), 'made' => Story::ofBatch($dough, $baked, $kcal), 'panel' => Panel::of($this->main->batch)]] : $array;
    }

    /** @return array<string, mixed> */
    public function piece(): array
    {
        $batch = $this->main->batch;
        $nutrients = [];
        foreach ($batch->pieceSubstances + ['fatG' => 0.0, 'sodiumMg' => 0.0] as $substance => $amount) {
            $nutrients[$substance] = $amount;
        }
        ksort($nutrients);

        $array = self::onePiece($batch) + ['nutrients' => $nutrients];

        return $this->request->explain ? $array + ['explain' => ['made' => Story::ofPiece($batch)]] : $array;
    }

    /** @return array{count: array<string, float>, doughGrams: array<string, float>, bakedGrams: array<string, float>, kcal: array<string, float>} */
    private static function onePiece(Batch $batch): array
    {
        return [
            'count' => $batch->count->toArray(),
            'doughGrams' => $batch->pieceDoughGrams->toArray(),
            'bakedGrams' => $batch->pieceBakedGrams->toArray(),
            'kcal' => $batch->pieceKcal->toArray(),
        ];
    }

    /**
     * Each share of the dough with its cut, its time and heat and its place on the tray; only where somebody asked.
     *
     * @param  list<Ration>  $rations
     * @param  list<bool>  $cleared
     * @return array{portions?: list<array<string, mixed>>}
     */
    public function portions(array $rations, array $cleared): array
    {
        $request = $this->request;
        if ($request->portions === [] && $request->tray === null && $request->oven === null && ! $request->explain) {
            return [];
        }
        $portions = [];
        foreach ($this->lots as $lot) {
            $aDay = 0.0;
            foreach ($rations as $n => $ration) {
                $aDay += in_array($ration->dog->name, $lot->dogs, true) && $cleared[$n] ? $ration->pieces ?? 0.0 : 0.0;
            }
            $portions[] = [
                'name' => $lot->name,
                'dogs' => $lot->dogs,
                'share' => $lot->share,
                'doughGrams' => $lot->batch->dough->grams->toArray(),
                'bakedGrams' => $lot->batch->bakedGrams->toArray(),
                'kcal' => $lot->batch->kcal->toArray(),
                'cut' => ['shape' => $lot->cut->shape] + $lot->cut->sizes,
                'texture' => $lot->texture->id,
                'piece' => self::onePiece($lot->batch),
                'daysItLasts' => $aDay > 0 ? floor($lot->batch->count->best / $aDay + 1e-9) : null,
                'heat' => Heat::of($lot->cut, $lot->texture, $lot->batch->dough, $request->oven['celsius'] ?? null, $request->oven['fan'] ?? false)->toArray(),
                'sheet' => $request->tray === null ? null : SheetPlan::of($lot->cut, $request->tray, $lot->batch->count->best)?->toArray(),
                'oddity' => $lot->cut->oddity(),
            ];
        }

        return ['portions' => $portions];
    }

    /** @return array<string, mixed> */
    public function ration(Ration $ration, Lot $lot, bool $cleared): array
    {
        $batch = $lot->batch;
        $dog = $ration->dog;
        $pieces = $ration->pieces;
        $none = $dog->weightKg === null || $dog->isBreeding();
        $given = $cleared ? $pieces : 0.0;
        $holdBack = $dog->foodKcalPer100g === null || $given === null ? null
            : $given * $batch->pieceKcal->best / $dog->foodKcalPer100g * 100;
        $array = [
            'dog' => $dog->name,
            'stage' => $dog->lifeStage()->value,
            'restingKcal' => $ration->energy->restingKcal,
            'dailyKcal' => $ration->energy->dailyKcal?->toArray(),
            'treatBudgetKcal' => $ration->budget->kcal,
            'piecesPerDay' => $given,
            'ifCleared' => $none ? 0.0 : $pieces,
            'heldBy' => $cleared ? $ration->heldBy : 'not-cleared',
            'holdBackGrams' => $holdBack,
            'idealWeightKg' => $dog->idealWeightKg(),
            'limits' => array_map(static fn (Limit $limit): array => ['code' => $limit->code, 'piecesPerDay' => $limit->piecesPerDay], $ration->limits),
        ];

        return $this->request->explain ? $array + ['explain' => [
            'heldByIfCleared' => $ration->heldBy,
            'safeBiteMm' => $dog->safeBiteMm(),
            'shows' => Story::holds($cleared ? $ration->heldBy : 'not-cleared'),
            'made' => Story::ofRation($ration, $batch),
            'portion' => $lot->name,
            'limits' => array_map(static fn (Limit $limit): array => ['code' => $limit->code, 'shows' => Story::holds($limit->code), 'made' => Story::ofLimit($limit, $batch)], $ration->limits),
            'ramp' => $ration->ramp(),
            'breakInto' => Breaking::of($dog, $lot->cut),
            'wouldFit' => $ration->pieces === null || $ration->pieces >= 0.25 || $none ? null : Breaking::cutThatFits($ration, $lot),
        ]] : $array;
    }
}

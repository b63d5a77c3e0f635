<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Panel;
use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Clipping\Doubt;
use MildBowl\Core\Clipping\Doubts;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Feeding\Breaking;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\DogVerdict;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Pantry\Contents;
use MildBowl\Core\Pantry\Nearest;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\RecipeReader;
use MildBowl\Core\Reading\Unsure;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Sizes\Scaled;
use MildBowl\Core\Swaps\Jobs;
use MildBowl\Core\Telling\Story;
use MildBowl\Core\Values\Range;

/** Puts a judgement into the shape of the contract. */
final readonly class JudgementPresenter
{
    /** @var list<string> of the text as sent */
    private array $rows;

    public function __construct(private Question $question, private Judgement $judgement)
    {
        $this->rows = $question->explain ? RecipeReader::rows($question->text) : [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'version' => 1,
            'dataVersion' => Compiled::version(),
            'lines' => $this->lines(),
            'steps' => $this->steps(),
            'verdict' => ['cleared' => $this->judgement->cleared, 'dogs' => array_map(self::verdict(...), $this->judgement->verdicts)],
            'parts' => (new PartsPresenter($this->judgement))->toArray(),
            'batch' => $this->batch(),
            'piece' => $this->piece(),
            'rations' => array_map(fn (Ration $ration, DogVerdict $verdict): array => $this->ration($ration, $verdict->cleared), $this->judgement->rations, $this->judgement->verdicts),
            'assumptions' => array_map(Presenter::object(...), $this->judgement->assumptions),
        ] + $this->portions() + ($this->question->explain ? ['explain' => $this->explainedWhole()] : []);
    }

    /** @return array<string, mixed> */
    private function explainedWhole(): array
    {
        $question = $this->question;

        return ['doubts' => array_map(static fn (Doubt $doubt): array => Presenter::object($doubt), Doubts::of($question->text, $question->steps, $question->kitchen->reader))]
            + ($question->asMade === null ? [] : ['writtenOut' => Scaled::asMade($question->text, $this->judgement->bowl->recipe, $question->kitchen)->text]);
    }

    /** @return list<array<string, mixed>> */
    private function lines(): array
    {
        $kcal = $poison = [];
        $bowl = $this->judgement->bowl;
        foreach ($bowl->dough->weighed as $one) {
            // what nobody knows is told as unknown on its line; the totals take its range
            $kcal[$one->line] = $one->ingredient->composition === null ? null : $one->kcal();
            if ($this->question->explain) {
                $poison[$one->line] = Story::ofPoison($one->substances, $this->judgement->rations, $this->judgement->lots->all);
            }
        }
        $jobs = $this->question->explain ? Jobs::of($bowl->dough->weighed) : [];
        $lines = [];
        foreach ($bowl->recipe->lines as $index => $line) {
            $lines[] = $this->line($this->judgement->lineFindings[$index], $line, $bowl->grams[$index], $kcal[$index] ?? null, $poison[$index] ?? [], $jobs[$index] ?? []);
        }

        return $this->withLeftOut($lines);
    }

    /**
     * What was written and left out stands in its row, with nothing found on it; what was added comes last.
     *
     * @param  list<array<string, mixed>>  $lines
     * @return list<array<string, mixed>>
     */
    private function withLeftOut(array $lines): array
    {
        $leftOut = array_map(fn (ReadLine $line): array => $this->line([], $line, Range::zero(), $line->food === null ? null : Range::zero(), [], []), $this->judgement->bowl->recipe->leftOut);
        if ($leftOut === []) {
            return $lines;
        }
        $lines = [...$lines, ...$leftOut];
        $at = static fn (array $line): array => is_array($line['span']) ? [$line['row'], $line['span'][0]] : [PHP_INT_MAX, 0];
        usort($lines, static fn (array $one, array $two): int => $at($one) <=> $at($two));

        return $lines;
    }

    /**
     * @param  list<Finding>  $findings
     * @param  ?Range  $grams  that went in
     * @param  list<string>  $poison
     * @param  list<string>  $jobs
     * @return array<string, mixed>
     */
    private function line(array $findings, ReadLine $line, ?Range $grams, ?Range $kcal, array $poison, array $jobs): array
    {
        $amount = $line->amounts[0] ?? null;
        $written = $line->made === null || $line->food === null ? $grams : $this->question->kitchen->weigher()->written($line);
        $array = [
            'text' => $line->text,
            'section' => $line->section,
            'quantity' => $amount === null ? null : Presenter::range($amount->quantity),
            'unit' => $amount?->unit,
            'ingredient' => $line->food?->id,
            'form' => $line->forms === [] ? null : implode(', ', $line->forms),
            'grams' => $written === null ? null : Presenter::range($written),
            'kcal' => $kcal === null ? null : Presenter::range($kcal),
            'findings' => Presenter::findings($findings),
        ] + Presenter::place($line->isAdded ? null : $line->place);
        if ($this->question->asMade !== null) {
            $array['madeGrams'] = $grams === null ? null : Presenter::range($grams);
        }
        if ($line->isAdded) {
            $array['added'] = true;
        }
        if ($line->alternatives !== []) {
            $array['alternatives'] = array_map(static fn ($food): string => $food->id, $line->alternatives);
        }
        if ($line->condition !== null) {
            $array['condition'] = $line->condition;
        }
        $labels = [];
        foreach ($this->question->labels as $label) {
            if ($label->id !== null && $label->isOn($line)) {
                $labels[] = ['id' => $label->id, 'name' => $label->name];
            }
        }
        if ($labels !== []) {
            $array['labels'] = $labels;
        }
        if ($this->question->explain) {
            $spans = new Spans($line->isAdded ? [] : $this->rows, $line);
            $array['explain'] = [
                'name' => $line->food?->name,
                'measure' => $grams === null ? null : $this->question->kitchen->weigher()->measure($line, $grams),
                'made' => $line->food === null || $grams === null ? [] : Story::ofLine($line->food, $grams, $kcal, $line->food->composition?->kcal),
                'poison' => $poison,
                'jobs' => $jobs,
                'unread' => $line->unread,
                'nearest' => $line->isUnderstood() ? [] : Nearest::to($line->food === null ? $line->text : implode(' ', $line->unread)),
                'words' => array_map(static fn (array $word): array => ['text' => substr($line->clean, $word['from'], $word['length']), 'role' => $word['role'], 'span' => $spans->of($word['from'], $word['length'])], $line->words),
                'unsure' => array_map(static fn (Unsure $one): array => ['span' => $spans->of($one->from, strlen($one->written)), 'question' => $one->question(), 'instead' => $one->instead], Unsure::of($line)),
            ];
        }

        return $array;
    }

    /** @return list<array<string, mixed>> */
    private function steps(): array
    {
        $steps = [];
        foreach ($this->judgement->bowl->recipe->steps as $index => $step) {
            $steps[] = ['text' => $step->text, 'findings' => Presenter::findings($this->judgement->stepFindings[$index])] + Presenter::place($step->place);
        }

        return $steps;
    }

    /** @return array<string, mixed> */
    private static function verdict(DogVerdict $verdict): array
    {
        return Presenter::dog($verdict->dog, 'name', 'id') + [
            'cleared' => $verdict->cleared, 'worst' => $verdict->worst === null ? 'clear' : $verdict->worst->value, 'findings' => Presenter::findings($verdict->findings),
        ];
    }

    /** @return array<string, mixed> */
    private function batch(): array
    {
        $whole = $this->judgement->bowl->dough;
        $dough = $this->judgement->bowl->parts->body->kept;
        $feel = $dough->feel();
        $lots = $this->judgement->lots->all;
        $baked = $kcal = Range::zero();
        foreach ($lots as $lot) {
            $baked = $baked->plus($lot->batch->bakedGrams);
            $kcal = $kcal->plus($lot->batch->kcal);
        }
        $grams = count($lots) === 1 ? $lots[0]->batch->doughGrams() : array_reduce($lots, static fn (Range $sum, Lot $lot): Range => $sum->plus($lot->batch->doughGrams()), Range::zero());
        $prices = $this->question->kitchen->prices;
        $array = [
            'doughGrams' => Presenter::range($grams),
            'bakedGrams' => Presenter::range($baked),
            'kcal' => Presenter::range($kcal),
            'leftGrams' => array_sum(array_map(static fn (Lot $lot): float => $lot->batch->leftGrams, $lots)),
            'wetness' => $dough->wetness,
            'feel' => $feel?->feel,
        ] + ($prices === null ? [] : ['cost' => $prices->of($whole->gramsByFood())]);

        return $this->question->explain
            ? $array + ['explain' => ['sign' => $feel?->sign, 'made' => Story::ofBatch($dough, $baked, $kcal), 'panel' => Presenter::object(Panel::of($this->judgement->lots->main()->batch))]] : $array;
    }

    /** @return array<string, mixed> */
    private function piece(): array
    {
        $batch = $this->judgement->lots->main()->batch;
        $nutrients = $batch->pieceSubstances + ['fatG' => 0.0, 'sodiumMg' => 0.0];
        unset($nutrients[Contents::DOSED_SODIUM]);
        ksort($nutrients);
        $array = Presenter::piece($batch) + ['nutrients' => $nutrients];

        return $this->question->explain ? $array + ['explain' => ['made' => Story::ofPiece($batch)]] : $array;
    }

    /**
     * Each share of the dough with its cut, its time and heat and its place on the tray; only where somebody asked.
     *
     * @return array{portions?: list<array<string, mixed>>}
     */
    private function portions(): array
    {
        $kitchen = $this->question->kitchen;
        if ($this->question->portions === [] && $kitchen->tray === null && $kitchen->oven === null && ! $this->question->explain) {
            return [];
        }
        $portions = [];
        foreach ($this->judgement->lots->all as $lot) {
            $aDay = $this->judgement->piecesADay($lot);
            $portions[] = ['name' => $lot->name] + ($lot->id === null ? [] : ['id' => $lot->id]) + Presenter::dogs($lot->dogs, 'dogs', 'dogIds') + [
                'share' => $lot->share,
                'doughGrams' => Presenter::range($lot->batch->dough->grams),
                'bakedGrams' => Presenter::range($lot->batch->bakedGrams),
                'kcal' => Presenter::range($lot->batch->kcal),
                'cut' => Presenter::cut($lot->cut),
                'texture' => $lot->texture->id,
                'piece' => Presenter::piece($lot->batch),
                'daysItLasts' => $aDay > 0 ? floor($lot->batch->count->best / $aDay + 1e-9) : null,
                'heat' => Presenter::heat($lot->batch->heat($kitchen->oven, $this->judgement->bowl->parts->body->keeps->grams)),
                'sheet' => $kitchen->tray === null ? null : Presenter::sheet(SheetPlan::of($lot->cut, $kitchen->tray, $lot->batch->count->best)),
                'oddity' => $lot->cut->oddity(),
            ];
        }

        return ['portions' => $portions];
    }

    /** @return array<string, mixed> */
    private function ration(Ration $ration, bool $cleared): array
    {
        $dog = $ration->dog;
        $lot = $this->judgement->lotOf($dog);
        $given = $cleared ? $ration->pieces : 0.0;
        $holdBack = $dog->foodKcalPer100g === null || $given === null ? null : $given * $lot->batch->for($dog)->pieceKcal->best / $dog->foodKcalPer100g * 100;
        $array = Presenter::dog($dog) + [
            'stage' => $dog->lifeStage()->value,
            'restingKcal' => $ration->energy->restingKcal,
            'dailyKcal' => $ration->energy->dailyKcal === null ? null : Presenter::range($ration->energy->dailyKcal),
            'treatBudgetKcal' => $ration->budget->kcal,
            'piecesPerDay' => $given,
            'ifCleared' => $ration->isReckoned() ? $ration->pieces : 0.0,
            'heldBy' => $cleared ? $ration->heldBy : Limit::NOT_CLEARED,
            'holdBackGrams' => $holdBack,
            'idealWeightKg' => $dog->idealWeightKg(),
            'limits' => array_map(static fn (Limit $limit): array => ['code' => $limit->code, 'piecesPerDay' => $limit->piecesPerDay], $ration->limits),
        ];

        return $this->question->explain ? $array + ['explain' => $this->explained($ration, $lot, $cleared)] : $array;
    }

    /** @return array<string, mixed> */
    private function explained(Ration $ration, Lot $lot, bool $cleared): array
    {
        $fits = $ration->isServed() || ! $ration->isReckoned() || $ration->pieces === null ? null : Breaking::cutThatFits($ration, $lot);

        return [
            'heldByIfCleared' => $ration->heldBy,
            'safeBiteMm' => $ration->dog->safeBiteMm(),
            'shows' => Story::holds($cleared ? $ration->heldBy : Limit::NOT_CLEARED),
            'made' => Story::ofRation($ration, $lot->batch->for($ration->dog)),
            'portion' => $lot->name,
            'limits' => array_map(static fn (Limit $limit): array => ['code' => $limit->code, 'shows' => Story::holds($limit->code), 'made' => Story::ofLimit($limit, $ration, $lot->batch->for($ration->dog))], $ration->limits),
            'ramp' => $ration->ramp(),
            'breakInto' => Breaking::of($ration->dog, $lot->cut),
            'wouldFit' => $fits === null ? null : Presenter::cut($fits),
        ];
    }
}

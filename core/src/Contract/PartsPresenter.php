<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Values\Range;

/** Puts the parts of a recipe into the shape of the contract: what each is, what it weighs and holds, and what of it comes to a piece. */
final readonly class PartsPresenter
{
    public function __construct(private Judgement $judgement) {}

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map($this->part(...), $this->judgement->bowl->parts->all);
    }

    /** @return array<string, mixed> */
    private function part(Part $part): array
    {
        $main = $this->judgement->lots->main();
        [$grams, $kcal] = $part->isBody() ? $this->ofBody($part) : $this->ofLaid($part);

        return [
            'section' => $part->section(),
            'sections' => array_values(array_filter($part->sections, static fn (?string $section): bool => $section !== null)),
            'role' => $part->role->value,
            'process' => $part->processAt($main->texture)->id(),
            'joins' => $part->joins->value,
            'keeps' => ['grams' => $part->keeps->grams, 'strained' => $part->keeps->strained, 'drained' => $part->keeps->drained],
            'texture' => $part->texture?->id,
            'into' => $part->intoSections,
            'guessed' => $part->guessed,
            'doughGrams' => Presenter::range($part->dough->grams),
            'keptGrams' => Presenter::range($part->isBody() && $part->keeps->grams === null ? $main->batch->heatClass()->bakedGrams($main->texture, $part->kept->grams, $part->kept->solids) : $part->keptGrams),
            'kcal' => Presenter::range($part->kept->kcal),
            'wetness' => $part->dough->wetness,
            'feel' => $part->isADough() ? $part->dough->feel()?->feel : null,
            'gramsPerPiece' => Presenter::range($grams),
            'kcalPerPiece' => Presenter::range($kcal),
        ];
    }

    /** @return array{Range, Range} grams and kcal of a piece of the first portion, without what is laid on it */
    private function ofBody(Part $body): array
    {
        $batch = $this->judgement->lots->main()->batch->bare();

        return [$batch->pieceBakedGrams, $batch->pieceKcal];
    }

    /** @return array{Range, Range} */
    private function ofLaid(Part $part): array
    {
        $batch = $this->judgement->lots->main()->batch;
        $each = $batch->count->best > 0.0 ? $batch->shareOf($part) / $batch->count->best : 0.0;

        return [$part->keptGrams->times($each), $part->kept->kcal->times($each)];
    }
}

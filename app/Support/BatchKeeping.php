<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Batch;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Keeping\Keeps;
use MildBowl\Core\Keeping\Place;
use MildBowl\Core\Keeping\ShelfLife;
use MildBowl\Core\Questions\RequestRefused;
use stdClass;

/** How long what a batch made keeps: core's `keep`, asked about what was really made. */
final readonly class BatchKeeping
{
    public function __construct(private Contract $contract) {}

    /**
     * @param  string  $made  the day
     * @return array{Keeps, string} and why
     *
     * @throws RequestRefused
     */
    public function of(Batch $batch, ?string $lot, bool $isDough, string $made): array
    {
        $at = fn (float $celsius): array => $this->asked($batch, $lot, $isDough, $made, $celsius);
        $answer = $at(ShelfLife::WARM);
        $days = array_column($answer['places'], 'days', 'place');

        return [
            new Keeps((string) $answer['class'], $days, array_column($answer['places'], 'atMost', 'place'), (int) $answer['thawedDays'], array_column($at(ShelfLife::WARM + 1)['places'], 'days', 'place')['jar'] === $days['jar']),
            (string) $answer['because'],
        ];
    }

    /** Of a bag of which only the class is known. */
    public function ofClass(string $class): Keeps
    {
        $life = ShelfLife::of($class);
        $days = $most = [];
        foreach (Place::cases() as $place) {
            [$days[$place->value], $most[$place->value]] = [$life->days($place), $life->atMost($place, ShelfLife::WARM, false)];
        }

        return new Keeps($class, $days, $most, $life->fridgeDays, $class === 'hard-biscuit');
    }

    /** Pieces that were counted, else reckoned. */
    public function pieces(Batch $batch, ?string $lot): float
    {
        $pieces = 0.0;
        foreach (is_array($batch->summary['lots'] ?? null) ? $batch->summary['lots'] : [] as $one) {
            $pieces += $lot === null || ($one['lot'] ?? null) === $lot ? (float) ($one['count'] ?? $one['computedCount'] ?? 0.0) : 0.0;
        }

        return $pieces;
    }

    /** @return array<string, mixed> */
    private function asked(Batch $batch, ?string $lot, bool $isDough, string $made, float $celsius): array
    {
        $question = $batch->log()->question();
        $request = (object) ['version' => 1, 'question' => $question, 'made' => $made, 'roomCelsius' => $celsius, 'as' => $isDough ? 'dough' : 'baked'];
        $named = array_filter(is_array($question->portions ?? null) ? $question->portions : [], static fn (mixed $one): bool => $one instanceof stdClass && $lot !== null && in_array($lot, [$one->id ?? null, $one->name ?? null], true));
        if ($named !== []) {
            $request->lot = $lot;
        }

        return $this->contract->answerTo('keep', $request);
    }
}

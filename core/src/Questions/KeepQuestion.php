<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Keeping\Kept;
use MildBowl\Core\Keeping\Place;
use MildBowl\Core\Keeping\ToldKeeping;
use MildBowl\Core\Values\Day;

/** `keep`: how long a batch or its dough keeps, and where; and how its pieces are put away. */
final readonly class KeepQuestion
{
    /** °C of a room that nobody measured: as warm as a jar is allowed. */
    public const ROOM_CELSIUS = 21.0;

    public const MOST_SPLIT = 50;

    /**
     * @param  list<PutAway>  $split
     * @param  ?string  $lot  a portion's id or name; null: all that was made, by the lot that spoils first
     */
    public function __construct(private Question $question, private Day $made, private float $roomCelsius, private bool $asDough, private array $split, private ?string $lot = null, private ?string $lotPath = null) {}

    /** @throws RequestRefused when more is put away than there is */
    public function answer(): KeepAnswer
    {
        $judgement = Judgement::on($this->question);
        $lots = $this->lots($judgement);
        $kept = Kept::first(array_map(fn (Lot $lot): Kept => Kept::of($lot, $judgement->bowl->parts, $this->asDough), $lots));
        $days = $places = $longer = [];
        foreach (Place::cases() as $place) {
            $days[$place->value] = $kept->days($place, $this->roomCelsius);
            $most = $kept->atMost($place, $this->roomCelsius);
            $places[] = new KeepPlace($place->value, $days[$place->value], $most, $this->bestBefore($days[$place->value]));
            $longer[] = $most > $days[$place->value] ? rtrim("Up to $most days {$place->inWords()}".($kept->life->lengthensIf($place) === '' ? '' : ", {$kept->life->lengthensIf($place)}")).'.' : null;
        }
        $count = array_sum(array_map(static fn (Lot $lot): float => floor($lot->batch->count->best + 1e-9), $lots));
        $left = $count;
        foreach ($this->split as $one) {
            $left -= $one->pieces;
            if ($left < -1e-9) {
                throw RequestRefused::outOfRange($one->path, "That is more than there is: {$this->pieces($count)} in all, and {$this->pieces($count - $left)} put away so far. Put away fewer.");
            }
        }
        $because = implode(' ', array_filter([
            $kept->because,
            $kept->life->jarDays > 0 && $days['jar'] === 0 ? 'The kitchen is warm ('.round($this->roomCelsius).' °C, above 21): nothing that is not dry keeps in a jar.' : null,
            ...$longer,
            ...$this->asDough ? [] : ToldKeeping::questions($this->question->text, $this->question->steps, $kept->life),
        ]));

        return new KeepAnswer(
            $kept->life->class, $because, $places, $kept->life->fridgeDays,
            array_map(fn (PutAway $one): KeepBag => new KeepBag($one->place->value, $one->pieces, $one->bags, $this->bestBefore($days[$one->place->value])), $this->split),
            max(0.0, $left),
        );
    }

    /**
     * @return non-empty-list<Lot>
     *
     * @throws RequestRefused when there is no such lot
     */
    private function lots(Judgement $judgement): array
    {
        $lots = array_values(array_filter($judgement->lots->all, fn (Lot $lot): bool => $this->lot === null ? $lot->batch->count->best > 0.0 : in_array($this->lot, [$lot->id, $lot->name], true)));
        if ($lots === [] && $this->lot !== null) {
            throw RequestRefused::outOfRange($this->lotPath ?? '/lot', "There is no lot \"{$this->lot}\".");
        }

        return $lots === [] ? $judgement->lots->all : $lots;
    }

    private function bestBefore(int $days): ?string
    {
        return $days === 0 ? null : $this->made->after($days)->iso;
    }

    private function pieces(float $count): string
    {
        return rtrim(rtrim(number_format($count, 2, '.', ''), '0'), '.').($count === 1.0 ? ' piece' : ' pieces');
    }
}

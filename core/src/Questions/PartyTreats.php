<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Feeding\TakenDays;
use MildBowl\Core\Judging\Judgement;

/** The treats of an occasion, each judged for all who come. */
final readonly class PartyTreats
{
    /** Pieces that are asked about where nobody said how many. */
    public const ONE = 1.0;

    /**
     * @param  non-empty-list<PartyTreat>  $all
     * @param  array<string, Judgement>  $judged  by treat
     * @param  array<string, array<string, OccasionAnswer>>  $ofOne  of one piece, by treat and dog
     * @param  array<string, list<string>>  $serves  keys of dogs that may have some of it, by treat
     * @param  array<string, TakenDays>  $taken  by other occasions, by dog
     * @param  array<string, string>  $stopped  why a dog gets nothing, whatever is served, by dog
     */
    private function __construct(
        public array $all,
        private array $judged,
        private array $ofOne,
        public array $serves,
        private array $taken,
        private array $stopped,
    ) {}

    /**
     * @param  non-empty-list<PartyTreat>  $treats
     * @param  array<string, TakenDays>  $taken  by other occasions, by dog
     * @param  array<string, string>  $stopped  why a dog gets nothing, whatever is served, by dog
     */
    public static function of(array $treats, array $taken, array $stopped = []): self
    {
        $judged = $ofOne = $serves = [];
        foreach ($treats as $treat) {
            $judgement = $judged[$treat->id] = Judgement::on($treat->question);
            $serves[$treat->id] = [];
            foreach ($treat->question->dogs as $dog) {
                $why = $stopped[$dog->key()] ?? null;
                $answer = $why !== null ? OccasionAnswer::refused($why, 0.0)
                    : (new OccasionQuestion($treat->question, $dog, self::ONE, $judgement, $taken[$dog->key()] ?? null))->answer();
                $ofOne[$treat->id][$dog->key()] = $answer;
                if ($answer->possible || Ration::isAPiece($answer->mostPieces)) {
                    $serves[$treat->id][] = $dog->key();
                }
            }
        }

        return new self($treats, $judged, $ofOne, $serves, $taken, $stopped);
    }

    /** @return list<Dog> all who come */
    public function dogs(): array
    {
        return $this->all[0]->question->dogs;
    }

    public function judgement(string $treat): Judgement
    {
        return $this->judged[$treat];
    }

    public function ofOne(string $treat, Dog $dog): OccasionAnswer
    {
        return $this->ofOne[$treat][$dog->key()];
    }

    public function serves(string $treat, Dog $dog): bool
    {
        return in_array($dog->key(), $this->serves[$treat], true);
    }

    /** What so many pieces of a treat are for a dog. */
    public function asked(string $treat, Dog $dog, float $pieces): OccasionAnswer
    {
        if (isset($this->stopped[$dog->key()])) {
            return $this->ofOne($treat, $dog);
        }
        foreach ($this->all as $one) {
            if ($one->id === $treat) {
                return (new OccasionQuestion($one->question, $dog, $pieces, $this->judged[$treat], $this->taken[$dog->key()] ?? null))->answer();
            }
        }
        throw new \OutOfBoundsException("No treat $treat is served.");
    }

    /** Whether a label that is read, or a vet's word, could settle what stands against it. */
    public function couldBeSettled(string $treat, Dog $dog): bool
    {
        return ! isset($this->stopped[$dog->key()]) && $this->judged[$treat]->whyNotCleared($dog)?->confirmable === true;
    }

    /** Why a dog gets nothing: of the treat that a word could still settle, or the first. */
    public function nearest(Dog $dog): OccasionAnswer
    {
        foreach ($this->all as $treat) {
            if ($this->couldBeSettled($treat->id, $dog)) {
                return $this->ofOne($treat->id, $dog);
            }
        }

        return $this->ofOne($this->all[0]->id, $dog);
    }

    /** Whether each who comes may have some of one of them. */
    public function serveAll(): bool
    {
        return count(array_unique(array_merge([], ...array_values($this->serves)))) === count($this->dogs());
    }
}

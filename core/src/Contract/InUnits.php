<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Telling\HouseUnits;

/** An answer with its sentences in the units that a kitchen reads. Figures by themselves stay in the units of their keys, and what a person wrote stays as it was written. */
final readonly class InUnits
{
    /** Keys of what core says in words. */
    private const SENTENCES = [
        'advice', 'assumed', 'assumes', 'breedNote', 'cares', 'class', 'coreStep', 'difference', 'figure', 'idealSays', 'made', 'mending', 'message', 'note', 'oddity', 'poison', 'questions', 'reached',
        'reason', 'remark', 'remedy', 'says', 'shows', 'sign', 'stageWhy', 'stops', 'turn', 'warnings', 'why',
    ];

    /** What is read out to a vet stays in the units that a vet counts in. */
    private const AS_IT_IS = ['sheet', 'doses'];

    public function __construct(private HouseUnits $units) {}

    /**
     * @param  array<string, mixed>  $answer
     * @return array<string, mixed> the same; the steps of a method have it in the units of the kitchen beside their own words
     */
    public function answer(array $answer): array
    {
        if ($this->units->areCores()) {
            return $answer;
        }
        /** @var array<string, mixed> $turned */
        $turned = $this->turn($answer);
        if (is_array($turned['steps'] ?? null)) {
            $turned['steps'] = array_map($this->step(...), $turned['steps']);
        }

        return $turned;
    }

    /** A step with its words in the units of the kitchen beside its own. */
    private function step(mixed $step): mixed
    {
        return is_array($step) && is_string($step['text'] ?? null) ? $step + ['shown' => $this->units->method($step['text'])] : $step;
    }

    private function turn(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        foreach ($value as $key => $one) {
            if (in_array($key, self::AS_IT_IS, true)) {
                continue;
            }
            $value[$key] = in_array($key, self::SENTENCES, true) ? $this->sentences($one) : $this->turn($one);
        }

        return $value;
    }

    private function sentences(mixed $said): mixed
    {
        return match (true) {
            is_string($said) => $this->units->sentence($said),
            is_array($said) && array_is_list($said) => array_map($this->sentences(...), $said),
            default => $this->turn($said),
        };
    }
}

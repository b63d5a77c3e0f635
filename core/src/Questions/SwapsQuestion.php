<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Swaps\Composed;
use MildBowl\Core\Swaps\Goals\Goals;
use MildBowl\Core\Swaps\Jobs;
use MildBowl\Core\Swaps\Option;
use MildBowl\Core\Swaps\Rescue;

/** `swaps`: what may stand in for one line: each candidate with its amount, what else changes, and its effect on the treat and every ration. */
final readonly class SwapsQuestion
{
    /**
     * @param  int  $line  number of the line, from 0
     * @param  list<string>  $jobs  that the candidates are to do; empty for those the line does
     * @param  list<string>  $atHand  foods that are at hand; empty where nobody said
     */
    public function __construct(private Question $question, private int $line, private array $jobs, private array $atHand) {}

    /** @throws RequestRefused when the recipe has no such line */
    public function answer(): SwapsAnswer
    {
        $question = $this->question;
        $recipe = $question->kitchen->reader->read($question->text, $question->steps);
        $line = $recipe->lines[$this->line] ?? throw RequestRefused::outOfRange('/line', 'The recipe has no such line.');
        $rescue = new Rescue($question, $recipe, new Goals, $this->atHand);
        $keep = array_fill(0, count($recipe->lines), 0);
        $candidates = [];
        foreach ($rescue->options[$this->line] as $index => $option) {
            if ($option->action === Option::KEEP || ! $this->does($option)) {
                continue;
            }
            $choice = $keep;
            $choice[$this->line] = $index;
            $choice = array_values($choice);
            $composed = new Composed($question, $rescue, $choice);
            $serves = static fn (int $n): bool => ($option->serves >> $n & 1) === 1;
            $candidates[] = new SwapCandidate(
                $option,
                array_values(array_filter($question->dogs, $serves, ARRAY_FILTER_USE_KEY)),
                array_values(array_filter($question->dogs, static fn (int $n): bool => ! $serves($n), ARRAY_FILTER_USE_KEY)),
                $rescue->mending($choice)['reason'] ?? null, $composed,
                SwapFigures::of(Judgement::on($question->withText($composed->text, $composed->steps)), $question->kitchen->prices),
                $option->action === Option::SWAP && $line->food !== null ? ['out' => $line->food->id, 'in' => $option->foods()[0]] : null,
            );
        }
        // the more dogs it serves the better, then the nearer to what was there
        usort($candidates, static fn (SwapCandidate $a, SwapCandidate $b): int => count($b->serves) <=> count($a->serves) ?: round($a->option->cost, 4) <=> round($b->option->cost, 4));

        return new SwapsAnswer($line, $this->jobs === [] ? ($rescue->jobs[$this->line] ?? []) : $this->jobs, SwapFigures::of(Judgement::on($question->withText($question->text, $question->steps)), $question->kitchen->prices), $candidates);
    }

    private function does(Option $option): bool
    {
        return $this->jobs === [] || $option->portions === [] || array_intersect($this->jobs, Jobs::can($option->portions[0]->ingredient)) !== [];
    }
}

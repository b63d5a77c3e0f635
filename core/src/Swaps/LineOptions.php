<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Liking;
use MildBowl\Core\Judging\Confirmation;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Measuring\Weigher;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Screener;
use MildBowl\Core\Swaps\Goals\Goals;
use MildBowl\Core\Values\Level;

/** What can be done with each line of a recipe, for which dogs, at what cost. */
final class LineOptions
{
    public const MOST_CANDIDATES = 12;

    /** Share of a bowl that may not simply be left out. */
    private const MUST_STAY = 0.25;

    private readonly Screener $screener;

    private readonly Plate $plate;

    private readonly Binders $binders;

    /**
     * @param  list<string>  $atHand
     * @param  array<string, float>  $weights
     */
    public function __construct(
        private readonly Question $request,
        private readonly Goals $goals,
        private readonly array $atHand,
        private readonly array $weights,
        private readonly Weigher $weigher,
        private readonly LineWriter $writer,
        private readonly Bowl $bowl,
        private readonly Identity $identity,
    ) {
        $this->plate = new Plate($bowl, $request->texture(), $request->cut());
        $this->binders = new Binders($bowl->parts->body->kept);
        $this->screener = new Screener(Circumstances::of($request->dogs, $request->texture(), $request->kitchen->policy), $request->kitchen->reader->lines);
    }

    /**
     * Keep it first, then at most twelve less two others by cost, then leaving it out where nothing depends on it.
     *
     * @param  list<string>  $jobs  what the line does in the dough
     * @return list<Option>
     */
    public function of(ReadLine $line, ?Weighed $portion, array $jobs): array
    {
        $all = (1 << count($this->request->dogs)) - 1;
        $keep = new Option(Option::KEEP, [$line->text], $portion === null ? [] : [$portion], 0.0, $this->serves($line, $blocking = $this->blocking($line, $this->findings($line))), '', [], Jobs::bits($jobs), []);
        if ($portion === null) {
            return [$keep];
        }
        $why = $blocking === [] ? '' : $blocking[0]->message;
        $options = [];
        foreach ($this->rewritings($line, $portion, $why) as $option) {
            $options[] = $option;
        }
        $state = $this->plate->stateOf($line, $portion);
        foreach (Swap::for($portion->ingredient, $this->request->kitchen->swaps, $state) as $swap) {
            $option = $this->binders->mayStandIn($portion, $swap) ? $this->swapped($line, $portion, $swap, $why) : null;
            if ($option !== null) {
                $options[] = $option->dearer($this->identity->cost($portion, $option->portions) + $this->forMash($line, $option));
            }
        }
        usort($options, static fn (Option $a, Option $b): int => $a->cost <=> $b->cost);
        $options = array_slice($options, 0, self::MOST_CANDIDATES - 2);
        if ($this->mayBeLeftOut($portion, $jobs)) {
            $options[] = new Option(Option::REMOVE, [], [], $this->weights['remove'] + $this->identity->cost($portion, []), $all, trim($why.' Leave it out: the dough does without.'), [], 0, []);
        }

        return [$keep, ...$options];
    }

    /** What was mashed or puréed is best replaced by what is smooth. */
    private function forMash(ReadLine $line, Option $option): float
    {
        $isSmooth = array_intersect($line->forms, ['mashed', 'pureed']) === [] || $option->portions === [] || Plate::allows('creamy', $option->portions[0]->ingredient);

        return $isSmooth ? 0.0 : $this->weights['pieces-for-mash'];
    }

    /**
     * The line with one of the foods it offers, or with its food named plainly.
     *
     * @return list<Option>
     */
    private function rewritings(ReadLine $line, Weighed $portion, string $why): array
    {
        $options = [];
        foreach ($line->alternatives as $alternative) {
            if ($alternative->composition !== null) {
                $options[] = $this->written(Option::SWAP, [$this->writer->write($alternative->id, $portion->grams->best, $line)], 0.0, $why.' The recipe offers it itself.');
            }
        }
        if ($line->alternatives !== [] || $line->others !== [] || $line->condition !== null || ($line->forms !== [] && $why !== '')) {
            $options[] = $this->written(Option::ADJUST, [$this->writer->write($portion->ingredient->id, $portion->grams->best, $line)], 0.02, $why.' Written plainly, with nothing else in it.');
        }

        return array_values(array_filter($options));
    }

    private function swapped(ReadLine $line, Weighed $portion, Swap $swap, string $why): ?Option
    {
        $texts = $names = [];
        foreach ($swap->in as $id => $ratio) {
            $food = $this->request->kitchen->catalogue->get($id);
            $texts[] = $this->writer->write($id, min($portion->grams->best * $ratio, $this->plate->most($food) ?? INF), $line);
            $names[] = $food->name;
        }
        if ($texts === []) {
            return null;
        }
        $binder = $this->plate->isInBody($line) ? $this->binders->comesWith($portion, $swap) : null;
        if ($binder !== null) {
            $with = $this->binder($binder, $line);
            if ($with === null) {
                return null;
            }
            $texts[] = $with;
        }
        $says = ucfirst(implode(' and ', array_slice($names, 0, 1))).' instead'.($swap->note === '' ? '.' : ": $swap->note.").($binder === null ? '' : ' A binder comes with it.');

        return $this->written(Option::SWAP, $texts, $swap->rank * $this->weights['rank'] - ($binder === null ? 0.0 : $this->weights['add']), trim("$why $says"));
    }

    /** A binder that most dogs of the table may have, as a line; null where there is none. */
    private function binder(float $flour, ReadLine $line): ?string
    {
        foreach (Binders::OF_FLOUR as $id => $share) {
            $text = $this->writer->write($id, $flour * $share, $line);
            $read = $this->request->kitchen->reader->lines->read($text);
            if ($this->serves($read, $this->blocking($read, $this->findings($read))) === (1 << count($this->request->dogs)) - 1) {
                return $text;
            }
        }

        return null;
    }

    /** @param  list<string>  $texts */
    private function written(string $action, array $texts, float $rank, string $reason): ?Option
    {
        $portions = $labels = $newTo = [];
        $serves = (1 << count($this->request->dogs)) - 1;
        $jobs = 0;
        $cost = $this->weights['change'] + $rank + (count($texts) - 1) * $this->weights['add'];
        foreach ($texts as $text) {
            $line = $this->request->kitchen->reader->lines->read($text);
            $portion = Weighed::read($line, -1, $this->weigher, $this->request->kitchen->policy->calorieConvention);
            if ($portion === null || $portion->ingredient->composition === null || $line->unread !== []) {
                return null;
            }
            $portions[] = $portion;
            $findings = $this->screener->line($line, $portion->grams);
            $serves &= $this->serves($line, $this->blocking($line, $findings));
            $jobs |= Jobs::bits(Jobs::can($portion->ingredient));
            foreach ($findings as $finding) {
                if ($finding->level === Level::CheckLabel) {
                    $labels[$finding->message] = true;
                }
            }
            foreach ($this->request->dogs as $dog) {
                if ($dog->isNewTo($portion->ingredient)) {
                    $newTo[$dog->key()] = $dog;
                    $cost += $this->weights['new'];
                }
                $cost += $this->byTaste($portion->ingredient, $dog);
            }
            if ($this->atHand !== [] && ! in_array($portion->ingredient->id, $this->atHand, true) && $portion->ingredient->id !== 'water') {
                $cost += $this->weights['not-at-hand'];
            }
        }
        if ($serves === 0 && $this->request->dogs !== []) {
            return null;
        }

        return new Option($action, $texts, $portions, $cost + count($labels) * $this->weights['label'], $serves, trim($reason), array_keys($labels), $jobs, array_values($newTo));
    }

    /** What it costs, or spares, that a dog is known to refuse a food or to take it. */
    private function byTaste(Ingredient $food, Dog $dog): float
    {
        $liking = $dog->watched->likingOf($food);

        return match (true) {
            $liking === Liking::Refused, $liking !== Liking::Liked && $this->isDisliked($food, $dog) => $this->weights['dislike'],
            // all dogs at the table together spare no more than one liking is worth: a change stays a change
            $liking === Liking::Liked => -$this->weights['liked'] / max(1, count($this->request->dogs)),
            default => 0.0,
        };
    }

    private function isDisliked(Ingredient $food, Dog $dog): bool
    {
        foreach ($dog->dislikes as $refused) {
            // "raw apple" is refused raw and eaten baked
            if (str_starts_with(mb_strtolower($refused), 'raw ') && $this->request->texture()->isHeated) {
                continue;
            }
            $id = $this->request->kitchen->catalogue->resolveGroupOrId((string) preg_replace('/^(raw|baked|cooked)\s+/i', '', $refused));
            if ($id !== null && $food->isCoveredBy($id)) {
                return true;
            }
        }

        return false;
    }

    /**
     * The dogs that may have what a line says, labels and doses aside.
     *
     * @param  list<Finding>  $blocking
     */
    private function serves(ReadLine $line, array $blocking): int
    {
        $serves = (1 << count($this->request->dogs)) - 1;
        foreach ($blocking as $finding) {
            foreach ($this->request->dogs as $n => $dog) {
                if ($finding->concerns($dog)) {
                    $serves &= ~(1 << $n);
                }
            }
        }
        foreach ($line->foods() as $food) {
            if ($this->goals->forbid($food, $this->request->kitchen->policy)) {
                return 0;
            }
            foreach ($this->request->dogs as $n => $dog) {
                if ($this->goals->forbidFor($dog, $food)) {
                    $serves &= ~(1 << $n);
                }
            }
        }

        return $serves;
    }

    /** @return list<Finding> */
    private function findings(ReadLine $line): array
    {
        return $this->screener->line($line, $line->food === null ? null : $this->weigher->weigh($line));
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private function blocking(ReadLine $line, array $findings): array
    {
        return array_values(array_filter($findings, fn (Finding $finding): bool => $finding->level->blocks() && $finding->level !== Level::CheckLabel && ! Confirmation::isSettled($finding, $line->text, $this->request->confirmed)));
    }

    /** @param  list<string>  $jobs */
    private function mayBeLeftOut(Weighed $portion, array $jobs): bool
    {
        $mass = $this->bowl->dough->grams->best;

        return $mass > 0 && $portion->grams->best < self::MUST_STAY * $mass && ! (in_array('bulk', $jobs, true) && $portion->grams->best > 0.15 * $mass);
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Portion;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Kitchen\LineReader;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\Weigher;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Level;
use MildBowl\Core\Screening\Screener;

/** What can be done with each line of a recipe, for which dogs, at what cost. */
final class LineOptions
{
    public const MOST_CANDIDATES = 12;

    /** Share of a bowl that may not simply be left out. */
    private const MUST_STAY = 0.25;

    private readonly Screener $screener;

    /**
     * @param  array<string, list<string>>  $dislikes  foods each dog refuses, by its name
     * @param  list<string>  $atHand
     * @param  array<string, float>  $weights
     * @param  list<OwnSwap>  $own  the kitchen's own swaps and what it thinks of known ones
     */
    public function __construct(
        private readonly Request $request,
        private readonly Goals $goals,
        private readonly array $dislikes,
        private readonly array $atHand,
        private readonly array $weights,
        private readonly array $own,
        private readonly Weigher $weigher,
        private readonly LineWriter $writer,
        private readonly Dough $dough,
    ) {
        $this->screener = new Screener(new Circumstances($request->dogs, $request->texture()->id, $request->texture()->isHeated, $request->policy->garlic, $request->policy->pseudoGrains === 'grain'));
    }

    /**
     * Keep it first, then at most twelve less two others by cost, then leaving it out where nothing depends on it.
     *
     * @param  list<string>  $jobs  what the line does in the dough
     * @return list<Option>
     */
    public function of(ReadLine $line, ?Portion $portion, array $jobs): array
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
        foreach (SwapTable::for($portion->ingredient, $this->own) as $swap) {
            $option = $this->swapped($line, $portion, $swap, $why);
            if ($option !== null) {
                $options[] = $option;
            }
        }
        usort($options, static fn (Option $a, Option $b): int => $a->cost <=> $b->cost);
        $options = array_slice($options, 0, self::MOST_CANDIDATES - 2);
        if ($this->mayBeLeftOut($portion, $jobs)) {
            $options[] = new Option(Option::REMOVE, [], [], $this->weights['remove'], $all, $why.' Nothing else in the dough depends on it.', [], 0, []);
        }

        return [$keep, ...$options];
    }

    /**
     * The line with one of the foods it offers, or with its food named plainly.
     *
     * @return list<Option>
     */
    private function rewritings(ReadLine $line, Portion $portion, string $why): array
    {
        $options = [];
        foreach ($line->alternatives as $alternative) {
            if (Catalogue::get($alternative)->composition !== null) {
                $options[] = $this->written(Option::SWAP, [$this->writer->write($alternative, $portion->grams->best, $line)], 0.0, $why.' The recipe offers it itself.');
            }
        }
        if ($line->alternatives !== [] || $line->others !== [] || $line->condition !== null || ($line->forms !== [] && $why !== '')) {
            $options[] = $this->written(Option::ADJUST, [$this->writer->write($portion->ingredient->id, $portion->grams->best, $line)], 0.02, $why.' Written plainly, with nothing else in it.');
        }

        return array_values(array_filter($options));
    }

    private function swapped(ReadLine $line, Portion $portion, Swap $swap, string $why): ?Option
    {
        $texts = [];
        foreach ($swap->in as $id => $ratio) {
            $texts[] = $this->writer->write($id, $portion->grams->best * $ratio, $line);
        }
        if ($texts === []) {
            return null;
        }

        return $this->written(Option::SWAP, $texts, $swap->rank * $this->weights['rank'], $why.' '.ucfirst($swap->note).'.');
    }

    /** @param  list<string>  $texts */
    private function written(string $action, array $texts, float $rank, string $reason): ?Option
    {
        $portions = $labels = $newTo = [];
        $serves = (1 << count($this->request->dogs)) - 1;
        $jobs = 0;
        $cost = $this->weights['change'] + $rank + (count($texts) - 1) * $this->weights['add'];
        foreach ($texts as $text) {
            $line = LineReader::read($text, 0, null);
            $portion = Portion::read($line, -1, $this->weigher, $this->request->policy->calorieConvention);
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
                if (array_filter($dog->newIngredients, $portion->ingredient->isCoveredBy(...)) !== []) {
                    $newTo[] = $dog->name;
                    $cost += $this->weights['new'];
                }
                if ($this->isDisliked($portion->ingredient, $dog)) {
                    $cost += $this->weights['dislike'];
                }
            }
            if ($this->atHand !== [] && ! in_array($portion->ingredient->id, $this->atHand, true) && $portion->ingredient->id !== 'water') {
                $cost += $this->weights['not-at-hand'];
            }
        }
        if ($serves === 0 && $this->request->dogs !== []) {
            return null;
        }

        return new Option($action, $texts, $portions, $cost + count($labels) * $this->weights['label'], $serves, trim($reason), array_keys($labels), $jobs, array_values(array_unique($newTo)));
    }

    private function isDisliked(Ingredient $food, Dog $dog): bool
    {
        foreach ($this->dislikes[$dog->name] ?? [] as $refused) {
            // "raw apple" is refused raw and eaten baked
            if (str_starts_with(mb_strtolower($refused), 'raw ') && $this->request->texture()->isHeated) {
                continue;
            }
            $id = Catalogue::resolveGroupOrId((string) preg_replace('/^(raw|baked|cooked)\s+/i', '', $refused));
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
                if ($finding->concerns($dog->name)) {
                    $serves &= ~(1 << $n);
                }
            }
        }
        foreach ($line->foods() as $id) {
            if ($this->goals->forbids(Catalogue::get($id), $this->request->policy->pseudoGrains === 'grain')) {
                return 0;
            }
            foreach ($this->request->dogs as $n => $dog) {
                if (in_array($dog->name, $this->goals->nothingNewFor, true) && array_filter($dog->newIngredients, Catalogue::get($id)->isCoveredBy(...)) !== []) {
                    $serves &= ~(1 << $n);
                }
            }
        }

        return $serves;
    }

    /** @return list<Finding> */
    private function findings(ReadLine $line): array
    {
        return $this->screener->line($line, $line->ingredient === null ? null : $this->weigher->weigh($line));
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private function blocking(ReadLine $line, array $findings): array
    {
        return array_values(array_filter($findings, fn (Finding $finding): bool => $finding->level->blocks() && $finding->level !== Level::CheckLabel && ! $this->request->isConfirmed($finding, $line->text)));
    }

    /** @param  list<string>  $jobs */
    private function mayBeLeftOut(Portion $portion, array $jobs): bool
    {
        $mass = $this->dough->grams->best;

        return $mass > 0 && $portion->grams->best < self::MUST_STAY * $mass && ! (in_array('bulk', $jobs, true) && $portion->grams->best > 0.15 * $mass);
    }
}

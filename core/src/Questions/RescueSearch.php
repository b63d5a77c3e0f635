<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Swaps\Composed;
use MildBowl\Core\Swaps\Goals\Goals;
use MildBowl\Core\Swaps\Option;
use MildBowl\Core\Swaps\Rescue;
use MildBowl\Core\Swaps\Solver;
use MildBowl\Core\Values\Figure;
use MildBowl\Core\Values\Level;

/** The searches of one rescue, with the patience they share. */
final class RescueSearch
{
    /** Dogs for which every split into tables is tried. */
    private const MOST_SPLIT = 8;

    /** Steps that one search may take, and all of one question together: a hard question is answered with what was found, and says so. */
    private const ONE_SEARCH = 40_000;

    private const ALL_SEARCHES = 90_000;

    /** Up to so many dogs a step takes its usual time; with more each looks at every one of them, and there are fewer. */
    private const USUAL_DOGS = 6;

    private int $patience;

    private readonly int $oneSearch;

    private readonly Rescue $rescue;

    /** Dogs that could be served by some recipe; bit n is dog n. */
    private int $all = 0;

    /** @var array<string, string> why a dog is served by no recipe, by dog */
    private array $hopeless = [];

    /** @param  list<string>  $atHand */
    public function __construct(private readonly Question $question, Goals $goals, array $atHand)
    {
        $share = min(1.0, self::USUAL_DOGS / max(1, count($question->dogs)));
        $this->patience = (int) (self::ALL_SEARCHES * $share);
        $this->oneSearch = (int) (self::ONE_SEARCH * $share);
        $this->rescue = new Rescue($question, $question->kitchen->reader->read($question->text, $question->steps), $goals, $atHand);
        foreach ($question->dogs as $n => $dog) {
            if ($this->rescue->table->hasRation($n)) {
                $this->all |= 1 << $n;
            } else {
                $this->hopeless[$dog->key()] = match (true) {
                    $dog->weightKg === null => 'Its weight is not known: without it there is no ration.',
                    $dog->isBreeding() => 'Pregnant or nursing: your vet decides.',
                    default => 'No treats before 8 weeks.',
                };
            }
        }
    }

    public function answer(): RescueAnswer
    {
        $why = $this->whyNot();
        if ($why !== null) {
            return new RescueAnswer([], [], $why);
        }
        $serves = $this->all;
        $first = $this->best($serves);
        if ($first === null) {
            [$serves, $first] = $this->most();
        }
        if ($first === null) {
            return new RescueAnswer([], [], $this->impossible($this->all));
        }
        $solutions = [$first];
        $puts = $this->puts($first['choice']);
        $solutions[] = $this->best($serves, fn (int $line, Option $option): bool => $option->action !== Option::SWAP || array_intersect($option->foods(), $puts) === [] || $option->foods() === ['water']);
        $solutions[] = $this->best($serves, fn (int $line, Option $option): bool => $option->action === Option::KEEP || $option->action === Option::REMOVE || ! $this->canGo($line));
        $rescues = $seen = [];
        foreach ($solutions as $kind => $solution) {
            if ($solution === null) {
                continue;
            }
            $composed = new Composed($this->question, $this->rescue, $solution['choice']);
            if (! isset($seen[$composed->text])) {
                $seen[$composed->text] = true;
                $rescues[] = $this->told($composed, $solution, $serves, $kind);
            }
        }

        // one that changes the batch by more than a quarter stands last
        usort($rescues, static fn (Rescued $a, Rescued $b): int => (int) (abs($a->batchChange) > Rescue::MOST_CHANGE) <=> (int) (abs($b->batchChange) > Rescue::MOST_CHANGE));

        return new RescueAnswer($rescues, $this->tables($serves), $serves === $this->all ? null : $this->impossible($this->all));
    }

    private function whyNot(): ?string
    {
        $unread = $this->rescue->unread();

        return match (true) {
            $this->question->dogs === [] => 'No dog is at the table: a recipe is rescued for somebody.',
            $this->rescue->recipe->lines === [] => 'There is no line with a food in it yet.',
            $unread !== [] => 'Settle these lines first, then it can be worked out: '.implode('; ', array_slice($unread, 0, 10)).'.',
            $this->all === 0 => 'No dog at this table may have a treat: '.implode(' ', $this->hopeless),
            default => null,
        };
    }

    /**
     * @param  callable(int, Option): bool|null  $allowed
     * @return array{choice: list<int>, cost: float, optimal: bool}|null
     */
    private function best(int $serves, ?callable $allowed = null): ?array
    {
        $tight = $this->rescue->price->tight($serves);
        $hurt = $this->rescue->price->hurt($serves);
        $pieces = $this->rescue->price->cutCosts($serves);
        $best = null;
        foreach ($this->rescue->goals->narrowings($this->rescue->options) ?? [null] as $narrow) {
            $may = $narrow === null ? $allowed : ($allowed === null ? $narrow : static fn (int $line, Option $option): bool => $narrow($line, $option) && $allowed($line, $option));
            $steps = 0;
            $found = $this->patience <= 0 ? null : Solver::solve(
                $this->rescue->options, $this->rescue->bowls, $serves,
                fn (array $choice, array $sums, float $limit): ?float => $this->rescue->price->rest($choice, $sums, $serves, $limit),
                $may, min($this->patience, $this->oneSearch),
                fn (array $sums, array $least, array $most, int $jobs): float => $this->rescue->price->bound($sums, $least, $most, $jobs, $tight, $hurt, $pieces), $steps, $this->rescue->goalColumns(), $this->rescue->price->slopes(),
            );
            $this->patience -= $steps;
            if ($found !== null && ($best === null || $found['cost'] < $best['cost'])) {
                $best = $found;
            }
        }

        return $best;
    }

    /** @return array{int, array{choice: list<int>, cost: float, optimal: bool}|null} the most dogs that one batch can serve */
    private function most(): array
    {
        $masks = self::subsets($this->all);
        usort($masks, static fn (int $a, int $b): int => self::count($b) <=> self::count($a) ?: $a <=> $b);
        $best = null;
        foreach ($masks as $mask) {
            if ($best !== null && self::count($mask) < self::count($best[0])) {
                break;
            }
            if ($mask === $this->all || $this->misses($mask) || ! $this->canServe($mask)) {
                continue;
            }
            $solution = $this->best($mask);
            if ($solution !== null && ($best === null || $solution['cost'] < $best[1]['cost'])) {
                $best = [$mask, $solution];
            }
        }

        return $best ?? [0, null];
    }

    /** Whether every line has some option for all of these dogs. */
    private function canServe(int $mask): bool
    {
        foreach ($this->rescue->options as $options) {
            foreach ($options as $option) {
                if (($option->serves & $mask) === $mask) {
                    continue 2;
                }
            }

            return false;
        }

        return true;
    }

    /** The goal "only from the allow-list" leaves no dog out that has one. */
    private function misses(int $mask): bool
    {
        foreach ($this->question->dogs as $n => $dog) {
            if (($mask >> $n & 1) === 0 && $this->rescue->goals->want($dog)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<int> every part of a set of dogs; of large tables only the parts that leave few out */
    private static function subsets(int $all): array
    {
        $masks = [];
        if (self::count($all) <= self::MOST_SPLIT) {
            for ($mask = $all; $mask > 0; $mask = ($mask - 1) & $all) {
                $masks[] = $mask;
            }

            return $masks;
        }
        for ($n = 0; $n < 50; $n++) {
            if (($all >> $n & 1) === 1) {
                $masks[] = $all & ~(1 << $n);
                $masks[] = 1 << $n;
            }
        }

        return $masks;
    }

    private static function count(int $mask): int
    {
        return substr_count(decbin($mask), '1');
    }

    /**
     * @param  list<int>  $choice
     * @return list<string> foods that a choice puts in
     */
    private function puts(array $choice): array
    {
        $foods = [];
        foreach ($choice as $line => $index) {
            $option = $this->rescue->options[$line][$index];
            if ($option->action === Option::SWAP) {
                array_push($foods, ...$option->foods());
            }
        }

        return array_values(array_unique($foods));
    }

    private function canGo(int $line): bool
    {
        foreach ($this->rescue->options[$line] as $option) {
            if ($option->action === Option::REMOVE) {
                return true;
            }
        }

        return false;
    }

    /** @param  array{choice: list<int>, cost: float, optimal: bool}  $solution */
    private function told(Composed $composed, array $solution, int $serves, int $kind): Rescued
    {
        $cut = $this->rescue->cutOf($solution['choice'], $serves);
        $texture = $this->rescue->goals->texture($this->question->texture());
        // what is said is what the sheet will say: the recipe as rewritten is judged anew before it is told
        $after = Judgement::on($this->question->withPlan($composed->text, $composed->steps, $cut['cut'] ?? null, $texture));
        $served = $leftOut = $afterLabels = [];
        foreach ($this->question->dogs as $n => $dog) {
            $hopeless = $this->hopeless[$dog->key()] ?? null;
            $reason = match (true) {
                $hopeless !== null => new LeftOut($dog, null, $hopeless),
                ($serves >> $n & 1) === 0 => $this->blockedFor($n),
                default => self::stillOpen($after, $dog),
            };
            if ($reason !== null) {
                $leftOut[] = $reason;
            } elseif ($after->verdictOf($dog)->cleared) {
                $served[] = $dog;
            } else {
                $afterLabels[] = $dog;
            }
        }
        $change = $this->rescue->changeOf($solution['choice']);
        $says = $composed->says($kind, $cut === null ? null : $this->cutSays($cut['cut'], $cut['times']), $texture === null ? null : "bake it {$texture->name}");
        if (abs($change) > Rescue::MOST_CHANGE) {
            $says .= ' The batch becomes '.round(100 * abs($change)).' % '.($change > 0 ? 'larger' : 'smaller').'.';
        }

        return new Rescued(
            $composed, $says, $served, $afterLabels, $leftOut, $cut['cut'] ?? null, $texture, $change,
            ['before' => $this->rescue->body->wetness, 'after' => $after->bowl->parts->body->dough->wetness], round($solution['cost'], 4), $solution['optimal'],
        );
    }

    private function cutSays(Cut $cut, float $times): string
    {
        $count = $cut->count();

        return $count !== null ? 'cut it into '.round($count).' instead of '.round((float) $this->question->cut()->count()) : 'cut it smaller, '.Figure::of(round($times, 1)).' pieces out of one';
    }

    /** What still keeps a dog from being cleared, labels aside. */
    private static function stillOpen(Judgement $after, Dog $dog): ?LeftOut
    {
        $parts = [];
        foreach ($after->bowl->recipe->lines as $n => $line) {
            $parts[] = [$line->text, $after->lineFindings[$n]];
        }
        foreach ($after->bowl->recipe->steps as $n => $step) {
            $parts[] = [$step->text, $after->stepFindings[$n]];
        }
        $parts[] = [null, $after->verdictOf($dog)->findings];
        foreach ($parts as [$text, $findings]) {
            foreach ($findings as $finding) {
                if ($finding->concerns($dog) && $finding->isOpen() && $finding->level !== Level::CheckLabel) {
                    return new LeftOut($dog, $text, $finding->level === Level::AskVet ? "{$finding->message} Once your vet agrees, this recipe serves {$dog->name} too." : $finding->message);
                }
            }
        }
        $ration = $after->rationOf($dog);

        return $ration->isReckoned() && $ration->pieces !== null && ! Ration::isAPiece($ration->pieces) ? new LeftOut($dog, null, 'Under a quarter of a piece a day is left: cut smaller.') : null;
    }

    private function blockedFor(int $n): LeftOut
    {
        foreach ($this->rescue->options as $line => $options) {
            if (array_filter($options, static fn (Option $option): bool => ($option->serves >> $n & 1) === 1) === []) {
                return new LeftOut($this->question->dogs[$n], $this->rescue->recipe->lines[$line]->text, 'Nothing known can stand in for this line for this dog.');
            }
        }

        return new LeftOut($this->question->dogs[$n], null, 'What would serve it would not serve the others.');
    }

    private function impossible(int $serves): string
    {
        foreach ($this->rescue->options as $line => $options) {
            if (array_filter($options, static fn (Option $option): bool => ($option->serves & $serves) === $serves) === []) {
                $dogs = [];
                foreach ($this->question->dogs as $n => $dog) {
                    if (($serves >> $n & 1) === 1 && ($this->rescue->options[$line][0]->serves >> $n & 1) === 0) {
                        $dogs[] = $dog->name;
                    }
                }

                return "\"{$this->rescue->recipe->lines[$line]->text}\" makes it impossible for ".implode(', ', $dogs === [] ? ['the whole table'] : $dogs).': nothing known does its job for all of them.';
            }
        }
        $goals = $this->rescue->goals->ids();

        return $goals === [] ? 'Every change would leave some dog under a quarter of a piece a day: cut smaller, or bake two batches.' : 'These goals cannot be reached together by any change known here: '.implode(', ', $goals).'.';
    }

    /** @return list<list<Dog>> the fewest tables so that each has a recipe of its own */
    private function tables(int $serves): array
    {
        $dogs = fn (int $mask): array => array_values(array_filter($this->question->dogs, static fn (int $n): bool => ($mask >> $n & 1) === 1, ARRAY_FILTER_USE_KEY));
        if ($serves === $this->all || self::count($this->all) > self::MOST_SPLIT) {
            return $serves === $this->all ? [$dogs($this->all)] : array_values(array_filter([$dogs($serves), $dogs($this->all & ~$serves)]));
        }
        $masks = self::subsets($this->all);
        usort($masks, static fn (int $a, int $b): int => self::count($b) <=> self::count($a));
        $feasible = $whole = [];
        foreach ($masks as $mask) {
            // what serves a table serves every part of it
            $feasible[$mask] = array_filter($whole, static fn (int $one): bool => ($one & $mask) === $mask) !== [];
            if (! $feasible[$mask] && $mask !== $this->all && $this->canServe($mask) && $this->best($mask) !== null) {
                $feasible[$mask] = true;
                $whole[] = $mask;
            }
        }
        $fewest = [0 => []];
        foreach (array_reverse(self::subsets($this->all)) as $mask) {
            for ($part = $mask; $part > 0; $part = ($part - 1) & $mask) {
                $rest = $mask & ~$part;
                if ($feasible[$part] && isset($fewest[$rest]) && (! isset($fewest[$mask]) || count($fewest[$rest]) + 1 < count($fewest[$mask]))) {
                    $fewest[$mask] = [...$fewest[$rest], $part];
                }
            }
        }

        return array_map($dogs, $fewest[$this->all] ?? array_values(array_filter(array_keys(array_filter($feasible)), static fn (int $mask): bool => self::count($mask) === 1)));
    }
}

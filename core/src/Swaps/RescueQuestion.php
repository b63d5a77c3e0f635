<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Kitchen\RecipeReader;
use MildBowl\Core\Pantry\Catalogue;

/**
 * `mildbowl rescue`: the set of changes that clears a recipe for every dog, or for the most dogs, at the least cost; two more that
 * differ in kind; and the smallest split into tables where one batch cannot serve all.
 */
final class RescueQuestion
{
    private const MORE_KEYS = ['goals', 'dislikes', 'atHand', 'swaps'];

    /** Dogs for which every split into tables is tried. */
    private const MOST_SPLIT = 8;

    /** Steps that one search may take, and all of one question together: a hard question is answered with what was found, and says so. */
    private const ONE_SEARCH = 40_000;

    private int $patience = 120_000;

    private readonly Rescue $rescue;

    /** Dogs that could be served by some recipe; bit n is dog n. */
    private int $all = 0;

    /** @var array<string, string> why a dog is served by no recipe, by name */
    private array $hopeless = [];

    private function __construct(private readonly Request $request, Goals $goals, Node $node)
    {
        $this->rescue = new Rescue($request, RecipeReader::read($request->text, $request->steps), $goals, self::dislikes($node, $request->dogs), self::atHand($node), null, OwnSwap::all($node->get('swaps')));
        foreach ($request->dogs as $n => $dog) {
            if ($this->rescue->table->hasRation($n)) {
                $this->all |= 1 << $n;
            } else {
                $this->hopeless[$dog->name] = match (true) {
                    $dog->weightKg === null => 'Its weight is not known: without it there is no ration.',
                    $dog->isBreeding() => 'Pregnant or nursing: your vet decides.',
                    default => 'No treats before 8 weeks.',
                };
            }
        }
    }

    /**
     * Foods each dog refuses, by its name.
     *
     * @param  list<Dog>  $dogs
     * @return array<string, list<string>>
     *
     * @throws RequestRefused
     */
    public static function dislikes(Node $node, array $dogs): array
    {
        $dislikes = [];
        $given = $node->get('dislikes');
        $names = array_map(static fn (Dog $dog): string => $dog->name, $dogs);
        foreach ($given === null ? [] : array_keys(get_object_vars($given->object($names)->objectValue())) as $name) {
            foreach ($given?->get((string) $name)?->list(100) ?? [] as $one) {
                $dislikes[(string) $name][] = $one->filled(80);
            }
        }

        return $dislikes;
    }

    /**
     * @return list<string>
     *
     * @throws RequestRefused
     */
    public static function atHand(Node $node): array
    {
        $atHand = [];
        foreach ($node->get('atHand')?->list(500) ?? [] as $one) {
            $atHand[] = Catalogue::resolveGroupOrId($one->filled(80)) ?? throw RequestRefused::outOfRange($one->path, 'That is no food of the catalogue.');
        }

        return $atHand;
    }

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $request = Request::fromNode($node, self::MORE_KEYS);
        $goals = Goals::from($node->get('goals'), $request->dogs);

        return $request->withOwnPantry(static fn (): array => (new self($request, $goals, $node))->solve());
    }

    /** @return array<string, mixed> */
    private function solve(): array
    {
        $why = $this->whyNot();
        if ($why !== null) {
            return $this->nothing($why);
        }
        $serves = $this->all;
        $first = $this->best($serves);
        if ($first === null) {
            [$serves, $first] = $this->most();
        }
        if ($first === null) {
            return $this->nothing($this->impossible($this->all));
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
            $composed = new Composed($this->request, $this->rescue, $solution['choice']);
            if (! isset($seen[$composed->text])) {
                $seen[$composed->text] = true;
                $rescues[] = $this->told($composed, $solution, $serves, $kind);
            }
        }

        return ['version' => 1, 'dataVersion' => Data::tables()['version'], 'rescues' => $rescues, 'tables' => $this->tables($serves), 'why' => $serves === $this->all ? null : $this->impossible($this->all)];
    }

    private function whyNot(): ?string
    {
        $unread = $this->rescue->unread();

        return match (true) {
            $this->request->dogs === [] => 'No dog is at the table: a recipe is rescued for somebody.',
            $this->rescue->recipe->lines === [] => 'There is no line with a food in it yet.',
            $unread !== [] => 'Settle these lines first, then it can be worked out: '.implode('; ', array_slice($unread, 0, 10)).'.',
            $this->all === 0 => 'No dog at this table may have a treat: '.implode(' ', $this->hopeless),
            default => null,
        };
    }

    /** @return array<string, mixed> */
    private function nothing(string $why): array
    {
        return ['version' => 1, 'dataVersion' => Data::tables()['version'], 'rescues' => [], 'tables' => [], 'why' => $why];
    }

    /**
     * @param  callable(int, Option): bool|null  $allowed
     * @return array{choice: list<int>, cost: float, optimal: bool}|null
     */
    private function best(int $serves, ?callable $allowed = null): ?array
    {
        $tight = $this->rescue->tight($serves);
        $best = null;
        foreach (Narrowings::of($this->rescue->goals, $this->rescue->options) ?? [null] as $narrow) {
            $may = $narrow === null ? $allowed : ($allowed === null ? $narrow : static fn (int $line, Option $option): bool => $narrow($line, $option) && $allowed($line, $option));
            $steps = 0;
            $found = $this->patience <= 0 ? null : Solver::solve(
                $this->rescue->options, $this->rescue->bowls, $serves,
                fn (array $choice, array $sums, float $limit): ?float => $this->rescue->rest($choice, $sums, $serves, $limit),
                $may, min($this->patience, self::ONE_SEARCH),
                fn (array $sums, array $least, array $most, int $jobs): float => $this->rescue->bound($sums, $least, $most, $jobs, $tight), $steps, $this->rescue->goalColumns(),
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
        foreach ($this->request->dogs as $n => $dog) {
            if ($this->rescue->goals->has('allow-list') && $dog->allowList !== null && ($mask >> $n & 1) === 0) {
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

    /**
     * @param  array{choice: list<int>, cost: float, optimal: bool}  $solution
     * @return array<string, mixed>
     */
    private function told(Composed $composed, array $solution, int $serves, int $kind): array
    {
        $after = Formulate::answer($this->request->withText($composed->text, $composed->steps));
        $served = $leftOut = [];
        foreach ($this->request->dogs as $n => $dog) {
            $reason = $this->hopeless[$dog->name] ?? (($serves >> $n & 1) === 0 ? $this->blockedFor($n) : self::stillOpen($after, $n, $dog));
            if ($reason === null) {
                $served[] = $dog->name;
            } else {
                $leftOut[] = is_array($reason) ? $reason : ['dog' => $dog->name, 'line' => null, 'reason' => $reason];
            }
        }
        $batch = $after['batch'];

        return [
            'recipeText' => $composed->text,
            'steps' => $composed->steps,
            'says' => $composed->says($kind),
            'changes' => $composed->changes,
            'servedDogs' => $served,
            'leftOut' => $leftOut,
            'wetness' => ['before' => $this->rescue->dough->wetness, 'after' => is_array($batch) ? $batch['wetness'] : null],
            'cost' => round($solution['cost'], 4),
            'optimal' => $solution['optimal'],
        ];
    }

    /**
     * What still keeps a dog from being cleared, labels aside.
     *
     * @param  array<string, mixed>  $after
     * @return array{dog: string, line: ?string, reason: string}|null
     */
    private static function stillOpen(array $after, int $n, Dog $dog): ?array
    {
        /** @var list<array{text: string, findings: list<array<string, mixed>>}> $parts */
        $parts = [...(array) $after['lines'], ...(array) $after['steps']];
        /** @var array{dogs: list<array{findings: list<array<string, mixed>>}>} $verdict */
        $verdict = $after['verdict'];
        $parts[] = ['text' => null, 'findings' => $verdict['dogs'][$n]['findings']];
        foreach ($parts as $part) {
            foreach ($part['findings'] as $finding) {
                $concerns = $finding['dog'] === null || $finding['dog'] === $dog->name;
                if ($concerns && in_array($finding['level'], ['never', 'unknown', 'allergen', 'ask-vet'], true) && ($finding['confirmed'] ?? false) !== true) {
                    $words = is_string($finding['message']) ? $finding['message'] : '';

                    return ['dog' => $dog->name, 'line' => $part['text'], 'reason' => $finding['level'] === 'ask-vet' ? "$words Once your vet agrees, this recipe serves {$dog->name} too." : $words];
                }
            }
        }
        /** @var list<array{ifCleared: ?float}> $rations */
        $rations = $after['rations'];
        $pieces = $rations[$n]['ifCleared'];

        return $pieces !== null && $pieces < 0.25 ? ['dog' => $dog->name, 'line' => null, 'reason' => 'Under a quarter of a piece a day is left: cut smaller.'] : null;
    }

    /** @return array{dog: string, line: ?string, reason: string} */
    private function blockedFor(int $n): array
    {
        foreach ($this->rescue->options as $line => $options) {
            if (array_filter($options, static fn (Option $option): bool => ($option->serves >> $n & 1) === 1) === []) {
                return ['dog' => $this->request->dogs[$n]->name, 'line' => $this->rescue->recipe->lines[$line]->text, 'reason' => 'Nothing known can stand in for this line for this dog.'];
            }
        }

        return ['dog' => $this->request->dogs[$n]->name, 'line' => null, 'reason' => 'What would serve it would not serve the others.'];
    }

    private function impossible(int $serves): string
    {
        foreach ($this->rescue->options as $line => $options) {
            if (array_filter($options, static fn (Option $option): bool => ($option->serves & $serves) === $serves) === []) {
                $dogs = [];
                foreach ($this->request->dogs as $n => $dog) {
                    if (($serves >> $n & 1) === 1 && ($this->rescue->options[$line][0]->serves >> $n & 1) === 0) {
                        $dogs[] = $dog->name;
                    }
                }

                return "\"{$this->rescue->recipe->lines[$line]->text}\" makes it impossible for ".implode(', ', $dogs === [] ? ['the whole table'] : $dogs).': nothing known does its job for all of them.';
            }
        }
        $goals = $this->rescue->goals->ids;

        return $goals === [] ? 'Every change would leave some dog under a quarter of a piece a day: cut smaller, or bake two batches.' : 'These goals cannot be reached together by any change known here: '.implode(', ', $goals).'.';
    }

    /** @return list<list<string>> the fewest tables so that each has a recipe of its own */
    private function tables(int $serves): array
    {
        $name = fn (int $mask): array => array_values(array_map(static fn (Dog $dog): string => $dog->name, array_filter($this->request->dogs, static fn (int $n): bool => ($mask >> $n & 1) === 1, ARRAY_FILTER_USE_KEY)));
        if ($serves === $this->all || self::count($this->all) > self::MOST_SPLIT) {
            return $serves === $this->all ? [$name($this->all)] : array_values(array_filter([$name($serves), $name($this->all & ~$serves)]));
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

        return array_map($name, $fewest[$this->all] ?? array_values(array_filter(array_keys(array_filter($feasible)), static fn (int $mask): bool => self::count($mask) === 1)));
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Parts\Heading;
use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Baking\Parts\Parts;
use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Language\Alignment;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Reading\ReadRecipe;
use MildBowl\Core\Reading\ReadStep;

/** The maker's own method, act by act, each with the part of the recipe it is of. */
final class Method
{
    /** @param  list<array{Part, Told}>  $acts */
    private function __construct(private array $acts, public bool $isOverFire) {}

    public static function of(ReadRecipe $recipe, Parts $parts): self
    {
        $acts = [];
        $part = $parts->body;
        $fire = false;
        foreach ($recipe->steps as $step) {
            $fire = $fire || preg_match('/\b(?:open fire|camp ?fire|embers|outdoor oven|wood[- ](?:fired )?oven|over the fire)\b/iu', $step->text) === 1;
            foreach (preg_split('/(?<=[.;!])\s+(?=[\p{L}\d])/u', trim($step->text)) ?: [] as $sentence) {
                $acted = Acts::in($sentence, $acts === [] ? null : $acts[count($acts) - 1][1]->kind);
                $part = self::partOf($sentence, $step, $recipe, $parts) ?? self::partDoneSo($acted, $parts) ?? $part;
                foreach ($acted as $told) {
                    $last = $acts[count($acts) - 1][1] ?? null;
                    if ($last?->isOfTheHeatLeft() === true && $last->minutes === null && $told->isOfTheHeatLeft()) {
                        // "turn it off. Leave them in it for an hour"
                        array_pop($acts);
                        $told = $last->and($told);
                    }
                    $acts[] = [$part, $told];
                }
            }
        }

        return new self($acts, $fire);
    }

    /**
     * The method with other minutes in the oven: those of its first time in it, or a step more where it tells none.
     *
     * @param  int  $minutes  as the maker took
     */
    public static function withMinutes(string $steps, int $minutes): string
    {
        $rows = explode("\n", $steps);
        foreach ($rows as $n => $row) {
            foreach (Acts::in($row) as $act) {
                if (! in_array($act->kind, [Kind::Heat, Kind::Dry], true) || ! $act->isOfOven() || $act->minutes === null) {
                    continue;
                }
                foreach (Duration::in($row) as $told) {
                    if ($told->minutes->best === $act->minutes->best && ! $told->isEvery() && ! $told->isAfter()) {
                        [$first, $end] = Alignment::of($row, Tokenizer::clean($row), $told->at, $told->at + strlen($told->written));
                        $rows[$n] = mb_substr($row, 0, $first)."$minutes minutes".mb_substr($row, $end);

                        return implode("\n", $rows);
                    }
                }
            }
        }

        return trim($steps) === '' ? "Bake for $minutes minutes." : rtrim($steps)."\nBake for $minutes minutes.";
    }

    /** @return list<Told> what is told of one part, acts of one kind in a row as one */
    public function ofPart(Part $part): array
    {
        $told = [];
        foreach ($this->acts as [$of, $act]) {
            $last = $told === [] ? null : $told[count($told) - 1];
            if ($of !== $part) {
                continue;
            }
            if ($last !== null && $last->kind === $act->kind && ! $act->kind->finishes() && ! $act->kind->isWithinHeat()) {
                $told[count($told) - 1] = $last->and($act);
            } else {
                $told[] = $act;
            }
        }

        return $told;
    }

    /**
     * What is told before the process does its work.
     *
     * @param  list<Told>  $told
     * @return list<Told>
     */
    public static function untilTheHeat(array $told, string $process): array
    {
        $main = self::mainOf($told, $process);

        return $main === null ? array_values(array_filter(array_slice($told, 0, self::untilItIsDone($told)), static fn (Told $one): bool => ! in_array($one->kind, [Kind::Bag, Kind::Turn, Kind::Look], true))) : array_slice($told, 0, $main);
    }

    /**
     * What is told from there on.
     *
     * @param  list<Told>  $told
     * @return list<Told>
     */
    public static function fromTheHeatOn(array $told, string $process): array
    {
        $main = self::mainOf($told, $process);

        return $main === null ? [] : array_slice($told, $main);
    }

    /**
     * What is told of them when the last heat is over.
     *
     * @param  list<Told>  $told
     * @return list<Told>
     */
    public static function afterTheHeat(array $told, string $process): array
    {
        $main = self::mainOf($told, $process);
        foreach ($main === null || $process !== 'oven' ? [] : $told as $n => $one) {
            $main = in_array($one->kind, [Kind::Heat, Kind::Dry], true) ? max($main, $n) : $main;
        }

        return array_values(array_filter(array_slice($told, $main === null ? self::untilItIsDone($told) : $main + 1), static fn (Told $one): bool => ! $one->isTimed()));
    }

    /**
     * Where no heat is told: up to what is done to it when it comes out of one.
     *
     * @param  list<Told>  $told
     */
    private static function untilItIsDone(array $told): int
    {
        for ($end = count($told); $end > 0 && in_array($told[$end - 1]->kind, [Kind::Cool, Kind::Bag, Kind::Turn, Kind::Look], true); $end--);

        return $end;
    }

    /**
     * Which act is what the process does: the first heat when a dough is made, for an oven the first that is told of an oven; else the first
     * there is. What goes cold is finished by the last.
     *
     * @param  list<Told>  $told
     */
    private static function mainOf(array $told, string $process): ?int
    {
        $kinds = match ($process) {
            'oven' => [Kind::Heat, Kind::Dry], 'dried' => [Kind::Dry, Kind::Heat], 'frozen' => [Kind::Freeze], 'set' => [Kind::Set, Kind::Chill], 'none' => [Kind::Chill, Kind::Set, Kind::Freeze], default => [Kind::Heat]
        };
        $all = array_keys(array_filter($told, static fn (Told $one): bool => in_array($one->kind, $kinds, true)));
        $inOven = $process === 'oven' ? array_values(array_filter($all, static fn (int $n): bool => $told[$n]->isOfOven() || $told[$n]->kind === Kind::Dry)) : [];
        $heats = $inOven === [] ? $all : $inOven;
        if ($heats === [] || ! in_array(Kind::Heat, $kinds, true)) {
            return $all === [] ? null : $all[count($all) - 1];
        }
        foreach ($heats as $n) {
            if (self::makesADough(array_slice($told, 0, $n))) {
                return $n;
            }
        }
        $first = $told[$heats[0]];
        // "bake quark stars: knead it" tells what will be done, and what was boiled before it was mixed is no baking
        $isBefore = $inOven === [] || ($first->minutes === null && $first->heat === null);

        return $process === 'oven' && $isBefore && self::makesADough(array_slice($told, $heats[0])) ? null : $heats[0];
    }

    /** @param  list<Told>  $told */
    private static function makesADough(array $told): bool
    {
        return array_filter($told, static fn (Told $one): bool => $one->makesADough()) !== [];
    }

    /** The part a sentence is about: it names its heading, or foods that only it holds. */
    private static function partOf(string $sentence, ReadStep $step, ReadRecipe $recipe, Parts $parts): ?Part
    {
        if (count($parts->all) === 1) {
            return $parts->body;
        }
        foreach ($parts->all as $part) {
            foreach ($part->sections as $section) {
                foreach (Heading::words($section) as $word) {
                    if (! self::isNamedBeside($word, $part, $recipe, $parts) && preg_match('/\b'.preg_quote($word, '/').'\b/iu', $sentence) === 1) {
                        return $part;
                    }
                }
            }
        }
        $votes = [];
        foreach ($recipe->lines as $line) {
            foreach ($step->foods as $food) {
                if ($line->food?->id === $food->id && preg_match('/\b'.preg_quote(explode(' ', $step->phrases[$food->id] ?? $food->name)[0], '/').'/iu', $sentence) === 1) {
                    $key = (int) array_search($parts->under($line->section), $parts->all, true);
                    $votes[$key] = ($votes[$key] ?? 0) + 1;
                }
            }
        }
        arsort($votes);

        return $votes === [] ? null : $parts->all[array_key_first($votes)];
    }

    /** "500 ml of the broth": who names it may mean the part it goes into. */
    private static function isNamedBeside(string $word, Part $part, ReadRecipe $recipe, Parts $parts): bool
    {
        foreach ($recipe->lines as $line) {
            if ($parts->under($line->section) !== $part && preg_match('/\b'.preg_quote($word, '/').'\b/iu', $line->text) === 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * The part that what is told can only be done to: the one on the hob that simmers, the one that is strained, the body that is cut.
     *
     * @param  list<Told>  $acts
     */
    private static function partDoneSo(array $acts, Parts $parts): ?Part
    {
        foreach ($acts as $act) {
            foreach (count($parts->all) === 1 ? [] : $parts->all as $part) {
                $isSo = match (true) {
                    in_array($act->verb, ['simmer', 'boil', 'poach'], true) => $part->process?->id() === 'hob',
                    $act->verb === 'strain' => $part->keeps->strained || $part->role === Role::Liquid,
                    $act->kind === Kind::Shape => $part->isBody() && preg_match('/\b(?:moulds?|tins?|trays?|cutters?|sheet)\b/iu', $act->text) === 1,
                    default => false,
                };
                if ($isSo) {
                    return $part;
                }
            }
        }

        return null;
    }
}

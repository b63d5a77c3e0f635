<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\ReadRecipe;
use MildBowl\Core\Values\Assumption;
use MildBowl\Core\Values\Figure;

/** The parts of one recipe: one body, and what is laid on it, goes into it or is made for it. */
final readonly class Parts
{
    public Part $body;

    /** @var array<string, Part> by the key of each of their headings */
    private array $bySection;

    /**
     * @param  non-empty-list<Part>  $all  in the order the recipe tells them
     * @param  list<Assumption>  $assumptions
     */
    private function __construct(public array $all, public array $assumptions)
    {
        $bySection = [];
        $body = null;
        foreach ($all as $part) {
            $body = $part->isBody() ? $part : $body;
            foreach ($part->sections as $section) {
                $bySection[Heading::key($section)] = $part;
            }
        }
        $this->body = $body ?? $all[0];
        $this->bySection = $bySection;
    }

    /**
     * What was said is taken at its word; the rest is guessed by the headings, and a guess is never refused.
     *
     * @param  list<Weighed>  $weighed
     * @param  Dough  $whole  of all that is weighed
     * @param  list<AskedPart>  $asked
     *
     * @throws PartsRefused when what was said cannot be
     */
    public static function of(ReadRecipe $recipe, array $weighed, Dough $whole, array $asked): self
    {
        $sections = self::sections($recipe);
        if ($asked === [] && ! self::isDivided($sections)) {
            return new self([self::only($sections, $whole)], []);
        }
        $planned = Plan::of($recipe, $sections, $weighed, $asked);
        $made = new Making($recipe, $weighed, $planned, $whole->wetter);
        $parts = array_map($made->part(...), $planned);
        $parts = $parts === [] ? [self::only($sections, $whole)] : $parts;
        self::refuse($planned, $parts);

        return new self($parts, self::assumed($parts));
    }

    /** @return list<?string> each heading with a line under it once, in the order of the recipe */
    private static function sections(ReadRecipe $recipe): array
    {
        $sections = [];
        $before = false;
        foreach ($recipe->lines as $line) {
            if ($line->section === $before) {
                continue;
            }
            $before = $line->section;
            $sections[Heading::key($line->section)] ??= $line->section;
        }

        return array_values($sections);
    }

    /** @param  list<?string>  $sections */
    private static function isDivided(array $sections): bool
    {
        foreach ($sections as $section) {
            $heading = $section === null ? null : Heading::of($section);
            if ($heading !== null && ($heading->role !== Role::Body || $heading->process !== null)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<?string>  $sections */
    private static function only(array $sections, Dough $whole): Part
    {
        return new Part($sections === [] ? [null] : $sections, Role::Body, null, Joins::Before, new Keeps, null, null, ['role', 'process', 'joins', 'keeps', 'texture'], $whole);
    }

    /** @return list<Part> what comes to the pieces besides the body */
    public function laid(): array
    {
        return array_values(array_filter($this->all, static fn (Part $part): bool => ! $part->isBody() && $part->intoSections === []));
    }

    /** Whether a line means a broth that is made in this recipe. */
    public function isMadeHere(ReadLine $line): bool
    {
        if (count($this->all) === 1) {
            return false;
        }
        foreach ($this->all as $part) {
            if (in_array(Heading::key($line->section), $part->intoSections, true) && Links::means($line, (string) $part->section())) {
                return true;
            }
        }

        return false;
    }

    /** The part that a line of the recipe is in. */
    public function under(?string $section): Part
    {
        return count($this->all) === 1 ? $this->body : $this->bySection[Heading::key($section)] ?? $this->body;
    }

    /**
     * @param  list<Planned>  $planned
     * @param  list<Part>  $parts  in the same order
     *
     * @throws PartsRefused
     */
    private static function refuse(array $planned, array $parts): void
    {
        foreach ($planned as $n => $plan) {
            $part = $parts[$n];
            $grams = $part->keeps->grams;
            if ($plan->asked?->path !== null && $plan->asked->keeps?->grams !== null && $grams !== null && $grams > $part->held()->high * (1 + 1e-9)) {
                throw new PartsRefused('It keeps '.Figure::of($grams).' g, but holds '.Figure::atMost($part->held()->high).' g: say at most that.', "{$plan->asked->path}/keeps/grams");
            }
        }
    }

    /**
     * @param  list<Part>  $parts
     * @return list<Assumption>
     */
    private static function assumed(array $parts): array
    {
        $assumptions = [];
        foreach ($parts as $part) {
            $name = $part->section() ?? 'The lines under no heading';
            if (! $part->isBody() && in_array('role', $part->guessed, true)) {
                $how = [
                    $part->process?->label() ?? 'with the pieces', $part->joins === Joins::Before ? 'there before the heat' : 'joined after the heat',
                    ...($part->keeps->strained ? ['strained'] : []), ...($part->intoSections === [] ? [] : ['made for the '.implode(' and the ', array_map(static fn (string $section): string => implode(' ', Heading::words($section)), $part->intoSections))]),
                ];
                $assumptions[] = new Assumption('part-guessed', "\"$name\" taken as {$part->role->value}: ".implode(', ', $how).'.');
            }
            if ($part->keeps->grams !== null && $part->keeps->grams < $part->kept->solids->low * (1 - 1e-9)) {
                $assumptions[] = new Assumption('keeps-little', "\"$name\" is left with less than its solids weigh; all its energy is counted.");
            }
        }

        return $assumptions;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Reading\ReadRecipe;

/** Mixes the parts: each line into its own; a line that means a broth of this recipe brings so much of that broth, not of one from a carton. */
final class Making
{
    /** @var array<string, Part> made already, by the key of their first heading */
    private array $made = [];

    /**
     * @param  list<Weighed>  $weighed
     * @param  list<Planned>  $planned  none of which goes into itself
     * @param  float  $wetter  as the kitchen learned of its doughs
     */
    public function __construct(private readonly ReadRecipe $recipe, private readonly array $weighed, private readonly array $planned, private readonly float $wetter = 1.0) {}

    public function part(Planned $plan): Part
    {
        return $this->made[Heading::key($plan->sections[0])] ??= new Part(
            $plan->sections, $plan->role, $plan->process, $plan->joins, $plan->keeps, $plan->gramsPerPiece, $plan->texture, $plan->guessed, new Dough($this->mixed($plan), $plan->role === Role::Body ? $this->wetter : 1.0), $plan->into,
        );
    }

    /** @return list<Weighed> */
    private function mixed(Planned $plan): array
    {
        $mixed = [];
        foreach ($this->weighed as $one) {
            if (self::isUnder($plan, $this->recipe->lines[$one->line]->section)) {
                $broth = $this->meant($one->line, $plan);
                array_push($mixed, ...$broth === null ? [$one] : self::broughtBy($one, $this->part($broth)));
            }
        }
        $weighedLines = array_map(static fn (Weighed $one): int => $one->line, $this->weighed);
        foreach ($this->recipe->lines as $index => $line) {
            $broth = self::isUnder($plan, $line->section) && ! in_array($index, $weighedLines, true) ? $this->meant($index, $plan) : null;
            // "all of the broth" has no weight of its own
            array_push($mixed, ...$broth === null ? [] : $this->part($broth)->kept->weighed);
        }

        return $mixed;
    }

    private static function isUnder(Planned $plan, ?string $section): bool
    {
        foreach ($plan->sections as $mine) {
            if (Heading::key($mine) === Heading::key($section)) {
                return true;
            }
        }

        return false;
    }

    /** The broth that a line means; null where it means none. */
    private function meant(int $index, Planned $plan): ?Planned
    {
        $line = $this->recipe->lines[$index];
        foreach ($this->planned as $other) {
            if ($other !== $plan && in_array(Heading::key($line->section), $other->into, true) && Links::means($line, (string) $other->sections[0])) {
                return $other;
            }
        }

        return null;
    }

    /** @return list<Weighed> so much of the broth as the line says, and of the line what the broth does not reach to */
    private static function broughtBy(Weighed $line, Part $broth): array
    {
        $there = $broth->keptGrams->best;
        $asked = $line->grams->best;
        if ($there <= 0.0 || $asked <= 0.0) {
            return [$line];
        }
        $brought = array_map(static fn (Weighed $one): Weighed => $one->times(min(1.0, $asked / $there)), $broth->kept->weighed);

        return $asked > $there ? [...$brought, $line->times(1 - $there / $asked)] : $brought;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Reading\ReadRecipe;

/** Which headings make which part, and what each is: what was said first, then the words of the heading. */
final class Plan
{
    private const STRAINS = '/\b(strain|strained|sieve|sieved|colander|cheesecloth|muslin)\b/iu';

    /**
     * @param  list<?string>  $sections
     * @param  list<Weighed>  $weighed
     * @param  list<AskedPart>  $asked
     * @return list<Planned> exactly one of them the body
     *
     * @throws PartsRefused
     */
    public static function of(ReadRecipe $recipe, array $sections, array $weighed, array $asked): array
    {
        $asked = array_values(array_filter($asked, static fn (AskedPart $one): bool => $one->path !== null || array_filter($sections, $one->isOf(...)) !== []));
        self::refuse($sections, $asked);
        $roles = self::roles($recipe, $sections, $weighed, $asked);
        $links = Links::of($recipe, $sections, $roles, $asked);
        $planned = [];
        $body = null;
        foreach ($sections as $n => $section) {
            $said = self::saidOf($section, $asked);
            if ($roles[$n] === Role::Body && $body !== null) {
                $planned[$body] = self::planned([...$planned[$body]->sections, $section], Role::Body, $planned[$body]->asked ?? $said, []);

                continue;
            }
            $planned[] = self::planned([$section], $roles[$n], $said, $links[Heading::key($section)] ?? [], self::isStrained($recipe));
            if ($roles[$n] === Role::Body) {
                $body = count($planned) - 1;
            }
        }

        return array_values($planned);
    }

    /** Whether the method says that something is poured through a sieve; without it all energy is counted. */
    private static function isStrained(ReadRecipe $recipe): bool
    {
        foreach ($recipe->steps as $step) {
            if (preg_match(self::STRAINS, $step->text) === 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<?string>  $sections
     * @param  list<AskedPart>  $asked
     *
     * @throws PartsRefused
     */
    private static function refuse(array $sections, array $asked): void
    {
        $seen = $bodies = [];
        foreach ($asked as $one) {
            if ($one->path === null) {
                // what was said of the whole recipe was right once; of what is left it need not be
                return;
            }
            if (array_filter($sections, $one->isOf(...)) === []) {
                $names = array_values(array_filter($sections, static fn (?string $section): bool => $section !== null));
                throw new PartsRefused(
                    ($one->section === null ? 'No line stands without a heading' : "No line stands under \"{$one->section}\"").($names === [] ? ': this recipe has no headings.' : '. The headings are: '.implode('; ', $names).'.'),
                    "{$one->path}/section",
                );
            }
            $key = Heading::key($one->section);
            if (isset($seen[$key])) {
                throw new PartsRefused('Two parts are said of the same lines: say it once.', "{$one->path}/section");
            }
            $seen[$key] = true;
            if ($one->role === Role::Body) {
                $bodies[] = $one;
            }
            if ($one->gramsPerPiece !== null && ($one->role ?? Heading::of($one->section)->role) === Role::Body) {
                throw new PartsRefused('What a piece takes of the body follows from its cut: say grams a piece of the other parts only.', "{$one->path}/gramsPerPiece");
            }
        }
        if (count($bodies) > 1) {
            throw new PartsRefused('Two parts are the body: only one is cut or counted, the others are laid on it or go into it.', "{$bodies[1]->path}/role");
        }
        if ($asked !== [] && count($seen) === count($sections) && $bodies === [] && array_filter($asked, static fn (AskedPart $one): bool => $one->role === null) === []) {
            throw new PartsRefused('No part is the body: one must be cut or counted.', "{$asked[0]->path}/role");
        }
    }

    /**
     * @param  list<?string>  $sections
     * @param  list<Weighed>  $weighed
     * @param  list<AskedPart>  $asked
     * @return list<Role> one for each heading
     */
    private static function roles(ReadRecipe $recipe, array $sections, array $weighed, array $asked): array
    {
        $roles = $guessed = [];
        $isSaid = array_filter($asked, static fn (AskedPart $one): bool => $one->role === Role::Body) !== [];
        foreach ($sections as $n => $section) {
            $heading = Heading::of($section);
            $said = self::saidOf($section, $asked)?->role;
            $roles[$n] = $said ?? $heading->role;
            if ($said === null) {
                $guessed[$n] = $heading;
            }
        }
        // what sets in a mould beside a dough is laid on it; by itself it is the body
        $doughs = array_filter(array_keys($roles), static fn (int $n): bool => $roles[$n] === Role::Body && (! isset($guessed[$n]) || $guessed[$n]->process === null));
        foreach ($guessed as $n => $heading) {
            if ($roles[$n] === Role::Body && ($heading->process !== null && $doughs !== [] && ! in_array($n, $doughs, true))) {
                $roles[$n] = Role::Topping;
            }
        }
        if ($isSaid || in_array(Role::Body, $roles, true)) {
            return array_values($roles);
        }
        $most = $best = null;
        foreach (array_keys($guessed) as $n) {
            $grams = self::grams($recipe, $sections[$n], $weighed) + ($roles[$n] === Role::Liquid ? 0.0 : 1e6);
            if ($most === null || $grams > $most) {
                [$most, $best] = [$grams, $n];
            }
        }
        if ($roles !== []) {
            // where the body was taken out, what is left is cut
            $roles[$best ?? 0] = Role::Body;
        }

        return array_values($roles);
    }

    /** @param  list<Weighed>  $weighed */
    private static function grams(ReadRecipe $recipe, ?string $section, array $weighed): float
    {
        $grams = 0.0;
        foreach ($weighed as $one) {
            $grams += Heading::key($recipe->lines[$one->line]->section) === Heading::key($section) ? $one->grams->best : 0.0;
        }

        return $grams;
    }

    /** @param  list<AskedPart>  $asked */
    private static function saidOf(?string $section, array $asked): ?AskedPart
    {
        foreach ($asked as $one) {
            if ($one->isOf($section)) {
                return $one;
            }
        }

        return null;
    }

    /**
     * @param  list<?string>  $sections
     * @param  list<string>  $into
     */
    private static function planned(array $sections, Role $role, ?AskedPart $said, array $into, bool $isStrained = false): Planned
    {
        $heading = Heading::of($sections[0]);
        // a jelly laid on a dough is set all the same
        $isAsGuessed = $heading->role === $role || ($said?->role === null && $role === Role::Topping && $heading->role === Role::Body);
        $process = $said->process ?? ($isAsGuessed ? $heading->process : null);
        if ($process === null && ! in_array($role, [Role::Body, Role::Filling, Role::Dusting], true)) {
            $process = Processes::named($role === Role::Liquid ? 'hob' : 'none');
        }
        $guessed = array_keys(array_filter([
            'role' => $said?->role === null, 'process' => $said?->process === null, 'joins' => $said?->joins === null, 'keeps' => $said?->keeps === null,
            'gramsPerPiece' => $role !== Role::Body && $said?->gramsPerPiece === null, 'texture' => $said?->texture === null,
        ]));

        return new Planned(
            $sections, $role, $process, $said->joins ?? $role->joins(), $said->keeps ?? new Keeps(strained: $isAsGuessed && $heading->strained && $isStrained),
            $said?->gramsPerPiece, $said?->texture, $guessed, $said, $into,
        );
    }
}

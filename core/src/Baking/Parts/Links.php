<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\ReadRecipe;

/** Which broth is made for which part: "2 cups of the broth" in the jelly means the broth of this recipe, not one from a carton. */
final class Links
{
    private const POINTS = '/\b(the|your|this|that|above|reserved|strained|cooled)\b/iu';

    /**
     * @param  list<?string>  $sections
     * @param  list<Role>  $roles
     * @param  list<AskedPart>  $asked
     * @return array<string, list<string>> by the key of a broth's heading: the keys of the headings it goes into
     *
     * @throws PartsRefused when somebody said it, and it goes into itself
     */
    public static function of(ReadRecipe $recipe, array $sections, array $roles, array $asked): array
    {
        $links = [];
        foreach ($sections as $n => $section) {
            if ($roles[$n] !== Role::Liquid || $section === null) {
                continue;
            }
            foreach ($recipe->lines as $line) {
                if (self::means($line, $section)) {
                    $links[Heading::key($section)][Heading::key($line->section)] = true;
                }
            }
        }
        foreach (array_keys($links) as $from) {
            if (! self::comesBack($from, $links)) {
                continue;
            }
            foreach ($asked as $one) {
                if ($one->path !== null && Heading::key($one->section) === $from) {
                    throw new PartsRefused("\"{$one->section}\" goes into itself: write what it is made of without naming it.", "{$one->path}/role");
                }
            }
            unset($links[$from]);
        }

        return array_map(static fn (array $into): array => array_map(strval(...), array_keys($into)), $links);
    }

    /** Whether a line means what is made under a heading. */
    public static function means(ReadLine $line, string $section): bool
    {
        $words = Heading::words($section);
        $name = $words[count($words) - 1] ?? null;

        return $name !== null && preg_match(self::POINTS, $line->text) === 1 && preg_match('/\b'.preg_quote($name, '/').'\b/iu', $line->text) === 1;
    }

    /** @param  array<string, array<string, true>>  $links */
    private static function comesBack(string $from, array $links): bool
    {
        $seen = [];
        $next = array_keys($links[$from] ?? []);
        while ($next !== []) {
            $key = (string) array_pop($next);
            if ($key === $from) {
                return true;
            }
            if (! isset($seen[$key])) {
                $seen[$key] = true;
                $next = [...$next, ...array_keys($links[$key] ?? [])];
            }
        }

        return false;
    }
}

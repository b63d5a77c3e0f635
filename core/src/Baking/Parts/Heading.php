<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Data\Compiled;

/** What the words of a heading say about its part. A heading without a word of a role is one more heap of the body. */
final readonly class Heading
{
    private const FRINGE = '/\([^)]*\)|^\s*(for|to make|make)?\s*(the|a|an|your)\s+|^\s*for\s+/iu';

    private function __construct(public Role $role, public ?Process $process, public bool $strained) {}

    public static function of(?string $section): self
    {
        $known = Compiled::tables()['roles'];
        $row = null;
        foreach (self::words($section) as $word) {
            $row = $known[$word] ?? $row;
        }

        return $row === null ? new self(Role::Body, null, false)
            : new self(Role::from($row['role']), $row['process'] === '' ? null : Processes::named($row['process']), $row['strained']);
    }

    /** The same for every way of writing one heading. */
    public static function key(?string $section): string
    {
        return $section === null ? '' : mb_strtolower(trim($section, " :*#_\t"));
    }

    /**
     * What the part is called: "broth" of "For the broth (a day ahead)". What follows "for the" or "with" belongs to another part.
     *
     * @return list<string>
     */
    public static function words(?string $section): array
    {
        $own = trim((string) preg_replace(self::FRINGE, ' ', mb_strtolower((string) $section)));
        $own = (string) preg_replace('/\s(for|with|from|of|to|on)\s.*$/u', '', $own);

        return preg_split('/[^\p{L}]+/u', $own, -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Baking\Texture;

/** What somebody said of a part; null is left to be guessed. */
final readonly class AskedPart
{
    public const MOST = 20;

    /**
     * @param  ?string  $path  where it stands in the request; null where the recipe has been changed since: what does not fit any more is let go
     * @param  ?string  $section  the heading its lines stand under; null: the lines under none
     */
    public function __construct(
        public ?string $path,
        public ?string $section,
        public ?Role $role = null,
        public ?Process $process = null,
        public ?Joins $joins = null,
        public ?Keeps $keeps = null,
        public ?float $gramsPerPiece = null,
        public ?Texture $texture = null,
    ) {}

    /** The same for another text or cut than it was said of. */
    public function carriedOver(): self
    {
        return new self(null, $this->section, $this->role, $this->process, $this->joins, $this->keeps, $this->gramsPerPiece, $this->texture);
    }

    public function isOf(?string $section): bool
    {
        return Heading::key($this->section) === Heading::key($section);
    }
}

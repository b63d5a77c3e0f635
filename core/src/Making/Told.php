<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Values\Range;

/** One act of a method in the maker's own words, with the times and heats she tells. */
final readonly class Told
{
    public const BY_SIDES = '/\b(?:a|each|per|on (?:each|either|both)|either|both) sides?\b/iu';

    /**
     * @param  string  $verb  it is told with
     * @param  ?Range  $minutes  that it takes
     * @param  ?float  $every  minutes, of an act that is repeated
     * @param  ?float  $after  minutes after the heat began
     * @param  ?Warmth  $heat  of the oven
     * @param  ?Warmth  $core  that the middle is to reach
     */
    public function __construct(
        public Kind $kind,
        public string $verb,
        public string $text,
        public ?Range $minutes = null,
        public ?float $every = null,
        public ?float $after = null,
        public bool $isHalfWay = false,
        public ?Warmth $heat = null,
        public ?Warmth $core = null,
    ) {}

    /** Whether it is told when, of what goes on: "after ten minutes", "half-way", "every five", "for the last five". */
    public function isTimed(): bool
    {
        return $this->after !== null || $this->every !== null || $this->isHalfWay || $this->beforeTheEnd() !== null;
    }

    /** "For the last five minutes": so many minutes before it is done. */
    public function beforeTheEnd(): ?float
    {
        return $this->minutes !== null && ! $this->kind->finishes() && preg_match('/\b(?:for|in) the last\b/iu', $this->text) === 1 ? $this->minutes->best : null;
    }

    /** Whether it is told of the turned-off oven: it dries in what heat is left. */
    public function isOfTheHeatLeft(): bool
    {
        return $this->kind === Kind::Dry && in_array($this->verb, ['turn', 'switch', 'leave', 'let', 'allow'], true);
    }

    /** Whether it is told of an oven, and not of a pan on the hob. */
    public function isOfOven(): bool
    {
        return in_array($this->verb, ['bake', 'roast', 'dry', 'dehydrate'], true) || preg_match('/\b(?:degrees|gas)\b|°/iu', $this->text) === 1 || Place::named($this->text) === 'oven';
    }

    /** Whether a dough comes of it, or pieces of one: what is cut, brushed or laid on is done to baked things too. */
    public function makesADough(): bool
    {
        return $this->kind === Kind::Mix || ($this->kind === Kind::Shape && isset(Compiled::tables()['workDoughs'][$this->verb]));
    }

    /** "Three minutes a side": it is turned when the first is done. */
    public function isBySides(): bool
    {
        return preg_match(self::BY_SIDES, $this->text) === 1;
    }

    /** The same act without its words: only its minutes count. */
    public function inOurWords(): self
    {
        return new self($this->kind, $this->verb, '', $this->minutes, $this->every, $this->after, $this->isHalfWay, null, $this->core);
    }

    /** Two acts of one kind in a row are one. */
    public function and(self $next): self
    {
        $minutes = $this->minutes !== null && $next->minutes !== null ? $this->minutes->plus($next->minutes) : ($this->minutes ?? $next->minutes);

        return new self($this->kind, $this->verb, "{$this->text} {$next->text}", $minutes, $this->every ?? $next->every, $this->after ?? $next->after, $this->isHalfWay || $next->isHalfWay, $this->heat ?? $next->heat, $this->core ?? $next->core);
    }
}

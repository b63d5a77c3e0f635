<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Processes\NoHeat;
use MildBowl\Core\Baking\Processes\Oven;
use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Values\Range;

/** A part of a recipe: its own dough, what is done to it, what of it goes on, and how it comes to the pieces. */
final readonly class Part
{
    /** Share of flour from which a filling or a topping is a dough, not a cream with a little powder in it. */
    private const A_DOUGH = 0.15;

    /** What goes on, before the part's own heat. */
    public Dough $kept;

    /** The same after its own heat. */
    public Range $keptGrams;

    /**
     * @param  list<?string>  $sections  the headings its lines stand under; null for those under none
     * @param  ?Process  $process  null: what is done to the pieces, where it is with them
     * @param  ?Texture  $texture  null: that of the pieces for a body, no drying for the rest
     * @param  list<string>  $guessed  what nobody said, by the keys of the contract
     * @param  Dough  $dough  everything that is mixed in it
     * @param  list<string>  $intoSections  headings of the parts it is made for; empty: it goes on the pieces
     */
    public function __construct(
        public array $sections,
        public Role $role,
        public ?Process $process,
        public Joins $joins,
        public Keeps $keeps,
        public ?float $gramsPerPiece,
        public ?Texture $texture,
        public array $guessed,
        public Dough $dough,
        public array $intoSections = [],
    ) {
        $left = $this->strainedAndDrained();
        // a body is cut before it is dried, so its dough keeps its water
        $this->kept = $keeps->grams === null || $role === Role::Body ? $left : new Dough(CookedDown::of($left, $keeps->grams), $left->wetter);
        $this->keptGrams = match (true) {
            $keeps->grams !== null => Range::exact($keeps->grams),
            $process?->dries() === true && $texture !== null => $texture->bakedGrams($this->kept->grams, $this->kept->solids),
            default => $this->kept->grams,
        };
    }

    /** What there is of it before anything is cooked down. */
    public function held(): Range
    {
        return $this->strainedAndDrained()->grams;
    }

    private function strainedAndDrained(): Dough
    {
        if (! $this->keeps->strained && ! $this->keeps->drained) {
            return $this->dough;
        }
        $weighed = $this->keeps->strained ? Strained::of($this->dough->weighed) : $this->dough->weighed;

        return new Dough($this->keeps->drained ? Drained::of($weighed) : $weighed, $this->dough->wetter);
    }

    public function isBody(): bool
    {
        return $this->role === Role::Body;
    }

    /** The heading it is called by; null where its lines stand under none. */
    public function section(): ?string
    {
        return in_array(null, $this->sections, true) ? null : $this->sections[0] ?? null;
    }

    public function holds(?string $section): bool
    {
        foreach ($this->sections as $one) {
            if (Heading::key($one) === Heading::key($section)) {
                return true;
            }
        }

        return false;
    }

    /** Whether a dog has its piece without it. */
    public function isLeftOutFor(Dog $dog): bool
    {
        return ! $this->isBody() && array_filter($dog->without, $this->holds(...)) !== [];
    }

    /** What is done to it, where the pieces are baked to a texture. */
    public function processAt(Texture $pieces): Process
    {
        return $this->process ?? match (true) {
            ! $this->isBody() && $this->joins === Joins::After => new NoHeat,
            $pieces->isHeated => new Oven,
            $pieces->id === 'frozen' => Processes::named('frozen'),
            self::isSet($this->dough) => Processes::named('set'),
            default => new NoHeat,
        };
    }

    /** Whether it feels as a dough does: what is cut, and what is laid on it only where flour is a part of it worth the name. */
    public function isADough(): bool
    {
        $flour = array_sum(array_map(static fn (Weighed $one): float => Uptake::of($one->ingredient) > 0.0 ? $one->grams->best : 0.0, $this->dough->weighed));

        return $this->isBody() || $this->dough->binding !== null || $flour >= self::A_DOUGH * $this->dough->grams->best;
    }

    /** The texture the part has, where the pieces are baked to another. */
    public function textureAt(Texture $pieces): Texture
    {
        if ($this->texture !== null) {
            return $this->texture;
        }
        if (! $this->isBody()) {
            return Texture::of('none');
        }

        return $this->process === null || ($this->process->dries() && $pieces->isHeated) ? $pieces : Texture::of($this->process->texture());
    }

    /** Whether heat reaches through what was raw in it: its own, or the body's when it is with it. */
    public function isHeatedAt(Texture $pieces, self $body): bool
    {
        if ($this->isBody()) {
            return $this->process === null ? $pieces->isHeated : $this->process->killsRaw();
        }

        return $this->process?->killsRaw() === true || ($this->joins === Joins::Before && $body->isHeatedAt($pieces, $body));
    }

    private static function isSet(Dough $dough): bool
    {
        foreach ($dough->weighed as $one) {
            if ($one->ingredient->inGroup('gelling')) {
                return true;
            }
        }

        return false;
    }

    /**
     * What of it lies on so many pieces.
     *
     * @param  float  $share  of the part, for these pieces
     * @return float share of the whole part
     */
    public function shareOn(float $pieces, float $share): float
    {
        if ($pieces <= 0.0 || $this->isBody() || $this->intoSections !== []) {
            return 0.0;
        }
        $all = $this->keptGrams->best;

        return $this->gramsPerPiece === null || $all <= 0.0 ? $share : min($share, $this->gramsPerPiece * $pieces / $all);
    }
}

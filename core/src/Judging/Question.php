<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Measured;
use MildBowl\Core\Baking\Parts\AskedPart;
use MildBowl\Core\Baking\Parts\PartsRefused;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\AskedPortion;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Reading\AsMade;
use MildBowl\Core\Reading\ReadRecipe;

/** The question: this recipe, these dogs, in this kitchen. */
final readonly class Question
{
    public const LONGEST_TEXT = 20000;

    public const MOST_LINES = 200;

    /**
     * @param  list<Dog>  $dogs
     * @param  list<BoundLabel>  $labels
     * @param  list<Confirmation>  $confirmed
     * @param  list<AskedPortion>  $portions  shares of the dough with their own cut and texture
     * @param  list<AskedPart>  $parts  what was said of the parts of the recipe
     * @param  ?AsMade  $asMade  what was really done with it; null where nobody said
     * @param  bool  $explain  whether the asker wants to know how each figure was made
     */
    public function __construct(
        public Kitchen $kitchen,
        public string $text,
        public string $steps,
        public ?Cut $cut = null,
        public ?Texture $texture = null,
        public array $dogs = [],
        public array $labels = [],
        public array $confirmed = [],
        public Measured $measured = new Measured,
        public array $portions = [],
        public bool $explain = false,
        public array $parts = [],
        public string $title = '',
        public ?AsMade $asMade = null,
    ) {}

    /** Its lines and steps as they were made. */
    public function read(): ReadRecipe
    {
        return $this->kitchen->reader->read($this->text, $this->steps, $this->asMade ?? new AsMade);
    }

    /** @throws PartsRefused when what was said of a part cannot be */
    public function bowl(): Bowl
    {
        return Bowl::of($this->read(), $this->kitchen, $this->parts, $this->texture());
    }

    /** The same question about another text, which nobody has made yet; nothing is explained. */
    public function withText(string $text, string $steps): self
    {
        return new self($this->kitchen, $text, $steps, $this->cut, $this->texture, $this->dogs, $this->labels, $this->confirmed, $this->measured, $this->portions, false, $this->carriedOver());
    }

    /**
     * The same question about what a rescue makes of it.
     *
     * @param  ?Cut  $cut  null: as it was
     * @param  ?Texture  $texture  null: as it was
     */
    public function withPlan(string $text, string $steps, ?Cut $cut, ?Texture $texture): self
    {
        return new self($this->kitchen, $text, $steps, $cut ?? $this->cut, $texture ?? $this->texture, $this->dogs, $this->labels, $this->confirmed, $cut === null ? $this->measured : new Measured, $this->portions, false, $this->carriedOver());
    }

    /** @return list<AskedPart> */
    public function carriedOver(): array
    {
        return array_map(static fn (AskedPart $one): AskedPart => $one->carriedOver(), $this->parts);
    }

    /**
     * The same question for dogs of whom more is known; nothing is explained.
     *
     * @param  list<Dog>  $dogs
     */
    public function withDogs(array $dogs): self
    {
        return new self($this->kitchen, $this->text, $this->steps, $this->cut, $this->texture, $dogs, $this->labels, $this->confirmed, $this->measured, $this->portions, false, $this->parts, $this->title, $this->asMade);
    }

    /** The same question about another cut of the whole dough, which nobody has measured yet. */
    public function withCut(Cut $cut): self
    {
        return new self($this->kitchen, $this->text, $this->steps, $cut, $this->texture, $this->dogs, $this->labels, $this->confirmed, parts: $this->carriedOver(), asMade: $this->asMade);
    }

    public function texture(): Texture
    {
        return $this->texture ?? Texture::assumed();
    }

    public function cut(): Cut
    {
        return $this->cut ?? Cut::assumed();
    }

    /** The dog that an id or a name means; null when it is not at the table. */
    public function dog(string $idOrName): ?Dog
    {
        foreach ($this->dogs as $dog) {
            if ($dog->isCalled($idOrName)) {
                return $dog;
            }
        }

        return null;
    }
}

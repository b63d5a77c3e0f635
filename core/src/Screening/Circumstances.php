<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;

/** What a rule may ask about besides the food: heat, texture, policies, the dogs at the table, and what each is served. */
final readonly class Circumstances
{
    /**
     * @param  list<Dog>  $dogs
     * @param  bool  $heated  whether heat kills what was raw
     * @param  ?Served  $served  the piece they get; null while only foods are looked at
     */
    public function __construct(
        public array $dogs,
        public Texture $texture,
        public bool $heated,
        public Policy $policy,
        public ?Served $served = null,
    ) {}

    /**
     * Of dogs that get pieces of one texture.
     *
     * @param  list<Dog>  $dogs
     * @param  ?bool  $heated  null: as the texture is made
     */
    public static function of(array $dogs, Texture $texture, Policy $policy, ?bool $heated = null): self
    {
        return new self($dogs, $texture, $heated ?? $texture->isHeated, $policy);
    }

    /** One dog and the piece it is served. */
    public function serving(Dog $dog, Served $served): self
    {
        return new self([$dog], $this->texture, $this->heated, $this->policy, $served);
    }
}

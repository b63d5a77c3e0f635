<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Liking;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Watching\Acceptance;
use MildBowl\Core\Watching\Offered;

/** `likes`: what a dog takes and what it leaves, by food, texture and shape. */
final readonly class LikesQuestion
{
    /** Foods that are named in a sentence. */
    private const NAMED = 4;

    /** @param  list<Offered>  $offered */
    public function __construct(private string $dog, private array $offered, private Kitchen $kitchen) {}

    public function answer(): LikesAnswer
    {
        $foods = Acceptance::by($this->offered, static fn (Offered $one): array => $one->foods);

        return new LikesAnswer(
            $foods,
            Acceptance::by($this->offered, static fn (Offered $one): array => $one->texture === null ? [] : [$one->texture]),
            Acceptance::by($this->offered, static fn (Offered $one): array => $one->shape === null ? [] : [$one->shape]),
            $this->says($foods),
        );
    }

    /** @param  list<Acceptance>  $foods */
    private function says(array $foods): string
    {
        if ($this->offered === []) {
            return "Nobody has written down yet how {$this->dog} takes its treats.";
        }
        $liked = $this->named(Liking::Liked, $foods);
        $refused = $this->named(Liking::Refused, array_reverse($foods));
        $says = ($liked === '' ? '' : "Takes $liked. ").($refused === '' ? '' : "Leaves $refused. ");

        return $says === '' ? "Too few times to tell: {$this->dog} was watched ".count($this->offered).(count($this->offered) === 1 ? ' time.' : ' times.') : rtrim($says);
    }

    /** @param  list<Acceptance>  $foods */
    private function named(Liking $liking, array $foods): string
    {
        $some = array_slice(array_filter($foods, static fn (Acceptance $one): bool => $one->liking === $liking), 0, self::NAMED);

        return implode(', ', array_map(fn (Acceptance $one): string => "{$this->kitchen->catalogue->called($one->what)} ({$one->took} of {$one->of})", $some));
    }
}

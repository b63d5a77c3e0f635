<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Baking\Parts\PartsRefused;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Reading\MadeRefused;

/**
 * Every question that can be asked. A new one is a class here and a row of `all()`: the console, the route, and the test that wants its
 * schemas and its place in openapi.json follow.
 */
final readonly class Contract
{
    /** A kitchen without anything of its own, which remembers the sentences it has read: one serves a whole process. */
    private Kitchen $shipped;

    public function __construct()
    {
        $this->shipped = Kitchen::shipped();
    }

    /** @return non-empty-list<Answers> */
    public static function all(): array
    {
        return [new Formulate, new Read, new Rescue, new Size, new Scale, new Occasion, new Party, new Week, new Shopping, new GiveAway, new Profile, new Swaps, new Dough, new Raid, new Label, new Bake, new Learn, new Keep, new Thaw, new Day, new Suspects, new Likes];
    }

    /** @return non-empty-list<string> */
    public static function names(): array
    {
        return array_map(static fn (Answers $one): string => $one->name(), self::all());
    }

    public static function has(string $name): bool
    {
        return in_array($name, self::names(), true);
    }

    /** @throws \OutOfBoundsException when there is no such question */
    public static function asksOf(string $name): Asks
    {
        return self::named($name)->asks();
    }

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     * @throws \OutOfBoundsException when there is no such question
     */
    public function answer(string $name, string $json): array
    {
        return $this->answered($name, Node::decode($json));
    }

    /**
     * @param  \stdClass  $request  decoded, objects as stdClass
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     * @throws \OutOfBoundsException when there is no such question
     */
    public function answerTo(string $name, \stdClass $request): array
    {
        return $this->answered($name, new Node($request));
    }

    /** @return array<string, mixed> */
    private function answered(string $name, Node $node): array
    {
        try {
            return self::named($name)->answer($node, $this->shipped);
        } catch (PartsRefused|MadeRefused $refused) {
            throw RequestRefused::outOfRange($refused->path, $refused->getMessage());
        }
    }

    private static function named(string $name): Answers
    {
        foreach (self::all() as $one) {
            if ($one->name() === $name) {
                return $one;
            }
        }
        throw new \OutOfBoundsException("There is no question \"$name\".");
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Core;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Kitchen\Oven;
use MildBowl\Core\Reading\ReadLine;

/** By what the body is heated, or goes cold: as the sheet says; else as the method tells it, which is the one that is followed. */
final readonly class Heated
{
    /** @param  list<string>  $warnings  where the sheet reckons with something else */
    private function __construct(private Part $body, public Process $process, private bool $isTold, public array $warnings) {}

    /** What is done to the pieces of a lot. */
    public function processOf(Lot $lot): Process
    {
        return $this->isTold ? $this->process : $this->body->processAt($lot->texture);
    }

    /**
     * @param  list<Told>  $told  of the body
     * @param  list<ReadLine>  $lines  of the body
     */
    public static function of(Part $body, Lot $main, array $told, array $lines): self
    {
        $ours = $body->processAt($main->texture);
        $place = $body->process === null ? Place::of($told) : null;
        // jerky is dried, whatever it was boiled in before
        if ($place === null || $place === $ours->id() || ! $ours->killsRaw() || $main->texture->id === 'jerky') {
            return new self($body, $ours, false, []);
        }
        $hers = Processes::named($place);
        if (! $hers->killsRaw() && self::isRaw($body, $lines, $told)) {
            return new self($body, $ours, false, ['The method tells of no oven, and what is in it is raw: the plan bakes it, as the sheet says.']);
        }

        return new self($body, $hers, true, ["The plan goes by the method: \"{$hers->label()}\". The sheet reckons with \"{$ours->label()}\": say it there too, so that weight and energy agree."]);
    }

    public function isHeated(Lot $main): bool
    {
        return $this->isTold ? $this->process->killsRaw() : $this->body->isHeatedAt($main->texture, $this->body);
    }

    /** How a lot is heated, in the kitchen's own oven. */
    public function heat(Lot $lot, ?Oven $oven): Heat
    {
        $toGrams = $this->body->keeps->grams;

        return $this->isTold
            ? Heat::of($lot->cut, $this->process->killsRaw() ? $lot->texture : Texture::of($this->process->texture()), $this->body->dough, $oven, $this->process, false, $toGrams)
            : $lot->batch->heat($oven, $toGrams);
    }

    /**
     * Whether it would be eaten raw: flour and egg that went into no heat when it was mixed, and meat that was not boiled or fried before.
     *
     * @param  list<ReadLine>  $lines
     * @param  list<Told>  $told
     */
    private static function isRaw(Part $body, array $lines, array $told): bool
    {
        $isCooked = $isFried = false;
        foreach ($told as $one) {
            $isCooked = $isCooked || $one->kind === Kind::Heat;
            $isFried = $one->kind === Kind::Heat || ($isFried && $one->kind !== Kind::Mix);
        }
        $isFlesh = static fn (bool $flesh): bool => array_filter(Core::of($body->dough), static fn (Core $one): bool => $one->isOfFlesh() === $flesh) !== [];

        return ($isFlesh(true) && ! $isCooked) || ! $isFried && ($isFlesh(false) || array_filter($lines, static fn (ReadLine $line): bool => $line->food?->inGroup('flour') === true) !== []);
    }
}

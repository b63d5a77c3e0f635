<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** What is done to a part once it is mixed. Everything a safety check reads is asked of every process, and none has a default. */
interface Process
{
    public function id(): string;

    /** As the baker calls it. */
    public function label(): string;

    /** Whether it heats through what was raw. */
    public function killsRaw(): bool;

    /** Whether it dries a part to the moisture of its texture; else nothing is lost but what is poured or boiled away. */
    public function dries(): bool;

    /** The texture a part has when nobody said, where it is cut into pieces. */
    public function texture(): string;
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;

/** One question of the contract: reads its request and writes its answer as JSON has them. Registered once, in Contract::all(). */
interface Answers
{
    /** Its name on the console and under /api. */
    public function name(): string;

    /** What it answers, for whoever asks the console for help. */
    public function says(): string;

    public function asks(): Asks;

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public function answer(Node $node, Kitchen $shipped): array;
}

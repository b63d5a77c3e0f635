<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\LabelReader;
use MildBowl\Core\Screening\Screener;
use MildBowl\Core\Values\Level;

/** `label`: what a printed list of ingredients says, part by part, for these dogs. */
final readonly class LabelQuestion
{
    public const LONGEST = 5000;

    /** @param  list<Dog>  $dogs */
    public function __construct(private Kitchen $kitchen, private string $ingredients, private array $dogs) {}

    public function answer(): LabelAnswer
    {
        $lines = $this->kitchen->reader->lines;
        $screener = new Screener(Circumstances::of($this->dogs, Texture::assumed(), $this->kitchen->policy), $lines);
        $parts = [];
        $worst = null;
        $read = LabelReader::read($this->ingredients, $lines);
        foreach ($screener->labelParts($read) as $n => $findings) {
            $part = $read[$n];
            foreach ($findings as $finding) {
                $worst = $worst === null || $finding->level->rank() < $worst->rank() ? $finding->level : $worst;
            }
            $parts[] = new LabelAnswerPart($part->text, $part->percent, $part->depth, $part->lines[0]->food?->id, $part->trace, $findings);
        }

        return new LabelAnswer($parts, $worst ?? ($parts === [] ? Level::Unknown : null));
    }
}

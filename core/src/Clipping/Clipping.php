<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/** One recipe from outside, with its list and its method fit to be read as ours. */
final readonly class Clipping
{
    public function __construct(
        public string $title,
        public string $text,
        public string $steps,
        public ?string $yield = null,
        public ?float $prepMinutes = null,
        public ?float $bakeMinutes = null,
        public ?string $source = null,
    ) {}

    /** @return array{title: string, text: string, steps: string, yield: ?string, times: array{prepMinutes: ?float, bakeMinutes: ?float}, source: ?string} */
    public function toArray(): array
    {
        return [
            'title' => $this->title, 'text' => $this->text, 'steps' => $this->steps, 'yield' => $this->yield,
            'times' => ['prepMinutes' => $this->prepMinutes, 'bakeMinutes' => $this->bakeMinutes], 'source' => $this->source,
        ];
    }
}

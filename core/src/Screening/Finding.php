<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

/** One thing said about a line, a step or a dog. `dog` null means every dog. */
final readonly class Finding
{
    public function __construct(
        public ?string $dog,
        public Level $level,
        public string $code,
        public string $message,
        public string $advice,
        public ?string $figure = null,
        public bool $emergency = false,
        public string $source = '',
        public bool $confirmed = false,
    ) {}

    public function confirmed(): self
    {
        return new self($this->dog, $this->level, $this->code, $this->message, $this->advice, $this->figure, $this->emergency, $this->source, true);
    }

    public function concerns(string $dog): bool
    {
        return $this->dog === null || $this->dog === $dog;
    }

    public function isOpen(): bool
    {
        return $this->level->blocks() && ! $this->confirmed;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $array = [
            'dog' => $this->dog,
            'level' => $this->level->value,
            'code' => $this->code,
            'message' => $this->message,
            'advice' => $this->advice,
            'figure' => $this->figure,
            'emergency' => $this->emergency,
            'source' => $this->source,
        ];

        return $this->confirmed ? $array + ['confirmed' => true] : $array;
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Values\Level;

/** One thing said about a line, a step or a dog. `dog` null means every dog. Made from a row: of a rule, a dose, a saying. */
final readonly class Finding
{
    public function __construct(
        public ?Dog $dog,
        public Level $level,
        public string $code,
        public string $message,
        public string $advice,
        public ?string $figure,
        public bool $emergency,
        public string $source,
        public bool $confirmed = false,
    ) {}

    public function confirmed(): self
    {
        return new self($this->dog, $this->level, $this->code, $this->message, $this->advice, $this->figure, $this->emergency, $this->source, true);
    }

    /**
     * The same, of a product's label that is bound to a line.
     *
     * @param  ?string  $share  how much of it the line holds, in words
     */
    public function onLabelOf(string $product, ?string $share = null): self
    {
        $of = $share === null ? $product : "$product ($share)";

        return new self($this->dog, $this->level, $this->code, "On the label of $of: {$this->message}", $this->advice, $this->figure, $this->emergency, $this->source, $this->confirmed);
    }

    /** The same, of something that may only be there in traces. */
    public function inTraces(Level $level): self
    {
        $saying = Saying::of('trace', 'label');

        return new self($this->dog, $level, 'trace-'.$this->code, strtr($saying->message, ['{message}' => $this->message]), $saying->advice, $this->figure, false, $this->source);
    }

    public function concerns(Dog $dog): bool
    {
        return $this->dog === null || $this->dog === $dog || $this->dog->key() === $dog->key();
    }

    public function isOpen(): bool
    {
        return $this->level->blocks() && ! $this->confirmed;
    }

    /**
     * Each thing once, the worst first.
     *
     * @param  list<self>  $findings
     * @return list<self>
     */
    public static function unique(array $findings): array
    {
        if (count($findings) < 2) {
            return $findings;
        }
        $seen = [];
        foreach ($findings as $finding) {
            $seen["{$finding->dog?->key()}|{$finding->level->value}|{$finding->code}|{$finding->message}"] ??= $finding;
        }
        $findings = array_values($seen);
        usort($findings, static fn (self $a, self $b): int => $a->level->rank() <=> $b->level->rank());

        return $findings;
    }
}

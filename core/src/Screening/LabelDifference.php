<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Reading\LineReader;

/** What changed between two wordings of one product. */
final readonly class LabelDifference
{
    /**
     * @param  list<string>  $added  parts that were not there before
     * @param  list<string>  $gone  parts that are there no more
     */
    private function __construct(public array $added, public array $gone) {}

    public static function between(string $before, string $after, LineReader $lines): self
    {
        $parts = static function (string $label) use ($lines): array {
            $texts = [];
            foreach (LabelReader::read($label, $lines) as $part) {
                $texts[mb_strtolower($part->text)] = $part->text.($part->percent === null || str_contains($part->text, '%') ? '' : " ({$part->percent} %)").($part->trace ? ' (trace)' : '');
            }

            return $texts;
        };
        [$old, $new] = [$parts($before), $parts($after)];

        return new self(array_values(array_diff_key($new, $old)), array_values(array_diff_key($old, $new)));
    }

    /** @return array{added: list<string>, gone: list<string>} */
    public function toArray(): array
    {
        return ['added' => $this->added, 'gone' => $this->gone];
    }
}

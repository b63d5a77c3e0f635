<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Kitchen\ReadStep;
use MildBowl\Core\Kitchen\RecipeReader;
use MildBowl\Core\Kitchen\Tokenizer;
use MildBowl\Core\Pantry\Catalogue;

/** A choice of changes written out: the recipe with what was touched rewritten and everything else word for word. */
final class Composed
{
    public readonly string $text;

    public readonly string $steps;

    /** @var list<array{line: string, action: string, to: ?string, reason: string}> */
    public array $changes = [];

    /** @var array<string, string> new name by the words that named what was taken out */
    private array $renamed = [];

    /** @var list<string> keys of foods that are simply gone */
    private array $gone = [];

    /** @param  list<int>  $choice */
    public function __construct(Request $request, private readonly Rescue $rescue, private readonly array $choice)
    {
        $lines = $rescue->recipe->lines;
        $rows = explode("\n", str_replace(["\r\n", "\r"], "\n", $request->text));
        $mending = $rescue->mending($choice);
        $byRow = [];
        foreach ($lines as $index => $line) {
            $byRow[$line->row][] = $index;
        }
        $written = $added = [];
        foreach ($lines as $index => $line) {
            $option = $rescue->options[$index][$choice[$index]];
            if ($option->action !== Option::KEEP) {
                $this->note($line, $option);
                $this->rename($line, $option);
                foreach (array_slice($option->texts, 1) as $text) {
                    $this->changes[] = ['line' => $text, 'action' => 'add', 'to' => $text, 'reason' => "Belongs to \"{$option->texts[0]}\"."];
                }
            }
        }
        $last = $byRow === [] ? count($rows) - 1 : max(array_keys($byRow));
        foreach ($rows as $number => $row) {
            if (! isset($byRow[$number])) {
                $step = $this->step($row);
                if ($step !== null) {
                    $written[] = $step;
                }
            } elseif (! $this->isTouched($byRow[$number], $mending)) {
                $written[] = $row;
            } else {
                array_push($written, ...$this->rewritten($row, $byRow[$number], $mending));
            }
            if ($number === $last && $mending !== null && $mending['line'] === null) {
                $written[] = $mending['text'];
                $this->changes[] = ['line' => $mending['text'], 'action' => 'add', 'to' => $mending['text'], 'reason' => $mending['reason']];
            }
        }
        $this->text = implode("\n", $written);
        $this->steps = implode("\n", array_filter(array_map($this->step(...), explode("\n", $request->steps)), static fn (?string $step): bool => $step !== null));
    }

    private function note(ReadLine $line, Option $option): void
    {
        $labels = $option->labels === [] ? '' : ' Read the label: '.implode(' ', $option->labels);
        $new = $option->newTo === [] ? '' : ' New to '.implode(', ', $option->newTo).'.';
        $this->changes[] = ['line' => $line->text, 'action' => $option->action, 'to' => $option->texts[0] ?? null, 'reason' => $option->reason.$labels.$new];
    }

    private function rename(ReadLine $line, Option $option): void
    {
        $to = isset($option->portions[0]) ? LineWriter::name($option->portions[0]->ingredient->id) : null;
        foreach ($line->foods() as $id) {
            if ($to === null) {
                $this->gone[] = $id;
            } elseif (! in_array($id, $option->foods(), true)) {
                $this->renamed[$id] = $to;
            }
        }
    }

    /**
     * @param  list<int>  $indexes
     * @param  array{text: string, reason: string, line: ?int}|null  $mending
     */
    private function isTouched(array $indexes, ?array $mending): bool
    {
        foreach ($indexes as $index) {
            if ($this->rescue->options[$index][$this->choice[$index]]->action !== Option::KEEP || ($mending !== null && $mending['line'] === $index)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<int>  $indexes
     * @param  array{text: string, reason: string, line: ?int}|null  $mending
     * @return list<string>
     */
    private function rewritten(string $row, array $indexes, ?array $mending): array
    {
        $written = [];
        $bullet = preg_match(RecipeReader::BULLET, $row, $found) === 1 ? $found[0] : '';
        foreach ($indexes as $index) {
            $line = $this->rescue->recipe->lines[$index];
            $option = $this->rescue->options[$index][$this->choice[$index]];
            if ($mending !== null && $mending['line'] === $index) {
                $written[] = $bullet.$mending['text'];
                $this->changes[] = ['line' => $line->text, 'action' => 'adjust', 'to' => $mending['text'], 'reason' => $mending['reason']];
            } elseif ($option->action === Option::KEEP) {
                $written[] = $bullet.$line->text;
            } else {
                foreach ($option->texts as $text) {
                    $written[] = $bullet.$text;
                }
            }
        }

        return $written;
    }

    /** A step with what was swapped called by its new name; null when it spoke of nothing but what is gone. */
    private function step(string $row): ?string
    {
        $step = ReadStep::read($row);
        $new = $row;
        foreach ($step->foods as $id) {
            $to = $this->renamed[$id] ?? null;
            if ($to !== null) {
                $new = self::replaced($new, $step->phrases[$id] ?? '', $to);
            }
        }
        $gone = array_intersect($step->foods, $this->gone);
        if ($gone !== []) {
            if (count($step->foods) === count($gone)) {
                $this->changes[] = ['line' => trim($row), 'action' => 'remove', 'to' => null, 'reason' => 'It speaks of what was taken out.'];

                return null;
            }
            foreach ($gone as $id) {
                $new = self::replaced($new, $step->phrases[$id] ?? '', '');
            }
            $new = trim((string) preg_replace(['/\s*,\s*(?=,|\.)/', '/\s+(and|with)\s*(?=[,.]|$)/i', '/\b(the|some)\s+(?=[,.]|and\b|$)/i', '/ {2,}/'], ['', '', '', ' '], $new));
        }
        if ($new !== $row) {
            $this->changes[] = ['line' => trim($row), 'action' => 'adjust', 'to' => trim($new), 'reason' => 'The step follows what was changed above.'];
        }

        return $new;
    }

    /** Replaces the words whose dictionary keys are these. */
    private static function replaced(string $text, string $keys, string $to): string
    {
        $wanted = explode(' ', $keys);
        $tokens = Tokenizer::tokenize(Tokenizer::clean($text));
        $clean = Tokenizer::clean($text);
        for ($i = 0; $i + count($wanted) <= count($tokens); $i++) {
            $same = true;
            foreach ($wanted as $n => $key) {
                $same = $same && ($tokens[$i + $n]->stem === $key);
            }
            if ($same) {
                $end = $tokens[$i + count($wanted) - 1];

                return substr($clean, 0, $tokens[$i]->offset).$to.substr($clean, $end->offset + $end->length);
            }
        }

        return $text;
    }

    /** The whole of it in one sentence. */
    public function says(int $kind): string
    {
        $swaps = $removals = [];
        foreach ($this->rescue->recipe->lines as $index => $line) {
            $option = $this->rescue->options[$index][$this->choice[$index]];
            $name = $line->ingredient === null ? $line->text : Catalogue::get($line->ingredient)->name;
            if ($option->action === Option::REMOVE) {
                $removals[] = $name;
            } elseif ($option->action !== Option::KEEP && $option->portions !== []) {
                $swaps[] = $option->portions[0]->ingredient->name." for $name";
            }
        }
        if ($swaps === [] && $removals === []) {
            return 'Nothing needs to change.';
        }
        $parts = [];
        if ($swaps !== []) {
            $parts[] = ['Put in ', 'With other foods: ', 'Put in '][$kind].implode(', ', $swaps);
        }
        if ($removals !== []) {
            $parts[] = ($parts === [] ? 'Leave out ' : 'leave out ').implode(', ', $removals);
        }

        return implode('; ', $parts).'.';
    }
}

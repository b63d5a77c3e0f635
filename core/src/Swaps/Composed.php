<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\Place;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\RecipeReader;

/** A choice of changes written out: the recipe with what was touched rewritten and everything else word for word. */
final class Composed
{
    public readonly string $text;

    public readonly string $steps;

    /** @var list<Change> */
    public array $changes = [];

    /** @var array<string, string> new name by the words that named what was taken out */
    private array $renamed = [];

    /** @var list<string> keys of foods that are simply gone */
    private array $gone = [];

    /** @param  list<int>  $choice */
    public function __construct(private readonly Question $request, private readonly Rescue $rescue, private readonly array $choice)
    {
        $lines = $rescue->recipe->lines;
        $rows = RecipeReader::rows($request->text);
        $mending = $rescue->mending($choice);
        $byRow = [];
        foreach ($lines as $index => $line) {
            $byRow[$line->place->row][] = $index;
        }
        $written = $added = [];
        foreach ($lines as $index => $line) {
            $option = $rescue->options[$index][$choice[$index]];
            if ($option->action !== Option::KEEP) {
                $this->note($line, $option, $mending !== null && $mending['line'] === $index ? $mending['text'] : null);
                $this->rename($line, $option);
                foreach (array_slice($option->texts, 1) as $text) {
                    $this->changes[] = new Change($text, Change::ADD, $text, "Belongs to \"{$option->texts[0]}\".", null);
                }
            }
        }
        // what is added goes where the dough stands, not behind a frosting
        $ofBody = array_keys(array_filter($byRow, static fn (array $indexes): bool => array_filter($indexes, static fn (int $index): bool => $rescue->inBody[$index]) !== []));
        $last = $ofBody === [] ? count($rows) - 1 : max($ofBody);
        foreach ($rows as $number => $row) {
            if (! isset($byRow[$number])) {
                $step = $this->step($row, $number, Place::TEXT);
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
                $this->changes[] = new Change($mending['text'], Change::ADD, $mending['text'], $mending['reason'], null);
            }
        }
        $this->text = implode("\n", $written);
        $steps = [];
        foreach (RecipeReader::rows($request->steps) as $number => $row) {
            $steps[] = $this->step($row, $number, Place::STEPS);
        }
        $this->steps = implode("\n", array_filter($steps, static fn (?string $step): bool => $step !== null));
    }

    /** @param  ?string  $mended  what is written for it where a little of what stands in is held back, or more taken */
    private function note(ReadLine $line, Option $option, ?string $mended): void
    {
        $labels = $option->labels === [] ? '' : ' Read the label: '.implode(' ', $option->labels);
        $new = $option->newTo === [] ? '' : ' New to '.implode(', ', array_map(static fn (Dog $dog): string => $dog->name, $option->newTo)).'.';
        $index = array_search($line, $this->rescue->recipe->lines, true);
        $stands = $this->rescue->isBlocking((int) $index);
        $because = $stands ? '' : $this->rescue->because((int) $index).' ';
        $this->changes[] = new Change($line->text, $option->action, $mended ?? $option->texts[0] ?? null, trim($because.$option->reason.$labels.$new), $line->place);
    }

    private function rename(ReadLine $line, Option $option): void
    {
        $to = isset($option->portions[0]) ? $this->rescue->writer->name($option->portions[0]->ingredient->id) : null;
        foreach ($line->foods() as $food) {
            if ($to === null) {
                $this->gone[] = $food->id;
            } elseif (! in_array($food->id, $option->foods(), true)) {
                $this->renamed[$food->id] = $to;
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
                if ($option->action === Option::KEEP) {
                    $this->changes[] = new Change($line->text, Option::ADJUST, $mending['text'], $mending['reason'], $line->place);
                }
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

    /**
     * A step with what was swapped called by its new name; null when it spoke of nothing but what is gone.
     *
     * @param  'text'|'steps'  $in
     */
    private function step(string $row, int $number, string $in): ?string
    {
        $step = $this->request->kitchen->reader->step($row);
        $place = new Place($number, $in, 0, mb_strlen($row));
        $new = $row;
        $foods = array_map(static fn (Ingredient $food): string => $food->id, $step->foods);
        foreach ($step->foods as $food) {
            $id = $food->id;
            $to = $this->renamed[$id] ?? $this->renamedAs($food);
            if ($to !== null) {
                $new = self::replaced($new, $step->phrases[$id] ?? '', $to);
            }
        }
        $gone = array_values(array_filter($foods, fn (string $id): bool => in_array($id, $this->gone, true)));
        if ($gone !== []) {
            if (count($foods) === count($gone)) {
                $this->changes[] = new Change(trim($row), Option::REMOVE, null, 'It speaks of what was taken out.', $place);

                return null;
            }
            foreach ($gone as $id) {
                $new = self::replaced($new, $step->phrases[$id] ?? '', '');
            }
            $new = trim((string) preg_replace(['/\s*,\s*(?=,|\.)/', '/\s+(and|with)\s*(?=[,.]|$)/i', '/\b(the|some)\s+(?=[,.]|and\b|$)/i', '/ {2,}/'], ['', '', '', ' '], $new));
        }
        if ($new !== $row) {
            $this->changes[] = new Change(trim($row), Option::ADJUST, trim($new), 'The step follows what was changed above.', $place);
        }

        return $new;
    }

    /** A step may call what was swapped by a wider word: "the broth" of a chicken broth. Nothing that is still in the bowl is renamed. */
    private function renamedAs(Ingredient $inStep): ?string
    {
        foreach ($this->rescue->recipe->lines as $index => $line) {
            foreach ($this->rescue->options[$index][$this->choice[$index]]->portions as $portion) {
                if ($portion->ingredient->id === $inStep->id || $portion->ingredient->isKindOf($inStep) || str_ends_with($portion->ingredient->id, '-'.$inStep->id)) {
                    return null;
                }
            }
        }
        foreach ($this->renamed as $id => $to) {
            $out = $this->request->kitchen->catalogue->get($id);
            if ($out->isKindOf($inStep) || $inStep->isKindOf($out) || str_ends_with($id, "-{$inStep->id}") || str_starts_with($id, "{$inStep->id}-") || $inStep->isNamedBy($out) || $out->isNamedBy($inStep)) {
                return $to;
            }
        }

        return null;
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

    /**
     * The whole of it in one sentence, what is cheapest first.
     *
     * @param  ?string  $cut  how it is cut instead
     * @param  ?string  $texture  how it leaves the oven instead
     */
    public function says(int $kind, ?string $cut, ?string $texture): string
    {
        $swaps = $removals = [];
        foreach ($this->rescue->recipe->lines as $index => $line) {
            $option = $this->rescue->options[$index][$this->choice[$index]];
            $name = $line->food->name ?? $line->text;
            if ($option->action === Option::REMOVE) {
                $removals[] = $name;
            } elseif ($option->action !== Option::KEEP && $option->portions !== []) {
                $swaps[] = $option->portions[0]->ingredient->name." for $name";
            }
        }
        $parts = array_values(array_filter([$cut, $texture]));
        if ($swaps === [] && $removals === [] && $parts === []) {
            return 'Nothing needs to change.';
        }
        if ($removals !== []) {
            $parts[] = 'leave out '.implode(', ', $removals);
        }
        if ($swaps !== []) {
            $parts[] = ['put in ', 'with other foods: ', 'put in '][$kind].implode(', ', $swaps);
        }

        return ucfirst(implode('; ', $parts)).'.';
    }
}

<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Nearest;
use RuntimeException;

/** Words and phrases as the reader looks them up: by their keys. */
final readonly class Phrases
{
    public function __construct(private string $folder) {}

    /** @return array{first: array<string, int>, phrases: array<string, list<string>>} */
    public function forms(): array
    {
        $phrases = $first = [];
        foreach (Row::of($this->folder, 'form-words') as $row) {
            foreach ($row->list('words') as $phrase) {
                $key = Tokenizer::key($phrase);
                $phrases[$key][] = $row->text('form');
                $words = explode(' ', $key);
                $first[$words[0]] = max($first[$words[0]] ?? 0, count($words));
            }
        }

        return ['first' => $first, 'phrases' => $phrases];
    }

    /** @return array<string, true> */
    public function benign(): array
    {
        $words = [];
        $listed = $this->listed('benign-words');
        foreach ($listed as $word => $_) {
            $stem = Tokenizer::stem($word);
            if ($stem !== $word && isset($listed[$stem])) {
                throw new RuntimeException("benign-words.txt: \"$word\" is read as \"$stem\", which stands there: leave it out.");
            }
            $words[$stem] = true;
            $words[$word] = true;
        }

        return $words;
    }

    /** @return array<string, true> */
    public function listed(string $name): array
    {
        $words = [];
        foreach (file("{$this->folder}/$name.txt", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $word) {
            $words[trim($word)] = true;
        }

        return $words;
    }

    /**
     * Dictionary keys of phrases; "homemade+no onion" has two parts, and those of two parts stand last.
     *
     * @param  list<string>  $phrases
     * @return list<string>
     */
    public static function keys(array $phrases): array
    {
        $keys = array_map(static fn (string $phrase): string => implode('+', array_map(Tokenizer::key(...), Table::parts($phrase, '+'))), $phrases);
        usort($keys, static fn (string $a, string $b): int => (int) str_contains($a, '+') <=> (int) str_contains($b, '+'));

        return $keys;
    }

    /**
     * What the search for the nearest food looks through; a file of its own, read only when somebody searches.
     *
     * @param  array<string, list<string>>  $names
     * @return array{names: list<array{string, string}>, grams: array<string, list<int>>}
     */
    public static function searchIndex(array $names): array
    {
        $list = [];
        foreach ($names as $id => $own) {
            foreach ($own as $name) {
                $list[] = [Tokenizer::key($name), (string) $id];
            }
        }

        return ['names' => $list, 'grams' => Nearest::indexOf($list)];
    }

    /**
     * A name that stands for two things is a slip.
     *
     * @param  array<array-key, mixed>  $known
     */
    public static function once(array $known, string $name, string $place): void
    {
        if (isset($known[$name])) {
            throw new RuntimeException("$place: the name \"$name\" is taken already.");
        }
    }
}

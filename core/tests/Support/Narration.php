<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Support;

/**
 * A talk of cases/narrations, or a page or note of cases/wild, and the sheets that a person would have written: plain lines, whose foods
 * and grams are what must come out, and words that must stand in the method, or nowhere.
 */
final readonly class Narration
{
    /** @param  list<array{title: string, lines: list<string>, bake: ?string, warned: list<string>, steps: list<string>, not: list<string>}>  $sheets */
    private function __construct(public string $name, public string $talk, public array $sheets) {}

    /** @return list<self> */
    public static function all(string $folder = 'narrations'): array
    {
        $files = glob(__DIR__."/../cases/$folder/*.txt") ?: [];

        return array_map(self::of(...), $files);
    }

    private static function of(string $file): self
    {
        [$talk, $written] = explode("\n=====\n", (string) file_get_contents($file), 2);
        $sheets = [];
        foreach (explode("\n---\n", trim($written)) as $part) {
            $sheet = ['title' => '', 'lines' => [], 'bake' => null, 'warned' => [], 'steps' => [], 'not' => []];
            foreach (explode("\n", $part) as $row) {
                match (true) {
                    str_starts_with($row, '# ') => $sheet['title'] = substr($row, 2),
                    str_starts_with($row, 'bake ') => $sheet['bake'] = substr($row, 5),
                    str_starts_with($row, 'warn ') => $sheet['warned'] = explode(' ', substr($row, 5)),
                    str_starts_with($row, 'step ') => $sheet['steps'][] = substr($row, 5),
                    str_starts_with($row, 'not ') => $sheet['not'][] = substr($row, 4),
                    default => $sheet['lines'][] = $row,
                };
            }
            $sheets[] = $sheet;
        }

        return new self(basename($file, '.txt'), $talk, $sheets);
    }

    /**
     * What is wrong with the sheets that came out: their number, a food too many or too few, an amount off by more than a twentieth.
     *
     * @param  list<array<string, mixed>>  $recipes  of the answer of `read`
     * @return list<string>
     */
    public function wrongs(array $recipes): array
    {
        if (count($recipes) !== count($this->sheets)) {
            return [count($recipes).' sheets, not '.count($this->sheets)];
        }
        $wrong = [];
        foreach ($this->sheets as $n => $sheet) {
            $wanted = self::foods($sheet['lines']);
            $read = $recipes[$n];
            $came = self::foods(explode("\n", is_string($read['text'] ?? null) ? $read['text'] : ''));
            foreach ($wanted as $food => $grams) {
                if (! array_key_exists($food, $came)) {
                    $wrong[] = "{$sheet['title']}: no $food";
                } elseif (($grams === null) !== ($came[$food] === null) || ($grams !== null && abs($came[$food] - $grams) > max(1.0, 0.05 * $grams))) {
                    $wrong[] = "{$sheet['title']}: $food ".($came[$food] ?? 'unsaid').', not '.($grams ?? 'unsaid');
                }
            }
            foreach (array_diff_key($came, $wanted) as $food => $_) {
                $wrong[] = "{$sheet['title']}: $food was not said";
            }
            $steps = is_string($read['steps'] ?? null) ? $read['steps'] : '';
            foreach ($sheet['steps'] as $step) {
                if (! str_contains($steps, $step)) {
                    $wrong[] = "{$sheet['title']}: no step \"$step\"";
                }
            }
            foreach ($sheet['not'] as $words) {
                if (str_contains($steps.$read['text'], $words)) {
                    $wrong[] = "{$sheet['title']}: \"$words\" is of no recipe";
                }
            }
        }

        return $wrong;
    }

    /**
     * What is wrong with the heat, the time and the thickness that were heard.
     *
     * @param  list<array<string, mixed>>  $recipes
     * @return list<string>
     */
    public function wrongBaking(array $recipes): array
    {
        $wrong = [];
        foreach ($this->sheets as $n => $sheet) {
            /** @var array{celsius: ?float, minutes: ?array{low: float, high: float}, texture: ?string, thicknessMm: ?float} $bake */
            $bake = $recipes[$n]['bake'] ?? ['celsius' => null, 'minutes' => null, 'texture' => null, 'thicknessMm' => null];
            preg_match('/(\d+) C/', (string) $sheet['bake'], $celsius);
            preg_match('/(\d+)(?:-(\d+))? min/', (string) $sheet['bake'], $minutes);
            preg_match('/(\d+) mm/', (string) $sheet['bake'], $mm);
            preg_match('/^(frozen|none)$/', (string) $sheet['bake'], $texture);
            if (($celsius[1] ?? null) != $bake['celsius'] || ($mm !== [] && abs((float) $mm[1] - (float) $bake['thicknessMm']) > 0.6) || ($texture[1] ?? null) !== ($celsius === [] ? $bake['texture'] : null)
                || ($minutes !== [] && (abs((float) $minutes[1] - ($bake['minutes']['low'] ?? 0)) > 0.11 * (float) $minutes[1] || abs((float) ($minutes[2] ?? $minutes[1]) - ($bake['minutes']['high'] ?? 0)) > 0.11 * (float) $minutes[1]))) {
                $wrong[] = "{$this->name} {$sheet['title']}: ".json_encode($bake).", not {$sheet['bake']}";
            }
        }

        return $wrong;
    }

    /**
     * @param  list<string>  $lines
     * @return array<string, ?float> grams by food; null where no amount was said
     */
    private static function foods(array $lines): array
    {
        $foods = [];
        $text = implode("\n", array_map(static fn (string $line): string => ltrim($line, '? '), $lines));
        foreach (trim($text) === '' ? [] : Asking::of('formulate', ['version' => 1, 'recipe' => ['text' => $text]])['lines'] as $line) {
            $food = $line['ingredient'] ?? '? '.$line['text'];
            $grams = $line['grams']['best'] ?? null;
            $foods[$food] = isset($foods[$food]) ? $foods[$food] + ($grams ?? 0.0) : $grams;
        }

        return $foods;
    }
}

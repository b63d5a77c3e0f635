<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Support;

/** One of the sets that were written before the reader, and how much of it comes out right. */
final readonly class Measured
{
    public const SETS = ['stops', 'ordinary', 'weighed', 'rows', 'narrations', 'label-lists', 'wild'];

    /** @param  list<string>  $misses  each with what came out instead */
    private function __construct(public int $right, public int $of, public array $misses) {}

    public static function of(string $set): self
    {
        if ($set === 'narrations' || $set === 'wild') {
            return self::sheets($set);
        }
        $misses = [];
        $cases = Cases::cells("$set.txt");
        foreach ($cases as $cells) {
            $miss = match ($set) {
                'stops' => self::passed(...$cells),
                'ordinary' => self::alarmed(implode('|', $cells)),
                'weighed', 'rows' => self::misweighed(...$cells),
                'label-lists' => self::misread(...$cells),
                default => throw new \LogicException("There is no set $set."),
            };
            if ($miss !== null) {
                $misses[] = implode(' | ', $cells)."  ->  $miss";
            }
        }

        return new self(count($cases) - count($misses), count($cases), $misses);
    }

    private static function sheets(string $folder): self
    {
        $misses = [];
        $all = Narration::all($folder);
        foreach ($all as $one) {
            $wrong = $one->wrongs(Asking::of('read', ['version' => 1, 'content' => $one->talk])['recipes']);
            if ($wrong !== []) {
                $misses[] = "{$one->name}: ".implode('; ', $wrong);
            }
        }

        return new self(count($all) - count($misses), count($all), $misses);
    }

    /** What is wrong when a line that must stop does not. */
    private static function passed(string $level, string $text): ?string
    {
        $answer = self::answer($text);
        $found = self::found($answer);
        $named = array_filter($found, static fn (string $one): bool => str_starts_with($one, 'never:')) !== [];
        if ($level === 'never' && ! $named) {
            return ($answer['verdict']['cleared'] ? 'CLEARED ' : 'not named ').implode(' ', $found);
        }

        return $answer['verdict']['cleared'] ? 'CLEARED '.implode(' ', $found) : null;
    }

    /** What an ordinary line is told that is worse than a caution. */
    private static function alarmed(string $text): ?string
    {
        $worse = array_values(array_filter(self::found(self::answer($text)), static fn (string $one): bool => ! str_starts_with($one, 'caution:')));

        return $worse === [] ? null : implode(' ', $worse);
    }

    private static function misweighed(string $text, string $foods, string $kcal): ?string
    {
        $lines = self::answer($text)['lines'];
        $says = implode('; ', array_map(static fn (array $line): string => ($line['ingredient'] ?? '?').'='.round($line['grams']['best'] ?? -1, 1), $lines));
        $energy = array_sum(array_map(static fn (array $line): float => $line['kcal']['best'] ?? 0.0, $lines));
        $wanted = array_map(trim(...), explode(';', $foods));
        if (count($lines) !== count($wanted)) {
            return $says;
        }
        foreach ($wanted as $n => $food) {
            [$ids, $grams] = explode('=', $food);
            $near = abs(($lines[$n]['grams']['best'] ?? -1) - (float) $grams) <= max(1.0, 0.08 * (float) $grams);
            if (! in_array($lines[$n]['ingredient'], explode('/', $ids), true) || ! $near) {
                return $says.' '.round($energy).' kcal';
            }
        }

        return abs($energy - (float) $kcal) <= max(3.0, 0.12 * (float) $kcal) ? null : $says.' '.round($energy).' kcal';
    }

    /** What is wrong with the reading of a printed list. */
    private static function misread(string $worst, string $codes, string $list): ?string
    {
        $answer = Asking::of('label', ['version' => 1, 'ingredients' => $list]);
        $found = [];
        foreach ($answer['parts'] as $part) {
            foreach ($part['findings'] as $finding) {
                $found["{$finding['level']}:{$finding['code']}"] = "{$finding['code']}";
            }
        }
        $wanted = $codes === '-' ? [] : explode(' ', $codes);
        $nevers = array_filter($found, static fn (string $key): bool => str_starts_with($key, 'never:'), ARRAY_FILTER_USE_KEY);
        $right = ($answer['worst'] === $worst || ($worst === 'caution' && $answer['worst'] === 'clear'))
            && array_diff($wanted, $found) === [] && array_diff($nevers, $wanted) === [];

        return $right ? null : $answer['worst'].' '.implode(' ', array_keys($found)).' / '.implode('; ', array_map(
            static fn (array $part): string => $part['text'].'='.($part['ingredient'] ?? '?'),
            array_filter($answer['parts'], static fn (array $part): bool => array_filter($part['findings'], static fn (array $one): bool => $one['level'] === 'unknown') !== []),
        ));
    }

    /** @return array<string, mixed> for one healthy dog of 20 kg */
    private static function answer(string $text): array
    {
        return Asking::of('formulate', [
            'version' => 1, 'recipe' => ['text' => str_replace('\n', "\n", $text)], 'cut' => ['shape' => 'pieces', 'count' => 200],
            'dogs' => [['name' => 'Rex', 'weightKg' => 20, 'ageMonths' => 48, 'neutered' => true, 'bodyCondition' => 5]],
        ]);
    }

    /**
     * @param  array<string, mixed>  $answer
     * @return list<string> level and code of all that is found on lines and steps, and of the dog
     */
    private static function found(array $answer): array
    {
        $found = [];
        foreach ([...$answer['lines'], ...$answer['steps']] as $part) {
            foreach ($part['findings'] as $finding) {
                if ($finding['level'] !== 'limit') {
                    $found["{$finding['level']}:{$finding['code']}"] = true;
                }
            }
        }

        return array_keys($found);
    }
}

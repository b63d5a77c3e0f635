<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Support;

use RuntimeException;

/**
 * One recipe of the panel: what is asked, what an expert worked out by hand, and how far the answer stands from it. The rows are told in
 * cases/panel/biscuits.txt.
 */
final class Panel
{
    public const ASPECTS = ['verdict', 'count', 'mass', 'energy', 'feel', 'minutes', 'swap'];

    /** How far an answer may stand from what was worked out, as a share of it. */
    private const WITHIN = ['count' => 0.10, 'mass' => 0.10, 'energy' => 0.05, 'minutes' => 0.25];

    private const FEELS = ['crumbles', 'stiff', 'rolls', 'tacky', 'spreads', 'batter'];

    private const MEATY = ['holds', 'shapes', 'loose'];

    /** @var array<string, mixed> of formulate */
    public array $request;

    /** @var list<array{float, float, float}> grams, kcal in 100 g and water in 100 g of each row */
    private array $worked = [];

    /** @var array<string, string> */
    private array $expected = [];

    /** @var array<string, string> worst level by dog; "cleared" for one that may have it */
    private array $verdicts = [];

    /** @var array<string, mixed>|null */
    private ?array $answer = null;

    private function __construct(public readonly string $title)
    {
        $this->request = ['version' => 1, 'explain' => true, 'recipe' => ['title' => $title, 'text' => ''], 'dogs' => []];
    }

    /** @return list<self> */
    public static function all(): array
    {
        $folder = __DIR__.'/../cases/panel';
        $cast = json_decode((string) file_get_contents("$folder/dogs.json"), true, 512, JSON_THROW_ON_ERROR);
        assert(is_array($cast));
        $all = [];
        foreach (['biscuits', 'cakes', 'meat', 'other'] as $file) {
            foreach (Cases::rows("panel/$file.txt") as $row) {
                if (str_starts_with($row, '= ')) {
                    $all[] = new self(substr($row, 2));
                } else {
                    end($all)->row($row, $cast);
                }
            }
        }

        return $all;
    }

    /** @param  array<string, array<string, mixed>>  $cast */
    private function row(string $row, array $cast): void
    {
        if (str_ends_with($row, ':')) {
            $this->request['recipe']['text'] .= "$row\n";

            return;
        }
        if (str_contains($row, ' | ')) {
            [$line, $figures] = explode(' | ', $row);
            $this->request['recipe']['text'] .= "$line\n";
            $this->worked[] = array_map(floatval(...), explode(' ', $figures));

            return;
        }
        [$key, $rest] = explode(' ', $row, 2);
        match ($key) {
            'dogs' => $this->request['dogs'] = array_map(static fn (string $name): array => ['name' => $name] + $cast[$name], explode(', ', $rest)),
            'cut' => $this->request['cut'] = self::cut($rest),
            'bake' => $this->request['bake'] = ['texture' => $rest],
            'process' => $this->request['recipe']['parts'] = [['section' => null, 'role' => 'body', 'process' => $rest]],
            'cleared' => $this->verdicts += array_fill_keys(explode(', ', $rest), 'cleared'),
            'found' => $this->verdicts[explode(' ', $rest)[0]] = explode(' ', $rest)[1],
            'count', 'loss', 'moisture', 'feel', 'minutes', 'swap' => $this->expected[$key] = $rest,
            default => throw new RuntimeException("{$this->title}: nobody knows what \"$row\" is."),
        };
    }

    /** @return array<string, mixed> */
    private static function cut(string $said): array
    {
        $words = explode(' ', $said);
        $cut = ['shape' => (string) array_shift($words)];
        foreach ($words as $word) {
            [$size, $value] = explode('=', $word);
            $cut[$size] = (float) $value;
        }

        return $cut;
    }

    /** What is wrong with one aspect: null where it is right, false where nobody said. */
    public function wrong(string $aspect): string|false|null
    {
        return match ($aspect) {
            'verdict' => $this->wrongVerdict(),
            'count' => isset($this->expected['count']) ? self::off('count', (float) $this->expected['count'], $this->answer()['piece']['count']['best']) : false,
            'mass' => $this->wrongMass(),
            'energy' => self::off('energy', array_sum(array_map(static fn (array $one): float => $one[0] * $one[1] / 100, $this->worked)), array_sum(array_map(static fn (array $line): float => $line['kcal']['best'] ?? 0.0, $this->answer()['lines']))),
            'feel' => $this->wrongFeel(),
            'minutes' => $this->wrongMinutes(),
            'swap' => $this->wrongSwap(),
        };
    }

    /** Whether the feel is at least the neighbour of what the hand says. */
    public function feelIsNear(): bool
    {
        return ! isset($this->expected['feel']) || self::isNear($this->feel(), explode(', ', $this->expected['feel'])[0]);
    }

    /** Whether one feel is another or stands beside it. */
    public static function isNear(?string $felt, string $wanted): bool
    {
        foreach ([self::FEELS, self::MEATY] as $order) {
            [$is, $shouldBe] = [array_search($felt, $order, true), array_search($wanted, $order, true)];
            if ($is !== false && $shouldBe !== false) {
                return abs($is - $shouldBe) <= 1;
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    private function answer(): array
    {
        return $this->answer ??= Asking::of('formulate', $this->request);
    }

    private static function off(string $aspect, float $wanted, float $is): ?string
    {
        return abs($is - $wanted) <= self::WITHIN[$aspect] * $wanted + ($aspect === 'count' ? 1.0 : 0.0) ? null : sprintf('%.4g, worked out %.4g', $is, $wanted);
    }

    private function wrongVerdict(): ?string
    {
        $wrong = [];
        foreach ($this->answer()['verdict']['dogs'] as $dog) {
            $wanted = $this->verdicts[$dog['name']] ?? null;
            $is = $dog['cleared'] ? 'cleared' : $dog['worst'];
            if ($wanted === null ? $dog['cleared'] : $is !== $wanted) {
                $wrong[] = "{$dog['name']} $is, ".($wanted ?? 'not cleared').' expected';
            }
        }

        return $wrong === [] ? null : implode('; ', $wrong);
    }

    private function wrongMass(): string|false|null
    {
        $dough = array_sum(array_column($this->worked, 0));
        $solids = array_sum(array_map(static fn (array $one): float => $one[0] * (1 - $one[2] / 100), $this->worked));
        $wanted = match (true) {
            isset($this->expected['loss']) => $dough * (1 - (float) $this->expected['loss'] / 100),
            isset($this->expected['moisture']) => min($dough, $solids / (1 - (float) $this->expected['moisture'] / 100)),
            default => null,
        };

        return $wanted === null ? false : self::off('mass', $wanted, $this->answer()['parts'][0]['keptGrams']['best']);
    }

    private function feel(): ?string
    {
        $feel = $this->answer()['batch']['feel'];

        return $feel === null ? null : Doughs::word($feel);
    }

    private function wrongFeel(): string|false|null
    {
        if (! isset($this->expected['feel'])) {
            return false;
        }

        return in_array($this->feel(), explode(', ', $this->expected['feel']), true) ? null
            : sprintf('%s at %.2f, the hand says %s', $this->feel() ?? 'nothing', $this->answer()['batch']['wetness'] ?? 0, $this->expected['feel']);
    }

    private function wrongMinutes(): string|false|null
    {
        if (! isset($this->expected['minutes'])) {
            return false;
        }
        [$low, $high] = array_map(floatval(...), explode('-', $this->expected['minutes']));
        $stage = $this->answer()['portions'][0]['heat']['stages'][0] ?? null;

        return $stage === null ? 'no heat at all' : self::off('minutes', ($low + $high) / 2, ($stage['minutesLow'] + $stage['minutesHigh']) / 2);
    }

    private function wrongSwap(): string|false|null
    {
        if (! isset($this->expected['swap'])) {
            return false;
        }
        [$line, $foods] = explode(' ', $this->expected['swap'], 2);
        $candidates = Asking::of('swaps', array_diff_key($this->request, ['explain' => 1]) + ['line' => (int) $line - 1])['candidates'];
        $best = $candidates[0] ?? null;
        $is = $best === null ? 'nothing' : ($best['action'] === 'remove' ? 'remove' : ($best['swap']['in'] ?? 'nothing'));

        return in_array($is, explode(', ', $foods), true) ? null : "$is first".($best === null ? '' : ' ('.implode(', ', $best['texts']).')').", expected $foods";
    }
}

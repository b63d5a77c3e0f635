<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data;

/**
 * How long and how hot, as starting points: by texture, shape, thickness and oven. The kitchen's own log corrects them.
 * Rows stand in heat.csv; time grows with thickness to the power 1.1 within a class, by a fifth for 14 °C less heat (reference, page 5).
 *
 * @phpstan-type HeatStage array{does: string, minutesLow: int, minutesHigh: int, firstLookMinutes: int, celsius: ?int, sign: string}
 */
final readonly class Heat
{
    private const WITH_THICKNESS = 1.1;

    private const FIRST_LOOK = 0.8;

    private const FAN = 20;

    /** Drying this cool makes no meat safe by itself. */
    private const COOL = 95;

    /**
     * @param  list<HeatStage>  $stages  in order; celsius is what the dial is set to, null without an oven
     * @param  list<array{celsius: int, foods: list<string>, what: string}>  $cores  what raw food must reach inside
     */
    private function __construct(public array $stages, public array $cores, public ?string $coreStep, public bool $fan) {}

    /**
     * @param  ?float  $celsius  what the baker's oven is set to; the row's own temperature when null
     */
    public static function of(Cut $cut, Texture $texture, Dough $dough, ?float $celsius = null, bool $fan = false): self
    {
        $stages = [];
        foreach (self::classes($cut, $texture) as $rows) {
            $stages[] = self::stage($rows, $cut->thicknessMm(), $texture, $celsius, $fan, $stages === []);
        }
        $cores = self::cores($dough);
        $cool = $texture->id === 'jerky' || ($stages !== [] && $stages[0]['celsius'] !== null && $stages[0]['celsius'] + ($fan ? self::FAN : 0) <= self::COOL);
        $step = $cores !== [] && $texture->isHeated && $cool
            ? 'No drying up to '.self::COOL.' °C makes meat safe by itself: bring it to '.$cores[0]['celsius'].' °C at the core first, or finish 10 min at '.(135 - ($fan ? self::FAN : 0)).' °C.' : null;

        return new self($stages, $cores, $step, $fan);
    }

    /** °F to the nearest 5. */
    public static function fahrenheit(float $celsius): int
    {
        return 5 * (int) round(($celsius * 9 / 5 + 32) / 5);
    }

    /** The gas mark whose temperature lies nearest. */
    public static function gasMark(float $celsius): ?string
    {
        $mark = null;
        $nearest = 15.0;
        foreach (Data::tables()['gasMarks'] as $row) {
            $off = abs((float) $row['celsius'] - $celsius);
            if ($off < $nearest) {
                [$mark, $nearest] = [$row['mark'], $off];
            }
        }

        return $mark;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'stages' => array_map(fn (array $stage): array => $stage + [
                'fahrenheit' => $stage['celsius'] === null ? null : self::fahrenheit($stage['celsius']),
                'gasMark' => $stage['celsius'] === null ? null : self::gasMark($stage['celsius'] + ($this->fan ? self::FAN : 0)),
            ], $this->stages),
            'cores' => array_map(static fn (array $core): array => $core + ['fahrenheit' => (int) round($core['celsius'] * 9 / 5 + 32)], $this->cores),
            'coreStep' => $this->coreStep,
            'fan' => $this->fan,
        ];
    }

    /**
     * The rows of each stage in turn: a class may bake, then dry.
     *
     * @return list<non-empty-list<array<string, string>>>
     */
    private static function classes(Cut $cut, Texture $texture): array
    {
        $by = [];
        $shaped = null;
        foreach (Data::tables()['heat'] as $row) {
            if (! in_array($texture->id, explode('|', $row['textures']), true)) {
                continue;
            }
            if ($row['shapes'] !== '') {
                if (! in_array($cut->shape, explode('|', $row['shapes']), true)) {
                    continue;
                }
                $shaped = $row['class'];
            }
            $by[$row['class']][$row['does']][] = $row;
        }
        if ($shaped !== null) {
            unset($by['dough']);
        }
        $stages = [];
        foreach ($by as $does) {
            array_push($stages, ...array_values($does));
        }

        return $stages;
    }

    /**
     * @param  non-empty-list<array<string, string>>  $rows
     * @return HeatStage
     */
    private static function stage(array $rows, ?float $thicknessMm, Texture $texture, ?float $celsius, bool $fan, bool $isFirst): array
    {
        [$low, $high, $row] = self::byThickness($rows, $thicknessMm);
        if (in_array($row['class'], ['dough', 'ball', 'drop'], true)) {
            // the short end leaves it soft, the long end hard
            [$low, $high] = match ($texture->id) {
                'soft' => [$low, ($low + $high) / 2],
                'hard', 'chewy' => [($low + $high) / 2, $high],
                default => [$low, $high],
            };
        }
        $set = null;
        if ($row['celsius'] !== '') {
            $heat = (float) $row['celsius'];
            if ($celsius !== null && $isFirst) {
                $real = $celsius + ($fan ? self::FAN : 0);
                $factor = min(2.0, max(0.5, 1 + 0.2 * ($heat - $real) / 14));
                [$low, $high, $set] = [$low * $factor, $high * $factor, (int) round($celsius)];
            } else {
                $set = (int) $heat - ($fan ? self::FAN : 0);
            }
        }

        return [
            'does' => $row['does'], 'minutesLow' => (int) round($low), 'minutesHigh' => (int) max(round($low), round($high)),
            'firstLookMinutes' => (int) floor(self::FIRST_LOOK * $low), 'celsius' => $set, 'sign' => $row['sign'],
        ];
    }

    /**
     * Between two thicknesses of a class by the power that joins them; beyond, with the power 1.1.
     *
     * @param  non-empty-list<array<string, string>>  $rows  by thickness
     * @return array{float, float, array<string, string>}
     */
    private static function byThickness(array $rows, ?float $thicknessMm): array
    {
        $first = $rows[0];
        $last = $rows[count($rows) - 1];
        if ($first['thicknessMm'] === '' || $thicknessMm === null) {
            $row = $rows[intdiv(count($rows), 2)];

            return [(float) $row['minutesLow'], (float) $row['minutesHigh'], $row];
        }
        foreach ([[$first, $thicknessMm <= (float) $first['thicknessMm']], [$last, $thicknessMm >= (float) $last['thicknessMm']]] as [$row, $beyond]) {
            if ($beyond) {
                $factor = ($thicknessMm / (float) $row['thicknessMm']) ** self::WITH_THICKNESS;

                return [(float) $row['minutesLow'] * $factor, (float) $row['minutesHigh'] * $factor, $row];
            }
        }
        foreach ($rows as $n => $row) {
            $next = $rows[$n + 1] ?? $row;
            if ($thicknessMm <= (float) $next['thicknessMm']) {
                $at = log($thicknessMm / (float) $row['thicknessMm']) / log((float) $next['thicknessMm'] / (float) $row['thicknessMm']);

                return [
                    (float) $row['minutesLow'] * ((float) $next['minutesLow'] / (float) $row['minutesLow']) ** $at,
                    (float) $row['minutesHigh'] * ((float) $next['minutesHigh'] / (float) $row['minutesHigh']) ** $at,
                    $at < 0.5 ? $row : $next,
                ];
            }
        }

        return [(float) $last['minutesLow'], (float) $last['minutesHigh'], $last];
    }

    /** @return list<array{celsius: int, foods: list<string>, what: string}> hottest first */
    private static function cores(Dough $dough): array
    {
        $found = [];
        foreach ($dough->portions as $portion) {
            $food = $portion->ingredient;
            if (! $food->inGroup('raw-meat') && ! $food->inGroup('raw-fish') && $food->id !== 'egg') {
                continue;
            }
            foreach (Data::tables()['cores'] as $row) {
                if ($food->inGroup($row['group']) && ($row['word'] === '' || str_contains($food->name, $row['word']))) {
                    $found[$row['celsius']][$row['what']][] = $food->name;
                    break;
                }
            }
        }
        krsort($found);
        $cores = [];
        foreach ($found as $celsius => $whats) {
            foreach ($whats as $what => $foods) {
                $cores[] = ['celsius' => (int) $celsius, 'foods' => array_values(array_unique($foods)), 'what' => $what];
            }
        }

        return $cores;
    }
}

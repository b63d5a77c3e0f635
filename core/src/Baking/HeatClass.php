<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Values\Range;

/**
 * Which of the classes of heat.csv a batch belongs to: by what is done to it, by its shape and texture, and by what is in it. The class
 * decides how long, how hot and how much water leaves.
 *
 * @phpstan-import-type HeatRow from Compiled as HeatCells
 * @phpstan-import-type LossRow from Compiled
 */
final readonly class HeatClass
{
    /** Share of the mass that makes a dough one of seeds, one of egg, one with flesh in it. */
    public const OF_SEEDS = 0.60;

    private const OF_EGG = 0.50;

    private const OF_FLESH = 0.25;

    /** mm from which a dough with leaven rises as a scone does. */
    private const RISES_FROM = 13.0;

    /** mm from which a piece of meat is done before it is crisp. */
    private const THICK_MEAT_FROM = 12.0;

    private const FILLED = 0.7;

    /** Left to cool in the oven whatever its class. */
    private const AFTERWARDS = 'off';

    /** @param  list<HeatCells>  $rows */
    private function __construct(public string $name, public array $rows, private string $texture, private bool $isDrained) {}

    /**
     * @param  bool  $isFilled  whether a filling is baked in it
     * @param  bool  $isDrained  whether its fat and juices were poured off already
     */
    public static function of(Cut $cut, Texture $texture, Process $process, Dough $dough, bool $isFilled = false, bool $isDrained = false): self
    {
        $kinds = null;
        $name = '';
        $rows = [];
        $isByTexture = self::isByTexture($process, $texture);
        $shape = $cut->shape();
        foreach (Compiled::doughs()['heat'][$texture->id] ?? [] as $row) {
            if ($name !== '' && $row['class'] !== $name && $row['class'] !== self::AFTERWARDS) {
                continue;
            }
            $is = ($row['process'] === $process->id() || ($row['process'] === '' && $isByTexture)) && ($row['shapes'] === [] || in_array($shape, $row['shapes'], true));
            if (! $is || ($row['of'] !== '' && ! in_array($row['of'], $kinds ??= self::kinds($cut, $dough, $isFilled), true))) {
                continue;
            }
            if ($name === '') {
                $name = $row['class'];
            }
            $rows[] = $row;
        }

        return new self($name, $rows, $texture->id, $isDrained);
    }

    /** Rows without a process are those of the oven, the freezer and the fridge. */
    private static function isByTexture(Process $process, Texture $texture): bool
    {
        return in_array($process->id(), ['oven', 'frozen', 'set', 'none'], true) || ($process->id() === 'dried' && $texture->id === 'jerky');
    }

    /** A seed or a nut as such: what is roasted, not what is ground or pressed of it. */
    public static function isSeed(Ingredient $food): bool
    {
        return ($food->inGroup('seed') || $food->inGroup('tree-nut')) && ! $food->inAny(['flour', 'oil', 'nut-butter', 'new-fibre']);
    }

    /** @return list<string> */
    private static function kinds(Cut $cut, Dough $dough, bool $isFilled): array
    {
        $mass = $seeds = $egg = $flesh = 0.0;
        $hasLeaven = false;
        foreach ($dough->weighed as $one) {
            $grams = $one->grams->best;
            $food = $one->ingredient;
            $mass += $grams;
            $seeds += self::isSeed($food) ? $grams : 0.0;
            $egg += $food->inGroup('egg') ? $grams : 0.0;
            $flesh += Binding::isFlesh($food) && $one->solidShare() < Binding::DRIED ? $grams : 0.0;
            $hasLeaven = $hasLeaven || $food->inGroup('baking-leavener') || $food->id === 'self-raising-flour';
        }
        if ($mass <= 0.0) {
            return [];
        }

        return array_keys(array_filter([
            'meat' => $dough->binding !== null, 'thick-meat' => $dough->binding !== null && ($cut->thicknessMm() ?? 0.0) >= self::THICK_MEAT_FROM, 'flesh' => $flesh >= self::OF_FLESH * $mass, 'egg' => $egg >= self::OF_EGG * $mass, 'seeds' => $seeds >= self::OF_SEEDS * $mass,
            'risen' => $hasLeaven && ($cut->thicknessMm() ?? 0.0) >= self::RISES_FROM, 'filled' => $isFilled,
        ]));
    }

    /** How long pieces of any class are left in the turned-off oven, in minutes. */
    public static function afterwards(): Range
    {
        foreach (Compiled::doughs()['heat'] as $rows) {
            foreach ($rows as $row) {
                if ($row['class'] === self::AFTERWARDS && $row['minutesLow'] !== null && $row['minutesHigh'] !== null) {
                    return Range::of($row['minutesLow'], ($row['minutesLow'] + $row['minutesHigh']) / 2, $row['minutesHigh']);
                }
            }
        }
        throw new \OutOfBoundsException('heat.csv has no row of the turned-off oven.');
    }

    /** Share of a mould that the dough fills: a leaven or whipped egg raises a cake to its rim (reference page 7, parts). */
    public function fills(Dough $dough): float
    {
        if ($this->name !== 'mould-cake') {
            return 1.0;
        }
        foreach ($dough->weighed as $one) {
            $food = $one->ingredient;
            if ($food->inGroup('baking-leavener') || $food->id === 'self-raising-flour' || ($food->inGroup('egg') && in_array('beaten', $one->forms, true))) {
                return self::FILLED;
            }
        }

        return 1.0;
    }

    /** Grams after the heat: the solids stay, water leaves, as much as leaves a thing of this class. */
    public function bakedGrams(Texture $texture, Range $dough, Range $solids): Range
    {
        $estimate = $texture->bakedGrams($dough, $solids);
        $row = $this->loss();
        if ($row === null || ($this->isDrained && $texture->moisture === null)) {
            return $estimate;
        }
        $kept = static fn (float $grams, float $percent, float $solid): float => max(min($grams, $solid), $grams * (1 - $percent / 100));
        [$most, $best, $least] = [$kept($dough->high, $row['low'], $solids->high), $kept($dough->best, $row['best'], $solids->best), $kept($dough->low, $row['high'], $solids->low)];
        if ($row['how'] === 'loses' || $texture->moisture === null) {
            return Range::of($least, $best, $most);
        }
        $floor = $kept($dough->best, $row['high'], $solids->best);
        $ceiling = $kept($dough->best, $row['low'], $solids->best);

        return Range::of(min($most, max($least, $estimate->low)), min($ceiling, max($floor, $estimate->best)), min($most, max($least, $estimate->high)));
    }

    /** @return LossRow|null */
    private function loss(): ?array
    {
        foreach (Compiled::doughs()['losses'] as $row) {
            if ($row['class'] === $this->name && ($row['textures'] === [] || in_array($this->texture, $row['textures'], true))) {
                return $row;
            }
        }

        return null;
    }
}

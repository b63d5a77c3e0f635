<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\FreeWater;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\ReadRecipe;

/** Keeps a dough as wet as it was: how far a choice of swaps stands from it, what that costs, and the one line that mends it. */
final readonly class Mending
{
    /** Wetness within this of the original needs no mending (reference, page 4). */
    public const SMALL = 0.05;

    /** g of flour at most for a gram of water too much: ground nuts in a stiff dough. */
    private const MOST_FOR_WATER = 6.0;

    /** g of water that nobody would bother about. */
    private const HARDLY = 4.0;

    /** Share of free liquid from which a line can be poured more or less of. */
    private const WATERY = 0.8;

    /**
     * @param  float  $wetness  of the dough as it was
     * @param  float  $drank  g of water on a g of uptake that its flours took up, its fat having shortened them
     * @param  float  $uptake  of its flours as they were, at rest
     * @param  float  $mass  of the batch as it was
     * @param  list<list<Option>>  $options  by line
     * @param  list<bool>  $inBody  by line: what is mended is the dough that is cut
     * @param  array<string, float>  $weights
     */
    public function __construct(private Catalogue $catalogue, private float $wetness, private float $drank, private float $uptake, private float $mass, private bool $hasFlour, private array $options, private array $inBody, private array $weights) {}

    /**
     * g of free liquid that some portions bring over what their flours drink: the fat of the bowl shortens them as it did before.
     *
     * @param  list<float>  $sums
     */
    public function balance(array $sums): float
    {
        return $this->hasFlour ? $sums[Sums::FREE] - $this->wetness * $this->drank * $sums[Sums::UPTAKE] : 0.0;
    }

    /**
     * What mending a bowl that is too wet or too dry costs: a line, and the more the more it takes.
     *
     * @param  list<float>  $sums
     */
    public function cost(array $sums): float
    {
        $off = abs($sums[Sums::BALANCE]);

        return ! $this->hasFlour || $off <= $this->hardly() ? 0.0 : $this->weights['adjust'] + $this->weights['mend'] * $off / $this->mass;
    }

    /**
     * The search's bound of it: what each gram costs, and the grams that cost nothing.
     *
     * @return array{float, float}
     */
    public function slope(): array
    {
        return $this->hasFlour ? [$this->weights['mend'] / $this->mass, $this->hardly()] : [0.0, 0.0];
    }

    /** g of water by which the dough may be wetter or drier before anybody notices. */
    private function hardly(): float
    {
        return max(self::HARDLY, self::SMALL * $this->drank * $this->uptake);
    }

    /**
     * The most that mending adds or takes away, in g: a flour that hardly drinks, or a wet line with little water.
     *
     * @param  list<float>  $sums
     */
    public function most(array $sums): float
    {
        return $this->hasFlour ? self::MOST_FOR_WATER * abs($this->waterMissing($sums)) : 0.0;
    }

    /**
     * Whether it is wetter or drier than it was by more than a hand would notice, or a spoon could measure.
     *
     * @param  list<float>  $sums
     */
    private function isOff(array $sums): bool
    {
        return $this->off($sums) > self::SMALL && abs($this->waterMissing($sums)) >= self::HARDLY;
    }

    /**
     * g of water that a bowl lacks to be as wet as before; negative when it is too wet.
     *
     * @param  list<float>  $sums
     */
    private function waterMissing(array $sums): float
    {
        return $this->wetness * Sums::shortened($sums) - $sums[Sums::FREE];
    }

    /**
     * How far the wetness of a bowl stands from what it was.
     *
     * @param  list<float>  $sums
     */
    private function off(array $sums): float
    {
        return abs($this->waterMissing($sums)) / max(1.0, Sums::shortened($sums));
    }

    /**
     * What mends the wetness of a choice: more or less of a wet line that is kept, water added, or flour where nothing can be held back.
     * null when nothing needs mending.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     * @param  ?float  $within  g that a kitchen measure may miss; a goal in calories leaves no room for what it rounds
     * @return array{text: string, reason: string, line: ?int}|null
     */
    public function written(array $choice, array $sums, LineWriter $writer, ReadRecipe $recipe, ?float $within): ?array
    {
        $mend = $this->mend($choice, $sums);
        if ($mend === null) {
            return null;
        }
        $within ??= 0.06 * Sums::shortened($sums);
        $like = $mend['line'] === null ? null : $recipe->lines[$mend['line']];
        $change = $mend['grams'] - $mend['was'];
        $how = $mend['line'] === null ? '.' : ($change > 0 ? ': a little more.' : ': a little is held back.');

        return ['text' => $writer->nearly($mend['ingredient'], $mend['grams'], $within, $like), 'line' => $mend['line'], 'reason' => "Keeps the dough as wet as it was$how"];
    }

    /**
     * The food that is changed or added, its grams before and after, and its line.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     * @return array{ingredient: string, was: float, grams: float, line: ?int}|null
     */
    private function mend(array $choice, array $sums): ?array
    {
        if (! $this->hasFlour || ! $this->isOff($sums)) {
            return null;
        }
        $missing = $this->waterMissing($sums);
        $wettest = $bulk = null;
        foreach ($choice as $line => $index) {
            $option = $this->options[$line][$index];
            $portion = $option->portions[0] ?? null;
            if ($portion === null || ! $this->inBody[$line]) {
                continue;
            }
            $share = FreeWater::of($portion->ingredient, $portion->forms);
            $isWater = $portion->ingredient->id === 'water';
            // nobody holds back a sixth of an egg
            $wet = count($option->portions) === 1 && $share >= self::WATERY && in_array('wet', Jobs::can($portion->ingredient), true) && ! $portion->ingredient->inGroup('egg');
            if ($wet && $portion->grams->best * $share + $missing >= 0.2 * $portion->grams->best && ($missing < 0 || $isWater) && ($wettest === null || [$isWater, $portion->grams->best] > [$wettest['ingredient'] === 'water', $wettest['was']])) {
                $wettest = ['ingredient' => $portion->ingredient->id, 'was' => $portion->grams->best, 'grams' => $portion->grams->best + $missing / $share, 'line' => $line];
            }
            $uptake = Uptake::of($portion->ingredient);
            if ($uptake > 0 && $uptake < 2 && ($bulk === null || $portion->grams->best > $bulk[1])) {
                $bulk = [$portion->ingredient->id, $portion->grams->best, $uptake];
            }
        }
        if ($wettest !== null) {
            return $wettest;
        }
        if ($missing > 0) {
            return ['ingredient' => 'water', 'was' => 0.0, 'grams' => $missing, 'line' => null];
        }
        $grams = $bulk === null ? 0.0 : -$missing / (($this->wetness > 0 ? $this->wetness : 1.0) * $bulk[2]);

        return $bulk === null || $grams <= 0 ? null : ['ingredient' => $bulk[0], 'was' => 0.0, 'grams' => $grams, 'line' => null];
    }

    /**
     * g that mending adds to a bowl, or takes from it.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     */
    public function change(array $choice, array $sums): float
    {
        $mend = $this->mend($choice, $sums);

        return $mend === null ? 0.0 : $mend['grams'] - $mend['was'];
    }

    /**
     * kcal of the bowl as it will be mixed, its wetness mended.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     */
    public function kcal(array $choice, array $sums): float
    {
        $mend = $this->mend($choice, $sums);

        return $sums[Sums::KCAL] + ($mend === null ? 0.0 : ($mend['grams'] - $mend['was']) * ($this->catalogue->get($mend['ingredient'])->composition->kcal ?? 0.0) / 100);
    }

    /**
     * kcal in a gram of it.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     */
    public function kcalPerGram(array $choice, array $sums): float
    {
        return $this->kcal($choice, $sums) / max(1.0, $sums[Sums::MASS] + $this->change($choice, $sums));
    }

    /** kcal over a target that mending costs at least for each gram of water too much: less of something wet, or more of a flour. */
    public function leastByDrying(float $target): float
    {
        if (! $this->hasFlour) {
            return 0.0;
        }
        $least = INF;
        foreach ($this->options as $options) {
            foreach ($options as $option) {
                foreach ($option->portions as $portion) {
                    $kcal = ($portion->ingredient->composition->kcal ?? 0.0) / 100;
                    $share = FreeWater::of($portion->ingredient, $portion->forms);
                    $uptake = Uptake::of($portion->ingredient);
                    $drinks = ($this->wetness > 0 ? $this->wetness : 1.0) * $uptake;
                    $least = min($least, $share >= self::WATERY ? ($target - $kcal) / $share : INF, $uptake > 0 && $uptake < 2 && $drinks > 0 ? ($kcal - $target) / $drinks : INF);
                }
            }
        }

        return $least === INF ? 0.0 : max(0.0, $least);
    }
}

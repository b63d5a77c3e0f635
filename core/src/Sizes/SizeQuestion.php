<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\FittedCut;
use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Data;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Formulate\Story;

/**
 * Backwards: so many pieces a day for each dog, for so many days, out of one dough. Solves for the sizes and for how much dough.
 *
 * @phpstan-type Size array{wishes: non-empty-list<Wish>, cut: Cut, dough: float, kcal: float, pieces: int}
 */
final readonly class SizeQuestion
{
    /** A counted piece depends on the whole dough: a little room for what the scales round. */
    private const ROOM = 0.995;

    private const UNSIZED = ['count' => null, 'bakedGrams' => null, 'wasteGrams' => null];

    /** @param  array<string, float>  $given  sizes that stay */
    private function __construct(private Request $request, private string $shape, private array $given, private int $days, private Formulate $formulate) {}

    /**
     * @return array<string, mixed>
     *
     * @throws RequestRefused
     */
    public static function answer(Node $node): array
    {
        $keys = array_diff(array_keys(get_object_vars($node->objectValue())), ['cut', 'wishes', 'days']);
        $plain = new \stdClass;
        foreach ($keys as $key) {
            $plain->{$key} = $node->objectValue()->{$key};
        }
        $request = Request::fromNode(new Node($plain, $node->path));
        if ($request->portions !== []) {
            throw RequestRefused::unknownKey('/portions');
        }
        $wishes = Wish::all($node->required('wishes', 'The wishes'), $request->dogs);
        $days = $node->get('days')?->integer(1, 365) ?? 1;
        [$shape, $given] = self::openCut($node->get('cut'));

        return $request->withOwnPantry(static function () use ($request, $shape, $given, $days, $wishes): array {
            $question = new self($request, $shape, $given, $days, Formulate::of($request->withCut(new Cut('pieces', ['count' => 24.0]))));
            foreach ($wishes as $wish) {
                $open = $question->formulate->whyNotCleared($wish->dog->name);
                if ($open !== null) {
                    return self::impossible($open['why'], 'Settle what is marked first, or rescue the recipe.') + ['ifCleared' => $open['confirmable'] ? $question->solve($wishes) : null];
                }
            }

            return $question->solve($wishes) + ['ifCleared' => null];
        });
    }

    /**
     * A cut whose sizes may be left out.
     *
     * @return array{string, array<string, float>}
     *
     * @throws RequestRefused
     */
    private static function openCut(?Node $node): array
    {
        if ($node === null) {
            return ['round', []];
        }
        $shapes = Cut::shapes();
        $shape = $node->object(['shape', ...array_values(array_unique(array_merge(...array_values($shapes))))])->required('shape', 'The shape')->choice(array_keys($shapes));
        $given = [];
        foreach (get_object_vars($node->objectValue()) as $key => $value) {
            if ($key === 'shape' || $value === null) {
                continue;
            }
            if (! in_array($key, $shapes[$shape], true)) {
                throw RequestRefused::unknownKey("{$node->path}/$key");
            }
            $given[$key] = Request::size($key, new Node($value, "{$node->path}/$key"));
        }
        // what is asked for is not given
        foreach (['diameterMm', 'sideMm', 'areaMm2', 'ml', 'cavityMl', 'columns', 'rows', 'count'] as $wanted) {
            if ($shape !== 'log' || isset($given['sliceMm'])) {
                unset($given[$wanted]);
            }
        }
        if (isset($given['widthMm'], $given['lengthMm'])) {
            unset($given['lengthMm']);
        }

        return [$shape, $given];
    }

    /**
     * @param  non-empty-list<Wish>  $wishes
     * @return array<string, mixed>
     */
    private function solve(array $wishes): array
    {
        $dough = $this->formulate->dough;
        if ($dough->grams->best <= 0.0) {
            return self::impossible('Nothing in this recipe could be weighed.', 'Give the lines amounts.');
        }
        if ($dough->kcal->best <= 0.0) {
            return self::impossible('Nothing in this recipe holds any energy that could be counted.', 'Use foods whose composition is known.');
        }
        $cuts = [];
        foreach ($wishes as $wish) {
            $found = $this->cutFor($wish);
            if (is_array($found)) {
                return self::impossible(...$found);
            }
            $cuts[] = [$wish, $found];
        }

        return $this->isCounted() ? $this->counted($wishes) : $this->sized($cuts);
    }

    private function isCounted(): bool
    {
        return in_array($this->shape, ['pieces', 'slices'], true);
    }

    /**
     * The cut for one wish; else why there is none and what would make it possible.
     *
     * @return Cut|array{string, string}
     */
    private function cutFor(Wish $wish): Cut|array
    {
        $dog = $wish->dog;
        $ration = $this->rationAt($wish, new Cut('pieces', ['count' => 24.0]));
        if ($dog->weightKg === null || $ration->energy->dailyKcal === null) {
            return ["{$dog->name} has no ration".($dog->weightKg === null ? ' without a weight.' : ': pregnant or nursing, the vet decides.'), $dog->weightKg === null ? 'Enter its weight.' : 'Ask the vet.'];
        }
        $ofOne24th = $this->most($ration);
        if ($ofOne24th === null || $ofOne24th <= 0.0) {
            return ["{$dog->name} may have nothing of this today: held by ".Story::holds($ration->heldBy).'.', 'Another day, or another recipe.'];
        }
        // every limit is an amount of dough a day, whatever the size of a piece
        $gramsPerDay = $ofOne24th * $this->formulate->dough->grams->best / 24;
        if ($this->isCounted()) {
            return new Cut($this->shape, ['count' => 1.0]);
        }
        $used = (new Cut($this->shape, []))->used();
        $ml = $gramsPerDay * $used / $wish->piecesPerDay / $this->formulate->dough->density();
        $bite = $dog->safeBiteMm();
        $thick = $this->given['thicknessMm'] ?? $this->given['sliceMm'] ?? $this->given['depthMm'] ?? $this->given['diameterMm'] ?? null;
        if ($thick !== null && $bite !== null && $thick > $bite) {
            return [Story::number($thick)." mm thick is more than {$dog->name} may swallow whole.", 'Roll it to '.Story::number($bite).' mm or thinner.'];
        }
        for ($try = 0; $try < 40; $try++, $ml *= 0.98) {
            $cut = FittedCut::largest($this->shape, $this->given, $ml, $bite);
            if ($cut === null) {
                break;
            }
            if (($this->rationAt($wish, $cut)->pieces ?? 0.0) >= $wish->piecesPerDay) {
                return $cut;
            }
        }

        return [
            Story::number($wish->piecesPerDay)." a day for {$dog->name} would need pieces smaller than can be cut.",
            $this->remedy($wish, $gramsPerDay * $used / $this->formulate->dough->density(), $bite),
        ];
    }

    /** What would make a wish possible: fewer pieces, or a thinner sheet. */
    private function remedy(Wish $wish, float $mlPerDay, ?float $bite): string
    {
        $remedies = [];
        for ($pieces = floor($wish->piecesPerDay); $pieces >= 1; $pieces--) {
            if (FittedCut::largest($this->shape, $this->given, $mlPerDay / $pieces, $bite) !== null) {
                $remedies[] = Story::number($pieces).' a day';
                break;
            }
        }
        for ($thick = floor(($this->given['thicknessMm'] ?? 6.0) - 1); isset(Cut::shapes()[$this->shape]) && in_array('thicknessMm', Cut::shapes()[$this->shape], true) && $thick >= 2; $thick--) {
            if (FittedCut::largest($this->shape, ['thicknessMm' => $thick] + $this->given, $mlPerDay / $wish->piecesPerDay, $bite) !== null) {
                $remedies[] = 'a sheet of '.Story::number($thick).' mm';
                break;
            }
        }
        $remedies[] = 'a leaner recipe';

        return 'It would go with '.implode(', or ', $remedies).'.';
    }

    /** What a dog may have of the whole recipe cut one way. */
    private function rationAt(Wish $wish, Cut $cut): Ration
    {
        $request = $this->request;

        return Ration::of($wish->dog, new Batch($this->formulate->dough, $cut, $request->texture(), self::UNSIZED), $request->policy->energySchool, $request->policy->budgetPercent, $request->policy->garlic, $this->formulate->hasNewFor($wish->dog));
    }

    /** Pieces a day, not rounded, with the slow start of something new. */
    private function most(Ration $ration): ?float
    {
        $most = null;
        foreach ($ration->limits as $limit) {
            $most = $most === null ? $limit->piecesPerDay : min($most, $limit->piecesPerDay);
        }

        return $most;
    }

    /**
     * @param  non-empty-list<array{Wish, Cut}>  $cuts
     * @return array<string, mixed>
     */
    private function sized(array $cuts): array
    {
        $groups = [];
        foreach ($cuts as [$wish, $cut]) {
            $groups[json_encode($cut->sizes, JSON_THROW_ON_ERROR)][] = [$wish, $cut];
        }
        $sizes = [];
        $dough = 0.0;
        foreach ($groups as $group) {
            $cut = $group[0][1];
            $batch = new Batch($this->formulate->dough, $cut, $this->request->texture(), self::UNSIZED);
            $pieces = 0;
            foreach ($group as [$wish]) {
                $pieces += (int) ceil($wish->piecesPerDay * $this->days - 1e-9);
            }
            $dough += $pieces * $batch->pieceDoughGrams->best / $cut->used();
            $sizes[] = [
                'dogs' => array_map(static fn (array $one): string => $one[0]->dog->name, $group),
                'cut' => ['shape' => $cut->shape] + $cut->sizes,
                'pieces' => $pieces,
                'kcalPerPiece' => $batch->pieceKcal->best,
                'doughGrams' => $pieces * $batch->pieceDoughGrams->best / $cut->used(),
                'commonCutterMm' => self::commonCutter($cut),
                'sheet' => $this->request->tray === null ? null : SheetPlan::of($cut, $this->request->tray, (float) $pieces)?->toArray(),
            ];
        }

        return ['version' => 1, 'possible' => true, 'why' => null, 'remedy' => null, 'batchFactor' => $dough / $this->formulate->dough->grams->best, 'sizes' => $sizes];
    }

    /**
     * Pieces that are only counted: how many the scaled dough must be cut into so that each dog's is small enough.
     *
     * @param  non-empty-list<Wish>  $wishes
     * @return array<string, mixed>
     */
    private function counted(array $wishes): array
    {
        $whole = $this->formulate->dough->grams->best;
        $sizes = [];
        $dough = 0.0;
        foreach ($wishes as $wish) {
            $piece = self::ROOM * (float) $this->most($this->rationAt($wish, new Cut('pieces', ['count' => 24.0]))) * $whole / 24 / $wish->piecesPerDay;
            $pieces = (int) ceil($wish->piecesPerDay * $this->days - 1e-9);
            $dough += $pieces * $piece;
            $sizes[] = [$wish, $pieces, $piece];
        }
        $kcalPerGram = $this->formulate->dough->kcalPerGram()->best;
        $answer = [];
        foreach ($sizes as [$wish, $pieces, $piece]) {
            // counted by the whole scaled dough; one more where rounding would make them too large
            $count = (int) ceil($dough / $piece - 1e-9);
            $answer[] = [
                'dogs' => [$wish->dog->name], 'cut' => ['shape' => $this->shape, 'count' => (float) $count], 'pieces' => $pieces, 'kcalPerPiece' => $kcalPerGram * $dough / $count,
                'doughGrams' => $pieces * $dough / $count, 'commonCutterMm' => null, 'sheet' => null,
            ];
        }

        return ['version' => 1, 'possible' => true, 'why' => null, 'remedy' => null, 'batchFactor' => $dough / $whole, 'sizes' => $answer];
    }

    /** The largest common cutter of this shape that is not larger; null when none is. */
    private static function commonCutter(Cut $cut): ?float
    {
        $size = $cut->sizes['diameterMm'] ?? $cut->sizes['sideMm'] ?? $cut->sizes['lengthMm'] ?? 0.0;
        $best = null;
        foreach (Data::tables()['cutters'] as $row) {
            if ($row['shape'] === $cut->shape && (float) $row['mm'] <= $size && (float) $row['mm'] > ($best ?? 0.0)) {
                $best = (float) $row['mm'];
            }
        }

        return $best;
    }

    /** @return array<string, mixed> */
    private static function impossible(string $why, string $remedy): array
    {
        return ['version' => 1, 'possible' => false, 'why' => $why, 'remedy' => $remedy, 'batchFactor' => null, 'sizes' => []];
    }
}

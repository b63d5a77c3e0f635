<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Measuring\PieceWeight;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Values\Range;

/** `shopping`: what to buy for some treats, after what is at hand, in packs; and what they cost. */
final readonly class ShoppingQuestion
{
    public const MOST_TREATS = 30;

    private const REST = ['aisle' => 'rest', 'label' => 'Everything else', 'groups' => []];

    /** It comes out of the tap. */
    private const FREE = 'water';

    /** g of one from which vegetables and fruit are bought by the piece. */
    private const A_PIECE = 30.0;

    private const BY_THE_PIECE = 'greens';

    /** g: nothing that is counted weighs less. */
    private const LEAST = 0.1;

    /** Of a pack: so little over one is none more. */
    private const CRUMB = 0.02;

    /**
     * @param  list<ShoppingTreat>  $treats
     * @param  array<string, string>  $states  by ingredient: at-hand, low or out
     * @param  array<string, float>  $have  g that lie open, by ingredient
     * @param  list<Pack>  $packs
     * @param  bool  $tellsSavings  whether what a swap would save is looked for
     */
    public function __construct(private array $treats, private array $states, private array $have, private array $packs, private bool $tellsSavings = false) {}

    public function answer(): ShoppingAnswer
    {
        /** @var array<string, array{food: Ingredient, grams: ?Range, for: array<string, true>}> $wanted */
        $wanted = [];
        $unread = $costs = [];
        foreach ($this->treats as $treat) {
            $judgement = Judgement::on($treat->question);
            $batch = $judgement->bowl->batch($treat->question->cut(), $treat->question->texture(), $treat->question->measured);
            $times = self::times($treat, $judgement, $batch->count->best);
            foreach ($judgement->bowl->recipe->lines as $index => $line) {
                if ($line->isHeading || $line->made?->isNothing() === true) {
                    continue;
                }
                if ($line->food === null) {
                    $unread[] = ['for' => $treat->name, 'text' => trim($line->text)];

                    continue;
                }
                $grams = ($judgement->bowl->grams[$index] ?? null)?->times($times);
                $id = $line->food->id;
                $known = $wanted[$id] ?? ['food' => $line->food, 'grams' => Range::zero(), 'for' => []];
                foreach ($line->others as $other) {
                    // named in the same row, and nobody says how much
                    $wanted[$other->id] = ['food' => $other, 'grams' => null, 'for' => ($wanted[$other->id]['for'] ?? []) + [$treat->name => true]];
                }
                $wanted[$id] = ['food' => $known['food'], 'grams' => $grams === null || $known['grams'] === null ? null : $known['grams']->plus($grams), 'for' => $known['for'] + [$treat->name => true]];
            }
            $costs[] = $this->cost($treat, $judgement, $times, $batch->count->best);
        }
        unset($wanted[self::FREE]);
        $items = array_map($this->item(...), array_values($wanted));
        $buy = array_values(array_filter($items, static fn (ShoppingItem $one): bool => ! $one->isAtHand()));
        $prices = array_filter(array_map(static fn (ShoppingItem $one): ?float => $one->price, $buy), static fn (?float $one): bool => $one !== null);

        return new ShoppingAnswer(
            self::byAisle($buy), array_values(array_filter($items, static fn (ShoppingItem $one): bool => $one->isAtHand())), $unread, $costs, $prices === [] ? null : array_sum($prices),
            array_values(array_map(static fn (ShoppingItem $one): string => $one->name, array_filter($buy, static fn (ShoppingItem $one): bool => $one->price === null))),
        );
    }

    /** @param  array{food: Ingredient, grams: ?Range, for: array<string, true>}  $one */
    private function item(array $one): ShoppingItem
    {
        $id = $one['food']->id;
        $state = $this->states[$id] ?? null;
        $have = $this->have[$id] ?? 0.0;
        $likely = $one['grams']?->best;
        // the high end is bought: too little stops a bake
        $buy = $state === 'at-hand' ? 0.0 : ($one['grams'] === null ? null : max(0.0, $one['grams']->high - $have));
        $pack = $this->pack($id);
        $packs = $pack === null || $buy === null ? null : (int) max($buy > 0.0 ? 1 : 0, ceil($buy / $pack->grams - self::CRUMB));

        return new ShoppingItem($id, $one['food']->name, self::aisle($one['food'])['aisle'], $one['grams'], $state, $have, $buy, $pack?->grams, $packs, $packs === null ? null : $packs * $pack->price, array_keys($one['for']), $this->pieces($one['food'], $likely === null || $buy === null ? null : min($buy, max(0.0, $likely - $have))));
    }

    /** Eggs, roots and fruit are bought by the piece; a pack of them is one already. */
    private function pieces(Ingredient $food, ?float $buy): ?int
    {
        $each = PieceWeight::isOfTheShell($food) || self::aisle($food)['aisle'] === self::BY_THE_PIECE ? PieceWeight::of($food, 'each', null) : null;
        $isOne = $each !== null && ($each->best >= self::A_PIECE || PieceWeight::isOfTheShell($food));

        return ! $isOne || $buy === null || $buy <= 0.0 || $this->pack($food->id) !== null ? null : (int) max(1, ceil($buy / max($each->best, self::LEAST) - self::CRUMB));
    }

    /** As many batches as the dogs eat in the days, whole ones. */
    private static function times(ShoppingTreat $treat, Judgement $judgement, float $count): float
    {
        if ($treat->days === null || $count <= 0.0) {
            return $treat->times;
        }
        $eaten = 0.0;
        foreach ($treat->question->dogs as $dog) {
            $eaten += self::piecesADay($judgement, $dog);
        }

        return max(1.0, ceil($treat->days * $eaten / $count - 1e-9));
    }

    /** None for a dog that is not cleared. */
    private static function piecesADay(Judgement $judgement, Dog $dog): float
    {
        return $judgement->verdictOf($dog)->cleared ? $judgement->rationOf($dog)->pieces ?? 0.0 : 0.0;
    }

    private function cost(ShoppingTreat $treat, Judgement $judgement, float $times, float $pieces): ShoppingCost
    {
        [$known, $unknown] = $this->ofABatch($judgement);
        $aPiece = $unknown === [] && $pieces > 0.0 ? $known / $pieces : null;
        $dogs = [];
        foreach ($treat->question->dogs as $dog) {
            $eats = self::piecesADay($judgement, $dog);
            $dogs[] = ['dog' => $dog->name, 'piecesPerDay' => $eats, 'aWeek' => $aPiece === null ? null : 7 * $eats * $aPiece];
        }

        return new ShoppingCost($treat->name, $times, $known === 0.0 && $unknown !== [] ? null : $known, $unknown, $pieces > 0.0 ? $pieces : null, $aPiece, $dogs, $this->tellsSavings ? (new ShoppingSavings($this->ofABatch(...), $this->aGram(...)))->of($treat->question, $judgement) : []);
    }

    /** @return array{float, list<string>} what is known of the cost of a batch, and the foods whose price is not */
    private function ofABatch(Judgement $judgement): array
    {
        $known = 0.0;
        $unknown = [];
        foreach ($judgement->bowl->recipe->lines as $index => $line) {
            if ($line->isHeading || $line->made?->isNothing() === true || $line->food?->id === self::FREE) {
                continue;
            }
            $grams = ($judgement->bowl->grams[$index] ?? null)?->best;
            $pack = $line->food === null ? null : $this->pack($line->food->id);
            if ($grams === null || $pack === null) {
                $unknown[$line->food === null ? trim($line->text) : $line->food->name] = true;
            } else {
                $known += $grams * $pack->price / $pack->grams;
            }
        }

        return [$known, array_map(strval(...), array_keys($unknown))];
    }

    private function aGram(string $ingredient): ?float
    {
        $pack = $this->pack($ingredient);

        return $pack === null ? null : $pack->price / $pack->grams;
    }

    private function pack(string $ingredient): ?Pack
    {
        foreach ($this->packs as $pack) {
            if ($pack->ingredient === $ingredient) {
                return $pack;
            }
        }

        return null;
    }

    /** @return array{aisle: string, label: string, groups: list<string>} the first that it belongs to */
    private static function aisle(Ingredient $food): array
    {
        foreach (Compiled::tables()['aisles'] as $aisle) {
            if ($food->inAny($aisle['groups'])) {
                return $aisle;
            }
        }

        return self::REST;
    }

    /**
     * @param  list<ShoppingItem>  $items
     * @return list<array{aisle: string, label: string, items: list<ShoppingItem>}>
     */
    private static function byAisle(array $items): array
    {
        $aisles = [];
        foreach ([...Compiled::tables()['aisles'], self::REST] as $aisle) {
            $those = array_values(array_filter($items, static fn (ShoppingItem $one): bool => $one->aisle === $aisle['aisle']));
            usort($those, static fn (ShoppingItem $one, ShoppingItem $two): int => strcmp($one->name, $two->name));
            if ($those !== []) {
                $aisles[] = ['aisle' => $aisle['aisle'], 'label' => $aisle['label'], 'items' => $those];
            }
        }

        return $aisles;
    }
}

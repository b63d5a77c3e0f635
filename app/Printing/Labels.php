<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\Bag;
use App\Support\CurrentKitchen;
use App\Support\Pieces;
use Carbon\CarbonImmutable;
use MildBowl\Core\Baking\Shapes\Shapes;

/** What stands on the label of something that is given away, and on that of a bag. */
final readonly class Labels
{
    private const NOT_COMPLETE = 'For dogs. A treat, not a complete food.';

    /** Body weights that a label has room for, kg. */
    private const WEIGHTS = [2.0, 4.0, 6.0, 10.0, 15.0, 20.0, 30.0, 40.0];

    public function __construct(private CurrentKitchen $current) {}

    /** @return list<Block> */
    public function gift(GiftLabel $gift, bool $isPerKilo): array
    {
        $away = $gift->away;
        $blocks = [Block::bold($gift->title, 1.45)];
        if ($gift->for !== null) {
            $blocks[] = Block::plain("Made for $gift->for".($gift->holds === null ? '' : ", $gift->holds"), 1.05);
        }
        $blocks[] = new Block(self::foods($away['foods']), 1.0, null, 0.4);
        $energy = self::energy($away, $isPerKilo);
        if ($energy !== null) {
            $blocks[] = Block::plain($energy, 1.0);
        }
        $day = self::perDay($away['rows']);
        if ($day !== null) {
            $blocks[] = Block::plain("Pieces a day, by body weight: $day. {$away['assumes']}", 0.85, 'the pieces a day by body weight');
        }
        $size = self::size($gift->cut);
        if ($size !== null) {
            $blocks[] = Block::plain($size, 0.85, 'the size of a piece');
        }
        $blocks[] = Block::plain(self::keeps($away['keeps']), 0.85, 'how long it keeps where');
        $blocks[] = new Block([['Best before ', false], [$gift->bestBefore === null ? '.....................' : $this->date($gift->bestBefore), true], [$gift->made === null ? '' : ', made '.$this->date($gift->made), false], [$gift->number === null ? '' : ", $gift->number", false]], 1.0, null, 0.4);
        $blocks[] = Block::plain(self::NOT_COMPLETE.' Made by '.$this->maker().'.', 0.9);

        return $blocks;
    }

    /** @return list<Block> */
    public function bag(Bag $bag, string $forDogs): array
    {
        $what = match ($bag->content) {
            'treats' => Pieces::figure($bag->pieces).' pieces, ',
            'dough' => 'raw dough, ',
            default => '',
        };
        $blocks = [Block::bold((string) $bag->number, 2.2), Block::bold($bag->title.($bag->lot === null ? '' : ", $bag->lot"), 1.25), Block::plain($what.'made '.$this->date($bag->made)), new Block([['best before ', false], [$bag->best_before === null ? '.............' : $this->date($bag->best_before), true]], 1.15)];
        if ($bag->frozen) {
            $days = $bag->thawed_days;
            $blocks[] = Block::plain('Frozen: once thawed, '.($days === 1 ? 'a day' : "$days days").' in the fridge, never frozen again.', 0.9);
        } elseif ($bag->thawed_on !== null) {
            $blocks[] = Block::plain('Thawed '.$this->date($bag->thawed_on).': never frozen again.', 0.9);
        }
        if ($forDogs !== '') {
            $blocks[] = Block::bold("for $forDogs");
        }
        if ($bag->content === 'treats') {
            $blocks[] = Block::plain(self::NOT_COMPLETE, 0.8, 'that it is a treat for dogs');
        }

        return $blocks;
    }

    /**
     * @param  list<array{name: string, grams: ?float, isAllergen: bool}>  $foods
     * @return list<array{string, bool}>
     */
    private static function foods(array $foods): array
    {
        $runs = [['Made of: ', false]];
        foreach ($foods as $n => $one) {
            $runs[] = [$one['name'], $one['isAllergen']];
            $runs[] = [$n === count($foods) - 1 ? '.' : ', ', false];
        }

        return $runs;
    }

    /** @param  array<string, mixed>  $away */
    private static function energy(array $away, bool $isPerKilo): ?string
    {
        $kcal = $away['pieceKcal'];
        $grams = $away['pieceGrams'];
        if (! is_numeric($kcal) || ! is_numeric($grams) || $grams <= 0) {
            return null;
        }
        $hundred = 100 * $kcal / $grams;
        if ($isPerKilo && is_numeric($away['petFoodRatio'])) {
            return 'Energy (calculated, modified Atwater): '.round(10 * $hundred * $away['petFoodRatio'], -1).' kcal ME a kg, '.self::figure($kcal * $away['petFoodRatio']).' kcal ME a piece of '.self::figure((float) $grams).' g.';
        }

        return self::figure((float) $kcal).' kcal a piece of '.self::figure((float) $grams).' g, '.round($hundred).' kcal in 100 g (reckoned).';
    }

    private static function figure(float $value): string
    {
        return (string) ($value >= 10 ? round($value) : round($value, 1));
    }

    /** @param  list<array{kg: float|int, piecesPerDay: float|int|null, breakFirst: bool}>  $rows */
    private static function perDay(array $rows): ?string
    {
        $said = [];
        foreach ($rows as $row) {
            if (in_array((float) $row['kg'], self::WEIGHTS, true)) {
                $pieces = (float) ($row['piecesPerDay'] ?? 0.0);
                $said[] = self::figure((float) $row['kg']).' kg '.($pieces > 0.0 ? Pieces::figure($pieces) : 'none').($row['breakFirst'] && $pieces > 0.0 ? ' (broken small)' : '');
            }
        }

        return $said === [] ? null : implode(', ', $said);
    }

    /** @param  array<string, mixed>|null  $cut */
    public static function size(?array $cut): ?string
    {
        $shape = is_string($cut['shape'] ?? null) && in_array($cut['shape'], Shapes::ids(), true) ? Shapes::named($cut['shape']) : null;
        if ($shape === null || $cut === null) {
            return null;
        }
        $said = [];
        foreach ($shape->sizes() as $size) {
            if ($size->unit === 'mm' && is_numeric($cut[$size->key] ?? null)) {
                $said[] = self::figure((float) $cut[$size->key])." mm $size->label";
            }
        }

        return $said === [] ? null : 'A piece: '.$shape->label().', '.implode(', ', $said).'.';
    }

    /** @param  array{jar: int, fridge: int, freezer: int}  $keeps */
    public static function keeps(array $keeps): string
    {
        $days = static fn (int $many): string => $many === 1 ? 'a day' : "$many days";

        return 'Keeps '.($keeps['jar'] > 0 ? $days($keeps['jar']).' in a tin at 21 °C at most, ' : '').$days($keeps['fridge']).' in the fridge, '.$days($keeps['freezer']).' in the freezer'.($keeps['jar'] > 0 ? '.' : '; not in a tin.');
    }

    private function maker(): string
    {
        $kitchen = $this->current->get();

        return implode(', ', array_filter([$kitchen->baker, $kitchen->name], static fn (string $one): bool => $one !== ''));
    }

    private function date(CarbonImmutable $day): string
    {
        return $day->format(match ($this->current->get()->dates_as) {
            'mdy' => 'n/j/Y',
            'ymd' => 'Y-m-d',
            default => 'j/n/Y',
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Printing;

/** Paper that labels are printed on, in millimetres: common sheets of sticky labels by what a ruler shows, and single ones. */
final readonly class Sheet
{
    /** id: words, width and height of the page, columns, rows, width and height of a label, left and upper margin, from one to the next across and down. */
    private const ALL = [
        'a4-21' => ['21 on A4, 63.5 × 38.1 mm', 210.0, 297.0, 3, 7, 63.5, 38.1, 7.25, 15.15, 66.0, 38.1],
        'a4-24' => ['24 on A4, 70 × 37 mm', 210.0, 297.0, 3, 8, 70.0, 37.0, 0.0, 0.5, 70.0, 37.0],
        'a4-8' => ['8 on A4, 99.1 × 67.7 mm', 210.0, 297.0, 2, 4, 99.1, 67.7, 4.65, 13.1, 101.6, 67.7],
        'a4-4' => ['4 on A4, 105 × 148.5 mm', 210.0, 297.0, 2, 2, 105.0, 148.5, 0.0, 0.0, 105.0, 148.5],
        'letter-10' => ['10 on Letter, 4 × 2 in', 215.9, 279.4, 2, 5, 101.6, 50.8, 4.0, 12.7, 106.4, 50.8],
        'letter-30' => ['30 on Letter, 2 5/8 × 1 in', 215.9, 279.4, 3, 10, 66.7, 25.4, 4.8, 12.7, 69.9, 25.4],
        'roll-62' => ['alone, 62 × 100 mm', 62.0, 100.0, 1, 1, 62.0, 100.0, 0.0, 0.0, 62.0, 100.0],
        'card-a6' => ['a card, A6', 105.0, 148.0, 1, 1, 105.0, 148.0, 0.0, 0.0, 105.0, 148.0],
        'card-a5' => ['a card, A5', 148.0, 210.0, 1, 1, 148.0, 210.0, 0.0, 0.0, 148.0, 210.0],
    ];

    /** What a sheet is usual for, the first as it is offered first. */
    private const USUAL = ['bag' => ['a4-24', 'a4-21', 'a4-8', 'a4-4', 'letter-30', 'letter-10', 'roll-62'], 'gift' => ['a4-8', 'a4-24', 'a4-21', 'a4-4', 'letter-10', 'roll-62', 'card-a6'], 'card' => ['card-a5', 'card-a6', 'a4-4']];

    private function __construct(
        public string $id, public string $says, public float $pageWidth, public float $pageHeight, public int $columns, public int $rows,
        public float $width, public float $height, private float $left, private float $top, private float $across, private float $down,
    ) {}

    public static function of(string $id): self
    {
        return new self($id, ...self::ALL[$id]);
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::ALL);
    }

    /** @return array<string, list<array{id: string, name: string}>> what can be chosen, by what is printed, the usual first */
    public static function choices(): array
    {
        return array_map(static fn (array $ids): array => array_map(static fn (string $id): array => ['id' => $id, 'name' => self::ALL[$id][0]], $ids), self::USUAL);
    }

    public function onAPage(): int
    {
        return $this->columns * $this->rows;
    }

    /**
     * Where a label lies on its page, row by row.
     *
     * @param  int  $place  from 0
     * @return array{float, float} its left and upper edge, mm
     */
    public function at(int $place): array
    {
        return [round($this->left + ($place % $this->columns) * $this->across, 2), round($this->top + intdiv($place, $this->columns) * $this->down, 2)];
    }
}

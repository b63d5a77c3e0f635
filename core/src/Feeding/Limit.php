<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

/** One thing that holds a dog's ration: so many pieces a day and no more. */
final readonly class Limit
{
    public const BUDGET = 'budget';

    /** The budget, where what nobody knows holds its most. */
    public const UNKNOWN = 'unknown-energy';

    public const NEW = 'new-ingredient';

    public const AGE = 'age';

    /**
     * @param  ?Dose  $dose  the row it comes from; null for the budget, the age and the slow start
     * @param  ?float  $cap  of its substance in a day
     * @param  ?float  $perPiece  of its substance in a piece
     */
    public function __construct(
        public string $code,
        public float $piecesPerDay,
        public ?Dose $dose = null,
        public ?float $cap = null,
        public ?float $perPiece = null,
    ) {}
}

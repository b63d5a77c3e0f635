<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

/** One thing that holds a dog's ration: so many pieces a day and no more. */
final readonly class Limit
{
    /** No limit: a dog may have none of it before what stands against it is settled. */
    public const NOT_CLEARED = 'not-cleared';

    public const BUDGET = 'budget';

    /** The budget, where what nobody knows holds its most. */
    public const UNKNOWN = 'unknown-energy';

    /** Large predator fish, which is for one day of the week. */
    public const WEEKLY_FISH = 'predator-fish';

    public const NEW = 'new-ingredient';

    public const AGE = 'age';

    private const CALLED = [
        'budget' => 'the treat budget', 'sodium' => 'sodium', 'fat' => 'fat', 'added-sugar' => 'added sugar', 'vitamin-a' => 'vitamin A',
        'vitamin-d' => 'vitamin D', 'coumarin' => 'coumarin (cinnamon)', 'garlic' => 'the garlic cap', 'calcium' => 'calcium while it grows',
        'fibre' => 'new fibre', 'kelp' => 'kelp', 'new-ingredient' => 'something new: a quarter on the first days', 'age' => 'its age', self::NOT_CLEARED => 'not cleared',
        'predator-fish' => 'large predator fish: once a week',
        'unknown-energy' => 'energy that nobody knows, taken at its most',
    ];

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

    /** What holds, as a person calls it. */
    public static function called(string $code): string
    {
        return self::CALLED[$code] ?? $code;
    }
}

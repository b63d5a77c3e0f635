<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Loan;
use App\Models\Occasion;
use Illuminate\Support\Str;
use MildBowl\Core\Feeding\Borrowing;
use MildBowl\Core\Feeding\Given;
use MildBowl\Core\Values\Level;
use stdClass;

/** What the days of an occasion hold already: what its dogs had on its day beside it, and what the ledger's occasions take of the days after. */
final readonly class OccasionDays
{
    /** Nobody can say how much of the day it used up: then all of it. */
    private const UNKNOWN = 'a treat that nobody can put a figure to';

    /** Characters of a reason. */
    private const LONGEST = 900;

    public function __construct(private DayBook $days, private OccasionGifts $gifts, private KitchenClock $clock) {}

    /**
     * @param  list<string>  $dogs  ids
     * @return array{had: array<string, stdClass>, taken: list<stdClass>, stopped: list<stdClass>} `alreadyToday` by dog, `taken` and `stopped`, as core is told them
     */
    public function of(Occasion $occasion, array $dogs): array
    {
        $on = $occasion->on->format('Y-m-d');
        $isGiven = array_filter(array_column($this->gifts->of($occasion), 'given')) !== [];
        $taken = $lentOnDay = [];
        foreach ($this->days->loans($on, $dogs) as $loan) {
            $from = substr($loan->on, 0, 10);
            // what the day itself borrows: this occasion's own, where it was given
            if ($from === $on && ! $isGiven) {
                $lentOnDay[$loan->dog_id] = ($lentOnDay[$loan->dog_id] ?? 0.0) + $loan->kcal;
            }
            array_push($taken, ...$from > $on || ($from === $on && $isGiven) ? [] : self::lent($loan, $on));
        }
        $had = $stopped = [];
        if ($on > $this->clock->today()->format('Y-m-d')) {
            return ['had' => [], 'taken' => $taken, 'stopped' => []];
        }
        foreach ($this->days->of($on, $dogs, false, $this->gifts->all($occasion))['dogs'] as $day) {
            /** @var array{dogId: string, budgetKcal: ?float, given: array<string, array{best: float|int, high: float|int}>, findings: list<array{code: string, level: string, message: string}>} $day */
            $id = $day['dogId'];
            $poison = array_values(array_filter($day['findings'], static fn (array $one): bool => $one['level'] === Level::Never->value))[0] ?? null;
            if ($poison !== null) {
                $stopped[] = (object) ['dog' => $id, 'why' => Str::limit($poison['message'], self::LONGEST, '…').' Nothing more before a vet says so.'];
            }
            if (in_array('given-unknown', array_column($day['findings'], 'code'), true)) {
                $taken[] = (object) ['dog' => $id, 'on' => $on, 'kcal' => $day['budgetKcal'] ?? 0.0, 'for' => self::UNKNOWN];
            }
            // energy is counted at its best guess, whatever has a limit of its own at its most
            $doses = array_intersect_key($day['given'], array_fill_keys(Given::SUBSTANCES, 1));
            $amounts = ['kcal' => max(0.0, $day['given']['kcal']['best'] - ($lentOnDay[$id] ?? 0.0))] + array_map(static fn (array $one): float|int => $one['high'], $doses);
            $amounts = array_filter($amounts, static fn (float|int $one): bool => $one > 0.0);
            if ($amounts !== []) {
                $had[$id] = (object) $amounts;
            }
        }

        return ['had' => $had, 'taken' => $taken, 'stopped' => $stopped];
    }

    /** @return list<stdClass> what a loan of the ledger takes from a day and the seven after it */
    private static function lent(Loan $loan, string $on): array
    {
        $until = BagShelf::day($on)->after(Borrowing::MOST_DAYS)->iso;
        $taken = [];
        foreach ($loan->days as $day => $kcal) {
            if ($day >= $on && $day <= $until) {
                $for = 'the occasion of '.BagShelf::day(substr($loan->on, 0, 10))->spelled();
                $taken[] = (object) ['dog' => $loan->dog_id, 'on' => $day, 'kcal' => (float) $kcal, 'for' => $for];
            }
        }

        return $taken;
    }
}

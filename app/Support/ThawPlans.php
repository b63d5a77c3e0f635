<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Dog;
use App\Models\LedgerEntry;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Questions\RequestRefused;

/** What to take out of the freezer when, for all dogs that eat at this kitchen: core's `thaw`, asked about what stands on the shelves. */
final readonly class ThawPlans
{
    /** Days of the ledger that tell how much is eaten. */
    private const LOOKS_BACK = 14;

    /** Days with something written down from which the ledger is believed. */
    private const ENOUGH = 3;

    /** Pieces a day for each dog that may have some, until the ledger tells how many it really gets. */
    private const UNTIL_IT_IS_KNOWN = 2.0;

    public function __construct(private Contract $contract, private DayBook $days, private CurrentKitchen $current) {}

    /**
     * @return array<string, mixed> the answer of core, with what it was reckoned from
     *
     * @throws RequestRefused
     */
    public function from(string $on, int $days): array
    {
        [$eaters, $by] = $this->eaters($on);
        /** @var list<Bag> $bags */
        $bags = Bag::query()->where('state', 'here')->where('content', 'treats')->whereNotNull('best_before')->orderBy('best_before')->limit(2000)->get()->all();
        $asked = array_map(static fn (Bag $bag): object => (object) [
            'id' => $bag->id, 'pieces' => $bag->pieces, 'place' => $bag->frozen ? 'freezer' : 'fridge', 'bestBefore' => $bag->best_before?->format('Y-m-d'), 'thawedDays' => $bag->thawed_days,
        ], $bags);
        $answer = $this->contract->answerTo('thaw', (object) ['version' => 1, 'from' => $on, 'days' => $days, 'eaters' => $eaters, 'bags' => $asked]);
        unset($answer['version']);

        return ['from' => $on, 'days' => $days, 'eaters' => array_map(static fn (object $one): array => (array) $one, $eaters), 'reckonedBy' => $by] + $answer;
    }

    /** @return array{list<object{dog: string, piecesPerDay: float}>, 'ledger'|'rations'} pieces a day of each dog, and what tells so */
    private function eaters(string $on): array
    {
        $since = CarbonImmutable::parse($on)->subDays(self::LOOKS_BACK)->format('Y-m-d');
        $undone = DB::table('ledger_undone')->where('kitchen_id', $this->current->id())->select('gift');
        $eaten = LedgerEntry::query()->where('on', '>=', $since)->where('on', '<', $on)->whereNotNull('bag_id')->whereNotIn('gift', $undone)->get(['kitchen_id', 'dog_id', 'on', 'pieces']);
        $days = $eaten->pluck('on')->unique()->count();
        $pieces = [];
        if ($days >= self::ENOUGH) {
            foreach ($eaten as $one) {
                $pieces[$one->dog_id] = ($pieces[$one->dog_id] ?? 0.0) + (float) $one->pieces / $days;
            }
        } else {
            foreach ($this->days->of($on)['dogs'] as $dog) {
                /** @var array{dogId: string, may: list<array{pieces: ?float}>} $dog */
                $may = array_filter(array_column($dog['may'], 'pieces'));
                $pieces[$dog['dogId']] = $may === [] ? 0.0 : min(self::UNTIL_IT_IS_KNOWN, min($may));
            }
        }
        $eaters = [];
        foreach (Dog::query()->where('at_table', true)->orderBy('position')->pluck('id') as $dog) {
            $eaters[] = (object) ['dog' => (string) $dog, 'piecesPerDay' => round(min(1000.0, $pieces[$dog] ?? 0.0) * 4) / 4];
        }

        return [$eaters, $days >= self::ENOUGH ? 'ledger' : 'rations'];
    }
}

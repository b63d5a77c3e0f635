<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Batch;
use App\Models\Dog;
use App\Models\Place;
use App\Support\Jars;
use App\Support\KitchenClock;
use App\Support\Ledger;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use MildBowl\Core\Feeding\Gift;
use MildBowl\Core\Keeping\JarAct;
use MildBowl\Core\Keeping\JarActKind;

/**
 * The shelves of the demo kitchen, with a bag in every state: fresh, going off, a day over, frozen, thawed, open, half eaten, empty,
 * unmarked. Made up, as they might stand.
 */
final class JarSeeder extends Seeder
{
    private const BAKER = 'Ines Marlow';

    private const HELPER = 'Tom Reed';

    private const PLACES = [
        ['The blue jar', 'jar', 20.0], ['The biscuit tin', 'jar', 20.0], ['The fridge', 'fridge', null], ['Freezer drawer', 'freezer', null], ['Chest freezer, boathouse', 'freezer', null], ['Mrs Wren\'s freezer', 'freezer', null],
    ];

    /** @var array<string, string> id by name */
    private array $places = [];

    public function run(Jars $jars, Ledger $ledger, KitchenClock $clock): void
    {
        $now = $clock->now();
        foreach (self::PLACES as $n => [$name, $kind, $celsius]) {
            $this->places[$name] = Place::query()->create(['name' => $name, 'kind' => $kind, 'celsius' => $celsius, 'position' => $n])->id;
        }
        $dog = static fn (string $name): string => Dog::query()->where('name', $name)->firstOrFail()->id;
        $do = fn (JarActKind $kind, CarbonImmutable $at, array $said, string $by = self::BAKER): array => $jars->act(new JarAct((string) Str::uuid7(), $at->utc()->format('Y-m-d\TH:i:s.v\Z'), $by, $kind, $said));
        $put = function (string $title, int $weeks, array $split, ?int $leave = null, array $more = []) use ($do, $now): array {
            $batch = Batch::query()->where('title', $title)->where('begun_at', '<', $now->subWeeks($weeks)->addDays(3))->orderByDesc('begun_at')->firstOrFail();
            $at = $batch->begun_at->addMinutes(310);
            $filled = [];
            $rest = (float) $batch->summary['count'] - array_sum(array_column($split, 1)) - (float) ($leave ?? 0);
            foreach ($split as [$place, $pieces, $dogs]) {
                // what no number is said of is all the rest but what stands about
                $filled[] = ['bag' => (string) Str::uuid7(), 'pieces' => $pieces === 0 ? $rest : (float) $pieces, 'place' => $this->places[$place], 'dogs' => $dogs];
            }
            $do(JarActKind::Put, $at, ['batch' => $batch->id, 'split' => $filled] + $more);

            return array_column($filled, 'bag');
        };
        // the crisps of a week ago, half of them eaten by now
        [$crisps, , , $crispGift] = $put('Lentil and celery crisps', 1, [['The blue jar', 40, []], ['Freezer drawer', 20, []], ['Freezer drawer', 20, []], ['The biscuit tin', 0, []]], 12);
        $this->aWeekOf($ledger, $now, $crisps);
        // the double batch: what is in the tin is past its time, the rest is frozen
        [$tin, , , $lent, $gift] = $put('Beetroot and barley rounds, doubled', 2, [['The biscuit tin', 24, []], ['Freezer drawer', 24, []], ['Chest freezer, boathouse', 48, []], ['Mrs Wren\'s freezer', 24, []], ['The fridge', 0, []]], 0);
        foreach ([$crispGift => 6, $gift => 13] as $bag => $days) {
            $do(JarActKind::Take, $now->subDays($days), ['bag' => $bag, 'why' => 'given-away']);
        }
        $do(JarActKind::Take, $now->subDays(6), ['bag' => $tin, 'pieces' => 24.0, 'why' => 'eaten']);
        $do(JarActKind::For, $now->subDays(12), ['bag' => $lent, 'dogs' => [$dog('Bosun'), $dog('Odette')], 'note' => 'she hands them over the fence']);
        // the coins with venison: thawed four days ago, good for three
        [$over, $two] = $put('Venison and parsnip coins', 3, [['Freezer drawer', 10, [$dog('Tuppence')]], ['Freezer drawer', 20, []], ['Chest freezer, boathouse', 20, []]]);
        $do(JarActKind::Move, $now->subDays(4), ['bag' => $over, 'place' => $this->places['The fridge']]);
        $do(JarActKind::Take, $now->subDays(3), ['bag' => $over, 'pieces' => 5.5, 'why' => 'eaten'], self::HELPER);
        $do(JarActKind::Move, $now->subDay(), ['bag' => $two, 'place' => $this->places['The fridge']]);
        $do(JarActKind::Take, $now->subHours(20), ['bag' => $two, 'pieces' => 14.0, 'why' => 'eaten']);
        $put('Mussel and millet fingers', 5, [['Chest freezer, boathouse', 15, [$dog('Quill')]]]);
        $put('Iced melon and fennel coins', 6, [['Freezer drawer', 12, []]]);
        $put('Beetroot and barley rounds', 4, [['Chest freezer, boathouse', 30, []]], null, ['as' => 'dough']);
        $do(JarActKind::Open, $now->subDays(2), ['bag' => (string) Str::uuid7(), 'title' => 'pumpkin purée', 'food' => 'tin', 'ingredient' => 'pumpkin-puree', 'grams' => 210.0, 'place' => $this->places['The fridge']]);
        $do(JarActKind::Open, $now->subDay(), ['bag' => (string) Str::uuid7(), 'title' => 'cooked lentils', 'food' => 'leftover', 'ingredient' => 'lentil-cooked', 'grams' => 140.0, 'place' => $this->places['The fridge']], self::HELPER);
        $do(JarActKind::Found, $now->subDay(), ['bag' => (string) Str::uuid7(), 'title' => 'Unmarked bag, some sort of coins', 'made' => $now->subDays(40)->format('Y-m-d'), 'pieces' => 9.0, 'place' => $this->places['Chest freezer, boathouse'], 'note' => 'no label; smells of fish']);
    }

    /** Seven days of five pieces, given by two people; one of them was a scrap, and nobody saw who had the last. */
    private function aWeekOf(Ledger $ledger, CarbonImmutable $now, string $bag): void
    {
        $dog = static fn (string $name): string => Dog::query()->where('name', $name)->firstOrFail()->id;
        $give = static function (CarbonImmutable $at, string $by, array $dogs, array $what) use ($ledger): void {
            $ledger->give(new Gift((string) Str::uuid7(), $at->utc()->format('Y-m-d\TH:i:s.v\Z'), $by, $dogs, $what['bag'] ?? null, null, $what['text'] ?? null, $what['label'] ?? null, $what['unsure'] ?? false));
        };
        $one = static fn (string $name, float $pieces): array => ['dog' => $dog($name), 'pieces' => $pieces];
        for ($ago = 7; $ago > 0; $ago--) {
            $morning = $now->subDays($ago)->setTime(7, 40);
            $give($morning->max($now->subDays(7)->addHours(8)), self::BAKER, [$one('Tuppence', 1.0), $one('Odette', 1.0), $one('Biscay', 1.0)], ['bag' => $bag]);
            $give($now->subDays($ago)->setTime(17, 15), $ago % 2 === 0 ? self::HELPER : self::BAKER, $ago === 3 ? [$one('Bosun', 1.0), $one('Odette', 1.0)] : [$one('Bosun', 2.0)], ['bag' => $bag, 'unsure' => $ago === 3]);
        }
        $give($now->subDays(2)->setTime(12, 30), self::HELPER, [['dog' => $dog('Bosun'), 'pieces' => null]], ['text' => '15 g cooked carrot']);
        $give($now->subDay()->setTime(12, 30), self::HELPER, [$one('Odette', 1.0)], ['label' => ['name' => 'Lockside rice chew', 'kcal' => 22.0]]);
    }
}

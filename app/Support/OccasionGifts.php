<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\LedgerEntry;
use App\Models\Occasion;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/**
 * What of an occasion is written down in the ledger. The ids of its gifts follow from it and from the recipe, so that two hands that write
 * the same down write it once, and the page knows a day later what was given.
 *
 * @phpstan-type Written array{recipeId: string, next: string, given: list<array{gift: string, dog: string, pieces: ?float, at: string, by: string}>}
 */
final readonly class OccasionGifts
{
    /** Times that one treat can be written down, slips that were taken back among them. */
    private const MOST = 12;

    public function __construct(private CurrentKitchen $current) {}

    /** @return list<Written> of each treat what stands in the ledger, and the id of the gift to come; none where the occasion has no id yet */
    public function of(Occasion $occasion): array
    {
        $ids = self::ids($occasion);
        $gifts = array_merge([], ...array_values($ids));
        $entries = $gifts === [] ? [] : LedgerEntry::query()->whereIn('gift', $gifts)->orderBy('at')->orderBy('id')->get()->groupBy('gift')->all();
        $backs = DB::table('ledger_undone')->where('kitchen_id', $this->current->id())->whereIn('gift', array_keys($entries));
        $undone = $entries === [] ? [] : $backs->pluck('gift')->all();
        $written = [];
        foreach ($ids as $recipe => $ofRecipe) {
            $free = array_values(array_diff($ofRecipe, array_keys($entries)));
            $given = [];
            foreach (array_diff(array_intersect($ofRecipe, array_keys($entries)), $undone) as $gift) {
                foreach ($entries[$gift] as $one) {
                    /** @var LedgerEntry $one */
                    $at = $one->at->toIso8601ZuluString('millisecond');
                    $given[] = ['gift' => $gift, 'dog' => $one->dog_id, 'pieces' => $one->pieces, 'at' => $at, 'by' => $one->by];
                }
            }
            $written[] = ['recipeId' => (string) $recipe, 'next' => $free[0] ?? (string) Uuid::uuid4(), 'given' => $given];
        }

        return $written;
    }

    /** @return list<string> every gift that is this occasion's */
    public function all(Occasion $occasion): array
    {
        return array_merge([], ...array_values(self::ids($occasion)));
    }

    /** @return array<string, list<string>> by recipe */
    private static function ids(Occasion $occasion): array
    {
        $id = $occasion->getKey();
        $ids = [];
        foreach (is_string($id) ? $occasion->treats : [] as $treat) {
            $numbered = static fn (int $n): string => (string) Uuid::uuid5((string) $id, "{$treat['recipeId']} $n");
            $ids[$treat['recipeId']] = array_map($numbered, range(1, self::MOST));
        }

        return $ids;
    }
}

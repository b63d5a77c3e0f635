<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Dog;
use App\Support\KitchenQuestion;
use Illuminate\Http\JsonResponse;
use MildBowl\Core\Questions\RequestRefused;

/** Every dog of the kitchen in short: its day, what of it treats may take, and what is still to be asked. */
final class ProfilesController
{
    public function __invoke(KitchenQuestion $kitchen): JsonResponse
    {
        $profiles = [];
        foreach (Dog::query()->orderBy('position')->orderBy('name')->pluck('id') as $id) {
            try {
                $answer = $kitchen->answer('profile', (object) ['dog' => (string) $id]);
            } catch (RequestRefused) {
                // one that cannot be worked out is left out, and the page says that nothing is known
                continue;
            }
            $chosen = array_values(array_filter((array) ($answer['schools'] ?? []), static fn (mixed $one): bool => is_array($one) && $one['chosen'] === true))[0] ?? [];
            $profiles[] = [
                'dog' => $id, 'stage' => $answer['stage'], 'dailyKcal' => is_array($chosen) ? $chosen['dailyKcal'] ?? null : null, 'budget' => $answer['budget'],
                'safeBiteMm' => $answer['safeBiteMm'], 'questions' => $answer['questions'],
            ];
        }

        return new JsonResponse($profiles);
    }
}

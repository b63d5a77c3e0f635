<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\Batch;
use Illuminate\Support\Str;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Questions\RequestRefused;
use stdClass;

/** What a dog took out of a bag: the recipe as it was made, in as many pieces as came of it, or the food that stood open. */
final readonly class BagLoot
{
    public function __construct(private Contract $contract) {}

    /**
     * @param  mixed  $asked  id and pieces (null: all that was in it)
     * @return array<string, mixed> `recipe` or `food`, as a raid is asked about
     *
     * @throws RequestRefused
     */
    public function of(mixed $asked): array
    {
        $id = $asked instanceof stdClass ? $asked->id ?? null : null;
        $pieces = $asked instanceof stdClass ? $asked->pieces ?? null : null;
        $bag = is_string($id) && Str::isUuid($id) ? Bag::query()->find($id) : null;
        if ($bag === null) {
            throw RequestRefused::outOfRange('/bag/id', 'No bag of this kitchen has this id.');
        }
        if ($pieces !== null && (! is_numeric($pieces) || $pieces <= 0)) {
            throw RequestRefused::outOfRange('/bag/pieces', 'How many are missing: more than 0.');
        }
        $batch = $bag->batch_id === null ? null : Batch::withTrashed()->find($bag->batch_id);
        if ($batch === null) {
            return ['food' => trim(($bag->grams === null ? '' : round($bag->grams).' g ').$bag->title)];
        }
        $question = $batch->log()->question();
        $written = $this->contract->answerTo('formulate', $question)['writtenOut'] ?? $question->recipe->text ?? '';
        $count = $batch->summary['count'] ?? null;
        $cut = is_numeric($count) && $count > 0 ? (object) ['shape' => 'pieces', 'count' => max(1, (int) round((float) $count))] : ($question->cut ?? null);

        return ['recipe' => (object) (['title' => $bag->title, 'text' => $written, 'pieces' => (float) ($pieces ?? max(0.25, $bag->pieces))] + ($cut === null ? [] : ['cut' => $cut]))];
    }
}

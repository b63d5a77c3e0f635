<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Product;

/** Every wording that was read on a jar stays beside the newer ones. */
final readonly class ProductReadings
{
    public function __construct(private KitchenQuestion $question, private KitchenClock $clock) {}

    /**
     * The same wording read again only moves its date; another wording is kept beside it.
     *
     * @param  ?string  $photo  that it was read from
     */
    public function read(Product $product, string $ingredients, ?string $photo): void
    {
        $answer = $this->question->answer('label', (object) ['ingredients' => $ingredients, 'dogs' => []]);
        $judged = ['read_on' => $this->clock->today(), 'worst' => $answer['worst'], 'data_version' => $answer['dataVersion']] + ($photo === null ? [] : ['photo_id' => $photo]);
        $newest = $product->readings()->first();
        if ($newest !== null && trim($newest->ingredients) === trim($ingredients)) {
            $newest->update($judged);

            return;
        }
        $product->readings()->create(['ingredients' => $ingredients] + $judged);
        if (! $product->wasRecentlyCreated) {
            // another wording beside the older: both stay, so nothing of it can be lost
            $product->touched(['ingredients' => $newest?->ingredients]);
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Devices;

/** Where a printed list of ingredients can be looked up: a barcode service, a camera that reads, or a stand-in for one. */
interface LabelShelf
{
    /** The product with this barcode number; null when nobody knows it. */
    public function byNumber(string $number): ?ShelfProduct;

    /** @return list<ShelfProduct> products whose name holds these words, at most 20 */
    public function byName(string $words): array;

    /** Whether this is the real thing or stands in for one. */
    public function isStandIn(): bool;
}

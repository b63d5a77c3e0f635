<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Kitchen;

/** The kitchen this request works in. Asking before one is open is a mistake in the program, and says so. */
final class CurrentKitchen
{
    private ?Kitchen $kitchen = null;

    public function open(Kitchen $kitchen): void
    {
        $this->kitchen = $kitchen;
    }

    public function close(): void
    {
        $this->kitchen = null;
    }

    /** @throws NoKitchenOpen */
    public function get(): Kitchen
    {
        return $this->kitchen ?? throw NoKitchenOpen::yet();
    }

    /** @throws NoKitchenOpen */
    public function id(): int
    {
        return $this->get()->id;
    }
}

<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Kitchen;
use Illuminate\Database\Seeder;

/** A kitchen of one's own, with nothing in it yet. */
final class EmptyKitchenSeeder extends Seeder
{
    public function run(): void
    {
        Kitchen::query()->firstOrCreate(['slug' => config('mildbowl.kitchen')], ['name' => 'My kitchen', 'baker' => 'The baker']);
    }
}

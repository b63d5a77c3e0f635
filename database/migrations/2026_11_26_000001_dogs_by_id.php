<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Portions and confirmations know their dogs by id, so that a dog may be called something else tomorrow. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('confirmations', function (Blueprint $table): void {
            // no foreign key: what somebody said stays when the dog has gone
            $table->uuid('dog_id')->nullable();
        });
        DB::statement('UPDATE confirmations SET dog_id = dogs.id FROM dogs WHERE dogs.kitchen_id = confirmations.kitchen_id AND dogs.name = confirmations.dog');
        foreach (DB::table('recipes')->whereNotNull('portions')->get(['kitchen_id', 'id', 'portions']) as $recipe) {
            $ids = DB::table('dogs')->where('kitchen_id', $recipe->kitchen_id)->pluck('id', 'name');
            $portions = json_decode((string) $recipe->portions, false, 64, JSON_THROW_ON_ERROR);
            foreach (is_array($portions) ? $portions : [] as $portion) {
                $portion->dogs = array_map(static fn (string $dog): string => (string) ($ids[$dog] ?? $dog), $portion->dogs ?? []);
            }
            DB::table('recipes')->where('kitchen_id', $recipe->kitchen_id)->where('id', $recipe->id)->update(['portions' => json_encode($portions, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)]);
        }
    }

    public function down(): void
    {
        Schema::table('confirmations', function (Blueprint $table): void {
            $table->dropColumn('dog_id');
        });
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Every kept row has a version and can be brought back for thirty days; every change is written down with what stood there before, in the
 * order in which it was made; a write that was sent twice is done once.
 */
return new class extends Migration
{
    private const KEPT = ['dogs', 'recipes', 'products', 'own_names', 'own_foods', 'own_swaps', 'prices', 'weighings', 'confirmations'];

    /** What bears a name that only one of its kind may bear, however it is written. */
    private const NAMED = ['dogs' => 'name', 'products' => 'name', 'own_foods' => 'name', 'own_names' => 'words'];

    public function up(): void
    {
        foreach ([...self::KEPT, 'kitchens'] as $table) {
            Schema::table($table, function (Blueprint $table): void {
                $table->integer('version')->default(1);
            });
        }
        foreach (self::KEPT as $table) {
            Schema::table($table, function (Blueprint $table): void {
                $table->timestampTz('deleted_at')->nullable();
            });
            DB::statement("CREATE INDEX {$table}_trash ON $table (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL");
        }
        foreach (self::NAMED as $table => $name) {
            $this->tellApart($table, $name);
            Schema::table($table, fn (Blueprint $table) => $table->dropUnique(['kitchen_id', $name]));
            DB::statement("CREATE UNIQUE INDEX {$table}_{$name}_unique ON $table (kitchen_id, lower($name)) WHERE deleted_at IS NULL");
        }
        foreach (['own_swaps' => ['kitchen_id', 'out', 'in'], 'prices' => ['kitchen_id', 'ingredient'], 'weighings' => ['kitchen_id', 'dog_id', 'weighed_on']] as $table => $columns) {
            Schema::table($table, fn (Blueprint $table) => $table->dropUnique($columns));
            DB::statement("CREATE UNIQUE INDEX {$table}_unique ON $table (".implode(', ', array_map(static fn (string $one): string => "\"$one\"", $columns)).') WHERE deleted_at IS NULL');
        }
        Schema::table('kitchens', function (Blueprint $table): void {
            $table->bigInteger('changed')->default(0);
            $table->date('swept_on')->nullable();
        });
        Schema::create('changes', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->bigInteger('number');
            $table->string('kind', 20);
            $table->uuid('row_id')->nullable();
            $table->integer('version');
            $table->jsonb('before');
            $table->uuid('page')->nullable();
            $table->timestampTz('made_at');
            $table->primary(['kitchen_id', 'number']);
            $table->index(['kitchen_id', 'kind', 'row_id', 'version']);
        });
        Schema::create('deliveries', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('key');
            $table->smallInteger('status');
            $table->text('body');
            $table->timestampTz('came_at');
            $table->primary(['kitchen_id', 'key']);
            $table->index(['kitchen_id', 'came_at']);
        });
    }

    /** Of names that differ in nothing but how they are written, the later ones get a number. */
    private function tellApart(string $table, string $name): void
    {
        DB::statement("UPDATE $table SET $name = left($table.$name, 50) || ' (' || same.place || ')' FROM (SELECT kitchen_id, id, row_number() OVER (PARTITION BY kitchen_id, lower($name) ORDER BY created_at, id) AS place FROM $table) AS same
            WHERE same.kitchen_id = $table.kitchen_id AND same.id = $table.id AND same.place > 1");
    }

    public function down(): void
    {
        Schema::dropIfExists('deliveries');
        Schema::dropIfExists('changes');
        Schema::table('kitchens', fn (Blueprint $table) => $table->dropColumn(['changed', 'swept_on', 'version']));
        foreach (self::KEPT as $table) {
            DB::table($table)->whereNotNull('deleted_at')->delete();
        }
        foreach (self::NAMED as $table => $name) {
            DB::statement("DROP INDEX {$table}_{$name}_unique");
            Schema::table($table, fn (Blueprint $table) => $table->unique(['kitchen_id', $name]));
        }
        foreach (['own_swaps' => ['kitchen_id', 'out', 'in'], 'prices' => ['kitchen_id', 'ingredient'], 'weighings' => ['kitchen_id', 'dog_id', 'weighed_on']] as $table => $columns) {
            DB::statement("DROP INDEX {$table}_unique");
            Schema::table($table, fn (Blueprint $table) => $table->unique($columns));
        }
        foreach (self::KEPT as $table) {
            DB::statement("DROP INDEX {$table}_trash");
            Schema::table($table, fn (Blueprint $table) => $table->dropColumn(['version', 'deleted_at']));
        }
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Recipes know the version they came from; a kitchen adds swaps of its own and says what worked. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('recipes', function (Blueprint $table): void {
            $table->uuid('parent_id')->nullable();
            $table->text('notes')->default('');
            $table->boolean('promoted')->default(false);
            $table->index(['kitchen_id', 'parent_id']);
        });
        // a version whose parent is thrown away stays, as the first of its family
        DB::statement('ALTER TABLE recipes ADD CONSTRAINT recipes_parent_foreign FOREIGN KEY (kitchen_id, parent_id) REFERENCES recipes (kitchen_id, id) ON DELETE SET NULL (parent_id)');
        DB::statement('ALTER TABLE recipes ADD CONSTRAINT recipes_parent_check CHECK (parent_id <> id), ADD CONSTRAINT recipes_notes_check CHECK (length(notes) <= 5000)');
        Schema::create('own_swaps', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('out', 80);
            $table->string('in', 80);
            $table->decimal('ratio', 8, 4)->default(1);
            $table->string('rating', 10)->nullable();
            $table->string('note', 200)->default('');
            $table->timestamps();
            $table->primary(['kitchen_id', 'id']);
            $table->unique(['kitchen_id', 'out', 'in']);
        });
        DB::statement("ALTER TABLE own_swaps ADD CONSTRAINT own_swaps_rating_check CHECK (rating IN ('good', 'bad')), ADD CONSTRAINT own_swaps_ratio_check CHECK (ratio > 0 AND ratio <= 50), ADD CONSTRAINT own_swaps_foods_check CHECK (\"out\" <> \"in\")");
    }

    public function down(): void
    {
        Schema::dropIfExists('own_swaps');
        DB::statement('ALTER TABLE recipes DROP CONSTRAINT recipes_parent_foreign');
        Schema::table('recipes', function (Blueprint $table): void {
            $table->dropColumn(['parent_id', 'notes', 'promoted']);
        });
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Which foods stand in the pantry: at hand, low or out. Nobody weighs flour after each bake. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('stock', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('ingredient', 80);
            $table->string('state', 10);
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->timestampTz('deleted_at')->nullable();
            $table->primary(['kitchen_id', 'id']);
        });
        DB::statement('CREATE UNIQUE INDEX stock_unique ON stock (kitchen_id, ingredient) WHERE deleted_at IS NULL');
        DB::statement('CREATE INDEX stock_trash ON stock (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL');
        DB::statement("ALTER TABLE stock ADD CONSTRAINT stock_state_check CHECK (state IN ('at-hand', 'low', 'out'))");
    }

    public function down(): void
    {
        Schema::dropIfExists('stock');
    }
};

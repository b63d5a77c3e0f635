<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('recipes', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('title', 200);
            $table->text('text');
            $table->text('steps')->default('');
            $table->jsonb('cut')->nullable();
            $table->string('texture', 10)->nullable();
            $table->timestamps();
            $table->primary(['kitchen_id', 'id']);
            $table->index(['kitchen_id', 'updated_at']);
        });
        DB::statement("ALTER TABLE recipes
            ADD CONSTRAINT recipes_title_check CHECK (btrim(title) <> ''),
            ADD CONSTRAINT recipes_text_check CHECK (length(text) <= 20000 AND length(steps) <= 20000),
            ADD CONSTRAINT recipes_texture_check CHECK (texture IN ('cake', 'tray', 'soft', 'chewy', 'biscuit', 'hard', 'jerky', 'frozen', 'none'))");
    }

    public function down(): void
    {
        Schema::dropIfExists('recipes');
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Which recipe is to be baked on which day. A batch of it that is begun answers the plan. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('planned_bakes', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('recipe_id');
            $table->date('on');
            $table->uuid('batch_id')->nullable();
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->timestampTz('deleted_at')->nullable();
            $table->primary(['kitchen_id', 'id']);
            $table->foreign(['kitchen_id', 'recipe_id'])->references(['kitchen_id', 'id'])->on('recipes')->cascadeOnDelete();
        });
        DB::statement('CREATE UNIQUE INDEX planned_bakes_unique ON planned_bakes (kitchen_id, recipe_id) WHERE deleted_at IS NULL AND batch_id IS NULL');
        DB::statement('CREATE INDEX planned_bakes_trash ON planned_bakes (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL');
    }

    public function down(): void
    {
        Schema::dropIfExists('planned_bakes');
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Batches as they were begun, their logs, to which is only added, and what a kitchen accepted from them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('batches', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('recipe_id')->nullable();
            $table->string('title', 200);
            $table->string('oven', 60);
            $table->jsonb('question');
            $table->jsonb('answer');
            $table->jsonb('plan');
            $table->string('data_version', 40);
            $table->timestampTz('begun_at', 3);
            $table->string('begun_by', 60);
            $table->jsonb('summary');
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->timestampTz('deleted_at')->nullable();
            $table->primary(['kitchen_id', 'id']);
            $table->index(['kitchen_id', 'begun_at']);
            $table->index(['kitchen_id', 'recipe_id']);
        });
        DB::statement('ALTER TABLE batches ADD CONSTRAINT batches_recipe_foreign FOREIGN KEY (kitchen_id, recipe_id) REFERENCES recipes (kitchen_id, id) ON DELETE SET NULL (recipe_id)');
        DB::statement('CREATE INDEX batches_trash ON batches (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL');
        Schema::create('batch_entries', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('batch_id');
            $table->timestampTz('at', 3);
            $table->string('by', 60);
            $table->string('kind', 20);
            $table->jsonb('said');
            $table->uuid('corrects')->nullable();
            $table->timestampTz('came_at', 3);
            $table->primary(['kitchen_id', 'id']);
            $table->index(['kitchen_id', 'batch_id', 'at']);
            $table->foreign(['kitchen_id', 'batch_id'])->references(['kitchen_id', 'id'])->on('batches')->cascadeOnDelete();
        });
        DB::unprepared("CREATE OR REPLACE FUNCTION entries_are_only_added() RETURNS trigger LANGUAGE plpgsql AS 'BEGIN RAISE EXCEPTION ''An entry of a log is never changed: add one that corrects it.''; END'");
        DB::unprepared('CREATE TRIGGER batch_entries_only_added BEFORE UPDATE ON batch_entries FOR EACH ROW EXECUTE FUNCTION entries_are_only_added()');
        Schema::create('accepted_factors', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('oven', 60);
            $table->string('class', 60);
            $table->string('of', 10);
            $table->float('factor');
            $table->string('says', 200);
            $table->string('by', 60);
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->timestampTz('deleted_at')->nullable();
            $table->primary(['kitchen_id', 'id']);
        });
        DB::statement('CREATE UNIQUE INDEX accepted_factors_unique ON accepted_factors (kitchen_id, oven, class, "of") WHERE deleted_at IS NULL');
        DB::statement('CREATE INDEX accepted_factors_trash ON accepted_factors (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL');
        DB::statement("ALTER TABLE accepted_factors ADD CONSTRAINT accepted_factors_of_check CHECK (\"of\" IN ('minutes', 'mass', 'count', 'wetness')), ADD CONSTRAINT accepted_factors_factor_check CHECK (factor BETWEEN 0.1 AND 10)");
    }

    public function down(): void
    {
        Schema::dropIfExists('accepted_factors');
        Schema::dropIfExists('batch_entries');
        DB::unprepared('DROP FUNCTION IF EXISTS entries_are_only_added()');
        Schema::dropIfExists('batches');
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A kitchen's own places, the bags that stand in them, and what was done at the jars. What was done is only added to; how a bag stands is
 * worked out from it and kept beside it, so that a shelf of hundreds opens at once.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('places', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('name', 60);
            $table->string('kind', 10);
            $table->float('celsius')->nullable();
            $table->integer('position')->default(0);
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->timestampTz('deleted_at')->nullable();
            $table->primary(['kitchen_id', 'id']);
        });
        DB::statement('CREATE UNIQUE INDEX places_name_unique ON places (kitchen_id, lower(name)) WHERE deleted_at IS NULL');
        DB::statement('CREATE INDEX places_trash ON places (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL');
        DB::statement("ALTER TABLE places ADD CONSTRAINT places_kind_check CHECK (kind IN ('jar', 'fridge', 'freezer'))");
        Schema::create('bags', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->integer('number');
            $table->string('title', 200);
            $table->string('content', 10);
            $table->uuid('batch_id')->nullable();
            $table->string('lot', 80)->nullable();
            $table->date('made');
            $table->jsonb('keeps');
            $table->string('because', 1000);
            $table->jsonb('for_dogs');
            $table->string('note', 200)->nullable();
            $table->string('ingredient', 80)->nullable();
            $table->float('grams')->nullable();
            $table->uuid('place_id')->nullable();
            $table->float('pieces');
            $table->float('put_pieces');
            $table->date('best_before')->nullable();
            $table->date('at_most')->nullable();
            $table->boolean('frozen');
            $table->date('thawed_on')->nullable();
            $table->integer('thawed_days');
            $table->string('state', 10);
            $table->timestampTz('ended_at', 3)->nullable();
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->timestampTz('deleted_at')->nullable();
            $table->primary(['kitchen_id', 'id']);
            $table->unique(['kitchen_id', 'number']);
            $table->index(['kitchen_id', 'state', 'best_before']);
            $table->index(['kitchen_id', 'batch_id']);
        });
        DB::statement('CREATE INDEX bags_trash ON bags (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL');
        DB::statement('ALTER TABLE bags ADD CONSTRAINT bags_batch_foreign FOREIGN KEY (kitchen_id, batch_id) REFERENCES batches (kitchen_id, id) ON DELETE SET NULL (batch_id)');
        DB::statement('ALTER TABLE bags ADD CONSTRAINT bags_place_foreign FOREIGN KEY (kitchen_id, place_id) REFERENCES places (kitchen_id, id)');
        DB::statement("ALTER TABLE bags ADD CONSTRAINT bags_content_check CHECK (content IN ('treats', 'dough', 'food')), ADD CONSTRAINT bags_state_check CHECK (state IN ('here', 'empty', 'undone')), ADD CONSTRAINT bags_pieces_check CHECK (pieces >= 0)");
        Schema::create('jar_acts', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->timestampTz('at', 3);
            $table->string('by', 60);
            $table->string('do', 10);
            $table->jsonb('said');
            $table->uuid('corrects')->nullable();
            $table->timestampTz('came_at', 3);
            $table->primary(['kitchen_id', 'id']);
            $table->index(['kitchen_id', 'at']);
        });
        DB::statement('CREATE UNIQUE INDEX jar_acts_corrects ON jar_acts (kitchen_id, corrects) WHERE corrects IS NOT NULL');
        Schema::create('bag_events', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('act_id');
            $table->integer('n');
            $table->bigInteger('seq')->generatedAs();
            $table->uuid('bag_id');
            $table->timestampTz('at', 3);
            $table->date('on');
            $table->string('kind', 10);
            $table->jsonb('said');
            $table->primary(['kitchen_id', 'act_id', 'n']);
            $table->index(['kitchen_id', 'bag_id', 'at']);
            $table->foreign(['kitchen_id', 'act_id'])->references(['kitchen_id', 'id'])->on('jar_acts')->cascadeOnDelete();
            $table->foreign(['kitchen_id', 'bag_id'])->references(['kitchen_id', 'id'])->on('bags')->cascadeOnDelete();
        });
        foreach (['jar_acts', 'bag_events'] as $table) {
            DB::unprepared("CREATE TRIGGER {$table}_only_added BEFORE UPDATE ON $table FOR EACH ROW EXECUTE FUNCTION entries_are_only_added()");
        }
    }

    public function down(): void
    {
        foreach (['bag_events', 'jar_acts', 'bags', 'places'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};

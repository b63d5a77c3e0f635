<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What each dog was given, by whom: an entry is never changed, a later one takes it back. What a day came to is kept beside it, for the
 * rules of a week and for looking back.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('ledger_entries', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('gift');
            $table->uuid('dog_id');
            $table->date('on');
            $table->timestampTz('at', 3);
            $table->string('by', 60);
            $table->string('kind', 10);
            $table->uuid('batch_id')->nullable();
            $table->uuid('bag_id')->nullable();
            $table->float('pieces')->nullable();
            $table->string('words', 500);
            $table->jsonb('label')->nullable();
            $table->boolean('unsure');
            $table->timestampTz('came_at', 3);
            $table->primary(['kitchen_id', 'id']);
            $table->index(['kitchen_id', 'dog_id', 'on']);
            $table->index(['kitchen_id', 'on']);
            $table->index(['kitchen_id', 'gift']);
            $table->foreign(['kitchen_id', 'dog_id'])->references(['kitchen_id', 'id'])->on('dogs')->cascadeOnDelete();
        });
        DB::statement('ALTER TABLE ledger_entries ADD CONSTRAINT ledger_batch_foreign FOREIGN KEY (kitchen_id, batch_id) REFERENCES batches (kitchen_id, id) ON DELETE CASCADE');
        DB::statement("ALTER TABLE ledger_entries ADD CONSTRAINT ledger_kind_check CHECK (kind IN ('pieces', 'text', 'label', 'taste')), ADD CONSTRAINT ledger_pieces_check CHECK (pieces > 0)");
        Schema::create('ledger_undone', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('gift');
            $table->uuid('id');
            $table->timestampTz('at', 3);
            $table->string('by', 60);
            $table->primary(['kitchen_id', 'gift']);
        });
        Schema::create('dog_days', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('dog_id');
            $table->date('on');
            $table->float('kcal');
            $table->float('budget_kcal')->nullable();
            $table->float('garlic_g');
            $table->boolean('predator_fish');
            $table->boolean('over');
            $table->primary(['kitchen_id', 'dog_id', 'on']);
            $table->foreign(['kitchen_id', 'dog_id'])->references(['kitchen_id', 'id'])->on('dogs')->cascadeOnDelete();
        });
        foreach (['ledger_entries', 'ledger_undone'] as $table) {
            DB::unprepared("CREATE TRIGGER {$table}_only_added BEFORE UPDATE ON $table FOR EACH ROW EXECUTE FUNCTION entries_are_only_added()");
        }
    }

    public function down(): void
    {
        foreach (['dog_days', 'ledger_undone', 'ledger_entries'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};

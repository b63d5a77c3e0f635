<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is seen of a dog after it ate, and the trials it is in. An entry of the diary is never changed, a later one takes it back. Which
 * foods a day brought stands beside what it came to, so that a year is read without asking anew what every batch was made of.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('diary_entries', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('dog_id');
            $table->date('on');
            $table->timestampTz('at', 3);
            $table->string('by', 60);
            $table->string('kind', 10);
            $table->jsonb('said');
            $table->uuid('photo_id')->nullable();
            $table->timestampTz('came_at', 3);
            $table->primary(['kitchen_id', 'id']);
            $table->index(['kitchen_id', 'dog_id', 'on']);
            $table->foreign(['kitchen_id', 'dog_id'])->references(['kitchen_id', 'id'])->on('dogs')->cascadeOnDelete();
            $table->foreign(['kitchen_id', 'photo_id'])->references(['kitchen_id', 'id'])->on('photos');
        });
        DB::statement("ALTER TABLE diary_entries ADD CONSTRAINT diary_kind_check CHECK (kind IN ('taken', 'sign', 'well', 'note'))");
        Schema::create('diary_undone', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('entry');
            $table->uuid('id');
            $table->timestampTz('at', 3);
            $table->string('by', 60);
            $table->primary(['kitchen_id', 'entry']);
            $table->foreign(['kitchen_id', 'entry'])->references(['kitchen_id', 'id'])->on('diary_entries')->cascadeOnDelete();
        });
        foreach (['diary_entries', 'diary_undone'] as $table) {
            DB::unprepared("CREATE TRIGGER {$table}_only_added BEFORE UPDATE ON $table FOR EACH ROW EXECUTE FUNCTION entries_are_only_added()");
        }
        Schema::create('trials', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('dog_id');
            $table->string('kind', 20);
            $table->jsonb('foods');
            $table->date('from');
            $table->smallInteger('days');
            $table->boolean('vet_said')->default(false);
            $table->date('ended_on')->nullable();
            $table->string('outcome', 10)->nullable();
            $table->string('saw', 200)->nullable();
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->timestampTz('deleted_at')->nullable();
            $table->primary(['kitchen_id', 'id']);
            $table->index(['kitchen_id', 'dog_id']);
            $table->foreign(['kitchen_id', 'dog_id'])->references(['kitchen_id', 'id'])->on('dogs')->cascadeOnDelete();
        });
        DB::statement("ALTER TABLE trials ADD CONSTRAINT trials_kind_check CHECK (kind IN ('new-food', 'leave-out', 'elimination', 'challenge')), ADD CONSTRAINT trials_days_check CHECK (days > 0), ADD CONSTRAINT trials_end_check CHECK ((ended_on IS NULL) = (outcome IS NULL))");
        DB::statement('CREATE INDEX trials_trash ON trials (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL');
        // null: nobody has looked yet which foods it brought
        Schema::table('dog_days', function (Blueprint $table): void {
            $table->jsonb('foods')->nullable();
        });
        Schema::table('weighings', function (Blueprint $table): void {
            $table->smallInteger('body_condition')->nullable();
        });
        DB::statement('ALTER TABLE weighings ADD CONSTRAINT weighings_condition_check CHECK (body_condition BETWEEN 1 AND 9)');
    }

    public function down(): void
    {
        Schema::table('dog_days', function (Blueprint $table): void {
            $table->dropColumn('foods');
        });
        Schema::table('weighings', function (Blueprint $table): void {
            $table->dropColumn('body_condition');
        });
        foreach (['trials', 'diary_undone', 'diary_entries'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};

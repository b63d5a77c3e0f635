<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What an occasion borrowed from the treat budgets of the days after it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('loans', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('dog_id');
            $table->date('on');
            $table->timestampTz('at', 3);
            $table->string('by', 60);
            $table->float('kcal');
            $table->jsonb('days');
            $table->primary(['kitchen_id', 'id']);
            $table->index(['kitchen_id', 'dog_id', 'on']);
            $table->foreign(['kitchen_id', 'dog_id'])->references(['kitchen_id', 'id'])->on('dogs')->cascadeOnDelete();
        });
        DB::unprepared('CREATE TRIGGER loans_only_added BEFORE UPDATE ON loans FOR EACH ROW EXECUTE FUNCTION entries_are_only_added()');
    }

    public function down(): void
    {
        Schema::dropIfExists('loans');
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Occasions: who comes, when and where, what is served, who gets how much, and what goes into which box. How it goes is reckoned each time. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('occasions', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('name', 120);
            $table->date('on');
            $table->string('at', 5)->nullable();
            $table->string('place', 120)->default('');
            $table->integer('transport_minutes')->nullable();
            $table->text('words')->default('');
            foreach (['dogs', 'guests', 'treats', 'shares', 'boxes'] as $column) {
                $table->jsonb($column)->default('[]');
            }
            $table->integer('version')->default(1);
            $table->timestamps();
            $table->timestampTz('deleted_at')->nullable();
            $table->primary(['kitchen_id', 'id']);
        });
        DB::statement('CREATE INDEX occasions_on ON occasions (kitchen_id, "on") WHERE deleted_at IS NULL');
        DB::statement('CREATE INDEX occasions_trash ON occasions (kitchen_id, deleted_at) WHERE deleted_at IS NOT NULL');
    }

    public function down(): void
    {
        Schema::dropIfExists('occasions');
    }
};

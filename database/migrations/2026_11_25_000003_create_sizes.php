<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The baker's own tray and oven, a dog's weight over time, and the portions a recipe is cut into. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('kitchens', function (Blueprint $table): void {
            $table->decimal('tray_width_mm', 6, 1)->default(300);
            $table->decimal('tray_length_mm', 6, 1)->default(400);
            $table->decimal('tray_gap_mm', 5, 1)->default(10);
            $table->smallInteger('trays_at_once')->default(1);
            $table->boolean('oven_fan')->default(false);
        });
        DB::statement('ALTER TABLE kitchens
            ADD CONSTRAINT kitchens_tray_check CHECK (tray_width_mm BETWEEN 50 AND 2000 AND tray_length_mm BETWEEN 50 AND 2000 AND tray_gap_mm BETWEEN 0 AND 100),
            ADD CONSTRAINT kitchens_trays_check CHECK (trays_at_once BETWEEN 1 AND 20)');
        Schema::table('dogs', function (Blueprint $table): void {
            $table->smallInteger('meals')->nullable();
            $table->string('weight_said', 40)->nullable();
        });
        DB::statement('ALTER TABLE dogs ADD CONSTRAINT dogs_meals_check CHECK (meals BETWEEN 1 AND 10)');
        Schema::table('recipes', function (Blueprint $table): void {
            $table->jsonb('portions')->nullable();
        });
        Schema::create('weighings', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->uuid('dog_id');
            $table->date('weighed_on');
            $table->decimal('kg', 6, 2);
            $table->timestamps();
            $table->primary(['kitchen_id', 'id']);
            $table->unique(['kitchen_id', 'dog_id', 'weighed_on']);
            $table->foreign(['kitchen_id', 'dog_id'])->references(['kitchen_id', 'id'])->on('dogs')->cascadeOnDelete();
        });
        DB::statement('ALTER TABLE weighings ADD CONSTRAINT weighings_kg_check CHECK (kg BETWEEN 0.3 AND 120)');
    }

    public function down(): void
    {
        Schema::dropIfExists('weighings');
        Schema::table('recipes', fn (Blueprint $table) => $table->dropColumn('portions'));
        Schema::table('dogs', fn (Blueprint $table) => $table->dropColumn(['meals', 'weight_said']));
        Schema::table('kitchens', fn (Blueprint $table) => $table->dropColumn(['tray_width_mm', 'tray_length_mm', 'tray_gap_mm', 'trays_at_once', 'oven_fan']));
    }
};

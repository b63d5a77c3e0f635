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
        Schema::create('dogs', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('name', 60);
            $table->decimal('weight_kg', 6, 2)->nullable();
            $table->date('born_on')->nullable();
            $table->string('sex', 10)->nullable();
            $table->boolean('neutered')->nullable();
            $table->smallInteger('body_condition')->nullable();
            $table->string('activity', 20)->default('normal');
            $table->string('breed', 80)->nullable();
            $table->decimal('expected_adult_weight_kg', 6, 2)->nullable();
            $table->string('stage', 10)->nullable();
            $table->string('teeth', 10)->default('full');
            $table->string('eating', 10)->default('normal');
            foreach (['allergies', 'conditions', 'medicines', 'new_ingredients', 'dislikes'] as $list) {
                $table->jsonb($list)->default('[]');
            }
            $table->jsonb('allow_list')->nullable();
            $table->decimal('food_kcal_per_100g', 6, 1)->nullable();
            $table->decimal('budget_percent', 4, 2)->nullable();
            $table->boolean('at_table')->default(true);
            $table->integer('position')->default(0);
            $table->timestamps();
            $table->primary(['kitchen_id', 'id']);
            $table->unique(['kitchen_id', 'name']);
        });
        DB::statement("ALTER TABLE dogs
            ADD CONSTRAINT dogs_name_check CHECK (btrim(name) <> ''),
            ADD CONSTRAINT dogs_weight_check CHECK (weight_kg BETWEEN 0.3 AND 120),
            ADD CONSTRAINT dogs_expected_weight_check CHECK (expected_adult_weight_kg BETWEEN 0.3 AND 120),
            ADD CONSTRAINT dogs_sex_check CHECK (sex IN ('female', 'male')),
            ADD CONSTRAINT dogs_body_condition_check CHECK (body_condition BETWEEN 1 AND 9),
            ADD CONSTRAINT dogs_activity_check CHECK (activity IN ('inactive', 'normal', 'active', 'working-light', 'working-moderate', 'working-heavy')),
            ADD CONSTRAINT dogs_stage_check CHECK (stage IN ('puppy', 'adult', 'senior')),
            ADD CONSTRAINT dogs_teeth_check CHECK (teeth IN ('full', 'few', 'none')),
            ADD CONSTRAINT dogs_eating_check CHECK (eating IN ('normal', 'gulps')),
            ADD CONSTRAINT dogs_food_check CHECK (food_kcal_per_100g BETWEEN 20 AND 900),
            ADD CONSTRAINT dogs_budget_check CHECK (budget_percent BETWEEN 0 AND 10),
            ADD CONSTRAINT dogs_lists_check CHECK (jsonb_typeof(allergies) = 'array' AND jsonb_typeof(conditions) = 'array' AND jsonb_typeof(medicines) = 'array')");
    }

    public function down(): void
    {
        Schema::dropIfExists('dogs');
    }
};

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
        Schema::create('kitchens', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 60)->unique();
            $table->string('name', 120);
            $table->string('baker', 120)->default('');
            $table->string('energy_school', 20)->default('clinic');
            $table->string('calorie_convention', 20)->default('4-9-4');
            $table->string('garlic', 20)->default('avoid');
            $table->string('units', 20)->default('us');
            $table->string('pseudo_grains', 20)->default('not-grain');
            $table->decimal('budget_percent', 4, 2)->nullable();
            $table->string('amounts_as', 10)->default('grams');
            $table->string('temperature', 1)->default('C');
            $table->timestamps();
        });
        DB::statement("ALTER TABLE kitchens
            ADD CONSTRAINT kitchens_slug_check CHECK (slug ~ '^[a-z0-9-]+$'),
            ADD CONSTRAINT kitchens_name_check CHECK (btrim(name) <> ''),
            ADD CONSTRAINT kitchens_energy_school_check CHECK (energy_school IN ('clinic', 'nrc')),
            ADD CONSTRAINT kitchens_calorie_convention_check CHECK (calorie_convention IN ('4-9-4', 'modified')),
            ADD CONSTRAINT kitchens_garlic_check CHECK (garlic IN ('avoid', 'measured')),
            ADD CONSTRAINT kitchens_units_check CHECK (units IN ('us', 'metric', 'imperial', 'australian')),
            ADD CONSTRAINT kitchens_pseudo_grains_check CHECK (pseudo_grains IN ('not-grain', 'grain')),
            ADD CONSTRAINT kitchens_budget_check CHECK (budget_percent BETWEEN 0 AND 10),
            ADD CONSTRAINT kitchens_amounts_as_check CHECK (amounts_as IN ('grams', 'cups')),
            ADD CONSTRAINT kitchens_temperature_check CHECK (temperature IN ('C', 'F'))");
    }

    public function down(): void
    {
        Schema::dropIfExists('kitchens');
    }
};

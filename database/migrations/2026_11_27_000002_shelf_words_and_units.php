<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Tags, favourites and photographs of recipes; until when a vet's word holds; the units and the order of dates that a kitchen reads. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('photos', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('media_type', 30);
            $table->binary('bytes');
            $table->timestamps();
            $table->primary(['kitchen_id', 'id']);
        });
        DB::statement("ALTER TABLE photos ADD CONSTRAINT photos_type_check CHECK (media_type IN ('image/jpeg', 'image/png', 'image/webp')), ADD CONSTRAINT photos_size_check CHECK (length(bytes) <= 2000000)");
        Schema::table('recipes', function (Blueprint $table): void {
            $table->jsonb('tags')->default('[]');
            $table->boolean('favourite')->default(false);
            $table->uuid('photo_id')->nullable();
            $table->jsonb('confirmed')->default('[]');
            $table->jsonb('bound')->default('[]');
        });
        DB::statement("ALTER TABLE recipes ADD CONSTRAINT recipes_photo_foreign FOREIGN KEY (kitchen_id, photo_id) REFERENCES photos (kitchen_id, id) ON DELETE SET NULL (photo_id),
            ADD CONSTRAINT recipes_tags_check CHECK (jsonb_typeof(tags) = 'array'), ADD CONSTRAINT recipes_confirmed_check CHECK (jsonb_typeof(confirmed) = 'array' AND jsonb_typeof(bound) = 'array')");
        Schema::table('confirmations', function (Blueprint $table): void {
            $table->date('holds_until')->nullable();
            $table->uuid('product_id')->nullable();
            $table->jsonb('known')->default('[]');
        });
        // a vet's word from before holds for a year from when it was given
        DB::statement("UPDATE confirmations SET holds_until = (said_at + interval '1 year')::date, known = (SELECT dogs.conditions || dogs.medicines FROM dogs WHERE dogs.kitchen_id = confirmations.kitchen_id AND dogs.id = confirmations.dog_id)
            WHERE level = 'ask-vet' AND dog_id IN (SELECT id FROM dogs WHERE dogs.kitchen_id = confirmations.kitchen_id)");
        Schema::table('kitchens', function (Blueprint $table): void {
            $table->string('weights_as', 2)->default('kg');
            $table->string('sizes_as', 2)->default('mm');
            $table->string('dates_as', 3)->default('dmy');
        });
        DB::statement('ALTER TABLE kitchens ALTER COLUMN temperature TYPE varchar(3)');
        DB::statement("ALTER TABLE kitchens DROP CONSTRAINT kitchens_temperature_check, ADD CONSTRAINT kitchens_temperature_check CHECK (temperature IN ('C', 'F', 'gas')),
            ADD CONSTRAINT kitchens_weights_check CHECK (weights_as IN ('kg', 'lb')), ADD CONSTRAINT kitchens_sizes_check CHECK (sizes_as IN ('mm', 'in')), ADD CONSTRAINT kitchens_dates_check CHECK (dates_as IN ('dmy', 'mdy', 'ymd'))");
    }

    public function down(): void
    {
        DB::statement("UPDATE kitchens SET temperature = 'C' WHERE temperature = 'gas'");
        DB::statement("ALTER TABLE kitchens DROP CONSTRAINT kitchens_temperature_check, ADD CONSTRAINT kitchens_temperature_check CHECK (temperature IN ('C', 'F'))");
        Schema::table('kitchens', fn (Blueprint $table) => $table->dropColumn(['weights_as', 'sizes_as', 'dates_as']));
        Schema::table('confirmations', fn (Blueprint $table) => $table->dropColumn(['holds_until', 'product_id', 'known']));
        DB::statement('ALTER TABLE recipes DROP CONSTRAINT recipes_photo_foreign');
        Schema::table('recipes', fn (Blueprint $table) => $table->dropColumn(['tags', 'favourite', 'photo_id', 'confirmed', 'bound']));
        Schema::dropIfExists('photos');
    }
};

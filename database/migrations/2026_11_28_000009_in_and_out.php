<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How many nightly backups are kept; in which languages labels are read here; the photograph a wording was read from. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('kitchens', function (Blueprint $table): void {
            $table->smallInteger('backups_kept')->default(14);
            $table->jsonb('label_languages')->default('["en"]');
        });
        DB::statement("ALTER TABLE kitchens ADD CONSTRAINT kitchens_backups_check CHECK (backups_kept BETWEEN 1 AND 100), ADD CONSTRAINT kitchens_languages_check CHECK (jsonb_typeof(label_languages) = 'array' AND jsonb_array_length(label_languages) > 0)");
        Schema::table('product_readings', function (Blueprint $table): void {
            $table->uuid('photo_id')->nullable();
        });
        DB::statement('ALTER TABLE product_readings ADD CONSTRAINT product_readings_photo_foreign FOREIGN KEY (kitchen_id, photo_id) REFERENCES photos (kitchen_id, id) ON DELETE SET NULL (photo_id)');
    }

    public function down(): void
    {
        Schema::table('kitchens', fn (Blueprint $table) => $table->dropColumn(['backups_kept', 'label_languages']));
        Schema::table('product_readings', fn (Blueprint $table) => $table->dropColumn('photo_id'));
    }
};

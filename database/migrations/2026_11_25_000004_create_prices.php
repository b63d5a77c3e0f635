<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a kitchen paid for its foods. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('prices', function (Blueprint $table): void {
            $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
            $table->uuid('id');
            $table->string('ingredient', 80);
            $table->decimal('grams', 9, 2);
            $table->decimal('price', 9, 2);
            $table->timestamps();
            $table->primary(['kitchen_id', 'id']);
            $table->unique(['kitchen_id', 'ingredient']);
        });
        DB::statement('ALTER TABLE prices ADD CONSTRAINT prices_grams_check CHECK (grams > 0 AND grams <= 100000), ADD CONSTRAINT prices_price_check CHECK (price >= 0 AND price <= 100000)');
    }

    public function down(): void
    {
        Schema::dropIfExists('prices');
    }
};

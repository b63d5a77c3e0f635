<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Products with every wording that was read, a kitchen's own words and foods, and what people confirmed. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('products', function (Blueprint $table): void {
            $this->ownedRow($table);
            $table->string('name', 120);
            $table->string('number', 32)->nullable();
            $table->timestamps();
            $table->unique(['kitchen_id', 'name']);
        });
        Schema::create('product_readings', function (Blueprint $table): void {
            $this->ownedRow($table);
            $table->uuid('product_id');
            $table->text('ingredients');
            $table->date('read_on');
            $table->string('worst', 20);
            $table->string('data_version', 32);
            $table->timestamps(6);
            $table->foreign(['kitchen_id', 'product_id'])->references(['kitchen_id', 'id'])->on('products')->cascadeOnDelete();
            $table->index(['kitchen_id', 'product_id', 'created_at']);
        });
        Schema::create('own_names', function (Blueprint $table): void {
            $this->ownedRow($table);
            $table->string('words', 80);
            $table->string('ingredient', 80);
            $table->timestamps();
            $table->unique(['kitchen_id', 'words']);
        });
        Schema::create('own_foods', function (Blueprint $table): void {
            $this->ownedRow($table);
            $table->string('name', 80);
            $table->jsonb('fields');
            $table->timestamps();
            $table->unique(['kitchen_id', 'name']);
        });
        Schema::create('confirmations', function (Blueprint $table): void {
            $this->ownedRow($table);
            $table->string('code', 80);
            $table->string('level', 20);
            $table->text('line')->nullable();
            $table->string('dog', 60)->nullable();
            $table->string('recipe_title', 200)->nullable();
            $table->text('words');
            $table->string('said_by', 120);
            $table->string('data_version', 32);
            $table->timestampTz('said_at');
            $table->timestampTz('taken_back_at')->nullable();
            $table->timestamps();
            $table->index(['kitchen_id', 'said_at']);
        });
        DB::statement("ALTER TABLE products ADD CONSTRAINT products_name_check CHECK (btrim(name) <> '')");
        DB::statement("ALTER TABLE product_readings ADD CONSTRAINT product_readings_list_check CHECK (btrim(ingredients) <> '' AND length(ingredients) <= 5000)");
        DB::statement("ALTER TABLE confirmations ADD CONSTRAINT confirmations_level_check CHECK (level IN ('ask-vet', 'check-label')), ADD CONSTRAINT confirmations_words_check CHECK (btrim(words) <> '' AND btrim(said_by) <> '')");
        Schema::table('recipes', function (Blueprint $table): void {
            $table->string('source', 500)->nullable();
            $table->string('yield', 200)->nullable();
            $table->decimal('prep_minutes', 7, 1)->nullable();
            $table->decimal('bake_minutes', 7, 1)->nullable();
            $table->jsonb('judged')->nullable();
        });
    }

    private function ownedRow(Blueprint $table): void
    {
        $table->foreignId('kitchen_id')->constrained()->cascadeOnDelete();
        $table->uuid('id');
        $table->primary(['kitchen_id', 'id']);
    }

    public function down(): void
    {
        foreach (['confirmations', 'own_foods', 'own_names', 'product_readings', 'products'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('recipes', function (Blueprint $table): void {
            $table->dropColumn(['source', 'yield', 'prep_minutes', 'bake_minutes', 'judged']);
        });
    }
};

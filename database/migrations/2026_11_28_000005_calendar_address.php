<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The private part of the address under which a kitchen's calendar can be subscribed to; none until somebody asks for one. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('kitchens', function (Blueprint $table): void {
            $table->string('calendar_token', 64)->nullable();
        });
        DB::statement('CREATE INDEX kitchens_calendar ON kitchens (calendar_token) WHERE calendar_token IS NOT NULL');
    }

    public function down(): void
    {
        Schema::table('kitchens', fn (Blueprint $table) => $table->dropColumn('calendar_token'));
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // By what goes into it: the same wall in the same weather is run once, whoever asks.
        Schema::create('runs', function (Blueprint $table): void {
            $table->char('hash', 64)->primary();
            $table->string('state', 20)->index();
            $table->unsignedSmallInteger('years');
            $table->unsignedSmallInteger('years_done')->default(0);
            $table->string('doing');
            // To go on from after the last whole year, where the worker was cut short; and what it came to.
            $table->binary('memory')->nullable();
            $table->binary('result')->nullable();
            $table->timestamps();
        });
        // Several megabytes of frames are more than a BLOB holds.
        Illuminate\Support\Facades\DB::statement('alter table runs modify memory longblob null, modify result longblob null');
    }

    public function down(): void
    {
        Schema::dropIfExists('runs');
    }
};

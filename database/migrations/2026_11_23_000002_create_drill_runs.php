<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Orders of the steps that were tried and kept: a training record, only ever added to.
        Schema::create('drill_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('project_id')->constrained()->cascadeOnDelete();
            $table->string('detail', 80);
            $table->string('title', 200);
            $table->string('by');
            $table->json('order');
            $table->unsignedInteger('tries');
            $table->unsignedInteger('broken');
            $table->string('worst', 40);
            $table->timestamps();
        });
        // A report of the whole project, or the step cards of one detail.
        Schema::table('reports', function (Blueprint $table): void {
            $table->string('cards', 80)->nullable();
        });
    }
};

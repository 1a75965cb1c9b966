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
        Schema::create('organisations', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name');
            $table->timestamps();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('organisation_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->string('role');
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('projects', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('organisation_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('assessed_hash', 64)->nullable();
            $table->longText('assessment')->nullable();
            $table->timestamps();
        });
        // The brief, each material, assembly and detail: one JSON document of the project file's shape.
        Schema::create('documents', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('project_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->string('key', 80);
            $table->unsignedInteger('position');
            $table->unsignedInteger('revision');
            $table->longText('content');
            $table->timestamps();
            $table->unique(['project_id', 'kind', 'key']);
        });
        Schema::create('document_revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('document_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->longText('content');
            $table->string('by');
            $table->timestamp('created_at');
            $table->unique(['document_id', 'number']);
        });
        Schema::create('site_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('project_id')->constrained()->cascadeOnDelete();
            $table->string('event', 80);
            $table->string('kind', 20);
            $table->longText('content');
            $table->timestamp('received_at');
            $table->unique(['project_id', 'event']);
        });
        // What was seen on site stays as it was written: the database itself refuses to change it.
        foreach (['UPDATE', 'DELETE'] as $change) {
            DB::unprepared(
                "CREATE TRIGGER site_events_refuse_$change BEFORE $change ON site_events FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'site events are only ever added'",
            );
        }
        Schema::create('photographs', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('project_id')->constrained()->cascadeOnDelete();
            $table->char('sha256', 64);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedInteger('bytes');
            $table->timestamps();
            $table->unique(['project_id', 'sha256']);
        });
        Schema::create('reports', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('project_id')->constrained()->cascadeOnDelete();
            $table->string('by');
            $table->string('state', 20);
            $table->unsignedTinyInteger('percent');
            $table->string('doing');
            $table->string('path')->nullable();
            $table->timestamps();
        });
        $this->framework();
    }

    private function framework(): void
    {
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->string('user_id', 26)->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration');
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration');
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }
};

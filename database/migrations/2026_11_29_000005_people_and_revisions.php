<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * People have a role in each project, a practice has who invites; what was issued and what people did is only ever
 * added to. Each part looks first whether it is done: MariaDB has no way back from half a migration.
 */
return new class extends Migration
{
    private const EVIDENCE = ['acts', 'issued_revisions'];

    public function up(): void
    {
        if (! Schema::hasColumn('users', 'admin')) {
            Schema::table('users', function (Blueprint $table): void {
                $table->boolean('admin')->default(false);
                $table->boolean('guest')->default(false);
                // Raised to close everything that is open under this account.
                $table->unsignedInteger('generation')->default(1);
                $table->timestamp('invited_at')->nullable();
            });
            // Who was first in a practice invites the others.
            foreach (DB::table('organisations')->pluck('id') as $organisation) {
                $first = DB::table('users')->where('organisation_id', $organisation)->orderBy('id')->value('id');
                DB::table('users')->where('id', $first)->update(['admin' => true]);
            }
        }
        $this->make('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
        $this->make('memberships', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('project_id')->constrained()->restrictOnDelete();
            $table->foreignUlid('user_id')->constrained()->restrictOnDelete();
            $table->string('role', 20);
            $table->timestamps();
            $table->unique(['project_id', 'user_id']);
            $table->index('user_id');
        });
        $this->make('acts', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('organisation_id')->constrained()->restrictOnDelete();
            $table->foreignUlid('project_id')->nullable()->constrained()->restrictOnDelete();
            $table->foreignUlid('user_id')->constrained()->restrictOnDelete();
            $table->string('by');
            $table->string('what', 40);
            $table->string('of', 300);
            $table->dateTime('at');
            $table->index(['project_id', 'at']);
        });
        $this->make('issued_revisions', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('project_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->string('title', 100);
            $table->text('words');
            $table->foreignUlid('user_id')->constrained()->restrictOnDelete();
            $table->string('by');
            $table->dateTime('at');
            $table->string('core', 80);
            $table->string('catalogue', 80);
            $table->longText('file');
            $table->longText('findings');
            $table->char('sha256', 64);
            $table->unique(['project_id', 'number']);
        });
        foreach (self::EVIDENCE as $table) {
            foreach (['UPDATE', 'DELETE'] as $change) {
                DB::unprepared("DROP TRIGGER IF EXISTS {$table}_refuse_$change");
                DB::unprepared(
                    "CREATE TRIGGER {$table}_refuse_$change BEFORE $change ON $table FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '$table is only ever added to'",
                );
            }
        }
        if (! Schema::hasColumn('reports', 'issued_revision_id')) {
            Schema::table('reports', function (Blueprint $table): void {
                $table->foreignUlid('issued_revision_id')->nullable()->constrained()->restrictOnDelete();
                $table->string('paper', 10)->default('letter');
            });
        }
    }

    private function make(string $table, Closure $columns): void
    {
        if (! Schema::hasTable($table)) {
            Schema::create($table, $columns);
        }
    }
};

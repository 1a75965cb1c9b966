<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Evidence and work that cannot be lost: nothing cascades into it, the database refuses to change or remove it, it
 * names the account beside the name, and what is removed is a revision. Each part looks first whether it is done:
 * MariaDB has no way back from half a migration.
 */
return new class extends Migration
{
    /** What is only ever added to: table => the column that holds it to its project or document. */
    private const EVIDENCE = [
        'site_events' => 'project_id',
        'photographs' => 'project_id',
        'drill_runs' => 'project_id',
        'document_revisions' => 'document_id',
    ];

    /** Where somebody's name stands, their account stands beside it. */
    private const SIGNED = ['document_revisions', 'site_events', 'drill_runs', 'reports', 'photographs'];

    public function up(): void
    {
        foreach (array_keys(self::EVIDENCE) as $table) {
            $this->openTo($table);
        }
        $this->accounts();
        $this->documents();
        $this->evidence();
        $this->assessments();
        foreach (self::EVIDENCE as $table => $column) {
            $this->restrict($table, $column);
            $this->closeTo($table);
        }
        $this->restrict('documents', 'project_id');
    }

    private function accounts(): void
    {
        foreach (self::SIGNED as $table) {
            if (! Schema::hasColumn($table, 'user_id')) {
                Schema::table(
                    $table,
                    fn (Blueprint $t) => $t->foreignUlid('user_id')->nullable()->constrained()->restrictOnDelete(),
                );
            }
        }
        if (! Schema::hasColumn('users', 'left_at')) {
            Schema::table('users', fn (Blueprint $t) => $t->timestamp('left_at')->nullable());
        }
    }

    private function documents(): void
    {
        if (! Schema::hasColumn('documents', 'removed_at')) {
            Schema::table('documents', function (Blueprint $table): void {
                $table->timestamp('removed_at')->nullable();
                $table->char('hash', 64)->default('');
                $table->string('save', 40)->nullable();
            });
        }
        DB::table('documents')
            ->where('hash', '')
            ->update(['hash' => DB::raw('sha2(content, 256)')]);
        Schema::table('document_revisions', fn (Blueprint $t) => $t->longText('content')->nullable()->change());
    }

    private function evidence(): void
    {
        if (! Schema::hasColumn('site_events', 'imported')) {
            Schema::table('site_events', fn (Blueprint $t) => $t->boolean('imported')->default(false));
        }
        if (! Schema::hasColumn('drill_runs', 'at')) {
            // A TIMESTAMP ends in 2038; when somebody practised is written as it is in the file.
            Schema::table('drill_runs', fn (Blueprint $t) => $t->string('at', 40)->nullable());
        }
        DB::table('drill_runs')
            ->whereNull('at')
            ->update(['at' => DB::raw("date_format(created_at, '%Y-%m-%dT%H:%i:%sZ')")]);
    }

    private function assessments(): void
    {
        if (! Schema::hasTable('assessments')) {
            Schema::create('assessments', function (Blueprint $table): void {
                $table->id();
                $table->foreignUlid('project_id')->constrained()->cascadeOnDelete();
                $table->string('kind', 20);
                $table->string('key', 80);
                $table->string('units', 4);
                $table->char('hash', 64);
                $table->text('materials');
                $table->longText('content');
                $table->unique(['project_id', 'units', 'kind', 'key']);
            });
        }
        if (Schema::hasColumn('projects', 'assessment')) {
            Schema::table('projects', fn (Blueprint $t) => $t->dropColumn(['assessment', 'assessed_hash']));
        }
        if (! Schema::hasColumn('projects', 'version')) {
            Schema::table('projects', function (Blueprint $table): void {
                $table->unsignedBigInteger('version')->default(1);
                $table->index(['organisation_id', 'updated_at']);
            });
        }
    }

    private function restrict(string $table, string $column): void
    {
        $to = $column === 'project_id' ? 'projects' : 'documents';
        $rule = collect(Schema::getForeignKeys($table))->firstWhere('columns', [$column]);
        if ($rule !== null && $rule['on_delete'] !== 'cascade') {
            return;
        }
        Schema::table($table, function (Blueprint $t) use ($column, $to, $rule): void {
            if ($rule !== null) {
                $t->dropForeign($rule['name']);
            }
            $t->foreign($column)->references('id')->on($to)->restrictOnDelete();
        });
    }

    private function openTo(string $table): void
    {
        foreach (['UPDATE', 'DELETE'] as $change) {
            DB::unprepared("DROP TRIGGER IF EXISTS {$table}_refuse_$change");
        }
    }

    private function closeTo(string $table): void
    {
        foreach (['UPDATE', 'DELETE'] as $change) {
            DB::unprepared(
                "CREATE TRIGGER {$table}_refuse_$change BEFORE $change ON $table FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '$table is only ever added to'",
            );
        }
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * The checks of a document are kept beside what is said of it: they are four fifths of it, and a list of findings asks
 * for none of them. What was kept before is of an earlier shape, and is worked out again when it is next asked for.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('assessments', 'checks')) {
            Schema::table('assessments', fn (Blueprint $table) => $table->longText('checks')->nullable());
        }
    }
};

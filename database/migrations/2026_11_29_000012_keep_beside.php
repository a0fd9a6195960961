<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Variants of a piece know each other: by the family they are of. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('pieces', fn (Blueprint $table) => $table->string('family', 26)->nullable()->index());
    }

    public function down(): void
    {
        Schema::table('pieces', function (Blueprint $table): void {
            $table->dropIndex(['family']);
            $table->dropColumn('family');
        });
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * One word for all that is written: another one after anything is. The lines of the book by when they were written, and
 * what was made by what is told of it.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('written', function (Blueprint $table): void {
            $table->string('word', 32);
        });
        DB::statement('INSERT INTO written (word) VALUES (lower(hex(randomblob(16))))');
        DB::statement('CREATE INDEX movements_when ON movements (workshop_id, created_at, id)');
        DB::statement(
            "CREATE INDEX finished_told ON finished (workshop_id, number, piece_id, lower(name || ' ' || note) "
                ."|| ' no. ' || number)",
        );
    }

    public function down(): void
    {
        DB::statement('DROP INDEX finished_told');
        DB::statement('DROP INDEX movements_when');
        Schema::drop('written');
    }
};

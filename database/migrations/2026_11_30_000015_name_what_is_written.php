<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** One word for all that is written: another one after anything is. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('written', function (Blueprint $table): void {
            $table->string('word', 32);
        });
        DB::statement('INSERT INTO written (word) VALUES (lower(hex(randomblob(16))))');
    }

    public function down(): void
    {
        Schema::drop('written');
    }
};

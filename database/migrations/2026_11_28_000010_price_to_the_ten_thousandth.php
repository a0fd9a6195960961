<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A seed bead costs less than a cent: what one costs, or a metre, is kept in ten-thousandths of the currency. */
return new class extends Migration
{
    private const TABLES = ['beads', 'supplies'];

    public function up(): void
    {
        $this->move('price_cents', 'price_e4', 'price_cents * 100');
    }

    public function down(): void
    {
        $this->move('price_e4', 'price_cents', '(price_e4 + 50) / 100');
    }

    private function move(string $from, string $to, string $value): void
    {
        foreach (self::TABLES as $name) {
            Schema::table($name, fn (Blueprint $table) => $table->unsignedBigInteger($to)->nullable());
            DB::table($name)->whereNotNull($from)->update([$to => DB::raw($value)]);
            Schema::table($name, fn (Blueprint $table) => $table->dropColumn($from));
        }
    }
};

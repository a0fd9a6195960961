<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workshops', function (Blueprint $table): void {
            $table->string('currency', 3)->default('EUR');
            $table->unsignedInteger('hour_cents')->default(2200);
            $table->unsignedSmallInteger('overhead_percent')->default(12);
            $table->unsignedSmallInteger('margin_percent')->default(30);
            // Ten-thousandths of a unit of currency a gram, by metal.
            $table->json('metal_prices_e4')->nullable();
        });
        Schema::table('beads', function (Blueprint $table): void {
            $table->unsignedInteger('price_cents')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('workshops', function (Blueprint $table): void {
            $table->dropColumn(['currency', 'hour_cents', 'overhead_percent', 'margin_percent', 'metal_prices_e4']);
        });
        Schema::table('beads', function (Blueprint $table): void {
            $table->dropColumn('price_cents');
        });
    }
};

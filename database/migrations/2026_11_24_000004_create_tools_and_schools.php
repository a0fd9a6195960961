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
            $table->text('schools')->nullable();
            $table->text('strengths')->nullable();
        });
        Schema::table('users', function (Blueprint $table): void {
            $table->text('recent_sums')->nullable();
        });
        // Craft wire is often sold in a system its label does not name: what a lot measures stands beside its size.
        Schema::table('lots', function (Blueprint $table): void {
            $table->unsignedInteger('measured_um')->nullable();
        });
        Schema::create('tools', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->string('name', 60);
            $table->text('marks_um');
            $table->unsignedInteger('grip_um')->default(0);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('tools');
        Schema::table('lots', fn (Blueprint $table) => $table->dropColumn('measured_um'));
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('recent_sums'));
        Schema::table('workshops', fn (Blueprint $table) => $table->dropColumn(['schools', 'strengths']));
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('pieces', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->unsignedInteger('revision')->default(0);
            $table->string('stage', 16)->default('lay-out');
            $table->timestamps();
            $table->softDeletes();
        });

        Schema::create('piece_revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->text('document');
            $table->string('words', 200);
            $table->timestamp('created_at')->nullable();
            $table->unique(['piece_id', 'number']);
        });

        Schema::create('beads', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60)->default('');
            $table->string('shape', 16);
            $table->unsignedInteger('length_um');
            $table->unsignedInteger('width_um');
            $table->unsignedInteger('hole_um');
            $table->string('drilling', 16);
            $table->string('material', 16);
            $table->string('colour', 16);
            $table->unsignedInteger('owned')->default(0);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('beads');
        Schema::dropIfExists('piece_revisions');
        Schema::dropIfExists('pieces');
    }
};

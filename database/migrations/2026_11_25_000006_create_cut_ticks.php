<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** What has been cut from a lot and is not booked yet: one row for each physical cut, spoiled ones too. */
    public function up(): void
    {
        Schema::create('cut_ticks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->foreignId('lot_id')->constrained()->cascadeOnDelete();
            $table->string('cut', 80);
            $table->unsignedInteger('length_um');
            $table->boolean('is_spoiled')->default(false);
            $table->timestamp('created_at')->useCurrent();
            $table->index(['workshop_id', 'piece_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('cut_ticks');
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workshops', fn (Blueprint $table) => $table->boolean('hand_on')->default(true));
        Schema::table('makings', function (Blueprint $table): void {
            // Moves made at the bench: what a device saw last, so that nothing counts twice.
            $table->unsignedInteger('moves')->default(0);
            $table->boolean('is_across')->default(false);
            $table->text('progress')->nullable();
            $table->text('counts')->nullable();
            $table->text('troubles')->nullable();
            $table->unsignedInteger('weight_mg')->nullable();
            $table->timestamp('waits_until')->nullable();
        });
        // What a device sent while or before it was away, each once.
        Schema::create('bench_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('making_id')->constrained()->cascadeOnDelete();
            $table->string('event', 40);
            $table->unique(['making_id', 'event']);
        });
        Schema::create('step_times', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->string('title', 200);
            $table->unsignedInteger('estimate_ms');
            $table->unsignedInteger('taken_ms');
            $table->boolean('is_capped')->default(false);
            $table->timestamp('created_at');
            $table->timestamp('forgotten_at')->nullable();
            $table->index(['workshop_id', 'kind']);
        });
        Schema::create('drills', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->string('metal', 24);
            $table->string('size', 24);
            $table->string('temper', 16);
            $table->unsignedInteger('wanted_um');
            $table->timestamp('created_at');
        });
        // Each kind of cut of a closed making: what was cut and left of one, and what that teaches.
        Schema::create('making_cuts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            // Of a making, or of a drill.
            $table->foreignId('making_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('drill_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('label', 120);
            $table->unsignedInteger('count');
            $table->unsignedInteger('planned_um');
            $table->unsignedInteger('cut_um');
            $table->unsignedInteger('left_um');
            $table->unsignedInteger('short_um')->default(0);
            $table->boolean('is_bound')->default(false);
            // Null where it teaches nothing: what was left was not measured, or several ways of forming share the wire.
            $table->string('way', 16)->nullable();
            $table->integer('awg');
            $table->unsignedInteger('formed_um');
            $table->unsignedInteger('straight_um');
            // What was to be trimmed off, and what a millimetre weighs.
            $table->unsignedInteger('tail_um')->default(0);
            $table->unsignedBigInteger('ng_per_mm')->default(0);
            $table->boolean('is_put_back')->default(false);
            $table->timestamp('created_at');
            $table->timestamp('forgotten_at')->nullable();
            $table->index(['workshop_id', 'way', 'awg']);
        });
        // A size that was measured: a loop, an inside, a length; of a making or of a drill.
        Schema::create('measurements', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('drill_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('what', 40);
            $table->string('metal', 24);
            $table->string('temper', 16);
            $table->unsignedInteger('wanted_um');
            $table->unsignedInteger('measured_um');
            $table->timestamp('created_at');
            $table->timestamp('forgotten_at')->nullable();
            $table->index(['workshop_id', 'what']);
        });
        Schema::create('inspections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->constrained()->cascadeOnDelete();
            $table->string('point', 60);
            $table->boolean('is_fine');
            $table->timestamp('created_at');
            $table->unique(['making_id', 'point']);
        });
        Schema::create('photos', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            // A JPEG that Hebra wrote itself: no place, no camera, no name in it.
            $table->text('jpeg_base64');
            $table->timestamp('created_at');
        });
    }

    public function down(): void
    {
        foreach ([
            'photos', 'inspections', 'measurements', 'drills', 'making_cuts', 'step_times', 'bench_events',
        ] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('makings', fn (Blueprint $table) => $table->dropColumn(
            ['moves', 'is_across', 'progress', 'counts', 'troubles', 'weight_mg', 'waits_until']
        ));
        Schema::table('workshops', fn (Blueprint $table) => $table->dropColumn('hand_on'));
    }
};

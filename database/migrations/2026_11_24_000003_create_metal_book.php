<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('lots', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 8);
            $table->string('name', 60);
            $table->string('metal', 24);
            $table->string('size', 24);
            $table->string('temper', 16);
            $table->unsignedBigInteger('mass_ng_per_mm');
            $table->unsignedInteger('pin_length_um')->nullable();
            $table->unsignedInteger('price_cents')->nullable();
            $table->timestamps();
            $table->index(['workshop_id', 'metal', 'size', 'temper']);
        });

        Schema::create('makings', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->text('document');
            $table->unsignedInteger('revision');
            $table->unsignedInteger('step')->default(0);
            $table->unsignedInteger('counted')->default(0);
            $table->unsignedInteger('minutes')->nullable();
            $table->string('note', 2000)->default('');
            $table->timestamp('closed_at')->nullable();
            $table->timestamps();
        });

        // A double-entry book: the lines of one entry add up to nothing, so no metal appears or is lost.
        DB::statement(<<<'SQL'
            CREATE TABLE movements (
                id INTEGER PRIMARY KEY AUTOINCREMENT,
                workshop_id INTEGER NOT NULL REFERENCES workshops(id) ON DELETE CASCADE,
                entry TEXT NOT NULL,
                kind TEXT NOT NULL CHECK (kind IN ('received', 'made', 'corrected', 'reversed')),
                account TEXT NOT NULL CHECK (account IN ('lot', 'supplier', 'pieces', 'scrap jar', 'not booked', 'found')),
                lot_id INTEGER REFERENCES lots(id) ON DELETE CASCADE,
                making_id INTEGER REFERENCES makings(id) ON DELETE CASCADE,
                metal TEXT NOT NULL,
                mass_mg INTEGER NOT NULL CHECK (mass_mg <> 0),
                words TEXT NOT NULL,
                reverses TEXT,
                created_at TEXT NOT NULL,
                CHECK ((account = 'lot') = (lot_id IS NOT NULL))
            )
            SQL);
        DB::statement('CREATE INDEX movements_lot ON movements (lot_id)');
        DB::statement('CREATE INDEX movements_workshop ON movements (workshop_id, id)');
        DB::statement('CREATE INDEX movements_entry ON movements (entry)');
        DB::statement('CREATE INDEX movements_making ON movements (making_id)');
        DB::statement(
            "CREATE TRIGGER movements_are_kept BEFORE UPDATE ON movements BEGIN SELECT RAISE(ABORT, 'a line of the metal book is never changed'); END",
        );
        // Lines leave only together with their workshop, whose row is gone by then.
        DB::statement(
            "CREATE TRIGGER movements_are_not_deleted BEFORE DELETE ON movements WHEN EXISTS (SELECT 1 FROM workshops WHERE id = OLD.workshop_id) BEGIN SELECT RAISE(ABORT, 'a line of the metal book is never deleted'); END",
        );
        DB::statement(
            "CREATE TRIGGER movements_hold BEFORE INSERT ON movements WHEN NEW.account = 'lot' AND NEW.mass_mg < 0 AND (SELECT COALESCE(SUM(mass_mg), 0) FROM movements WHERE lot_id = NEW.lot_id) + NEW.mass_mg < 0 BEGIN SELECT RAISE(ABORT, 'a lot cannot hold less than nothing'); END",
        );
    }

    public function down(): void
    {
        Schema::dropIfExists('movements');
        Schema::dropIfExists('makings');
        Schema::dropIfExists('lots');
    }
};

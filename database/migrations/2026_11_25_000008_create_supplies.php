<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('supplies', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->string('name', 120);
            $table->unsignedInteger('price_cents')->nullable();
            // Counted in pieces, or in micrometres where the kind is bought by length.
            $table->unsignedBigInteger('low_at')->nullable();
            $table->unsignedBigInteger('held')->default(0);
            $table->timestamps();
            $table->softDeletes();
            $table->index(['workshop_id', 'name']);
        });
        Schema::table('beads', function (Blueprint $table): void {
            $table->unsignedInteger('low_at')->nullable();
            $table->softDeletes();
        });
        Schema::table('workshops', function (Blueprint $table): void {
            $table->unsignedInteger('packing_cents')->default(0);
            $table->unsignedInteger('low_um')->default(1_000_000);
        });
        // What is counted: written once like the metal book. `held` and `owned` follow it by trigger and are written by
        // nothing else.
        DB::statement(<<<'SQL'
            CREATE TABLE supply_movements (
                id INTEGER PRIMARY KEY AUTOINCREMENT,
                workshop_id INTEGER NOT NULL REFERENCES workshops(id) ON DELETE CASCADE,
                entry TEXT NOT NULL,
                kind TEXT NOT NULL CHECK (kind IN ('received', 'used', 'corrected', 'reversed')),
                bead_id INTEGER REFERENCES beads(id) ON DELETE CASCADE,
                supply_id INTEGER REFERENCES supplies(id) ON DELETE CASCADE,
                making_id INTEGER REFERENCES makings(id) ON DELETE CASCADE,
                amount INTEGER NOT NULL CHECK (amount <> 0),
                words TEXT NOT NULL,
                reverses TEXT,
                created_at TEXT NOT NULL,
                CHECK ((bead_id IS NULL) <> (supply_id IS NULL))
            )
            SQL);
        DB::statement('CREATE INDEX supply_movements_workshop ON supply_movements (workshop_id, id)');
        DB::statement('CREATE INDEX supply_movements_entry ON supply_movements (entry)');
        DB::statement('CREATE INDEX supply_movements_bead ON supply_movements (bead_id)');
        DB::statement('CREATE INDEX supply_movements_supply ON supply_movements (supply_id)');
        DB::statement('CREATE INDEX supply_movements_making ON supply_movements (making_id)');
        foreach (DB::table('beads')->where('owned', '>', 0)->orderBy('id')->get() as $bead) {
            DB::table('supply_movements')->insert([
                'workshop_id' => $bead->workshop_id, 'entry' => (string) Str::ulid(), 'kind' => 'received',
                'bead_id' => $bead->id, 'amount' => $bead->owned, 'words' => 'counted in',
                'created_at' => $bead->created_at ?? now(),
            ]);
        }
        DB::statement(
            "CREATE TRIGGER supply_movements_are_kept BEFORE UPDATE ON supply_movements BEGIN SELECT RAISE(ABORT, 'a line of the book is never changed'); END",
        );
        DB::statement(
            "CREATE TRIGGER supply_movements_are_not_deleted BEFORE DELETE ON supply_movements WHEN EXISTS (SELECT 1 FROM workshops WHERE id = OLD.workshop_id) BEGIN SELECT RAISE(ABORT, 'a line of the book is never deleted'); END",
        );
        foreach (['beads' => ['bead_id', 'owned'], 'supplies' => ['supply_id', 'held']] as $table => [$key, $column]) {
            DB::statement(
                "CREATE TRIGGER {$table}_hold BEFORE INSERT ON supply_movements WHEN NEW.{$key} IS NOT NULL AND (SELECT {$column} FROM {$table} WHERE id = NEW.{$key}) + NEW.amount < 0 BEGIN SELECT RAISE(ABORT, 'there cannot be less than nothing'); END",
            );
            DB::statement("CREATE TRIGGER {$table}_follow AFTER INSERT ON supply_movements WHEN NEW.{$key} IS NOT NULL "
                ."BEGIN UPDATE {$table} SET {$column} = {$column} + NEW.amount WHERE id = NEW.{$key}; END");
        }
        Schema::create('reservations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->foreignId('lot_id')->constrained()->cascadeOnDelete();
            $table->string('cut', 80);
            $table->unsignedInteger('count');
            $table->unsignedInteger('length_um');
            $table->timestamp('created_at')->useCurrent();
            $table->unique(['piece_id', 'lot_id', 'cut']);
            $table->index('workshop_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('reservations');
        Schema::dropIfExists('supply_movements');
        Schema::dropIfExists('supplies');
        Schema::table('beads', fn (Blueprint $table) => $table->dropColumn(['low_at', 'deleted_at']));
        Schema::table('workshops', fn (Blueprint $table) => $table->dropColumn(['packing_cents', 'low_um']));
    }
};

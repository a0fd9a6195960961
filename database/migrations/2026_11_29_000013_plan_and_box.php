<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What is wanted by when, the hours there are for it, the box of what is made, and metal that leaves with it. */
return new class extends Migration
{
    private const KINDS = "'received', 'made', 'corrected', 'reversed'";

    private const ACCOUNTS = "'lot', 'supplier', 'pieces', 'scrap jar', 'not booked', 'found'";

    public function up(): void
    {
        Schema::table('workshops', function (Blueprint $table): void {
            // Minutes at the bench of each day of the week, Monday first, and of days that are unlike it.
            $table->json('week_minutes')->nullable();
            $table->json('day_minutes')->nullable();
            $table->unsignedSmallInteger('tax_percent')->default(0);
            $table->string('rounding', 4)->default('');
            // By name: the margin and the fee of the price, in percent.
            $table->json('price_lists')->nullable();
        });
        Schema::create('occasions', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 8);
            $table->string('name', 80);
            $table->string('note', 500)->default('');
            $table->date('due_on');
            $table->unsignedInteger('paid_cents')->default(0);
            $table->timestamps();
            $table->index(['workshop_id', 'due_on']);
        });
        Schema::create('wants', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('occasion_id')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('count');
            $table->unsignedInteger('price_cents')->nullable();
            $table->date('from_on')->nullable();
            $table->timestamps();
        });
        Schema::create('finished', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('piece_id')->constrained()->cascadeOnDelete();
            $table->foreignId('making_id')->constrained()->cascadeOnDelete();
            $table->foreignId('want_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedInteger('number');
            $table->string('name', 120);
            $table->string('place', 8);
            // Milligrams of each metal in it, by its name.
            $table->json('metals');
            $table->unsignedInteger('minutes')->nullable();
            $table->unsignedInteger('cost_cents')->nullable();
            $table->unsignedInteger('price_cents')->nullable();
            $table->unsignedInteger('sold_cents')->nullable();
            $table->string('note', 500)->default('');
            $table->timestamp('moved_at');
            $table->timestamps();
            $table->unique(['workshop_id', 'number']);
            $table->index(['workshop_id', 'place', 'piece_id', 'number']);
            $table->index(['piece_id', 'place']);
        });
        Schema::create('finished_moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('finished_id')->constrained('finished')->cascadeOnDelete();
            $table->string('place', 8);
            $table->unsignedInteger('cents')->nullable();
            $table->string('words', 500)->default('');
            $table->string('maker', 120)->nullable();
            $table->timestamp('created_at');
        });
        DB::statement(
            "CREATE TRIGGER finished_moves_are_kept BEFORE UPDATE ON finished_moves BEGIN SELECT RAISE(ABORT, 'where a finished piece was is never changed'); END",
        );
        $this->book(
            self::KINDS.", 'left', 'back', 'melted', 'refined'", self::ACCOUNTS.", 'customers', 'refiner'",
        );
        $this->sums();
    }

    /** What the lines of the metal book come to, by month: kept in step with them, so that no page adds up all of them. */
    private function sums(): void
    {
        DB::statement(<<<'SQL'
            CREATE TABLE movement_sums (
                workshop_id INTEGER NOT NULL REFERENCES workshops(id) ON DELETE CASCADE,
                month TEXT NOT NULL,
                metal TEXT NOT NULL,
                account TEXT NOT NULL,
                kind TEXT NOT NULL,
                lot_id INTEGER NOT NULL DEFAULT 0,
                mass_mg INTEGER NOT NULL,
                lines INTEGER NOT NULL,
                PRIMARY KEY (workshop_id, month, metal, account, kind, lot_id)
            ) WITHOUT ROWID
            SQL);
        DB::statement('CREATE INDEX movement_sums_lot ON movement_sums (lot_id, kind, mass_mg)');
        DB::statement(
            'INSERT INTO movement_sums SELECT workshop_id, substr(created_at, 1, 7), metal, account, kind, '
                .'COALESCE(lot_id, 0), SUM(mass_mg), COUNT(*) FROM movements GROUP BY 1, 2, 3, 4, 5, 6',
        );
        DB::statement(<<<'SQL'
            CREATE TRIGGER movement_sums_follow AFTER INSERT ON movements BEGIN
                INSERT INTO movement_sums VALUES (
                    NEW.workshop_id, substr(NEW.created_at, 1, 7), NEW.metal, NEW.account, NEW.kind,
                    COALESCE(NEW.lot_id, 0), NEW.mass_mg, 1
                ) ON CONFLICT DO UPDATE SET mass_mg = mass_mg + excluded.mass_mg, lines = lines + 1;
            END
            SQL);
    }

    public function down(): void
    {
        DB::statement('DROP TRIGGER movement_sums_follow');
        Schema::drop('movement_sums');
        $this->book(self::KINDS, self::ACCOUNTS);
        foreach (['finished_moves', 'finished', 'wants', 'occasions'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('workshops', fn (Blueprint $table) => $table->dropColumn(
            ['week_minutes', 'day_minutes', 'tax_percent', 'rounding', 'price_lists'],
        ));
    }

    /** The metal book with these kinds and accounts: a rule of a table changes only with the table. */
    private function book(string $kinds, string $accounts): void
    {
        $columns = 'id, workshop_id, entry, kind, account, lot_id, making_id, metal, mass_mg, words, reverses, maker, '
            .'created_at';
        $rules = DB::select(
            "SELECT sql FROM sqlite_master WHERE tbl_name = 'movements' AND type IN ('index', 'trigger') AND sql IS NOT NULL",
        );
        DB::statement(<<<SQL
            CREATE TABLE movements_anew (
                id INTEGER PRIMARY KEY AUTOINCREMENT,
                workshop_id INTEGER NOT NULL REFERENCES workshops(id) ON DELETE CASCADE,
                entry TEXT NOT NULL,
                kind TEXT NOT NULL CHECK (kind IN ({$kinds})),
                account TEXT NOT NULL CHECK (account IN ({$accounts})),
                lot_id INTEGER REFERENCES lots(id) ON DELETE CASCADE,
                making_id INTEGER REFERENCES makings(id) ON DELETE CASCADE,
                metal TEXT NOT NULL,
                mass_mg INTEGER NOT NULL CHECK (mass_mg <> 0),
                words TEXT NOT NULL,
                reverses TEXT,
                maker TEXT,
                created_at TEXT NOT NULL,
                CHECK ((account = 'lot') = (lot_id IS NOT NULL))
            )
            SQL);
        DB::statement("INSERT INTO movements_anew ({$columns}) SELECT {$columns} FROM movements ORDER BY id");
        DB::statement('DROP TABLE movements');
        DB::statement('ALTER TABLE movements_anew RENAME TO movements');
        foreach ($rules as $rule) {
            DB::statement($rule->sql);
        }
    }
};

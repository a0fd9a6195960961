<?php

declare(strict_types=1);

use App\Actions\Box;
use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Piece\Told;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Repairs and changes, the maker’s own words for pieces and lots, and how money and devices are at this workshop. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('workshops', function (Blueprint $table): void {
            $table->unsignedTinyInteger('decimals')->default(2);
            $table->boolean('has_scale')->default(false);
            $table->boolean('has_camera')->default(false);
        });
        foreach (['pieces', 'lots'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->string('tags', 240)->default('');
            });
        }
        Schema::table('pieces', function (Blueprint $table): void {
            $table->text('told')->default('');
        });
        foreach (Piece::query()->withTrashed()->cursor() as $piece) {
            DB::table('pieces')->where('id', $piece->id)->update(['told' => Told::of($piece->document())]);
        }
        // What went into pieces, for the year by piece.
        DB::statement(
            'CREATE INDEX movements_in_pieces ON movements (workshop_id, kind, created_at, making_id, metal, mass_mg) '
                ."WHERE account = 'pieces'",
        );
        // A sale stands while the piece comes back to be repaired.
        Schema::table('finished', function (Blueprint $table): void {
            $table->timestamp('sold_at')->nullable();
            $table->index(['workshop_id', 'sold_at']);
        });
        DB::statement("UPDATE finished SET sold_at = moved_at WHERE place = 'sold'");
        Workshop::query()->each(fn (Workshop $workshop) => app(Box::class)->fillWithEarlier($workshop));
        Schema::create('repairs', function (Blueprint $table): void {
            $table->id();
            $table->ulid('ulid')->unique();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            // Who it is for and by when, until that is forgotten.
            $table->foreignId('occasion_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('finished_id')->nullable()->constrained('finished')->nullOnDelete();
            $table->string('name', 120);
            $table->string('words', 500);
            $table->unsignedSmallInteger('minutes');
            $table->unsignedInteger('price_cents')->nullable();
            $table->unsignedSmallInteger('took_minutes')->nullable();
            $table->unsignedInteger('got_cents')->nullable();
            $table->timestamp('done_at')->nullable();
            $table->timestamps();
            $table->index(['workshop_id', 'done_at']);
        });
    }

    public function down(): void
    {
        Schema::drop('repairs');
        DB::statement('DROP INDEX movements_in_pieces');
        Schema::table('finished', function (Blueprint $table): void {
            $table->dropIndex(['workshop_id', 'sold_at']);
            $table->dropColumn('sold_at');
        });
        Schema::table('pieces', fn (Blueprint $table) => $table->dropColumn(['tags', 'told']));
        Schema::table('lots', fn (Blueprint $table) => $table->dropColumn('tags'));
        Schema::table(
            'workshops', fn (Blueprint $table) => $table->dropColumn(['decimals', 'has_scale', 'has_camera']),
        );
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/**
 * A random name of each workshop, that its sessions carry; tries of passwords; invitations; forms that were sent; who
 * wrote a line of the book.
 */
return new class extends Migration
{
    private const BOOKS = ['movements', 'supply_movements'];

    public function up(): void
    {
        Schema::table('workshops', fn (Blueprint $table) => $table->string('ulid', 26)->nullable());
        foreach (DB::table('workshops')->pluck('id') as $id) {
            DB::table('workshops')->where('id', $id)->update(['ulid' => strtolower((string) Str::ulid())]);
        }
        Schema::table('workshops', fn (Blueprint $table) => $table->unique('ulid'));
        Schema::create('attempts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('address', 64);
            $table->timestamp('created_at')->index();
        });
        Schema::create('invitations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            $table->string('token', 64)->unique();
            $table->timestamp('expires_at');
            $table->timestamp('created_at');
        });
        Schema::create('sent_forms', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('form', 64);
            $table->string('location')->nullable();
            $table->timestamp('created_at')->index();
            $table->unique(['user_id', 'form']);
        });
        foreach (self::BOOKS as $book) {
            Schema::table($book, fn (Blueprint $table) => $table->string('maker', 80)->nullable());
        }
    }

    public function down(): void
    {
        foreach (self::BOOKS as $book) {
            Schema::table($book, fn (Blueprint $table) => $table->dropColumn('maker'));
        }
        Schema::drop('sent_forms');
        Schema::drop('invitations');
        Schema::drop('attempts');
        Schema::table('workshops', fn (Blueprint $table) => $table->dropUnique(['ulid']));
        Schema::table('workshops', fn (Blueprint $table) => $table->dropColumn('ulid'));
    }
};

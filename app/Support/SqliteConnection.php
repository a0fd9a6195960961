<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\SQLiteConnection as Framework;
use Illuminate\Support\Facades\DB;

/**
 * What is written is named: a statement that may write gives all that is in the book another word, in its own
 * transaction, so that what a page kept is known to be what it would say now.
 *
 * Every transaction begins as a writer. The framework's `transaction_mode` asks for PHP 8.4; before it, two requests
 * that both read before they write end in “database is locked”, whatever they would wait. A statement that writes
 * nothing takes the write lock, and waits for it as `busy_timeout` says.
 */
final class SqliteConnection extends Framework
{
    /** The word of all that is in the book: another one after anything was written, the same where a copy came back. */
    public static function written(): string
    {
        return (string) DB::scalar('SELECT word FROM written', [], false);
    }

    /** @param  array<array-key, mixed>  $bindings */
    public function statement($query, $bindings = [])
    {
        return $this->naming(parent::statement($query, $bindings));
    }

    /** @param  array<array-key, mixed>  $bindings */
    public function affectingStatement($query, $bindings = [])
    {
        return $this->naming(parent::affectingStatement($query, $bindings));
    }

    public function unprepared($query)
    {
        return $this->naming(parent::unprepared($query));
    }

    /**
     * @template T
     *
     * @param  T  $done
     * @return T
     */
    private function naming(mixed $done): mixed
    {
        $this->unlessNew('UPDATE written SET word = lower(hex(randomblob(16)))');

        return $done;
    }

    /** A new database has no tables yet. */
    private function unlessNew(string $statement): void
    {
        try {
            $this->getPdo()->exec($statement);
        } catch (\PDOException $fault) {
            if (! str_contains($fault->getMessage(), 'no such table')) {
                throw $fault;
            }
        }
    }

    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        try {
            $this->unlessNew('UPDATE migrations SET batch = batch WHERE 0');
        } catch (\PDOException $fault) {
            $this->getPdo()->rollBack();

            throw $fault;
        }
    }

    /**
     * Where the disk is full SQLite has taken everything back by itself: there is nothing left to take back, and what
     * went wrong is what is told.
     */
    protected function performRollBack($toLevel): void
    {
        try {
            parent::performRollBack($toLevel);
        } catch (\PDOException $fault) {
            if (preg_match('/no such savepoint|no transaction is active/', $fault->getMessage()) !== 1) {
                throw $fault;
            }
        }
    }
}

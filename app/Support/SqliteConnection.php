<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\SQLiteConnection as Framework;

/**
 * Every transaction begins as a writer. The framework's `transaction_mode` asks for PHP 8.4; before it, two requests
 * that both read before they write end in “database is locked”, whatever they would wait. A statement that writes
 * nothing takes the write lock, and waits for it as `busy_timeout` says.
 */
final class SqliteConnection extends Framework
{
    protected function executeBeginTransactionStatement(): void
    {
        parent::executeBeginTransactionStatement();
        try {
            $this->getPdo()->exec('UPDATE migrations SET batch = batch WHERE 0');
        } catch (\PDOException $fault) {
            // A new database has no such table yet.
            if (! str_contains($fault->getMessage(), 'no such table')) {
                $this->getPdo()->rollBack();

                throw $fault;
            }
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

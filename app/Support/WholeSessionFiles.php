<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Session\FileSessionHandler;

/** A session is on the disk as it was or as it is: were it emptied first, a plug pulled in between would sign out. */
final class WholeSessionFiles extends FileSessionHandler
{
    public function write($sessionId, $data): bool
    {
        $this->files->replace($this->path.'/'.$sessionId, $data, 0600);

        return true;
    }
}

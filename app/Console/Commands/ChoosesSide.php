<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Hebra\Core\Figure\View;
use Hebra\Core\Quantity\OneOf;

/** A command with the option `view`: from which side a piece is seen. */
trait ChoosesSide
{
    /** @throws \Hebra\Core\Problem if it is no side */
    protected function side(): View
    {
        return OneOf::read(View::class, (string) $this->option('view'), 'view');
    }
}

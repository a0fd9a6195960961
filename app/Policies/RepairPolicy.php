<?php

declare(strict_types=1);

namespace App\Policies;

final class RepairPolicy extends OwnWorkshop
{
}

<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;

/** Everything belongs to one workshop. To anyone else it does not exist. */
abstract class OwnWorkshop
{
    public function view(User $user, Model $record): Response
    {
        return $record->getAttribute('workshop_id') === $user->workshop_id
            ? Response::allow()
            : Response::denyAsNotFound();
    }

    public function update(User $user, Model $record): Response
    {
        return $this->view($user, $record);
    }
}

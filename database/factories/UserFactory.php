<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    protected $model = User::class;

    private static int $number = 0;

    public function definition(): array
    {
        return [
            'workshop_id' => WorkshopFactory::new(),
            'name' => 'Test maker',
            'email' => 'maker'.++self::$number.'@workshop.example',
            'password' => 'a long enough word',
        ];
    }
}

<?php

namespace Database\Factories;

use App\Models\Animal;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Animal> */
class AnimalFactory extends Factory
{
    public function definition(): array
    {
        return ['user_id' => User::factory(), 'name' => fake()->unique()->firstName(), 'sex' => 'female', 'genotype' => 'Pastel het Clown'];
    }

    /** The genotype of a made animal becomes its first statement. */
    public function configure(): static
    {
        $genotypes = new \WeakMap;

        return $this->afterMaking(function (Animal $animal) use ($genotypes): void {
            $genotypes[$animal] = $animal->getAttributes()['genotype'] ?? null;
            $animal->offsetUnset('genotype');
        })->afterCreating(function (Animal $animal) use ($genotypes): void {
            if (isset($genotypes[$animal])) {
                $animal->statements()->create(['text' => $genotypes[$animal], 'source' => 'own']);
            }
        });
    }
}

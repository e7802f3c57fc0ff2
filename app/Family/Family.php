<?php

namespace App\Family;

use App\Models\Animal;
use App\Models\User;
use Destino\Husbandry\Pedigree;
use Destino\Husbandry\PedigreeError;
use Destino\Probability\Rational;

/** The pedigree of a keeper's collection, outside parents included by name. */
class Family
{
    private ?Pedigree $pedigree = null;

    /** @param  array<int, Animal>  $animals  all animals of the keeper, by number */
    private function __construct(private readonly array $animals) {}

    public static function of(User $keeper): self
    {
        return new self($keeper->animals()->get(['id', 'user_id', 'name', 'number', 'sex', 'hatched_on', 'hatched_precision', 'sire_id', 'sire_name', 'dam_id', 'dam_name', 'deleted_at'])->keyBy('id')->all());
    }

    public function animal(?int $id): ?Animal
    {
        return $this->animals[$id ?? 0] ?? null;
    }

    /** @return list<Animal> oldest first */
    public function offspringOf(Animal $parent): array
    {
        $young = array_values(array_filter($this->animals, fn (Animal $animal): bool => $animal->sire_id === $parent->id || $animal->dam_id === $parent->id));
        usort($young, fn (Animal $a, Animal $b): int => [$a->hatched_on, $a->name] <=> [$b->hatched_on, $b->name]);

        return $young;
    }

    /** @throws PedigreeError when records make an animal its own ancestor */
    public function inbreeding(Animal $animal): Rational
    {
        return $this->pedigree()->inbreeding(self::key($animal->id));
    }

    /** @throws PedigreeError when records make an animal its own ancestor */
    public function kinship(Animal $a, Animal $b): Rational
    {
        return $this->pedigree()->kinship(self::key($a->id), self::key($b->id));
    }

    /** @return list<string> names of the nearest recorded ancestors that both have */
    public function commonAncestors(Animal $a, Animal $b): array
    {
        return array_map(
            fn (string $key): string => str_starts_with($key, 'outside ') ? substr($key, 8) : ($this->animal((int) substr($key, 1))->name ?? ''),
            $this->pedigree()->nearestCommonAncestors(self::key($a->id), self::key($b->id)),
        );
    }

    /** Whether one animal descends from the other, or is it. */
    public function descends(Animal $young, Animal $old): bool
    {
        return $young->id === $old->id || in_array(self::key($old->id), $this->pedigree()->ancestors(self::key($young->id)), true);
    }

    private function pedigree(): Pedigree
    {
        return $this->pedigree ??= new Pedigree(array_combine(
            array_map(fn (Animal $animal): string => self::key($animal->id), array_values($this->animals)),
            array_map(fn (Animal $animal): array => [$this->parent($animal->sire_id, $animal->sire_name), $this->parent($animal->dam_id, $animal->dam_name)], array_values($this->animals)),
        ));
    }

    /** Outside animals of one name are one animal: the keeper gave them that name. */
    private function parent(?int $id, ?string $name): ?string
    {
        return $id !== null && isset($this->animals[$id]) ? self::key($id) : (($name ?? '') === '' ? null : 'outside '.$name);
    }

    private static function key(int $id): string
    {
        return "a{$id}";
    }
}

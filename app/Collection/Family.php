<?php

declare(strict_types=1);

namespace App\Collection;

use App\Models\Animal;
use App\Models\User;
use Destino\Husbandry\Pedigree;
use Destino\Husbandry\PedigreeError;
use Destino\Probability\Rational;

/** The pedigree of a keeper's collection, outside parents included by name. */
class Family
{
    private ?Pedigree $pedigree = null;

    /** @var array<int, list<int>>|null by parent */
    private ?array $young = null;

    /** @var array<string, array{string|null, string|null}>|null */
    private ?array $parents = null;

    /** @var array<int, Animal> records that were asked for */
    private array $records = [];

    /**
     * @param  array<int, object>  $animals  rows of all animals of the keeper, by number: a record is made of one only when it is asked for
     */
    private function __construct(private readonly array $animals, private readonly Kept $kept) {}

    public static function of(User $keeper, Kept $kept): self
    {
        return new self(
            $keeper->animals()->toBase()->whereNull('deleted_at')->get([
                'id', 'user_id', 'name', 'number', 'sex', 'hatched_on', 'hatched_precision', 'sire_id', 'sire_name', 'dam_id',
                'dam_name', 'deleted_at',
            ])->keyBy('id')->all(),
            $kept,
        );
    }

    public function animal(?int $id): ?Animal
    {
        $row = $this->animals[$id ?? 0] ?? null;

        return $row === null ? null : $this->records[(int) $id] ??= (new Animal)->newFromBuilder((array) $row);
    }

    /** @return list<Animal> oldest first */
    public function offspringOf(Animal $parent): array
    {
        $young = array_values(array_filter(array_map($this->animal(...), $this->young()[$parent->id] ?? [])));
        usort($young, fn (Animal $a, Animal $b): int => [$a->hatched_on, $a->name] <=> [$b->hatched_on, $b->name]);

        return $young;
    }

    /** @throws PedigreeError when records make an animal its own ancestor */
    public function inbreeding(Animal $animal): Rational
    {
        $parents = $this->parents();
        $key = 'inbreeding:'.hash('xxh128', serialize($parents));
        $known = (array) $this->kept->get($key);
        if (! isset($known[$animal->id])) {
            $known[$animal->id] = $this->pedigree()->inbreeding(self::key($animal->id))->toString();
            $this->kept->put($key, $known);
        }

        return Rational::parse($known[$animal->id]);
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
            fn (string $key): string => str_starts_with($key, 'outside ') ? substr($key, 8) : (
                $this->animal((int) CoreId::animal($key))->name ?? ''
            ),
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
        return $this->pedigree ??= new Pedigree($this->parents());
    }

    /** @return array<string, array{string|null, string|null}> sire and dam by animal */
    private function parents(): array
    {
        if ($this->parents === null) {
            $this->parents = [];
            foreach ($this->animals as $animal) {
                $this->parents[self::key($animal->id)] = [
                    $this->parent($animal->sire_id, $animal->sire_name), $this->parent($animal->dam_id, $animal->dam_name),
                ];
            }
        }

        return $this->parents;
    }

    /** @return array<int, list<int>> by parent */
    private function young(): array
    {
        if ($this->young === null) {
            $this->young = [];
            foreach ($this->animals as $animal) {
                foreach (array_filter([$animal->sire_id, $animal->dam_id]) as $parent) {
                    $this->young[(int) $parent][] = (int) $animal->id;
                }
            }
        }

        return $this->young;
    }

    /** Outside animals of one name are one animal: the keeper gave them that name. */
    private function parent(?int $id, ?string $name): ?string
    {
        return $id !== null && isset($this->animals[$id]) ? self::key($id) : (($name ?? '') === '' ? null : 'outside '.$name);
    }

    private static function key(int $id): string
    {
        return CoreId::of($id);
    }
}

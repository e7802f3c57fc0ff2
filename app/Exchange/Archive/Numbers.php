<?php

declare(strict_types=1);

namespace App\Exchange\Archive;

use App\Models\Kinds;

/** Numbers of records on one side of an archive by those on the other: of the database and of the document. */
final class Numbers
{
    /** @var array<string, array<int, int>> by kind */
    private array $there = [];

    /** @var array<string, string>|null kinds by the fields that hold their numbers, in whatever kind of record */
    private ?array $fields = null;

    /** Gives the next number of a kind, or the one that it has. */
    public function give(string $kind, int $number): int
    {
        return $this->there[$kind][$number] ??= count($this->there[$kind] ?? []) + 1;
    }

    public function set(string $kind, int $number, int $there): void
    {
        $this->there[$kind][$number] = $there;
    }

    public function of(string $kind, mixed $number): ?int
    {
        return $number === null ? null : $this->there[$kind][(int) $number] ?? null;
    }

    /**
     * @param array<array-key, mixed> $numbers numbers, or lists of them
     * @return list<mixed> what is not there any more left out; of a list in the list, all of it
     */
    public function within(string $kind, array $numbers): array
    {
        $found = [];
        foreach ($numbers as $number) {
            $own = is_array($number) ? array_map(fn (mixed $one): ?int => $this->of($kind, $one), $number) : $this->of($kind, $number);
            if ($own !== null && ! (is_array($own) && in_array(null, $own, true))) {
                $found[] = $own;
            }
        }

        return $found;
    }

    /**
     * @param array<string, mixed> $values of a history
     * @return array<string, mixed>
     */
    public function inHistory(array $values): array
    {
        if ($this->fields === null) {
            $this->fields = ['clutch_count_id' => 'count'];
            foreach (Kinds::all() as $kind) {
                $this->fields += $kind->references;
            }
        }
        foreach (array_intersect_key($this->fields, array_filter($values, fn (mixed $value): bool => $value !== null)) as $field => $kind) {
            $values[$field] = $this->of($kind, $values[$field]);
        }

        return $values;
    }
}

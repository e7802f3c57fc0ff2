<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Notation\NotationError;
use Destino\Probability\Probability;

/**
 * The animals of a collection as the core takes them: their sex by record or by the roles they had, their parents, and what was
 * stated of them as it is read by the gene facts in use.
 *
 * @phpstan-import-type StatementRow from Records
 */
final class Individuals
{
    /** @var array<int, Individual> by id, those that were asked for */
    private array $known = [];

    /** @var array<string, Sex>|null */
    private ?array $sexes = null;

    /** @var array<int, list<NotationError>> what cannot be read any more, by statement */
    private array $unreadable = [];

    public function __construct(private readonly Records $records, private readonly CatalogueShelf $shelf) {}

    /** @return array<string, Individual> by "a" and id */
    public function all(): array
    {
        return $this->those(array_keys($this->records->animals));
    }

    /**
     * An animal and its ancestors, where of each of them both parents are recorded or none: of others it takes the whole collection
     * to say how often what comes from outside carries a gene.
     *
     * @return array<string, Individual>|null
     */
    public function line(int $id): ?array
    {
        $line = [];
        $next = [$id];
        while ($next !== []) {
            $one = array_pop($next);
            $line[$one] = $one;
            $parents = array_filter(
                [$this->records->animals[$one]['sire_id'] ?? null, $this->records->animals[$one]['dam_id'] ?? null],
                fn (?int $parent): bool => isset($this->records->animals[$parent ?? 0]),
            );
            if (count($parents) === 1) {
                return null;
            }
            array_push($next, ...array_diff($parents, $line));
        }

        return $this->those(array_values($line));
    }

    /**
     * @param list<int> $ids
     * @return array<string, Individual>
     */
    private function those(array $ids): array
    {
        $those = [];
        foreach ($ids as $id) {
            $those[CoreId::of($id)] = $this->known[$id] ??= $this->made($id);
        }

        return $those;
    }

    private function made(int $id): Individual
    {
        $animal = $this->records->animals[$id];
        $sex = $this->sexOf($id);
        $said = array_map(fn (array $statement): ?Testimony => $this->read($statement, $sex), $this->records->statements[$id] ?? []);

        return new Individual(
            CoreId::of($id), $sex, $this->parent($animal['sire_id']), $this->parent($animal['dam_id']), array_values(array_filter($said)),
        );
    }

    public function sexOf(int $id): ?Sex
    {
        $this->sexes ??= ClutchParents::sexes($this->records);

        return $this->sexes[CoreId::of($id)] ?? null;
    }

    /** @return array<int, list<NotationError>> by statement: what of this animal's statements can no longer be read */
    public function unreadable(int $id): array
    {
        foreach ($this->records->statements[$id] ?? [] as $statement) {
            $this->read($statement, $this->sexOf($id));
        }

        return array_intersect_key($this->unreadable, array_flip(array_column($this->records->statements[$id] ?? [], 'id')));
    }

    private function parent(?int $id): ?string
    {
        return $id !== null && isset($this->records->animals[$id]) ? CoreId::of($id) : null;
    }

    /** @param StatementRow $statement */
    private function read(array $statement, ?Sex $sex): ?Testimony
    {
        $reading = $this->shelf->reader()->read($statement['text'], $sex);
        if ($reading->belief === null) {
            $this->unreadable[$statement['id']] = $reading->errors;

            return null;
        }

        return new Testimony(
            (string) $statement['id'], $reading->belief, Source::from($statement['source']),
            Probability::ratio($statement['certainty'], 100), $statement['names_all'], $reading->absent,
        );
    }
}

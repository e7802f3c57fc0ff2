<?php

declare(strict_types=1);

namespace App\Collection;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Roles;
use Destino\Inference\Evidence\Tally;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/**
 * Whose young the hatchlings and eggs of each clutch are. A clutch has one sire out of those that are possible; a hatchling
 * whose own record names one of them names him for all. One that is recorded with a male who is not among them, or
 * with another dam, stands by itself.
 *
 * @phpstan-import-type AnimalRow from Records
 * @phpstan-import-type ClutchRow from Records
 */
class ClutchParents
{
    /** @var array<int, list<string|null>> possible sires by clutch; null for one from outside */
    private array $sires = [];

    /** @var array<int, array<string, Rational>> weight of each possible sire by clutch, where some are less likely than others */
    private array $weights = [];

    /** @var array<int, string> dam by clutch */
    private array $dams = [];

    /** @var array<int, list<int>> animals by clutch */
    private array $hatchlings = [];

    public function __construct(private readonly Records $records)
    {
        foreach ($records->clutches as $row) {
            $sires = array_map(
                fn (?int $sire): ?string => $sire === null || ! isset($records->animals[$sire]) ? null : CoreId::of($sire), $row['sires'],
            );
            $this->sires[$row['id']] = $sires === [] ? [null] : array_values(array_unique($sires));
            $this->weights[$row['id']] = self::weigh($sires, array_map(intval(...), array_filter($row['kept'], is_numeric(...))));
            $this->dams[$row['id']] = CoreId::of($row['dam']);
        }
        foreach ($records->animals as $id => $row) {
            if ($row['clutch_id'] !== null && isset($this->sires[$row['clutch_id']])) {
                $this->hatchlings[$row['clutch_id']][] = $id;
            }
        }
        foreach ($this->hatchlings as $clutch => $ids) {
            $named = array_values(
                array_unique(
                    array_filter(
                        array_map(fn (int $id): ?string => $this->sireOf($records->animals[$id]), $ids),
                        fn (?string $sire): bool => $sire !== null && in_array($sire, $this->sires[$clutch], true),
                    ),
                ),
            );
            if (count($named) === 1) {
                $this->sires[$clutch] = $named;
            }
        }
    }

    /**
     * A male of an earlier season weighs what the keeper gives his kept sperm; those of this season share the rest.
     *
     * @param list<string|null> $sires
     * @param array<int, int> $kept percent by place among them
     * @return array<string, Rational> by sire, the empty text for one from outside; empty where all are alike
     */
    private static function weigh(array $sires, array $kept): array
    {
        if ($kept === [] || count($sires) < 2) {
            return [];
        }
        $rest = max(1, 100 - array_sum($kept));
        $fresh = count($sires) - count($kept);
        $weights = [];
        foreach ($sires as $i => $sire) {
            $own = isset($kept[$i]) ? Rational::of(max(1, $kept[$i]), 100) : Rational::of($rest, 100 * max(1, $fresh));
            $weights[(string) $sire] = isset($weights[(string) $sire]) ? $weights[(string) $sire]->plus($own) : $own;
        }

        return $weights;
    }

    /**
     * @param list<string|null> $sires some of the possible ones
     * @return list<Rational> their weights; empty where all are alike
     */
    public function weights(int $clutch, array $sires): array
    {
        $weights = $this->weights[$clutch] ?? [];

        return $weights === [] || count($sires) < 2 ? [] : array_map(
            fn (?string $sire): Rational => $weights[(string) $sire] ?? Rational::one(), $sires,
        );
    }

    /** @return list<string|null> */
    public function sires(int $clutch): array
    {
        return $this->sires[$clutch] ?? [null];
    }

    /**
     * @param AnimalRow $row
     * @return array{list<string|null>, string|null} its possible sires, and the clutch it shares one with
     */
    public function of(array $row, ?string $sire): array
    {
        $clutch = $row['clutch_id'];
        $isOfDam = $clutch !== null && isset($this->sires[$clutch]) && $row['dam_id'] !== null
            && $this->dams[$clutch] === CoreId::of($row['dam_id']);
        if (! $isOfDam) {
            return [[$sire], null];
        }
        $own = $sire !== null ? [$sire] : ($row['sire_name'] !== null ? [null] : $this->sires[$clutch]);

        return [$own, $own === $this->sires[$clutch] ? "k{$clutch}" : null];
    }

    /**
     * Hatchlings that were kept and counted as well.
     *
     * @param ClutchRow $clutch
     * @param  list<array{saw: Target, count: int}>  $counts  living ones
     * @param  array<string, Individual>  $individuals
     */
    public function tally(array $clutch, array $counts, array $individuals, Catalogue $catalogue): Tally
    {
        $kept = [];
        foreach ($this->hatchlings[$clutch['id']] ?? [] as $id) {
            foreach (array_slice($individuals[CoreId::of($id)]->testimonies ?? [], 0, 1) as $testimony) {
                $kept[$id] = $testimony->says;
            }
            $kept[$id] ??= new \Destino\Genome\Belief($individuals[CoreId::of($id)]->sex ?? Sex::Female, []);
        }

        return Tally::of(
            $clutch['hatched'] === null ? null : (int) $clutch['hatched'], array_values($kept),
            array_map(fn (array $count): array => [$count['saw'], $count['count']], array_column($counts, null, 'id')), $catalogue,
        );
    }

    /** @return array<string, Sex> by "a" and id, as recorded or as the roles of parents have them */
    public static function sexes(Records $records): array
    {
        $recorded = $places = [];
        foreach ($records->animals as $id => $row) {
            $sex = Sex::tryFrom((string) $row['sex']);
            if ($sex !== null) {
                $recorded[CoreId::of($id)] = $sex;
            }
            $places[] = [
                CoreId::of($id), CoreId::of($id), [$row['sire_id'] === null ? null : CoreId::of($row['sire_id'])],
                $row['dam_id'] === null ? null : CoreId::of($row['dam_id']),
            ];
        }
        foreach ($records->clutches as $row) {
            $places[] = [
                CoreId::of($row['dam']), 'eggs of '.CoreId::of($row['dam']),
                array_map(fn (?int $sire): ?string => $sire === null ? null : CoreId::of($sire), $row['sires']), CoreId::of($row['dam']),
            ];
        }

        return Roles::among($recorded, $places)->sexes;
    }

    /** @param AnimalRow $row */
    private function sireOf(array $row): ?string
    {
        return $row['sire_id'] !== null && isset($this->records->animals[$row['sire_id']]) ? CoreId::of($row['sire_id']) : null;
    }
}

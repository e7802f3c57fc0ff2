<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use Destino\DestinoError;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Tally;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\FaultKind;
use Destino\Notation\Target;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/** The families of a collection for the core: everybody with what was stated, counted, seen and decided, or with some of it left out. */
final class Families
{
    public function __construct(
        private readonly Records $records,
        private readonly Individuals $individuals,
        private readonly CatalogueShelf $shelf,
        private readonly House $house,
    ) {}

    /**
     * The collection as if some clutches, their young's looks included, had not been seen, or some statements not made.
     *
     * @param list<int> $clutches
     * @param list<string> $statements
     */
    public function without(array $clutches = [], array $statements = []): Kindred
    {
        $parents = new ClutchParents($this->records);
        $individuals = $this->heard($parents, $clutches, $statements);
        $broods = $this->broods($parents, $individuals, $clutches);
        $seen = (new CueReadings($this->records, $this->shelf))->of($individuals, $clutches);

        return new Kindred($this->shelf->catalogue(), $seen, $broods, self::rates($this->house), $this->decided());
    }

    /** Which hatchlings of a clutch were kept and counted as well. */
    public function tallyOf(int $clutch): Tally
    {
        foreach ($this->records->clutches as $row) {
            if ($row['id'] === $clutch) {
                return (new ClutchParents($this->records))->tally(
                    $row, array_values(array_filter($this->readable($clutch), fn (array $count): bool => ! $count['dead'])),
                    $this->individuals->all(), $this->shelf->catalogue(),
                );
            }
        }

        return Tally::of(null, [], [], $this->shelf->catalogue());
    }

    /** @return list<array{string|null, Rational}> the males of a clutch, null for one from outside, with how likely each was beforehand */
    public function siresOf(int $clutch): array
    {
        $parents = new ClutchParents($this->records);
        $sires = $parents->sires($clutch);
        $weights = $parents->weights($clutch, $sires);

        return array_map(fn (?string $sire, int $i): array => [$sire, $weights[$i] ?? Rational::one()], $sires, array_keys($sires));
    }

    public static function rates(House $house): ErrorRates
    {
        $share = fn (string $key, int $of): Probability => Probability::ratio($house->number($key), $of);

        return new ErrorRates(
            $share('error_unrecorded', 1000), $share('error_misidentified', 1000), $share('error_sire', 1000),
            $share('error_misnamed', 1000), $share('error_mutation', 10_000_000), $share('error_dead', 100),
            $share('error_masked', 1000), $share('error_mixed', 1000), $share('error_copies', 1000),
        );
    }

    /**
     * @param list<int> $clutches left out
     * @param list<string> $statements left out
     * @return array<string, Individual> by "a" and id, with the sires that are possible
     */
    private function heard(ClutchParents $parents, array $clutches, array $statements): array
    {
        $individuals = [];
        foreach ($this->individuals->all() as $id => $one) {
            $row = $this->records->animals[(int) CoreId::animal($id)];
            $isLeftOut = in_array($row['clutch_id'], $clutches, true);
            $testimonies = array_values(
                array_filter($one->testimonies, fn ($testimony): bool => ! $isLeftOut && ! in_array($testimony->id, $statements, true)),
            );
            [$possible, $clutch] = $parents->of($row, $one->sire);
            $individuals[$id] = new Individual(
                $id, $one->sex, count($possible) === 1 ? $possible[0] : null, $one->dam, $testimonies, null,
                count($possible) > 1 ? $possible : [], $parents->weights((int) $row['clutch_id'], $possible), $clutch,
            );
        }

        return $individuals;
    }

    /**
     * What was counted, each hatchling once: one that was kept as an animal and counted as well speaks as the animal.
     *
     * @param  array<string, Individual>  $individuals
     * @param  list<int>  $without  clutches that are left out
     * @return list<Brood>
     */
    private function broods(ClutchParents $parents, array $individuals, array $without): array
    {
        $broods = [];
        foreach ($this->records->clutches as $clutch) {
            if (in_array($clutch['id'], $without, true) || ! isset($individuals[CoreId::of($clutch['dam'])])) {
                continue;
            }
            $counts = $this->readable($clutch['id']);
            $left = $parents->tally(
                $clutch, array_values(array_filter($counts, fn (array $count): bool => ! $count['dead'])), $individuals,
                $this->shelf->catalogue(),
            )->counts;
            foreach ($counts as $count) {
                $number = $count['dead'] ? $count['count'] : $left[$count['id']];
                if ($number > 0) {
                    $broods[] = new Brood(
                        CoreId::ofCount($count['id']), $parents->sires($clutch['id']), CoreId::of($clutch['dam']), $count['saw'], $number,
                        $count['dead'], $parents->weights($clutch['id'], $parents->sires($clutch['id'])), "k{$clutch['id']}",
                    );
                }
            }
        }

        return $broods;
    }

    /**
     * @return list<array{id: int, saw: Target, count: int, dead: bool}> counts of a clutch; a name that the catalogue no
     *     longer has is told on the clutch's own page
     */
    private function readable(int $clutch): array
    {
        $counts = [];
        foreach ($this->records->counts as $row) {
            if ($row['clutch_id'] === $clutch) {
                try {
                    $counts[] = [
                        'id' => $row['id'], 'saw' => $this->shelf->targets()->read($row['saw']), 'count' => (int) $row['count'],
                        'dead' => (bool) $row['dead'],
                    ];
                } catch (DestinoError) {
                    continue;
                }
            }
        }

        return $counts;
    }

    /** @return list<Fault> */
    private function decided(): array
    {
        $known = $this->shelf->catalogue()->alleles;
        $faults = [];
        foreach ($this->records->decisions as $row) {
            $alleles = array_values(array_filter(
                (array) json_decode((string) $row['alleles'], true),
                fn (mixed $allele): bool => is_string($allele) && isset($known[$allele]),
            ));
            $faults[] = Fault::of(
                FaultKind::from($row['kind']), $row['animal_id'] !== null ? CoreId::of($row['animal_id'])
                    : CoreId::ofCount($row['count_id']),
                $alleles, isset($known[$row['instead'] ?? '']) ? $row['instead'] : null,
            );
        }

        return $faults;
    }
}

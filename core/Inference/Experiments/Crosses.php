<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Destino\Genome\Sex;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * Parents and young as the genes of one school have them, over the linkage groups in question. Founders are variables by their
 * phase, parents among the young by their genotype; young without young of their own are weights on their parents.
 */
final class Crosses
{
    /** @var array<int, array<int, int>> numbers of the genotypes that a parent may have, by animal */
    private array $domains = [];

    /** @var array<string, array<int, Rational>> P(genotype | parents, sex) */
    private array $young = [];

    /**
     * @param array<int, CrossAnimal> $animals by id, parents before their young
     * @param int $excluded young that cannot be under this school, whoever their parents are: each is a mistaken record
     */
    public function __construct(
        private readonly GenotypeSpace $space, private readonly array $animals, private readonly int $excluded = 0,
    ) {}

    /** Log P(what the young show | genes of the founders, sexes); -INF where no young of such parents lives. */
    public function logLikelihood(): float
    {
        $parents = $sizes = $factors = [];
        foreach ($this->animals as $animal) {
            $parents += $animal->sire === null ? [] : [$animal->sire => true, (int) $animal->dam => true];
        }
        $variables = array_flip(array_keys(array_intersect_key($this->animals, $parents)));
        foreach ($this->animals as $id => $animal) {
            if ($animal->genes !== null) {
                $factors[] = $this->founder($id, $animal, $variables[$id] ?? null);
            } else {
                $factors[] = $this->descent($id, $animal, $variables);
            }
            isset($variables[$id]) ? $sizes[$variables[$id]] = count($this->domains[$id]) : null;
        }
        $factors = array_values(array_filter($factors));
        $order = Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors));

        return (new Elimination($sizes, $factors, $order, new Doubles))->logEvidence()
            + $this->excluded * log(Rational::parse(TraitGraph::MISTAKEN)->toFloat());
    }

    private function founder(int $id, CrossAnimal $animal, ?int $variable): ?Factor
    {
        /** @var array<int, Rational> $weights */
        $weights = [];
        foreach ($animal->genes?->statesOver($this->space->groups) ?? [] as [$state, $p]) {
            $weights[$this->space->number($state)] = $p;
        }
        $this->domains[$id] = array_keys($weights);

        return $variable === null ? null : Factor::dense([$variable], array_values($weights));
    }

    /** @param array<int, int> $variables by animal */
    private function descent(int $id, CrossAnimal $animal, array $variables): Factor
    {
        $sires = $this->domains[(int) $animal->sire];
        $dams = $this->domains[(int) $animal->dam];
        $scope = [$variables[(int) $animal->sire], $variables[(int) $animal->dam]];
        $table = $own = [];
        foreach ($sires as $sire) {
            foreach ($dams as $dam) {
                $own += $this->youngOf($sire, $dam, $animal->sex);
            }
        }
        $this->domains[$id] = array_keys($own);
        foreach ($sires as $sire) {
            foreach ($dams as $dam) {
                $young = $this->youngOf($sire, $dam, $animal->sex);
                $chances = array_map(fn (int $number): Rational => isset($young[$number])
                    ? $young[$number]->times($animal->seen?->chance($this->space->formsOf($number)) ?? Rational::one())
                    : Rational::zero(), $this->domains[$id]);
                isset($variables[$id]) ? array_push($table, ...$chances) : $table[] = Weights::sum($chances);
            }
        }

        return Factor::dense(isset($variables[$id]) ? [...$scope, $variables[$id]] : $scope, $table);
    }

    /** @return array<int, Rational> P(genotype of a living young | parents, its sex where that is known) */
    private function youngOf(int $sire, int $dam, ?Sex $sex): array
    {
        $key = "{$sire} {$dam} ".($this->space->holdsSex() ? $sex?->value : '');
        if (! isset($this->young[$key])) {
            $young = $this->space->living($sire, $dam);
            $ofSex = $sex === null || ! $this->space->holdsSex() ? $young
                : array_filter($young, fn (int $number): bool => $this->space->sexOf($number) === $sex, ARRAY_FILTER_USE_KEY);
            $sum = Weights::sum($ofSex);
            $this->young[$key] = $sum->isZero() ? [] : array_map(static fn (Rational $p): Rational => $p->dividedBy($sum), $ofSex);
        }

        return $this->young[$key];
    }
}

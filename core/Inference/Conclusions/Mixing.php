<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Genome\State;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\FamilyPosterior;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\Solved;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Distribution;
use Destino\Probability\NearestFraction;
use Destino\Probability\Rational;

/** The answer as the mixture over what may be wrong, each explanation by its odds. */
final readonly class Mixing
{
    /** Explanations less likely than this are left out of the mixture. */
    private const SLIGHT = 1e-3;

    /** Combinations that are mixed. */
    private const MOST_MIXED = 12;

    /** @param list<Fault> $decided what the keeper holds to be wrong */
    public function __construct(private Context $context, private Hypothesis $given, private Bundles $bundles, private array $decided) {}

    /**
     * @param array<string, FamilyPosterior> $plain
     * @param list<Matter> $matters
     * @return array<string, FamilyPosterior>
     */
    public function mixed(array $plain, Weighing $weighing, array $matters): array
    {
        $combinations = $weighing->combinations($matters);
        $most = max([-INF, ...array_column($combinations, 'log')]);
        $likely = array_filter($combinations, static fn (array $one): bool => exp($one['log'] - $most) >= self::SLIGHT);
        usort($likely, static fn (array $a, array $b): int => $b['log'] <=> $a['log']);
        foreach ($this->bundles->all as $bundle) {
            $mixture = new Mixture;
            foreach (array_slice($likely, 0, self::MOST_MIXED) as $one) {
                $mixture->add(
                    $this->solved($bundle, $one['faults'], $weighing->insisted($one['chosen'])),
                    NearestFraction::of(exp($one['log'] - $most), 1e-6),
                );
                if (! $mixture->isExact) {
                    break; // a family that has to be sampled is sampled once, for the likeliest explanation
                }
            }
            if ($mixture->isEmpty()) { // more is wrong than was looked for: what is at odds is not heard
                $mixture->add(
                    $this->solved($bundle, array_merge(...array_map(fn (Matter $matter): array => $this->freed($matter), $matters))),
                    Rational::one(),
                );
            }
            foreach ($mixture->isEmpty() ? [] : $bundle as $i => $space) {
                $before = $plain[$space->key];
                $plain[$space->key] = new FamilyPosterior(
                    $before->groups, $this->named($space, $mixture->of($i)), $before->logEvidence, $mixture->isExact,
                    $mixture->error, [], errors: $mixture->errors,
                );
            }
        }

        return $plain;
    }

    /** @return list<Fault> */
    private function freed(Matter $matter): array
    {
        return array_map(static fn (string $id): Fault => new Misidentified($id), $matter->subjects);
    }

    /**
     * @param list<GenotypeSpace> $bundle
     * @param list<Fault> $faults
     * @param list<string> $insisted
     */
    private function solved(array $bundle, array $faults, array $insisted = []): Solved
    {
        $hypothesis = Hypothesis::of($this->given->family, [...$this->decided, ...$faults], $this->context->catalogue, $insisted);
        $model = $this->bundles->model($this->context, $hypothesis, $bundle);

        return FamilySolver::solve($model);
    }

    /**
     * @param array<string, array<int, Rational>> $of by member and number of the genotype
     * @return array<string, Distribution<State>> of those that are recorded
     */
    public function named(GenotypeSpace $space, array $of): array
    {
        $named = [];
        foreach ($this->given->family->ids() as $id) {
            $weighted = [];
            foreach ($of[$id] ?? [] as $number => $chance) {
                $weighted[] = [$space->keyOf($number), $space->state($number), $chance];
            }
            if ($weighted !== []) {
                $named[$id] = Distribution::ofWeighted($weighted);
            }
        }

        return $named;
    }
}

<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Closure;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Faults\OtherSire;
use Destino\Inference\Inheritance\GenotypeSpace;

/**
 * How likely what was seen in a family is if something in its records is wrong; each bundle of groups is worked out once for equal
 * faults.
 */
final class FaultEvidence
{
    /** @var array<string, float> log P(evidence) by bundle and faults */
    private array $logs = [];

    /**
     * @param list<Fault> $decided
     * @param non-empty-list<Matter> $matters
     * @param Closure(list<LinkageGroup>): GenotypeSpace $space
     */
    public function __construct(
        private readonly Context $context,
        private readonly Family $family,
        private readonly Bundles $bundles,
        private readonly array $decided,
        private readonly array $matters,
        private readonly Closure $space,
    ) {}

    /**
     * Log P(evidence | faults), the subjects of other matters not heard.
     *
     * @param list<Fault> $faults
     * @param list<int> $heard
     * @param list<string> $insisted
     */
    public function log(array $faults, array $heard, array $insisted): float
    {
        foreach ($this->matters as $i => $matter) {
            foreach (in_array($i, $heard, true) ? [] : $matter->subjects as $id) {
                $faults[] = new Misidentified($id, $matter->allelesAtOdds($this->context->catalogue));
            }
        }
        $log = 0.0;
        foreach ($this->bundlesFor($faults) as $key => $bundle) {
            $log += $this->logs[$key.' '.implode(',', $insisted)] ??= $this->logOf($bundle, $faults, $insisted);
            if ($log === -INF) {
                break;
            }
        }

        return $log;
    }

    /**
     * @param list<Fault> $faults
     * @return array<string, list<GenotypeSpace>> by a key that is equal where the evidence is
     */
    private function bundlesFor(array $faults): array
    {
        $all = $this->bundles->all;
        $otherSires = array_filter($faults, static fn (Fault $fault): bool => $fault instanceof OtherSire);
        if ($otherSires !== []) {
            $all = [array_merge(...$all)]; // it is the same male at all of them
        }
        foreach ($faults as $fault) {
            if ($fault->instead !== null) {
                $all = $this->withSpaceOf($fault->instead, $all);
            }
        }
        $bundles = [];
        foreach ($all as $bundle) {
            $own = array_filter(
                $faults,
                fn (Fault $fault): bool =>
                    $fault instanceof OtherSire || $fault->alleles === [] || $this->isAbout($fault, $bundle),
            );
            $keys = array_map(static fn (Fault $fault): string => $fault->key(), $own);
            sort($keys);
            $bundles[
                implode('|', array_map(static fn (GenotypeSpace $space): string => $space->key, $bundle)).' '.implode('; ', $keys)
            ] = $bundle;
        }

        return $bundles;
    }

    /** @param list<GenotypeSpace> $bundle */
    private function isAbout(Fault $fault, array $bundle): bool
    {
        foreach ([...$fault->alleles, ...($fault->instead === null ? [] : [$fault->instead])] as $allele) {
            foreach ($bundle as $space) {
                if ($space->holds($this->context->catalogue->allele($allele)->locus)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param list<list<GenotypeSpace>> $all
     * @return list<list<GenotypeSpace>>
     */
    private function withSpaceOf(string $allele, array $all): array
    {
        $locus = $this->context->catalogue->allele($allele)->locus;
        foreach ($all as $bundle) {
            foreach ($bundle as $space) {
                if ($space->holds($locus)) {
                    return $all;
                }
            }
        }

        return [...$all, [($this->space)([$this->context->catalogue->groupOf($locus)])]];
    }

    /**
     * @param list<GenotypeSpace> $bundle
     * @param list<Fault> $faults
     * @param list<string> $insisted
     */
    private function logOf(array $bundle, array $faults, array $insisted): float
    {
        $hypothesis = Hypothesis::of($this->family, [...$this->decided, ...$faults], $this->context->catalogue, $insisted);
        $model = $this->bundles->model($this->context, $hypothesis, $bundle);

        return FamilySolver::logEvidence($model);
    }
}

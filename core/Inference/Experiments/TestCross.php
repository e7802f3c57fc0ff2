<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Closure;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Inference\Inheritance\YoungLaw;

/** A mating that is made to answer a question about one parent at one linkage group. */
final readonly class TestCross
{
    /** Looks at so many eggs. */
    public const EGGS = 24;

    private function __construct(public Separation $separation) {}

    /**
     * @param Belief $subject the animal that the question is about
     * @param Closure(Diplotype): string $answerOf the answer that a genotype of the subject would be
     */
    public static function of(Catalogue $catalogue, LinkageGroup $group, Belief $subject, Belief $mate, Closure $answerOf): self
    {
        $law = new YoungLaw($catalogue, [$group]);
        $cases = [];
        foreach ($subject->statesOver([$group]) as [$own, $q]) {
            foreach ($mate->statesOver([$group]) as [$other, $m]) {
                [$sire, $dam] = $subject->sex === Sex::Male ? [$own, $other] : [$other, $own];
                $looks = [];
                foreach ($law->living($sire, $dam) as [$young, $p]) {
                    $look = self::lookOf($catalogue, $group, $young->at($group));
                    $looks[$look] = ($looks[$look] ?? 0.0) + $p->toFloat();
                }
                $cases[] = [$answerOf($own->at($group)), $q->toFloat() * $m->toFloat(), $looks];
            }
        }

        return new self(new Separation($cases));
    }

    /** @return list<float> P(the answer stands at 95 %) after 1, 2, 3 … eggs */
    public function curve(int $eggs = self::EGGS): array
    {
        return array_map(fn (int $n): float => $this->separation->toldApart($n, .95), range(1, $eggs));
    }

    private static function lookOf(Catalogue $catalogue, LinkageGroup $group, Diplotype $diplotype): string
    {
        $parts = [];
        foreach ($group->loci as $i => $locus) {
            $pair = $diplotype->pairAt($i);
            $parts[] = $locus === Sex::LOCUS ? Sex::ofAlleles($pair)->value : $catalogue->form($locus, ...$pair)->look;
        }

        return implode('|', $parts);
    }
}

<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** Crosses of two looks of a group, each worked out once. */
final class LookCrosses
{
    /** @var array<int, array<int, list<array{int, Rational, float, Sex|null}>>> by sire and dam, where nothing hides anything */
    private array $plain = [];

    /** @var array<string, list<array{int, Rational, float, Sex|null}>> */
    private array $crosses = [];

    /** @var array<int, array<array-key, array{list<string>, Rational}>> P(haplotype | look) */
    private array $pools = [];

    public function __construct(
        private readonly LinkageGroup $group,
        private readonly Book $book,
        private readonly Diplotypes $diplotypes,
        private readonly Meiosis $meiosis,
    ) {}

    /**
     * @param list<Mask> $hiding
     * @return list<array{int, Rational, float, Sex|null}>
     */
    private function crossed(int $sire, int $dam, array $hiding): array
    {
        /** @var array<string, Weights<null>> $bySight */
        $bySight = [];
        foreach ($this->pool($sire) as [$left, $p]) {
            foreach ($this->pool($dam) as [$right, $q]) {
                $state = $this->book->number(new Diplotype($left, $right));
                if (! $this->diplotypes->isLethal($state)) {
                    $seen = $this->diplotypes->seen($state, $hiding);
                    $bySight[$seen] ??= Book::nothing();
                    $bySight[$seen]->add($state, null, $p->times($q));
                }
            }
        }
        $young = [];
        foreach ($bySight as $weights) {
            $total = $weights->total();
            $young[] = [$this->book->look($weights), $total, $total->toFloat(),
                $this->diplotypes->sexOf((int) array_key_first($weights->entries()))];
        }

        return $young;
    }

    /** @return array<array-key, array{list<string>, Rational}> P(haplotype | look), the animals of the look taken together */
    public function pool(int $look): array
    {
        if (isset($this->pools[$look])) {
            return $this->pools[$look];
        }
        /** @var Weights<list<string>> $pool */
        $pool = new Weights;
        foreach ($this->book->looks[$look] as $state => $p) {
            foreach ($this->meiosis->strands($this->group, $this->book->states[$state])->entries() as $key => [$haplotype, $q]) {
                $pool->add($key, $haplotype, $p->times($q));
            }
        }

        return $this->pools[$look] = $pool->entries();
    }

    /**
     * P(an egg of two looks lives and meets the target here).
     *
     * @param callable(int): Rational $accepted P(the target is met | look)
     */
    public function meeting(int $sire, int $dam, callable $accepted): Rational
    {
        $sum = Rational::zero();
        foreach ($this->cross($sire, $dam) as [$look, $chance]) {
            $sum = $sum->plus($chance->times($accepted($look)));
        }

        return $sum;
    }

    /**
     * What two looks give: each look of the young, P(an egg lives and looks so), and its sex where this group holds it.
     *
     * @param list<Mask> $hiding forms of the young at other groups that hide what it is here
     * @return list<array{int, Rational, float, Sex|null}>
     */
    public function cross(int $sire, int $dam, array $hiding = []): array
    {
        if ($hiding === []) {
            return $this->plain[$sire][$dam] ??= $this->crossed($sire, $dam, []);
        }

        return $this->crosses["{$sire}x{$dam}".Diplotypes::keyOf($hiding)] ??= $this->crossed($sire, $dam, $hiding);
    }
}

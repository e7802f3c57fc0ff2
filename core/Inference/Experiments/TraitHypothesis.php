<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Destino\Genome\Sex;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** A way in which an odd look might be inherited, as a little genetic model of its own. */
enum TraitHypothesis: string
{
    case NotInherited = 'not-inherited';
    case Dominant = 'dominant';
    case IncompleteDominant = 'incomplete-dominant';
    case Recessive = 'recessive';
    case SexLinked = 'sex-linked';
    case Allelic = 'allelic';

    /** Before anything was bred: assumed weights; most odd animals come to nothing. */
    public function prior(): float
    {
        return match ($this) {
            self::NotInherited => .4,
            self::Dominant => .08,
            self::IncompleteDominant => .22,
            self::Recessive => .25,
            self::SexLinked => .01,
            self::Allelic => .04,
        };
    }

    public function words(string $gene = 'the other gene'): string
    {
        return match ($this) {
            self::NotInherited => 'not inherited',
            self::Dominant => 'dominant',
            self::IncompleteDominant => 'incomplete dominant',
            self::Recessive => 'recessive',
            self::SexLinked => 'linked to sex',
            self::Allelic => "allelic to {$gene}",
        };
    }

    /**
     * The genotypes of an animal: pairs of gametes, each "trait gene/known gene", the trait's on X or Y where it is linked
     * to sex. Alleles: "+", "o" (the odd one), "k" (the known gene).
     *
     * @return array<array-key, array{list<string>, Rational}> the two gametes and P(genotype | an animal of the collection at large)
     */
    public function genotypes(Sex $sex, bool $withKnown): array
    {
        $rare = Rational::of(1, 100);
        $strands = [];
        foreach ($this === self::Allelic ? ['+', 'o', 'k'] : ['+', 'o'] as $allele) {
            foreach ($withKnown && $this !== self::Allelic ? ['+', 'k'] : ['+'] as $known) {
                $chance = Rational::one();
                foreach ([$allele, $known] as $one) {
                    $chance = $one === '+'
                        ? $chance->times($rare->complement())
                        : $chance->times($one === 'o' ? $rare : Rational::of(1, 10));
                }
                $strands["{$allele}{$known}"] = $chance;
            }
        }
        /** @var Weights<list<string>> $genotypes */
        $genotypes = new Weights;
        [$first, $second] = $this !== self::SexLinked ? ['', ''] : ($sex === Sex::Male ? ['X', 'Y'] : ['X', 'X']);
        foreach ($strands as $a => $p) {
            foreach ($strands as $b => $q) {
                $pair = [$first.$a, $second.$b];
                sort($pair);
                $genotypes->add(implode('~', $pair), $pair, $p->times($q));
            }
        }

        return $genotypes->entries();
    }

    /**
     * What a parent gives: the trait and the known gene go apart unless they are alleles; on sex chromosomes with so much recombination.
     *
     * @param list<string> $genotype
     * @return array<array-key, Rational>
     */
    public function gametes(array $genotype, Rational $recombination): array
    {
        $gametes = new Weights;
        $half = Rational::of(1, 2);
        foreach ([0, 1] as $strand) {
            foreach ([0, 1] as $known) {
                $own = $genotype[$strand];
                $other = $genotype[1 - $strand];
                $k = substr($genotype[$known], -1);
                $share = $half->times($half);
                if ($this === self::SexLinked) {
                    foreach ([[$own, $recombination->complement()], [$own[0].substr($other, 1), $recombination]] as [$gamete, $r]) {
                        $gametes->add(substr($gamete, 0, -1).$k, null, $share->times($r));
                    }
                } else {
                    $gametes->add(substr($own, 0, -1).$k, null, $share);
                }
            }
        }

        return $gametes->sums();
    }

    /**
     * How a genotype looks: "normal", "odd", "strong" (the odd look in two copies), with " known" where the known gene shows.
     *
     * @param list<string> $genotype
     */
    public function lookOf(array $genotype): string
    {
        $odd = substr_count(implode('', $genotype), 'o');
        $known = str_contains(implode('', $genotype), 'k');
        $look = match ($this) {
            self::NotInherited => 'normal',
            self::Dominant, self::SexLinked => $odd > 0 ? 'odd' : 'normal',
            self::IncompleteDominant => ['normal', 'odd', 'strong'][$odd],
            self::Recessive => $odd === 2 ? 'odd' : 'normal',
            self::Allelic => $odd === 2 ? 'strong' : ($odd === 1 ? 'odd' : 'normal'),
        };

        return $look.($known ? ' known' : '');
    }
}

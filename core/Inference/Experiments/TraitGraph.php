<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Destino\Genome\Sex;
use Destino\Inference\Graph\Factor;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** A notebook's animals as a factor graph under one hypothesis of what an odd look is. */
final class TraitGraph
{
    /** P(an animal looks otherwise than its genotype says). */
    public const MISTAKEN = '1/50';

    /** @var array<string, array<array-key, array{list<string>, Rational}>> */
    private array $young = [];

    private readonly Rational $mistaken;

    private readonly Rational $recombination;

    /** @param bool $withKnown whether there is a known gene that the trait might be allelic to */
    public function __construct(private readonly bool $withKnown)
    {
        $this->mistaken = Rational::parse(self::MISTAKEN);
        $this->recombination = Rational::of(7, 100);
    }

    /**
     * @param list<TraitAnimal> $animals
     * @return array{array<int, int>, list<Factor>, array<string, int>, array<string, array<array-key, array{list<string>, Rational}>>}
     */
    public function graph(TraitHypothesis $hypothesis, array $animals): array
    {
        $number = $genotypes = $sizes = $factors = [];
        foreach ($animals as $animal) {
            $genotypes[$animal->id] = $hypothesis->genotypes($animal->sex, $this->withKnown);
            $hasParents = isset($number[$animal->sire ?? ''], $number[$animal->dam ?? '']);
            $likelihood = array_map(
                fn (array $one): Rational => ($this->seen($hypothesis, $one[0])[$animal->look] ?? Rational::zero()),
                array_values($genotypes[$animal->id]),
            );
            if ($hasParents && $animal->count > 1) { // young alike are a weight on their parents
                $factors[] = $this->eggs($hypothesis, $animal, $number, $genotypes);

                continue;
            }
            $number[$animal->id] = count($sizes);
            $sizes[] = count($likelihood);
            $prior = array_column(array_values($genotypes[$animal->id]), 1);
            $factors[] = Factor::dense(
                [$number[$animal->id]],
                $hasParents ? $likelihood : array_map(static fn (Rational $p, Rational $q): Rational => $p->times($q), $prior, $likelihood),
            );
            if ($hasParents) {
                $factors[] = $this->transmission($hypothesis, $animal, $number, $genotypes);
            }
        }

        return [$sizes, $factors, $number, $genotypes];
    }

    /**
     * @param array<string, int> $number
     * @param array<string, array<array-key, array{list<string>, Rational}>> $genotypes
     */
    private function transmission(TraitHypothesis $hypothesis, TraitAnimal $animal, array $number, array $genotypes): Factor
    {
        $table = [];
        foreach ($genotypes[$animal->sire ?? ''] as [$sire]) {
            foreach ($genotypes[$animal->dam ?? ''] as [$dam]) {
                $young = $this->young($hypothesis, $sire, $dam, $animal->sex);
                foreach (array_keys($genotypes[$animal->id]) as $key) {
                    $table[] = $young[$key][1] ?? Rational::zero();
                }
            }
        }

        return Factor::dense([$number[$animal->sire ?? ''], $number[$animal->dam ?? ''], $number[$animal->id]], $table);
    }

    /**
     * @param array<string, int> $number
     * @param array<string, array<array-key, array{list<string>, Rational}>> $genotypes
     */
    private function eggs(TraitHypothesis $hypothesis, TraitAnimal $animal, array $number, array $genotypes): Factor
    {
        $table = [];
        foreach ($genotypes[$animal->sire ?? ''] as [$sire]) {
            foreach ($genotypes[$animal->dam ?? ''] as [$dam]) {
                $sum = Rational::zero();
                foreach ($this->young($hypothesis, $sire, $dam, $animal->sex) as [$genotype, $p]) {
                    $sum = $sum->plus($p->times($this->seen($hypothesis, $genotype)[$animal->look] ?? Rational::zero()));
                }
                $table[] = $sum->power($animal->count);
            }
        }

        return Factor::dense([$number[$animal->sire ?? ''], $number[$animal->dam ?? '']], $table);
    }

    /**
     * @param list<string> $sire
     * @param list<string> $dam
     * @return array<array-key, array{list<string>, Rational}> P(genotype | parents, sex)
     */
    public function young(TraitHypothesis $hypothesis, array $sire, array $dam, Sex $sex): array
    {
        $key = "{$hypothesis->value} ".implode('~', $sire).' '.implode('~', $dam)." {$sex->value}";
        if (isset($this->young[$key])) {
            return $this->young[$key];
        }
        /** @var Weights<list<string>> $young */
        $young = new Weights;
        foreach ($hypothesis->gametes($sire, $this->recombination) as $left => $p) {
            foreach ($hypothesis->gametes($dam, $this->recombination) as $right => $q) {
                if ($hypothesis === TraitHypothesis::SexLinked && ($left[0] === 'Y') !== ($sex === Sex::Male)) {
                    continue;
                }
                $pair = [$left, $right];
                sort($pair);
                $young->add(implode('~', $pair), $pair, $p->times($q));
            }
        }

        return $this->young[$key] = $young->normalised()->entries();
    }

    /**
     * @param list<string> $genotype
     * @return array<string, Rational> P(how it is seen | genotype)
     */
    public function seen(TraitHypothesis $hypothesis, array $genotype): array
    {
        $look = $hypothesis->lookOf($genotype);
        $known = str_ends_with($look, ' known') ? ' known' : '';
        $third = $this->mistaken->dividedBy(Rational::of(2));
        $seen = [];
        foreach (['normal', 'odd', 'strong'] as $other) {
            $seen[$other.$known] = $other.$known === $look ? $this->mistaken->complement() : $third;
        }

        return $seen;
    }
}

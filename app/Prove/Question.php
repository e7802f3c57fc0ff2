<?php

declare(strict_types=1);

namespace App\Prove;

use App\Models\Animal;
use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Probability\Rational;

/** What is not known of an animal at one linkage group. */
class Question
{
    public const NOTHING = 'does not carry it';

    /** @var array<string, float>|null */
    private ?array $answers = null;

    /** @var list<array{State, Rational}>|null */
    private ?array $states = null;

    public function __construct(
        public readonly Animal $animal,
        public readonly Belief $belief,
        public readonly LinkageGroup $group,
        private readonly Catalogue $catalogue,
    ) {}

    /** @return list<self> every group at which more than one genotype is possible */
    public static function of(Animal $animal, Belief $belief, Catalogue $catalogue): array
    {
        $questions = [];
        foreach ($belief->groups() as $key) {
            $question = new self($animal, $belief, $catalogue->groups[$key], $catalogue);
            if (count($question->answers()) > 1) {
                $questions[] = $question;
            }
        }

        return $questions;
    }

    /** @return array<string, float> P(answer) by words, the likeliest first */
    public function answers(): array
    {
        return $this->answers ??= $this->told();
    }

    /** @return list<array{State, Rational}> */
    private function states(): array
    {
        return $this->states ??= array_values($this->belief->statesOver([$this->group]));
    }

    /** @return array<string, float> */
    private function told(): array
    {
        $answers = [];
        foreach ($this->states() as [$state, $chance]) {
            $words = $this->answerOf($state->at($this->group));
            $answers[$words] = ($answers[$words] ?? 0.0) + $chance->toFloat();
        }
        arsort($answers);
        if (isset($answers[self::NOTHING])) { // last, wherever it is drawn
            $answers = array_diff_key($answers, [self::NOTHING => 0]) + $answers;
        }

        return $answers;
    }

    /** A genotype in words: "het Clown", "does not carry it", "male maker". */
    public function answerOf(Diplotype $diplotype): string
    {
        $words = [];
        foreach ($this->group->loci as $i => $locus) {
            if ($locus === Sex::LOCUS) {
                continue;
            }
            $form = $this->catalogue->form($locus, ...$diplotype->pairAt($i));
            $maker = $this->group->makerOf($diplotype, $locus);
            $words[] = $form->isWild() ? '' : $form->text.($maker === null ? '' : " ({$maker->value} maker)");
        }

        return implode(' ', array_filter($words)) ?: self::NOTHING;
    }

    /** @return list<string> keys of the alleles that it is about */
    public function alleles(): array
    {
        $alleles = [];
        foreach ($this->states() as [$state]) {
            foreach ($state->at($this->group)->haplotypes as $haplotype) {
                $alleles += array_flip($haplotype);
            }
        }
        unset($alleles[Allele::WILD], $alleles[Sex::X], $alleles[Sex::Y]);

        return array_map(strval(...), array_keys($alleles));
    }

    public function words(): string
    {
        $answers = array_keys($this->answers());
        $genes = implode(' or ', array_map(fn (string $allele): string => $this->catalogue->allele($allele)->name, $this->alleles()));
        if (in_array(self::NOTHING, $answers, true)) {
            return "Does {$this->animal->name} carry {$genes}?";
        }

        return "Is {$this->animal->name} ".implode(' or ', $answers).'?';
    }

    /** Bits that are not known. */
    public function doubt(): float
    {
        return array_sum(array_map(fn (float $p): float => $p > 0 ? -$p * log($p, 2) : 0.0, $this->answers()));
    }
}

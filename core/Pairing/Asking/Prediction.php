<?php

declare(strict_types=1);

namespace Destino\Pairing\Asking;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Claim;
use Destino\Genome\GenotypePattern;
use Destino\Genome\Sex;
use Destino\Notation\GenotypeReader;
use Destino\Notation\NameIndex;
use Destino\Notation\Reading;
use Destino\Notation\TargetReader;
use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\Advisor;
use Destino\Pairing\By;
use Destino\Pairing\Cross;
use Destino\Pairing\Genotypes;
use Destino\Pairing\Looks;
use Destino\Pairing\OutcomeSpace;
use Destino\Pairing\PairingError;
use Destino\Pairing\TargetOdds;

/** The answer to a question about a pairing; what it rests on comes with it. */
final readonly class Prediction
{
    private function __construct(
        public Question $question,
        public Catalogue $catalogue,
        public Reading $sire,
        public Reading $dam,
        public Cross $cross,
        public ?TargetOdds $target,
    ) {}

    /**
     * Reads all typed parts first, so that every error can be told at once.
     *
     * @param array<string, string> $lines the line that house rules name for a shared word
     * @param array{sire?: Belief, dam?: Belief} $known what is believed of a parent already, in place of reading its text
     * @param bool $isSlashEither whether a slash between names that are mixed up means "one of these"
     *
     * @throws UnreadableQuestion when a part cannot be read
     * @throws PairingError when per hatchling is asked and nothing hatches
     */
    public static function of(
        Catalogue $catalogue,
        Question $question,
        ?NameIndex $names = null,
        array $lines = [],
        array $known = [],
        bool $isSlashEither = false,
    ): self {
        $names ??= new NameIndex($catalogue);
        $reader = new GenotypeReader($catalogue, $names, $lines, $isSlashEither);
        $sire = isset($known['sire'])
            ? new Reading($question->sire, $known['sire'], [], [], [])
            : $reader->read($question->sire, Sex::Male);
        $dam = isset($known['dam']) ? new Reading($question->dam, $known['dam'], [], [], []) : $reader->read($question->dam, Sex::Female);
        [$target, $wrong] = trim($question->target) === ''
            ? [null, []]
            : (new TargetReader($catalogue, $names, $lines))->readAll($question->target);
        $errors = array_filter(['sire' => $sire->errors, 'dam' => $dam->errors, 'target' => $wrong]);
        if ($errors !== []) {
            throw new UnreadableQuestion($errors, $sire, $dam);
        }
        $cross = Cross::of($catalogue, $sire->beliefOrFail(), $dam->beliefOrFail());

        return new self(
            $question,
            $catalogue,
            $sire,
            $dam,
            $cross,
            $target === null ? null : TargetOdds::of($cross, $target, $question->hatched),
        );
    }

    /** @throws PairingError when per hatchling is asked and nothing hatches */
    public function outcomes(): OutcomeSpace
    {
        $sexed = $this->question->sexed || $this->target?->target->sex !== null;

        return $this->question->by === By::Genotype
            ? Genotypes::of($this->cross, $sexed, $this->question->phased, $this->question->hatched)
            : Looks::of($this->cross, $sexed, $this->question->alike, $this->question->hatched);
    }

    /** @return list<Advice> gravest first */
    public function advice(): array
    {
        return Advisor::advise($this->cross);
    }

    /** @return list<Claim> disputed facts about what these parents carry or may carry, on which the answer rests */
    public function disputes(): array
    {
        $claims = [];
        foreach ($this->cross->loci() as $locus) {
            foreach ($this->catalogue->locus($locus)->alleles as $key) {
                $one = new GenotypePattern([$key => 1]);
                if (
                    ! $this->cross->sire->chanceOf($one, $this->catalogue)->isZero()
                    || ! $this->cross->dam->chanceOf($one, $this->catalogue)->isZero()
                ) {
                    foreach ($this->catalogue->claimsAbout($key) as $claim) {
                        $claims[$claim->key] = $claim;
                    }
                }
            }
        }

        return array_values($claims);
    }

    public function assumptions(): Assumptions
    {
        return new Assumptions(
            $this->catalogue->schools,
            $this->catalogue->recombinationFractions(),
            array_values(array_unique([...$this->sire->notes, ...$this->dam->notes, ...$this->target->target->notes ?? []])),
        );
    }
}

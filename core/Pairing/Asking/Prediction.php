<?php

declare(strict_types=1);

namespace Destino\Pairing\Asking;

use Closure;
use Destino\DestinoError;
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
use Destino\Pairing\Outcome;
use Destino\Pairing\OutcomeSpace;
use Destino\Pairing\PairingError;
use Destino\Pairing\TargetOdds;

/** The answer to a question about a pairing; what it rests on comes with it. */
final readonly class Prediction
{
    /** Outcomes that are compared between the schools of a disputed fact, from the most likely down. */
    private const COMPARED = 60;

    /**
     * @param array<string, string> $lines
     * @param (Closure(array<string, string>): Catalogue)|null $under the same facts with other schools chosen
     */
    private function __construct(
        public Question $question,
        public Catalogue $catalogue,
        public Reading $sire,
        public Reading $dam,
        public Cross $cross,
        public ?TargetOdds $target,
        private array $lines,
        private bool $isOfTexts,
        private ?Closure $under,
    ) {}

    /**
     * Reads all typed parts first, so that every error can be told at once.
     *
     * @param array<string, string> $lines the line that house rules name for a shared word
     * @param array{sire?: Belief, dam?: Belief} $known what is believed of a parent already, in place of reading its text
     * @param bool $isSlashEither whether a slash between names that are mixed up means "one of these"
     * @param (Closure(array<string, string>): Catalogue)|null $under the same facts with other schools chosen, so that only those
     *     disputes are told on which something in the answer rests
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
        ?Closure $under = null,
    ): self {
        $names ??= new NameIndex($catalogue);
        $reader = new GenotypeReader($catalogue, $names, $lines, $isSlashEither);
        $sire = isset($known['sire'])
            ? new Reading($question->sire, $known['sire'], [], [], [])
            : $reader->read($question->sire, Sex::Male);
        $dam = isset($known['dam']) ? new Reading($question->dam, $known['dam'], [], [], []) : $reader->read($question->dam, Sex::Female);
        [$target, $wrong] = trim($question->target) === ''
            ? [null, []]
            : (new TargetReader($catalogue, $names, $lines, takesChoices: true))->readAll($question->target);
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
            $lines,
            $known === [],
            $under,
        );
    }

    /** @throws PairingError when per hatchling is asked and nothing hatches */
    public function outcomes(): OutcomeSpace
    {
        $sexed = $this->question->sexed || $this->target?->target->asksSex() === true;

        return $this->question->by === By::Genotype
            ? Genotypes::of($this->cross, $sexed, $this->question->phased, $this->question->hatched)
            : Looks::of($this->cross, $sexed, $this->question->alike, $this->question->hatched);
    }

    /** @return list<Advice> gravest first */
    public function advice(): array
    {
        return Advisor::advise($this->cross);
    }

    /** @return list<Claim> disputed facts about what these parents carry or may carry, on which something in the answer rests */
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

        if ($this->under === null || $claims === []) {
            return array_values($claims);
        }
        try {
            $own = ($this->isOfTexts ? $this : self::of($this->catalogue, $this->question, null, $this->lines))->said();
        } catch (DestinoError) {
            return array_values($claims); // what is known of a parent has no words here that could be read under another school
        }

        return array_values(array_filter($claims, fn (Claim $claim): bool => $this->restsOn($claim, $this->under, $own)));
    }

    /**
     * Whether another school of a dispute would give another answer: it is asked. Like is held against like, both from the texts.
     *
     * @param Closure(array<string, string>): Catalogue $under
     * @param list<mixed> $own what the answer says as it is
     */
    private function restsOn(Claim $claim, Closure $under, array $own): bool
    {
        $chosen = $this->catalogue->schools[$claim->key] ?? $claim->default;
        try {
            foreach (array_diff(array_keys($claim->schools), [$chosen]) as $school) {
                $catalogue = $under([$claim->key => $school] + $this->catalogue->schools);
                if (self::of($catalogue, $this->question, null, $this->lines)->said() !== $own) {
                    return true;
                }
            }
        } catch (DestinoError) {
            return true; // what is written here means something else there, or nothing
        }

        return false;
    }

    /** @return list<mixed> what the answer says, as far as it is compared */
    private function said(): array
    {
        $space = $this->outcomes();

        return [
            (string) $space->total(), $this->target?->chance->perEgg()->toString(), $this->cross->survival()->toString(),
            array_map(
                static fn (Outcome $one): array => [$one->label, $one->probability->toString(), $one->sex, $one->isLethal],
                    $space->top(self::COMPARED),
            ),
            array_map(static fn (Advice $advice): string => $advice->text, $this->advice()),
        ];
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

<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Components;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** Puts the statements of one text together: at most two alleles at a locus, mixtures where the text is uncertain. */
final class BeliefAssembler
{
    /** More combinations of alternatives than this in one text are refused. */
    private const MOST_CASES = 256;

    /** @var list<NotationError> */
    private array $errors = [];

    /** @var list<string> */
    private array $notes = [];

    public function __construct(private readonly Catalogue $catalogue, private readonly Sex $sex) {}

    /** @return list<NotationError> */
    public function errors(): array
    {
        return $this->errors;
    }

    /** @return list<string> */
    public function notes(): array
    {
        return $this->notes;
    }

    /**
     * @param list<Statement> $statements
     * @return Belief|null null where a statement does not fit the others
     */
    public function assemble(array $statements): ?Belief
    {
        $certain = $this->certain($statements);
        $mixtures = $this->mixtures($statements);
        $makers = $this->makers($statements);
        if ($this->errors() !== []) {
            return null;
        }
        $factors = [];
        foreach ($this->components($certain, $mixtures) as [$groups, $ownMixtures]) {
            $factor = $this->factor($groups, $certain, $ownMixtures, $makers);
            if ($factor !== null) {
                $factors[] = $factor;
            }
        }

        return $this->errors() === [] ? new Belief($this->sex, $factors) : null;
    }

    /**
     * @param list<Statement> $statements
     * @return array<string, list<string>> alleles by locus
     * @phpstan-impure it collects errors
     */
    private function certain(array $statements): array
    {
        $atLocus = $ofLocus = [];
        foreach ($statements as $statement) {
            if (! $statement->isCertain()) {
                continue;
            }
            $alleles = $statement->alleles();
            $locus = $this->catalogue->allele($alleles[0] ?? '')->locus;
            $before = $atLocus[$locus] ?? [];
            $both = [...$before, ...$alleles];
            if (count($alleles) === 1 && $before === $alleles) {
                $allele = $this->catalogue->allele($alleles[0]);
                $this->errors[] = NotationError::namedTwice(
                    $statement->piece, $statement->from, $this->catalogue->twoCopies($allele)->text,
                );
            } elseif (count($both) > 2) {
                $this->errors[] = $this->tooMany($statement, $locus, $both);
            } else {
                $atLocus[$locus] = $both;
                $ofLocus[$locus][] = $statement;
            }
        }
        foreach ($atLocus as $locus => $alleles) {
            if (count($alleles) === 2 && count($ofLocus[$locus]) === 2) {
                $form = $this->catalogue->form($locus, $alleles[0], $alleles[1]);
                $known = $form->knownAs === null ? '' : " ({$form->knownAs})";
                $this->notes[] = "{$this->name($alleles[0])} and {$this->name($alleles[1])} stand at one locus, one from each parent: "
                    ."read as {$form->text}{$known}.";
            }
        }

        return $atLocus;
    }

    /** @param list<string> $alleles */
    private function tooMany(Statement $statement, string $locus, array $alleles): NotationError
    {
        $distinct = array_values(array_unique($alleles));
        $suggestions = [];
        if (count($distinct) === 2) {
            $suggestions[] = $this->catalogue->form($locus, $distinct[0], $distinct[1])->text;
        }

        return NotationError::tooManyAlleles(
            $statement->piece, $statement->from, $this->catalogue->locus($locus)->name,
            array_map($this->name(...), $alleles), $suggestions,
        );
    }

    /**
     * The uncertain statements; percentages at one locus exclude each other and become one mixture.
     *
     * @param list<Statement> $statements
     * @return list<Statement>
     * @phpstan-impure it collects errors
     */
    private function mixtures(array $statements): array
    {
        $choices = $byLocus = [];
        foreach ($statements as $statement) {
            if ($statement->isCertain()) {
                continue;
            }
            if ($statement->isChoice) {
                $choices[] = $statement;

                continue;
            }
            $locus = $this->catalogue->allele($statement->alleles()[0] ?? '')->locus;
            $before = $byLocus[$locus] ?? null;
            $joined = $before === null
                ? $statement
                : new Statement(
                    [...$before->alternatives, ...$statement->alternatives], $statement->piece, $statement->from, $statement->to,
                    $statement->maker ?? $before->maker,
                );
            if ($joined->remainder()->isNegative()) {
                $this->errors[] = NotationError::percentagesOver100(
                    $statement->piece, $statement->from, $this->catalogue->locus($locus)->name,
                );
            } else {
                $byLocus[$locus] = $joined;
            }
        }

        return [...array_values($byLocus), ...$choices];
    }

    /**
     * @param list<Statement> $statements
     * @return array<string, Sex> by allele
     * @phpstan-impure it collects errors
     */
    private function makers(array $statements): array
    {
        $makers = [];
        foreach ($statements as $statement) {
            if ($statement->maker === null) {
                continue;
            }
            if ($this->sex === Sex::Female) {
                $this->errors[] = NotationError::misplaced(
                    $statement->piece, $statement->from,
                    'only a male can be a male maker or a female maker; a female gives the gene to sons and daughters alike.',
                );
            }
            $makers[$statement->alternatives[0][1][0] ?? ''] = $statement->maker;
        }

        return $makers;
    }

    /**
     * Linkage groups that must be looked at together, with the mixtures over them.
     *
     * @param array<string, list<string>> $certain
     * @param list<Statement> $mixtures
     * @return list<array{list<LinkageGroup>, list<Statement>}>
     */
    private function components(array $certain, array $mixtures): array
    {
        $components = new Components(array_map(fn (string $locus): string => $this->catalogue->groupOf($locus)->key, array_keys($certain)));
        $groupsOf = fn (Statement $mixture): array => array_map(
            fn (array $alternative): string => $this->catalogue->groupOf($this->catalogue->allele($alternative[1][0] ?? '')->locus)->key,
            $mixture->alternatives,
        );
        foreach ($mixtures as $mixture) {
            $components->tie($groupsOf($mixture));
        }

        return array_map(fn (array $keys): array => [
            array_map(fn (string $key): LinkageGroup => $this->catalogue->groups[$key], $keys),
            array_values(
                array_filter($mixtures, static fn (Statement $mixture): bool => array_intersect($groupsOf($mixture), $keys) !== []),
            ),
        ], $components->all());
    }

    /**
     * @param list<array{Rational, array<string, list<string>>}> $cases weight and alleles by locus
     * @return list<array{Rational, array<string, list<string>>}>|null each with each alternative; null where a locus is full
     * @phpstan-impure it collects errors
     */
    private function crossed(array $cases, Statement $mixture): ?array
    {
        $next = [];
        foreach ($cases as [$weight, $alleles]) {
            foreach ([...$mixture->alternatives, [$mixture->remainder(), []]] as [$chance, $added]) {
                if ($chance->isZero()) {
                    continue;
                }
                $with = $alleles;
                foreach ($added as $allele) {
                    $locus = $this->catalogue->allele($allele)->locus;
                    $with[$locus][] = $allele;
                    if (count($with[$locus]) > 2) {
                        $this->errors[] = $this->tooMany($mixture, $locus, $with[$locus]);

                        return null;
                    }
                }
                $next[] = [$weight->times($chance), $with];
            }
        }

        return $next;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @param array<string, list<string>> $certain
     * @param list<Statement> $mixtures
     * @param array<string, Sex> $makers
     * @phpstan-impure it collects errors
     */
    private function factor(array $groups, array $certain, array $mixtures, array $makers): ?JointBelief
    {
        /** @var list<array{Rational, array<string, list<string>>}> $cases weight and alleles by locus */
        $cases = [[Rational::one(), $certain]];
        foreach ($mixtures as $mixture) {
            $cases = $this->crossed($cases, $mixture);
            if ($cases === null) {
                return null;
            }
            if (count($cases) > self::MOST_CASES) {
                $this->errors[] = NotationError::misplaced(
                    $mixture->piece, $mixture->from, 'the text holds more alternatives than can be weighed together.',
                );

                return null;
            }
        }
        $phases = new Phases($this->sex, $makers);
        $states = [];
        foreach ($cases as [$weight, $alleles]) {
            array_push($states, ...$phases->of($groups, $alleles, $weight));
        }
        array_push($this->notes, ...$phases->notes);

        return new JointBelief(
            array_map(static fn (LinkageGroup $group): string => $group->key, $groups), Distribution::ofWeighted($states),
        );
    }

    private function name(string $allele): string
    {
        return $this->catalogue->allele($allele)->name;
    }
}

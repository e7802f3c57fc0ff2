<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Components;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;

/** Puts the statements of one text together: at most two alleles at a locus, mixtures where the text is uncertain. */
final class BeliefAssembler
{
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
        $alternatives = new Alternatives($this->catalogue, $this->sex);
        foreach ($this->components($certain, $mixtures) as [$groups, $ownMixtures]) {
            $factor = $alternatives->factor($groups, $certain, $ownMixtures, $makers);
            if ($factor !== null) {
                $factors[] = $factor;
            }
        }

        array_push($this->notes, ...$alternatives->notes);
        array_push($this->errors, ...$alternatives->errors);

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
                $this->errors[] = NotationFaults::tooMany($this->catalogue, $statement, $locus, $both);
            } else {
                $atLocus[$locus] = $both;
                $ofLocus[$locus][] = $statement;
            }
        }
        foreach ($atLocus as $locus => $alleles) {
            if (count($alleles) === 2 && count($ofLocus[$locus]) === 2) {
                $form = $this->catalogue->form($locus, $alleles[0], $alleles[1]);
                $known = $form->knownAs === null ? '' : " ({$form->knownAs})";
                [$one, $other] = [$this->catalogue->allele($alleles[0])->name, $this->catalogue->allele($alleles[1])->name];
                $this->notes[] = "{$one} and {$other} stand at one locus, one from each parent: "
                    ."read as {$form->text}{$known}.";
            }
        }

        return $atLocus;
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
}

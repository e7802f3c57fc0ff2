<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** What may be at some linkage groups, with each alternative of the uncertain statements. */
final class Alternatives
{
    /** More combinations of alternatives than this in one text are refused. */
    private const MOST_CASES = 256;

    /** @var list<NotationError> */
    public array $errors = [];

    /** @var list<string> */
    public array $notes = [];

    public function __construct(private readonly Catalogue $catalogue, private readonly Sex $sex) {}

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
                        $this->errors[] = NotationFaults::tooMany($this->catalogue, $mixture, $locus, $with[$locus]);

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
    public function factor(array $groups, array $certain, array $mixtures, array $makers): ?JointBelief
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
}

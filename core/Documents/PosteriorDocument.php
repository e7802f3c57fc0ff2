<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\JointBelief;
use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Faults\Contradiction;
use Destino\Inference\Faults\Explanation;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misnamed;
use Destino\Notation\Printer;
use Destino\Probability\Rational;

/** What follows from a pedigree, as the document destino-posterior/1. */
final class PosteriorDocument
{
    /** @return array<string, mixed> */
    public static function of(Kindred $kindred, Catalogue $catalogue): array
    {
        $factors = $contradictions = $unlikely = $errors = [];
        $log = 0.0;
        $isExact = true;
        $error = 0.0;
        foreach ($kindred->families() as $family => $ids) {
            foreach ($kindred->groupSetsOf($family) as $groups) {
                $posterior = $kindred->posterior($family, $groups);
                $log += $posterior->logEvidence;
                $isExact = $isExact && $posterior->isExact;
                $error = max($error, $posterior->error);
                foreach ($posterior->errors as $id => $off) {
                    $errors[$id] = max($off, $errors[$id] ?? 0.0);
                }
                array_push($contradictions, ...$posterior->contradictions);
                array_push($unlikely, ...$posterior->unlikely);
                foreach ($posterior->of as $id => $states) {
                    $factors[$id][] = new JointBelief($posterior->groups, $states);
                }
            }
        }
        $animals = array_map(
            fn (string $id): array => self::animal($id, new Belief($kindred->animal($id)->sex ?? Sex::Female, $factors[$id] ?? []),
                $catalogue)
                + (isset($errors[$id]) ? ['error' => round($errors[$id], 6)] : []),
            array_merge([], ...$kindred->families()),
        );

        return [
            'format' => 'destino-posterior/1', 'exact' => $isExact, 'error' => $error,
            'log_evidence' => is_finite($log) ? round($log, 9) : null,
            'contradiction' => $contradictions !== [], 'animals' => $animals,
            'contradictions' => array_map(fn (Contradiction $one): array => self::contradiction($one, $catalogue), $contradictions),
            'unlikely' => array_map(
                fn (Contradiction $one): array => self::contradiction($one, $catalogue) + ['decimal' => (float) $one->chance],
                $unlikely,
            ),
            'rates' => array_map(fn (Rational $rate): string => $rate->toString(), $kindred->rates()->all()),
        ];
    }

    /** @return array<string, mixed> */
    private static function contradiction(Contradiction $one, Catalogue $catalogue): array
    {
        return [
            'subject' => self::plain($one->subject), 'loci' => $one->loci, 'others' => array_map(self::plain(...), $one->others),
            'explanations' => self::explanations($one, $catalogue),
        ];
    }

    /** @return list<array<string, mixed>> what may be wrong, the likeliest first */
    public static function explanations(Contradiction $one, Catalogue $catalogue): array
    {
        return array_map(fn (Explanation $why): array => [
            'kind' => $why->kind()->value ?? 'several', 'subject' => self::plain($why->fault->subject),
            'alleles' => $why->fault->alleles,
            'faults' => array_map(
                fn (Fault $fault): array => [
                    'kind' => $fault->kind()->value, 'subject' => self::plain($fault->subject), 'alleles' => $fault->alleles,
                ] + ($fault instanceof Misnamed ? ['instead' => $fault->instead] : []),
                $why->faults,
            ),
            'decimal' => round($why->odds, 6),
            'text' => $why->words(self::plain(...), $catalogue),
        ], $one->explanations);
    }

    /** @return array<string, mixed> */
    private static function animal(string $id, Belief $belief, Catalogue $catalogue): array
    {
        $loci = [];
        foreach ($belief->factors as $factor) {
            foreach ($factor->groups as $key) {
                $group = $catalogue->groups[$key];
                foreach ($group->loci as $locus) {
                    $pairs = $locus === Sex::LOCUS ? [] : $belief->marginalAt($locus, $group)->entries();
                    $isPlain = true;
                    $told = [];
                    foreach ($pairs as [$pair, $chance]) {
                        usort($pair, fn (string $a, string $b): int => [$a === Allele::WILD, $a] <=> [$b === Allele::WILD, $b]);
                        $isPlain = $isPlain && $pair === [Allele::WILD, Allele::WILD];
                        $told[] = ['alleles' => $pair, 'probability' => $chance->toString(), 'decimal' => round($chance->toFloat(), 9)];
                    }
                    if (! $isPlain) {
                        usort($told, fn (array $a, array $b): int => [$b['decimal'], $a['alleles']] <=> [$a['decimal'], $b['alleles']]);
                        $loci[$locus] = $told;
                    }
                }
            }
        }

        return ['id' => self::plain($id), 'text' => (new Printer($catalogue))->belief($belief), 'loci' => (object) $loci];
    }

    private static function plain(string $id): string
    {
        return str_starts_with($id, PedigreeReader::MARK) ? substr($id, strlen(PedigreeReader::MARK)) : $id;
    }
}

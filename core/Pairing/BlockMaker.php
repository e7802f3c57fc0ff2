<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Components;
use Destino\Genome\Expression;
use Destino\Genome\Expressions;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** Makes the independent blocks of a pairing: the groups that some belief ties together, each with its cases of the parents. */
final readonly class BlockMaker
{
    /** Outcomes of all cases of the parents together that one block may hold: beyond that nobody waits for the answer. */
    private const MOST_OUTCOMES = 250_000;

    private Meiosis $meiosis;

    private Expressions $expressions;

    public function __construct(private Catalogue $catalogue, private Belief $sire, private Belief $dam)
    {
        $this->meiosis = new Meiosis;
        $this->expressions = new Expressions($catalogue);
    }

    /**
     * @param array<array-key, string> $keys of the groups that are in question
     * @return list<Block> in catalogue order
     *
     * @throws PairingError when what is not known of the parents ties too much together
     */
    public function blocks(array $keys): array
    {
        return array_map(fn (array $groups): Block => new Block($groups, $this->cases($groups)), $this->components($keys));
    }

    /**
     * Groups that some belief ties together, as one list each, in catalogue order.
     *
     * @param array<array-key, string> $keys
     * @return list<list<LinkageGroup>>
     */
    private function components(array $keys): array
    {
        $rank = fn (string $key): int => min(
            PHP_INT_MAX,
            ...array_map(fn (string $locus): int => $this->catalogue->locus($locus)->rank, $this->catalogue->groups[$key]->loci),
        );
        usort($keys, static fn (string $a, string $b): int => $rank($a) <=> $rank($b));
        $components = new Components($keys);
        foreach ([...$this->sire->factors, ...$this->dam->factors] as $factor) {
            $components->tie($factor->groups);
        }

        return array_map(
            fn (array $tied): array => array_map(fn (string $key): LinkageGroup => $this->catalogue->groups[$key], $tied),
            $components->all(),
        );
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<array{Rational, array<string, Distribution<Expression>>}>
     */
    private function cases(array $groups): array
    {
        $cases = $offspring = [];
        $outcomes = 0.0;
        foreach ($this->sire->statesOver($groups) as [$paternal, $p]) {
            foreach ($this->dam->statesOver($groups) as [$maternal, $q]) {
                $byGroup = [];
                foreach ($groups as $group) {
                    $byGroup[$group->key] = $offspring[
                        "{$group->key} {$paternal->at($group)->key} {$maternal->at($group)->key}"
                    ] ??= $this->offspring($group, $paternal, $maternal);
                }
                $outcomes += array_product(array_map(static fn (Distribution $offspring): int => $offspring->count(), $byGroup));
                if ($outcomes > self::MOST_OUTCOMES) {
                    throw PairingError::tooManyCases(
                        array_merge(
                            ...array_map(
                                static fn (LinkageGroup $group): array => array_values(array_diff($group->loci, [Sex::LOCUS])),
                                $groups,
                            ),
                        ),
                    );
                }
                $cases[] = [$p->times($q), $byGroup];
            }
        }

        return $cases;
    }

    /** @return Distribution<Expression> P(an egg's genotype at one group | its parents') */
    private function offspring(LinkageGroup $group, State $sire, State $dam): Distribution
    {
        $weighted = [];
        foreach ($this->meiosis->eggs([$group], $sire, $dam)->entries() as $key => [$egg, $chance]) {
            $weighted[] = [(string) $key, $this->expressions->of($group, $egg->at($group)), $chance];
        }

        return Distribution::ofWeighted($weighted);
    }
}

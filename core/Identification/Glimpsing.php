<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Expressions;
use Destino\Genome\Form;
use Destino\Genome\JointBelief;
use Destino\Genome\State;
use Destino\Inference\Evidence\Glimpses;
use Destino\Probability\Rational;

/**
 * Recorded cues of one animal as evidence for the family: L(g) = Σ P(h) · Π P(cue seen | g, h) over what the animal may be
 * elsewhere, h, as it is believed without the cues. That is exact for the animal itself where its parts are independent
 * beforehand; between siblings whose cues speak of several groups at once it is the first step of what the bench works out
 * for all of them together.
 */
final class Glimpsing
{
    /** Genotypes that are gone through at the most; beyond them the cues stay on the bench. */
    public const MOST = 40_000;

    /** However clear a cue: one in so many is misread. An assumption. */
    private const MISREAD = 1000;

    private readonly Eye $eye;

    private readonly Expressions $expressions;

    public function __construct(private readonly Catalogue $catalogue)
    {
        $this->eye = new Eye($catalogue);
        $this->expressions = new Expressions($catalogue);
    }

    /**
     * @param array<string, Cue> $cues by key
     * @param array<string, int> $seen state by cue
     * @param array<string, int|null> $days age when each was read, where it is known
     * @return Glimpses|null null where they say nothing, or more is open than can be gone through
     */
    public function of(array $cues, array $seen, Belief $belief, array $days = []): ?Glimpses
    {
        $seen = array_intersect_key(Cue::counting($cues, $seen), $cues);
        $open = $this->open($cues, $seen, $belief);
        $count = array_product(array_map(static fn (JointBelief $one): int => count($one->states->entries()), $open));
        if ($seen === [] || $open === [] || $count > self::MOST) {
            return null;
        }
        $sums = array_fill(0, count($open), []);
        $fixed = $this->fixed($belief, $open);
        foreach ($this->ways($open) as [$states, $chance, $forms]) {
            $weight = $chance->times($this->chance($cues, $seen, $forms + $fixed, $days));
            foreach ($states as $i => $state) {
                $sums[$i][$state->key] = isset($sums[$i][$state->key]) ? $sums[$i][$state->key]->plus($weight) : $weight;
            }
        }
        $likelihoods = [];
        foreach ($open as $i => $factor) {
            $own = self::likelihoods($factor, $sums[$i]);
            if ($own !== null) {
                $likelihoods[implode('|', $factor->groups)] = $own;
            }
        }

        return $likelihoods === [] ? null : new Glimpses($likelihoods);
    }

    /**
     * P(seen | genotype of the factor), the largest being 1; null where it is the same for all.
     *
     * @param array<string, Rational> $sums P(genotype and seen)
     * @return array<string, Rational>|null
     */
    private static function likelihoods(JointBelief $factor, array $sums): ?array
    {
        $all = [];
        $most = Rational::zero();
        foreach ($factor->states->entries() as $key => [$state, $p]) {
            $all[$state->key] = $sums[$state->key]->dividedBy($p);
            $most = $all[$state->key]->compareTo($most) > 0 ? $all[$state->key] : $most;
        }
        if ($most->isZero()) {
            return null; // it cannot look so whatever it is: its look, not its cues, is to be questioned
        }
        $least = Rational::of(1, self::MISREAD);
        $says = false;
        foreach ($all as $key => $one) {
            $share = $one->dividedBy($most);
            $all[$key] = $share->compareTo($least) < 0 ? $least : $share;
            $says = $says || ! $share->isOne();
        }

        return $says ? $all : null;
    }

    /**
     * Parts of the belief that are not settled and of which a cue speaks.
     *
     * @param array<string, Cue> $cues
     * @param array<string, int> $seen
     * @return list<JointBelief>
     */
    private function open(array $cues, array $seen, Belief $belief): array
    {
        $groups = [];
        foreach (array_keys($seen) as $key) {
            foreach ($cues[$key]->loci() as $locus) {
                $groups[$this->catalogue->groupOf($locus)->key] = true;
            }
        }

        return array_values(array_filter(
            $belief->factors,
            static fn (JointBelief $one): bool => ! $one->states->isCertain() && array_intersect_key($groups, array_flip($one->groups)) !== [],
        ));
    }

    /**
     * @param list<JointBelief> $open
     * @return iterable<array{list<State>, Rational, array<string, Form>}> genotypes of the open parts, their chance and forms
     */
    private function ways(array $open): iterable
    {
        if ($open === []) {
            yield [[], Rational::one(), []];

            return;
        }
        $last = array_pop($open);
        foreach ($this->ways($open) as [$states, $chance, $forms]) {
            foreach ($last->states->entries() as [$state, $p]) {
                yield [[...$states, $state], $chance->times($p), $this->forms($state) + $forms];
            }
        }
    }

    /**
     * @param list<JointBelief> $open
     * @return array<string, Form> of what is settled
     */
    private function fixed(Belief $belief, array $open): array
    {
        $forms = [];
        foreach ($belief->factors as $factor) {
            if ($factor->states->isCertain() && ! in_array($factor, $open, true)) {
                foreach ($factor->states->entries() as [$state]) {
                    $forms += $this->forms($state);
                }
            }
        }

        return $forms;
    }

    /** @return array<string, Form> by locus */
    private function forms(State $state): array
    {
        $forms = [];
        foreach ($this->expressions->ofState($state) as $expression) {
            $forms += $expression->forms;
        }

        return $forms;
    }

    /**
     * @param array<string, Cue> $cues
     * @param array<string, int> $seen
     * @param array<string, Form> $forms
     * @param array<string, int|null> $days
     */
    private function chance(array $cues, array $seen, array $forms, array $days): Rational
    {
        $product = Rational::one();
        foreach ($seen as $key => $state) {
            $product = $product->times($cues[$key]->rules[$this->eye->rule($cues[$key], $forms, $days[$key] ?? null)]->chances[$state]);
        }

        return $product;
    }
}

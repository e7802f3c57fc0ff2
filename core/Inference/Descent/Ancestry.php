<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Closure;
use Destino\Genome\Belief;
use Destino\Genome\Gamete;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Meiosis;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Inheritance\Outside;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** P(genotype | what is believed of the parents), before anything that is said of the animal itself. */
final class Ancestry
{
    private readonly Meiosis $meiosis;

    /** @var array<string, Weights<Gamete>> by parent and groups */
    private array $pools = [];

    /** @param Closure(): Outside $outside what is known of animals from outside */
    public function __construct(private readonly Spaces $spaces, private readonly Hearing $hearing, private readonly Closure $outside)
    {
        $this->meiosis = new Meiosis;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return Weights<State>|null null where no parent is recorded
     */
    public function prior(array $groups, Individual $animal, ?Belief $sire, ?Belief $dam): ?Weights
    {
        if ($sire === null && $dam === null) {
            return null;
        }
        $paternal = $sire === null
            ? $this->fromOutside($groups, $animal, Sex::Male)
            : $this->given($groups, $animal->sire ?? '', $sire)->entries();
        $maternal = $dam === null
            ? $this->fromOutside($groups, $animal, Sex::Female)
            : $this->given($groups, $animal->dam ?? '', $dam)->entries();
        $young = $this->meiosis->joined($paternal, $maternal);
        if ($animal->sex === null) {
            return $young;
        }
        $expressions = $this->spaces->over($groups)->law->expressions;

        return $young->where(static fn (State $state): bool => in_array($expressions->sexOf($state), [null, $animal->sex], true));
    }

    /**
     * P(gamete | what is believed of a parent). Groups that its belief ties stay tied.
     *
     * @param list<LinkageGroup> $groups
     * @return Weights<Gamete>
     */
    private function given(array $groups, string $id, Belief $parent): Weights
    {
        $key = $id.' '.implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups));

        return $this->pools[$key] ??= $this->meiosis->pool($groups, $parent->statesOver($groups));
    }

    /**
     * What an unrecorded parent gives: the wild type, or an allele that a statement names, as often as animals from outside
     * give it.
     *
     * @param list<LinkageGroup> $groups
     * @return list<array{Gamete, Rational}>
     */
    private function fromOutside(array $groups, Individual $animal, Sex $parent): array
    {
        $alleles = $this->hearing->allelesNamed($this->spaces->over($groups), $animal);
        if ($alleles !== []) {
            return ($this->outside)()->gametes($groups, $parent, $alleles);
        }

        return array_values($this->meiosis->gametes($groups, State::wild($groups, $parent))->entries());
    }
}

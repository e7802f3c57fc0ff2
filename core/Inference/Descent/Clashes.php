<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Testimony;
use Destino\Probability\Weights;

/** Sides that allow no genotype in common. */
final readonly class Clashes
{
    public function __construct(private Spaces $spaces, private Hearing $hearing) {}

    /**
     * @param list<LinkageGroup> $groups
     * @param list<Testimony> $relevant
     * @param Weights<State>|null $prior
     * @param list<Mask> $hiding
     * @return list<Conflict>
     */
    public function between(array $groups, array $relevant, ?Weights $prior, array $hiding): array
    {
        $conflicts = [];
        foreach ($relevant as $i => $one) {
            if ($prior !== null && ! $this->isAllowed(array_column($prior->entries(), 0), $groups, [$one], $hiding)) {
                $conflicts[] = new Conflict($this->lociAtOdds($groups, $one), [Reason::PARENTS, $one->id]);
            }
            foreach (array_slice($relevant, $i + 1) as $other) {
                $meant = array_column([...$one->says->statesOver($groups), ...$other->says->statesOver($groups)], 0);
                if (! $this->isAllowed($meant, $groups, [$one, $other], $hiding)) {
                    $named = $this->hearing->naming->loci($groups, $one) + $this->hearing->naming->loci($groups, $other);
                    $conflicts[] = new Conflict(array_keys($named), [$one->id, $other->id]);
                }
            }
        }

        return $conflicts;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<string> loci, that of the sex left out
     */
    public static function lociOf(array $groups): array
    {
        return array_values(
            array_diff(array_merge(...array_map(static fn (LinkageGroup $group): array => $group->loci, $groups)), [Sex::LOCUS]),
        );
    }

    /**
     * Whether all of these statements allow some state.
     *
     * @param list<State> $states
     * @param list<LinkageGroup> $groups
     * @param list<Testimony> $statements
     * @param list<Mask> $hiding
     */
    private function isAllowed(array $states, array $groups, array $statements, array $hiding): bool
    {
        $space = $this->spaces->over($groups);
        $says = array_map(fn (Testimony $one): array => $this->hearing->chances($space, $one), $statements);
        foreach ($states as $state) {
            $isExcluded = false;
            foreach ($statements as $i => $one) {
                $isExcluded = $isExcluded || $this->hearing->allows($state, $space, $one, $says[$i], $hiding) === null;
            }
            if (! $isExcluded) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<string>
     */
    private function lociAtOdds(array $groups, Testimony $testimony): array
    {
        $named = array_keys($this->hearing->naming->loci($groups, $testimony));

        return $named !== [] ? $named : self::lociOf($groups);
    }
}

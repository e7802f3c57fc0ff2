<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Mask;
use Destino\Inference\Inheritance\GenotypeSpace;

/**
 * Which members of a family may be of a form that hides other genes (an all-white compound), and which spaces of genotypes
 * are therefore to be worked out together: what is not seen in a white animal says nothing, and an animal that may be
 * white or not ties the two.
 */
final class Hiding
{
    /** @var array<string, array<string, array<string, list<Mask>>>> masks by their key, by space and member */
    private array $ways = [];

    /**
     * @var list<array{string, list<string>}> a space, and loci where something was not seen in a member that may hide it; no
     *     loci for all
     */
    public array $ties = [];

    private function __construct(private readonly Context $context, private readonly Hypothesis $hypothesis) {}

    /** @param list<GenotypeSpace> $spaces all of which anything is recorded in the family */
    public static function in(Context $context, Hypothesis $hypothesis, array $spaces): self
    {
        $hiding = new self($context, $hypothesis);
        foreach ($spaces as $space) {
            if ($space->canHide()) {
                $hiding->look($space);
            }
        }

        return $hiding;
    }

    /**
     * What hides things in each member, as seen from some spaces.
     *
     * @param list<GenotypeSpace> $together
     * @return array<string, Concealed>
     */
    public function from(array $together): array
    {
        $inside = array_map(static fn (GenotypeSpace $space): string => $space->key, $together);
        $concealed = [];
        foreach ($this->members() as $id) {
            $sure = [];
            $ways = [[]];
            foreach ($this->ways as $space => $byMember) {
                $own = array_values($byMember[$id] ?? []);
                if ($own === []) {
                    continue;
                }
                if (! in_array($space, $inside, true) && count($own) === 1) {
                    $sure = [...$sure, ...$own[0]];
                }
                $longer = [];
                foreach ($ways as $masks) {
                    foreach ($own as $more) {
                        $longer[] = [...$masks, ...$more];
                    }
                }
                $ways = $longer;
            }
            if ($sure !== [] || count($ways) > 1 || $ways[0] !== []) {
                $concealed[$id] = new Concealed($sure, $ways);
            }
        }

        return $concealed;
    }

    /** @return list<string> */
    private function members(): array
    {
        $ids = [];
        foreach ($this->ways as $byMember) {
            $ids += $byMember;
        }

        return array_map(strval(...), array_keys($ids));
    }

    private function look(GenotypeSpace $space): void
    {
        $model = Modelling::of($this->context, $this->hypothesis, [$space]);
        foreach ($this->hypothesis->family->members as $id => $member) {
            $ways = [];
            foreach (array_keys($model->domains[0][$id] ?? []) as $number) {
                $ways[GenotypeSpace::maskKey($space->masksOf($number))] = $space->masksOf($number);
            }
            $this->note($space, $member, $ways);
        }
        foreach ($model->offender === null ? $this->hypothesis->family->eggs : [] as $eggs) {
            $this->note($space, $eggs, EggEvidence::hidingAt($model, $eggs, 0));
        }
    }

    /** @param array<string, list<Mask>> $ways by key */
    private function note(GenotypeSpace $space, Member $member, array $ways): void
    {
        if ($ways === [] || array_keys($ways) === ['']) {
            return;
        }
        $this->ways[$space->key][$member->id] = $ways;
        if (count($ways) > 1 && ! $member->isFounder()) {
            $saw = $member->animal->saw ?? $member->brood?->saw;
            $namesAll = array_filter(
                $member->animal->testimonies ?? [], static fn ($testimony): bool => $testimony->namesAllThatShows,
            ) !== [];
            $loci = $saw === null
                ? []
                : array_values(
                    array_map(
                        static fn ($condition): string => $condition->locus(),
                        array_filter($saw->conditions, static fn ($condition): bool => $condition->isOnlyOfTheEye()),
                    ),
                );
            if ($namesAll || ($saw !== null && $saw->only)) {
                $this->ties[] = [$space->key, []];
            } elseif ($loci !== []) {
                $this->ties[] = [$space->key, $loci];
            }
        }
    }
}

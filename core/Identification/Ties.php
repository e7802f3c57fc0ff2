<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Components;
use Destino\Genome\Visibility;
use Destino\Notation\Target;
use Destino\Notation\TargetCondition;

/** Which linkage groups must be looked at together: those that a belief ties, and those that one cue or one look asks about. */
final class Ties
{
    /** @var list<string>|null groups in which a form can hide others */
    private ?array $masking = null;

    /** @param array<string, Cue> $cues by key */
    public function __construct(private readonly Parentage $parentage, private readonly array $cues) {}

    /** @return list<list<string>> groups that stand together */
    public function components(): array
    {
        $components = new Components($this->parentage->groups);
        $clutch = $this->parentage->clutch;
        foreach ([$clutch->dam, ...array_column($clutch->sires, 'belief')] as $belief) {
            foreach ($belief->factors as $factor) {
                $components->tie(array_intersect($factor->groups, $this->parentage->groups));
            }
        }
        foreach ($clutch->hatchlings as $one) {
            if ($one->saw !== null) {
                $components->tie($this->ofLook($one->saw));
            }
            foreach (array_keys($one->cues) as $cue) {
                $components->tie($this->ofCue($this->cues[$cue]));
            }
        }
        foreach ($clutch->counts as $count) {
            $components->tie($this->ofLook($count['saw']));
        }
        foreach ($clutch->alike as $set) {
            $components->tie($this->ofLook($set['target']));
        }

        return $components->all();
    }

    /** @return list<string> groups that a cue's rules ask about and in which the young can differ */
    public function ofCue(Cue $cue): array
    {
        return $this->groupsOf($cue->loci());
    }

    /** @return list<string> groups that a look asks about, and those that can hide what it asks for */
    public function ofLook(Target $look): array
    {
        if ($look->only) {
            return $this->parentage->groups;
        }
        $groups = $this->groupsOf($look->loci());
        $isOfTheEye = array_filter($look->conditions, static fn (TargetCondition $one): bool => $one->isOnlyOfTheEye()) !== [];

        return $isOfTheEye ? array_values(array_unique([...$groups, ...$this->masking()])) : $groups;
    }

    /**
     * @param list<string> $loci
     * @return list<string>
     */
    private function groupsOf(array $loci): array
    {
        $groups = array_map(fn (string $locus): string => $this->parentage->catalogue->groupOf($locus)->key, $loci);

        return array_values(array_intersect($this->parentage->groups, $groups));
    }

    /** @return list<string> */
    private function masking(): array
    {
        if ($this->masking === null) {
            $this->masking = [];
            $visibility = new Visibility($this->parentage->catalogue);
            foreach ($this->parentage->groups as $group) {
                foreach ($this->parentage->options($group) as $option) {
                    if ($visibility->masks($option->forms) !== []) {
                        $this->masking[] = $group;
                    }
                }
            }
            $this->masking = array_values(array_unique($this->masking));
        }

        return $this->masking;
    }
}

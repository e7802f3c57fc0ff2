<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Phenotypes\Space;

/** What the keeper takes notice of: what young look like, and what they say of their parents. */
final class Notice
{
    private readonly Space $space;

    private readonly Proof $proof;

    /** @var array<string, array<string, int>> phenotype of a young by what is seen of it, by group, parents and what hides */
    private array $seen = [];

    public function __construct(private readonly Law $law)
    {
        $this->space = $law->space;
        $this->proof = new Proof($law->space);
    }

    /**
     * Phenotypes by group as the keeper reads them (null: unlike anything that these two give), and what is seen.
     *
     * @param list<int> $states
     * @return array{list<int>|null, list<string|null>}
     */
    public function known(Holding $sire, Holding $dam, array $states): array
    {
        [$male, $female] = [$this->law->types->looks($sire->type), $this->law->types->looks($dam->type)];
        $looks = $seen = $hiding = [];
        $hidden = '';
        foreach ($states as $i => $state) {
            $table = $this->space->groups[$i];
            $key = "{$i} {$male[$i]} {$female[$i]} {$hidden}";
            if (! isset($this->seen[$key])) {
                $this->seen[$key] = [];
                foreach ($table->cross($male[$i], $female[$i], $hiding) as [$look]) {
                    $this->seen[$key][$table->seenOfLook($look, $hiding)] = $look;
                }
            }
            $own = $table->diplotypes->seen($state, $hiding);
            $look = $this->seen[$key][$own] ?? null;
            $seen[] = $hiding === [] ? $own : null;
            if ($look === null) {
                return [null, array_pad($seen, count($states), null)];
            }
            $looks[] = $look;
            if ($table->canHide && $table->hides($look) !== []) {
                $hiding = [...$hiding, ...$table->hides($look)];
                $hidden .= " {$look}";
            }
        }

        return [$looks, $seen];
    }

    /**
     * What the keeper believes of two after what was seen of their young.
     *
     * @param list<list<string|null>> $signs
     */
    public function learn(Holding $sire, Holding $dam, array $signs): void
    {
        $types = $this->law->types;
        [$ofSire, $ofDam] = $this->proof->after($types->looks($sire->type), $types->looks($dam->type), $signs);
        $sire->type = $types->of($ofSire, true);
        $dam->type = $types->of($ofDam, false);
    }

    /**
     * Whether what meets the target is one that was wanted: of the animals that have to take part, and not too close.
     *
     * @param list<string> $pins
     */
    public function counts(Holding $sire, Holding $dam, array $pins): bool
    {
        $project = $this->space->project;

        return count($pins) === count($project->pinned) && ! $this->law->kinship->isTooClose($sire, $dam)
            && ($this->law->types->pair($sire->type, $dam->type)->hit > 0.0 || ! $project->sure);
    }
}

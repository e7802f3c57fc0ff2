<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Space;
use Random\Randomizer;

/** Draws what chance decides in a project that is played out: true genotypes of founders, eggs of a clutch, what hatches of each. */
final class Hatchery
{
    /** @var array<int, float> rising chances by the number of eggs */
    private array $clutch = [];

    /** @var array<string, list<array{list<int>, float}>> possible genotypes of a founder with rising chances */
    private array $genotypes = [];

    private readonly float $survival;

    private readonly float $femaleShare;

    public function __construct(private readonly Space $space)
    {
        $this->survival = $space->project->assumptions->survival();
        $this->femaleShare = $space->project->assumptions->femaleShare;
        $sum = 0.0;
        foreach ($space->project->assumptions->clutchLaw() as $eggs => $weight) {
            $this->clutch[$eggs] = $sum += $weight;
        }
    }

    /** A number from 0 to below 1. */
    public static function draw(Randomizer $chance): float
    {
        return $chance->getInt(0, 0xFFFFFFFFFFFF) / 0x1000000000000;
    }

    public function eggs(Randomizer $chance): int
    {
        $draw = self::draw($chance);
        $eggs = 0;
        foreach ($this->clutch as $count => $upTo) {
            $eggs = $count;
            if ($draw < $upTo) {
                break;
            }
        }

        return $eggs;
    }

    /**
     * Draws all that an egg can need, whatever becomes of it, so that what follows in the clutch stays the same.
     *
     * @param list<int> $sire genotype by group
     * @param list<int> $dam
     * @return array{list<int>, Sex}|null null where it does not hatch
     */
    public function hatchling(array $sire, array $dam, Randomizer $chance): ?array
    {
        $hatches = self::draw($chance) < $this->survival;
        $own = [];
        $sex = null;
        foreach ($this->space->groups as $i => $table) {
            $state = $table->draw($sire[$i], $dam[$i], self::draw($chance));
            $hatches = $hatches && ! $table->diplotypes->isLethal($state);
            $own[] = $state;
            $sex ??= $table->diplotypes->sexOf($state);
        }
        $isFemale = self::draw($chance) < $this->femaleShare;

        return $hatches ? [$own, $sex ?? ($isFemale ? Sex::Female : Sex::Male)] : null;
    }

    /**
     * @param callable(): float $draw asked where more than one genotype is possible
     * @return list<int> a founder's true genotype in one run, by group
     */
    public function genotypeOf(Founder $founder, callable $draw): array
    {
        $possible = $this->genotypes[$founder->id] ??= $this->possible($founder);
        $number = count($possible) === 1 ? 0.0 : $draw();
        foreach ($possible as [$own, $upTo]) {
            if ($number < $upTo) {
                return $own;
            }
        }

        return $possible[count($possible) - 1][0];
    }

    /** @param list<int> $states genotype by group */
    public function meets(array $states, Sex $sex): bool
    {
        if (! $this->space->project->target->acceptsSex($sex)) {
            return false;
        }
        $choices = $this->space->choices;
        $left = $choices->isAny() ? $choices->leftTo($sex) : 0;
        foreach ($states as $i => $state) {
            $diplotypes = $this->space->groups[$i]->diplotypes;
            if (! $diplotypes->accepts($state)) {
                return false;
            }
            $left &= $diplotypes->left($state);
        }

        return $choices->suffices($left);
    }

    /** @return non-empty-list<array{list<int>, float}> */
    private function possible(Founder $founder): array
    {
        $groups = array_map(static fn (GroupTable $table) => $table->group, $this->space->groups);
        $possible = [];
        $sum = 0.0;
        foreach ($founder->belief->statesOver($groups) as [$state, $p]) {
            $own = array_map(static fn (GroupTable $table): int => $table->book->number($state->at($table->group)), $this->space->groups);
            $possible[] = [$own, $sum += $p->toFloat()];
        }

        return $possible === [] ? [[[], 1.0]] : $possible;
    }
}

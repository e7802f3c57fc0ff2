<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Search\RouteStep;

/** What a hatchling of a route is to the keeper, who sees its phenotype and never its genotype. */
final class Recognition
{
    /** @var array<string, array<string, int>> by step, group and what hides: number of the phenotype by what is seen */
    private array $seen = [];

    private bool $hides = false;

    /** @var array<string, string> what the keys of a step's young end with, where plans trace founders */
    private array $lineage = [];

    /**
     * @param array<string, RouteStep> $steps
     * @param array<string, list<int>> $looks phenotypes of the animals by the key of their node
     */
    public function __construct(private readonly Space $space, private readonly array $steps, private readonly array $looks)
    {
        foreach ($space->groups as $table) {
            $this->hides = $this->hides || $table->canHide;
        }
        foreach ($steps as $id => $step) {
            $this->lineage[$id] = (string) strstr($step->key, ' of ');
        }
    }

    /**
     * The key of the step that wants such young, if one does.
     *
     * @param list<int> $states
     */
    public function keyOf(string $step, array $states, Sex $sex): string
    {
        $looks = $hiding = [];
        $hidden = '';
        foreach ($states as $i => $state) {
            $table = $this->space->groups[$i];
            $signs = $this->seen["{$step} {$i} {$hidden}"] ??= $this->signs($step, $i, $hiding);
            $look = $signs[$table->diplotypes->seen($state, $hiding)] ?? -1;
            $looks[] = $look;
            if ($this->hides && $look >= 0 && $table->hides($look) !== []) {
                $hiding = [...$hiding, ...$table->hides($look)];
                $hidden .= " {$look}";
            }
        }

        return implode('.', $looks).$sex->value.$this->lineage[$step];
    }

    /**
     * What a cross gives at one group, by what is seen.
     *
     * @param list<Mask> $hiding
     * @return array<string, int>
     */
    private function signs(string $id, int $i, array $hiding): array
    {
        $step = $this->steps[$id];
        $table = $this->space->groups[$i];
        if (! isset($this->looks[$step->sire], $this->looks[$step->dam])) {
            return [];
        }
        $signs = [];
        foreach ($table->cross($this->looks[$step->sire][$i], $this->looks[$step->dam][$i], $hiding) as [$look]) {
            $signs[$table->seenOfLook($look, $hiding)] = $look;
        }

        return $signs;
    }
}

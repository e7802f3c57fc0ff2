<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;

/** The founders as nodes of the search: those that are alike in everything that counts are one. */
final readonly class FounderNodes
{
    public function __construct(private Space $space, private Lineages $lineages, private Welfare $welfare) {}

    /**
     * Founders that are alike in everything that counts are one node.
     *
     * @param list<Founder> $founders
     * @return list<Node>
     */
    public function merged(array $founders): array
    {
        $alike = [];
        foreach ($founders as $founder) {
            $looks = $this->space->looksOf($founder);
            $ready = max(
                $founder->from,
                $this->space->project->assumptions->firstSeason($founder->sex === Sex::Male, $founder->months, $founder->grams),
            );
            $price = $founder->price === null ? '' : " {$founder->id}"; // an offer is one animal
            $left = implode(
                ',',
                array_map(
                    static fn (array $pair): string => implode(':', $pair),
                    array_filter($this->space->project->forbidden, static fn (array $pair): bool => in_array($founder->id, $pair, true)),
                ),
            );
            $apart = $this->lineages->isTraced($founder->id) ? " = {$founder->id}" : '';
            $alike[
                implode('.', $looks)."{$founder->sex->value} {$ready}{$price} {$left}{$apart} {$this->welfare->marks($founder)}"
            ][] = [$founder, $looks, $ready];
        }
        $nodes = [];
        foreach ($alike as $key => $same) {
            [$first, $looks, $ready] = $same[0];
            $nodes[] = new Node(
                "founder {$key}", $looks, $first->sex, 0.0, (float) $ready, array_column($same, 0),
                lineage: $this->lineages->isTraced($first->id) ? [$first->id] : [],
            );
        }

        return $nodes;
    }
}

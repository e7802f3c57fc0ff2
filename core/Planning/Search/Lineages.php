<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Planning\Given\Project;

/** Which founders it matters to have behind an animal: pinned ones, and all where relatedness is limited. */
final readonly class Lineages
{
    public function __construct(private Project $project) {}

    /** Whether it matters that this founder is behind an animal. */
    public function isTraced(string $id): bool
    {
        return $this->project->mostInbreeding !== null || in_array($id, $this->project->pinned, true);
    }

    /** @return list<string> */
    public static function joined(Node $sire, Node $dam): array
    {
        if ($sire->lineage === [] && $dam->lineage === []) {
            return [];
        }
        $joined = array_values(array_unique([...$sire->lineage, ...$dam->lineage]));
        sort($joined);

        return $joined;
    }

    /**
     * Whether an animal of one lineage can be taken for one of another: it has every pin, and no founder more.
     *
     * @param list<string> $settled
     * @param list<string> $other
     */
    public function standsFor(array $settled, array $other): bool
    {
        if ($settled === $other) {
            return true;
        }
        $pinned = $this->project->pinned;

        return array_diff(array_intersect($other, $pinned), $settled) === []
            && ($this->project->mostInbreeding === null || array_diff($settled, $other) === []);
    }

    /** Whether every pair of the two that could be meant was forbidden. */
    public function isForbidden(Node $sire, Node $dam): bool
    {
        if (! $sire->isFounder() || ! $dam->isFounder()) {
            return false;
        }
        foreach ($sire->founders as $male) {
            foreach ($dam->founders as $female) {
                if (! in_array([$male->id, $female->id], $this->project->forbidden, true)) {
                    return false;
                }
            }
        }

        return true;
    }
}

<?php

declare(strict_types=1);

namespace App\Collection;

use Destino\Genome\LinkageGroup;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Family\FamilyPosterior;
use Destino\Inference\Faults\Contradiction;
use Destino\Probability\Distribution;

/**
 * What a family says at each set of linkage groups, worked out once and kept under its content.
 *
 * @phpstan-type Part array{
 *     of: array<string, string>, contradictions: list<Contradiction>, unlikely: list<Contradiction>, exact: bool, error: float,
 *     errors: array<string, float>, disputed: bool,
 * }
 */
final class FamilyParts
{
    public const NOTHING = [
        'of' => [], 'contradictions' => [], 'unlikely' => [], 'exact' => true, 'error' => 0.0, 'errors' => [], 'disputed' => false,
    ];

    /** @var array<string, Part> */
    private array $parts = [];

    /** @var list<string> parts that only tell that their family is disputed */
    public array $plain = [];

    public function __construct(private readonly Kept $kept) {}

    /**
     * The parts of one family: each by itself, or, where something in it is wrong, each with all others.
     *
     * @return array<string, Part> by hash
     */
    public function ofFamily(Kindred $kindred, int $family, string $about): array
    {
        $parts = [];
        $isDisputed = false;
        $sets = $kindred->groupSetsOf($family);
        $name = fn (array $groups): string => implode(',', array_map(fn (LinkageGroup $group): string => $group->key, $groups));
        foreach ($sets as $groups) {
            $hash = hash('xxh128', $about.$name($groups).$kindred->contentOf($family, $groups));
            $parts[$hash] = $this->keptPart($hash) ?? $this->solved($hash, $kindred->plain($family, $groups), $groups);
            $isDisputed = $isDisputed || $parts[$hash]['disputed'];
        }
        if (! $isDisputed) {
            return $parts;
        }
        $whole = $kindred->wholeContentOf($family);
        array_push($this->plain, ...array_map(strval(...), array_keys($parts)));
        $parts = [];
        foreach ($sets as $groups) {
            $hash = hash('xxh128', "{$about}all {$name($groups)}{$whole}");
            $parts[$hash] = $this->keptPart($hash) ?? $this->solved($hash, $kindred->posterior($family, $groups), $groups);
        }

        return $parts;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return Part
     */
    private function solved(string $hash, FamilyPosterior $posterior, array $groups): array
    {
        $keys = array_map(fn (LinkageGroup $group): string => $group->key, $groups);
        $part = [
            'of' => array_map(fn (Distribution $states): string => serialize([$keys, Relatives::readable($states)]), $posterior->of),
            'contradictions' => $posterior->contradictions, 'unlikely' => $posterior->unlikely,
            'exact' => $posterior->isExact, 'error' => $posterior->error, 'errors' => $posterior->errors,
            'disputed' => $posterior->isDisputed,
        ];
        $this->kept->put("kin:part:{$hash}", $part);

        return $this->parts[$hash] = $part;
    }

    /** @return Part|null */
    public function keptPart(string $hash): ?array
    {
        return $this->parts[$hash] ??= $this->kept->get("kin:part:{$hash}");
    }
}

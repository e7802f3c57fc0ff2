<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Belief;
use Destino\Genome\Sex;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/**
 * One dam, the males of which one fathered the whole clutch, and its living young.
 *
 * @phpstan-type Sire array{id: string, belief: Belief|null, weight: Rational}
 * @phpstan-type Count array{saw: Target, count: int, dead?: bool}
 * @phpstan-type Alike array{target: Target, hatchlings: list<string>}
 */
final readonly class Clutch
{
    /**
     * @param non-empty-list<Sire> $sires weights: how likely each is beforehand; no belief of one outside the records
     * @param list<Hatchling> $hatchlings
     * @param list<Count> $counts siblings that are not named, living or seen dead in the egg
     * @param list<Alike> $alike hatchlings that are the same for a target: all meet it, or none
     *
     * @throws IdentificationError when a parent is of the wrong sex, a weight is not above 0, an id stands twice, or a set
     *     names nobody of it
     */
    public function __construct(
        public Belief $dam, public array $sires, public array $hatchlings, public array $counts = [], public array $alike = [],
    ) {
        if ($dam->sex !== Sex::Female) {
            throw IdentificationError::sexOf('the dam', 'female');
        }
        $seen = [];
        foreach ($sires as $sire) {
            if ($sire['belief'] !== null && $sire['belief']->sex !== Sex::Male) {
                throw IdentificationError::sexOf("the sire {$sire['id']}", 'male');
            }
            if ($sire['weight']->compareTo(Rational::zero()) <= 0) {
                throw IdentificationError::weight($sire['id'], $sire['weight']->toString());
            }
            isset($seen[$sire['id']]) ? throw IdentificationError::twice('sire', $sire['id']) : $seen[$sire['id']] = true;
        }
        $young = [];
        foreach ($hatchlings as $one) {
            isset($young[$one->id]) ? throw IdentificationError::twice('hatchling', $one->id) : $young[$one->id] = true;
        }
        foreach ($alike as $set) {
            foreach ($set['hatchlings'] as $id) {
                if (! isset($young[$id])) {
                    throw IdentificationError::nobody($id);
                }
            }
        }
    }

    /**
     * The same without some of its young.
     *
     * @param list<string> $ids
     */
    public function without(array $ids): self
    {
        $left = array_values(array_filter($this->hatchlings, static fn (Hatchling $one): bool => ! in_array($one->id, $ids, true)));
        $alike = array_map(
            static fn (array $set): array => [
                'target' => $set['target'], 'hatchlings' => array_values(array_diff($set['hatchlings'], $ids)),
            ],
            $this->alike,
        );

        return new self(
            $this->dam, $this->sires, $left, $this->counts,
            array_values(array_filter($alike, static fn (array $set): bool => count($set['hatchlings']) > 1)),
        );
    }
}

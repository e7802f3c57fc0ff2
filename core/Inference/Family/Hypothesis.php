<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Catalogue;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Faults\Doubts;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\StatementEdit;
use Destino\Inference\Inheritance\GenotypeSpace;

/** A family and what is taken to be wrong in its records. */
final readonly class Hypothesis
{
    /**
     * @param array<string, list<string>> $free members whose looks and statements are not heard, with the alleles at whose
     *     loci; all where none are named
     * @param array<string, list<list<string>>> $hidden by founder: alleles of which it carries one more copy
     * @param array<string, list<string>> $mutations by member: alleles of which a gamete carries a new copy
     * @param array<string, true> $otherSires litters
     * @param array<string, true> $insisted members whose statements are right, however sure they are
     */
    private function __construct(
        public Family $family,
        public array $free,
        public array $hidden,
        public array $mutations,
        public array $otherSires,
        public array $insisted = [],
    ) {}

    /**
     * @param list<Fault> $faults
     * @param list<string> $insisted members whose statements are right, however sure they are
     */
    public static function of(Family $family, array $faults, Catalogue $catalogue, array $insisted = []): self
    {
        $doubts = new Doubts;
        foreach ($faults as $fault) {
            $member = $family->member($fault->subject);
            if ($member !== null) {
                $fault->mark($doubts, $member->id, $member->litter);
            }
        }
        foreach (array_keys($doubts->otherSires) as $litter) {
            $family = $family->withOtherSire($litter);
        }

        return new self(
            $doubts->editsStatements()
                ? $family->map(static fn (Member $member): Member => self::edited($member, $doubts->editsOf($member->id, $catalogue)))
                : $family,
            $doubts->free,
            $doubts->hidden,
            $doubts->mutations,
            $doubts->otherSires,
            array_fill_keys($insisted, true),
        );
    }

    /** Whether what is recorded of a member is not heard at a space. */
    public function frees(string $id, GenotypeSpace $space): bool
    {
        return isset($this->free[$id])
            && (
                $this->free[$id] === []
                || array_filter(
                    $this->free[$id],
                    static fn (string $allele): bool => $space->holds($space->catalogue->allele($allele)->locus),
                ) !== []
            );
    }

    /** @param list<StatementEdit> $edits */
    private static function edited(Member $member, array $edits): Member
    {
        $animal = $member->animal;
        $brood = $member->brood;
        foreach ($edits as $edit) {
            $animal = $animal === null ? null : self::animal($animal, $edit);
            $brood = $brood === null
                ? null
                : new Brood(
                    $brood->id, $brood->sires, $brood->dam, $edit->target($brood->saw), $brood->count, $brood->isDead,
                    $brood->weights, $brood->clutch,
                );
        }

        return $animal === $member->animal && $brood === $member->brood
            ? $member
            : new Member(
                $member->id, $member->sex, $member->sires, $member->weights, $member->dam, $member->batch, $member->litter,
                $animal, $brood, $member->isOutsider,
            );
    }

    private static function animal(Individual $animal, StatementEdit $edit): Individual
    {
        return $animal->saying(
            array_map($edit->testimony(...), $animal->testimonies),
            $animal->saw === null ? null : $edit->target($animal->saw),
        );
    }
}

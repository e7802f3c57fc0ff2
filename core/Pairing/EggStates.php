<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Allele;
use Destino\Genome\Expression;
use Destino\Genome\Form;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;

/** What an egg of a block is at each of its linkage groups. */
final readonly class EggStates
{
    /** @param list<Expression> $states */
    public function __construct(public array $states) {}

    /** @param bool $phased keep genotypes apart that differ in phase only */
    public function key(bool $phased): string
    {
        return implode('|', array_map(
            static fn (Expression $state): string => $phased ? $state->diplotype->key : $state->diplotype->unphasedKey, $this->states,
        ));
    }

    /** @return array<string, Form> by locus */
    public function forms(): array
    {
        return array_merge(...array_map(static fn (Expression $state): array => $state->forms, $this->states));
    }

    public function isLethal(): bool
    {
        foreach ($this->states as $state) {
            if ($state->isLethal) {
                return true;
            }
        }

        return false;
    }

    public function sex(): ?Sex
    {
        foreach ($this->states as $state) {
            if ($state->sex !== null) {
                return $state->sex;
            }
        }

        return null;
    }

    /** @return list<int|string> sorts in printer's order, males first */
    public function order(): array
    {
        $order = [];
        foreach ($this->states as $state) {
            foreach ($state->forms as $form) {
                $order[] = $form->order;
            }
        }
        foreach ($this->states as $state) {
            $order[] = $state->sex === Sex::Female ? 1 : 0;
            $order[] = $state->diplotype->key;
        }

        return $order;
    }

    /**
     * @param list<self> $members
     * @return array<string, Sex|null>
     */
    public static function makers(array $members): array
    {
        $makers = [];
        foreach ($members as $member) {
            foreach ($member->states as $state) {
                foreach ($state->makers as $locus => $maker) {
                    $makers[$locus] = array_key_exists($locus, $makers) && $makers[$locus] !== $maker ? null : $maker;
                }
            }
        }

        return $makers;
    }

    /**
     * @param list<LinkageGroup> $groups of the block
     * @return array<string, string> the chromosomes that carry the gene, by locus; the coupling, by group
     */
    public function phase(array $groups): array
    {
        $phase = [];
        foreach ($this->states as $i => $state) {
            $group = $groups[$i];
            if (count($group->loci) === 1) {
                continue;
            }
            if (! $group->holdsSex()) {
                $phase[$group->key] = implode(
                    '/',
                    array_map(static fn (array $haplotype): string => implode('·', $haplotype), $state->diplotype->haplotypes),
                );

                continue;
            }
            $sex = $group->indexOf(Sex::LOCUS);
            foreach ($state->forms as $locus => $form) {
                $at = $group->indexOf($locus);
                $carriers = array_map(
                    static fn (array $haplotype): string => $haplotype[$sex],
                    array_filter($state->diplotype->haplotypes, static fn (array $haplotype): bool => $haplotype[$at] !== Allele::WILD),
                );
                if (! $form->isWild()) {
                    $phase[$locus] = implode(' and ', $carriers);
                }
            }
        }

        return $phase;
    }
}

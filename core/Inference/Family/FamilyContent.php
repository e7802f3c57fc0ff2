<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Mask;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/**
 * All that the answer of a family at some spaces follows from, as a text: equal texts, equal answers. What is the same at all
 * spaces (who is whose young) is put together once.
 */
final class FamilyContent
{
    private readonly string $structure;

    /** @var array<string, array<string, true>> groups that a statement names, by its content */
    private array $groups = [];

    /**
     * @var array<string, list<array{Testimony, string, array<string, true>}>> statements with their content and the groups
     *     that they name, by member
     */
    private array $statements = [];

    private bool $isOpen = false;

    /** @param list<Fault> $decided */
    public function __construct(private readonly Context $context, private readonly Hypothesis $hypothesis, array $decided)
    {
        $structure = [];
        // Young that were only counted have no young: where they say nothing they change nothing.
        foreach ($hypothesis->family->members as $member) {
            $structure[] = self::place($member);
            foreach ($member->animal->testimonies ?? [] as $testimony) {
                $content = $testimony->content();
                $this->statements[$member->id][] = [$testimony, $content, $this->groups[$content] ??= $this->groupsOf($testimony)];
            }
            $isUnstated = $member->isFounder()
                && $member->animal !== null
                && $member->animal->testimonies === []
                && $member->animal->saw !== null;
            $this->isOpen = $this->isOpen || $member->isOutsider || $isUnstated;
        }
        $this->structure = hash('xxh128', serialize([$structure, array_map(static fn (Fault $fault): string => $fault->key(), $decided)]));
    }

    /**
     * @param list<GenotypeSpace> $spaces
     * @param array<string, Concealed> $hiding
     * @param array<string, list<Seen>> $seen by member
     */
    public function text(array $spaces, array $hiding, array $seen): string
    {
        $content = [$this->structure, array_map(static fn (GenotypeSpace $space): string => $space->key, $spaces)];
        $keys = array_fill_keys(array_merge(...array_map(static fn (GenotypeSpace $space): array => $space->groupKeys(), $spaces)), true);
        foreach ($this->statements as $id => $statements) {
            foreach ($statements as [$testimony, $text, $groups]) {
                $names = array_intersect_key($groups, $keys) !== [];
                if ($names || $testimony->namesAllThatShows) {
                    $content[] = [$id, $testimony->id, $text, $names];
                }
            }
        }
        foreach ([...$this->hypothesis->family->members, ...$this->hypothesis->family->eggs] as $member) {
            $saw = $this->seen($member->animal->saw ?? $member->brood?->saw, $spaces);
            if ($saw !== null || ($member->brood->isDead ?? false)) {
                $content[] = [self::place($member), $saw, $member->brood?->count, $member->brood?->isDead];
            }
        }
        foreach ($seen as $id => $all) {
            $content[] = [$id, 'seen', array_map(static fn (Seen $one): string => $one->content(), $all)];
        }
        foreach ($hiding as $id => $concealed) {
            $content[] = [$id, self::hidden($concealed)];
        }

        return serialize([...$content, $this->outside($spaces)]);
    }

    /** @return array<string, true> */
    private function groupsOf(Testimony $testimony): array
    {
        $groups = array_fill_keys($testimony->says->groups(), true);
        foreach ($testimony->absent as $allele) {
            $groups[$this->context->catalogue->groupOf($this->context->catalogue->allele($allele)->locus)->key] = true;
        }

        return $groups;
    }

    /** @return list<mixed> who it is, and whose young */
    private static function place(Member $member): array
    {
        return [
            $member->id, $member->sex?->value, $member->sires,
                array_map(static fn (Rational $weight): string => $weight->toString(), $member->weights),
            $member->dam, $member->isFounder() ? '' : $member->batch,
        ];
    }

    /**
     * What a condition says here; null where it says nothing.
     *
     * @param list<GenotypeSpace> $spaces
     */
    private function seen(?Target $saw, array $spaces): ?string
    {
        foreach ($saw === null ? [] : $spaces as $space) {
            if ($saw !== null && EggEvidence::names($saw, $space)) {
                return $saw->text;
            }
        }

        return null;
    }

    /** @return list<list<string>> */
    private static function hidden(Concealed $concealed): array
    {
        $name = static fn (Mask $mask): string => $mask->locus.'='.implode(',', array_keys($mask->form->copies));

        return [
            array_map($name, $concealed->sure),
            ...array_map(static fn (array $masks): array => array_map($name, $masks), $concealed->ways),
        ];
    }

    /**
     * @param list<GenotypeSpace> $spaces
     * @return array<string, string> how often animals from outside carry what is in question, where the family has any
     */
    private function outside(array $spaces): array
    {
        $frequencies = [];
        foreach ($this->isOpen ? $spaces : [] as $space) {
            foreach ($space->loci() as $locus) {
                foreach ($this->context->catalogue->locus($locus)->alleles as $allele) {
                    $frequencies[$allele] = $this->context->outside()->frequency($allele)->toString();
                }
            }
        }

        return $frequencies;
    }
}

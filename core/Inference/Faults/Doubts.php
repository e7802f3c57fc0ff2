<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

use Destino\Genome\Catalogue;

/** What is not heard of a family, or heard otherwise, while some faults are taken to be so; they mark it here one by one. */
final class Doubts
{
    /**
     * @param array<string, list<string>> $free members whose looks and statements are not heard, with the alleles at whose loci;
     *     all where none are named
     * @param array<string, list<list<string>>> $hidden by founder: alleles of which it carries one more copy
     * @param array<string, list<string>> $mutations by member: alleles of which a gamete carries a new copy
     * @param array<string, true> $otherSires litters
     * @param array<string, list<array{list<string>, string|null}>> $names by member: what is called so, and what it is instead
     * @param array<string, list<string>> $halved by member: alleles of which two copies are one
     */
    public function __construct(
        public array $free = [],
        public array $hidden = [],
        public array $mutations = [],
        public array $otherSires = [],
        public array $names = [],
        public array $halved = [],
    ) {}

    /** @param list<string> $alleles */
    public function free(string $member, array $alleles): void
    {
        $known = $this->free[$member] ?? null;
        $this->free[$member] = $alleles === [] || $known === [] ? [] : [...$known ?? [], ...$alleles];
    }

    /** @param list<string> $alleles */
    public function hide(string $member, array $alleles): void
    {
        $this->hidden[$member][] = $alleles;
    }

    /** @param list<string> $alleles */
    public function mutate(string $member, array $alleles): void
    {
        $this->mutations[$member] = [...$this->mutations[$member] ?? [], ...$alleles];
    }

    public function takeOtherSire(string $litter): void
    {
        $this->otherSires[$litter] = true;
    }

    /** @param list<string> $alleles */
    public function rename(string $member, array $alleles, ?string $instead): void
    {
        $this->names[$member][] = [$alleles, $instead];
    }

    /** @param list<string> $alleles */
    public function halve(string $member, array $alleles): void
    {
        $this->halved[$member] = [...$this->halved[$member] ?? [], ...$alleles];
    }

    public function editsStatements(): bool
    {
        return $this->names !== [] || $this->halved !== [];
    }

    /** @return list<StatementEdit> what becomes of the statements about a member */
    public function editsOf(string $member, Catalogue $catalogue): array
    {
        return [
            ...array_map(static fn (array $name): StatementEdit => new Renaming($catalogue, ...$name), $this->names[$member] ?? []),
            ...(isset($this->halved[$member]) ? [new HalvedCopies($catalogue, $this->halved[$member])] : []),
        ];
    }
}

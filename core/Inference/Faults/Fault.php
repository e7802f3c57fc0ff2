<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

use Closure;
use Destino\Genome\Catalogue;

/** One way in which the records may be wrong: a class for each kind says how often it is, what it changes, and its words. */
abstract readonly class Fault
{
    /**
     * @param string $subject id of the animal or brood that it is about
     * @param list<string> $alleles the genes that it is about, where it is about some; of one that is misnamed, what it is called
     * @param string|null $instead what a misnamed gene is in truth; null for some other gene
     */
    final public function __construct(public string $subject, public array $alleles = [], public ?string $instead = null) {}

    /** @param list<string> $alleles */
    public static function of(FaultKind $kind, string $subject, array $alleles = [], ?string $instead = null): self
    {
        $class = $kind->fault();

        return new $class($subject, $alleles, $instead);
    }

    abstract public function kind(): FaultKind;

    /** P(it, of so many eggs taken for one thing) where nothing is known of the case. */
    abstract public function chance(ErrorRates $rates, int $eggs = 1): float;

    /** Marks what is not heard, or heard otherwise, if it is so. */
    abstract public function mark(Doubts $doubts, string $member, string $litter): void;

    /** Whether its genes come into question by it, even where nothing else is recorded of them. */
    public function isHeardAnywhere(): bool
    {
        return false;
    }

    /** @param Closure(string): string $name of an animal or a clutch, by the core's id */
    final public function words(Closure $name, Catalogue $catalogue): string
    {
        $genes = implode(' or ', array_map(static fn (string $allele): string => $catalogue->allele($allele)->name, $this->alleles));

        return $this->sentence($name($this->subject), $genes, $this->instead === null ? null : $catalogue->allele($this->instead)->name);
    }

    abstract protected function sentence(string $subject, string $genes, ?string $instead): string;

    final public function key(): string
    {
        return "{$this->kind()->value} {$this->subject} ".implode(',', $this->alleles).($this->instead === null ? '' : " {$this->instead}");
    }
}

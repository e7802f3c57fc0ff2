<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** One way in which the records may be wrong. */
final readonly class Fault
{
    /**
     * @param string $subject id of the animal or brood that it is about
     * @param list<string> $alleles the genes that it is about, where it is about some; of one that is misnamed, what it is called
     * @param string|null $instead what a misnamed gene is in truth; null for some other gene
     */
    public function __construct(
        public FaultKind $kind,
        public string $subject,
        public array $alleles = [],
        public ?string $instead = null,
    ) {}

    public function key(): string
    {
        return "{$this->kind->value} {$this->subject} ".implode(',', $this->alleles).($this->instead === null ? '' : " {$this->instead}");
    }
}

<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/** What was seen of an animal, as the chance that its genotype shows it. One eye sees many genes, so that it may tie several loci. */
interface Penetrance
{
    /**
     * The same for an animal that can be no more than this, as observations that are independent of each other given the genotype.
     *
     * @param array<string, list<Form>> $possible forms by locus; what is left out is wild type
     * @return list<Penetrance>
     */
    public function among(array $possible): array;

    /** @return list<string> the loci on which it depends, that of the sex among them where it does */
    public function loci(): array;

    /**
     * P(what was seen | genotype), up to a factor.
     *
     * @param array<string, Form> $forms by locus; what is left out is wild type
     */
    public function of(array $forms, ?Sex $sex): Rational;

    /** Equal for those that say the same. */
    public function content(): string;
}

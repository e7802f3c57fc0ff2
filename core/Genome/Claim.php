<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A disputed fact with its schools. */
final readonly class Claim
{
    private const OF_HEREDITY = ['join-loci', 'link-loci', 'set-recombination', 'set-viability'];

    /** @var list<string> */
    private array $alleles;

    /**
     * @param array<string, School> $schools by key
     * @param array{linkage: string, between: array{string, string}}|null $freeFraction where any recombination fraction may be chosen
     */
    public function __construct(
        public string $key,
        public string $question,
        public string $default,
        public string $whyDefault,
        public array $schools,
        public ?array $freeFraction = null,
    ) {
        $this->alleles = self::spokenOf($schools);
    }

    /** Whether the schools differ in what young come of a cross, so that counted young can tell between them. */
    public function isOfHeredity(): bool
    {
        foreach ($this->schools as $school) {
            foreach ($school->changes as $change) {
                if (in_array($change['change'] ?? null, self::OF_HEREDITY, true)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> keys of the alleles that the schools of this claim speak about */
    public function alleles(): array
    {
        return $this->alleles;
    }

    /**
     * @param array<string, School> $schools
     * @return list<string>
     */
    private static function spokenOf(array $schools): array
    {
        $keys = [];
        foreach ($schools as $school) {
            foreach ($school->changes as $change) {
                foreach (['alleles', 'drop', 'between'] as $list) {
                    if (is_array($change[$list] ?? null)) {
                        array_push($keys, ...array_values(array_filter($change[$list], is_string(...))));
                    }
                }
                foreach (['keep', 'allele'] as $one) {
                    if (is_string($change[$one] ?? null)) {
                        $keys[] = $change[$one];
                    }
                }
            }
        }

        return array_values(array_unique($keys));
    }
}

<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\Probability;
use Destino\Probability\Rational;

/** What the chosen schools change in the recorded facts, gathered from all claims. */
final readonly class SchoolChanges
{
    /**
     * @param list<array{string, string}> $joins pairs of alleles whose loci become one, the first one's
     * @param array<string, string> $merged the allele that a dropped name now means
     * @param array<string, Viability> $viabilities by pair key
     * @param array<string, bool|null> $toldApart whether two copies look unlike one, by allele
     * @param array<string, Severity> $severities by condition
     * @param array<string, Rational> $fractions recombination by "group:locus:locus"
     * @param list<array{array{string, string}, Rational, Rational}> $links pairs of alleles whose loci become one linkage group, with
     *     their recombination
     */
    private function __construct(
        public array $joins,
        private array $merged,
        private array $viabilities,
        public array $toldApart,
        public array $severities,
        public array $fractions,
        public array $links = [],
    ) {}

    /** @param list<School> $schools one per claim */
    public static function of(array $schools): self
    {
        $joins = $merged = $viabilities = $toldApart = $severities = $fractions = $links = [];
        foreach ($schools as $school) {
            foreach ($school->changes as $i => $values) {
                $change = Facts::of($values, "school {$school->key}, change {$i}");
                switch ($change->string('change')) {
                    case 'join-loci':
                        $joins[] = $change->pair('alleles');
                        break;
                    case 'merge-alleles':
                        $merged += array_fill_keys($change->strings('drop'), $change->string('keep'));
                        break;
                    case 'set-viability':
                        $viabilities[self::pairKey(...$change->pair('alleles'))] = Viability::from($change->string('viability'));
                        break;
                    case 'set-told-apart':
                        $toldApart[$change->string('allele')] = self::certainty($change->string('told_apart'));
                        break;
                    case 'set-severity':
                        $severities[$change->string('condition')] = Severity::from($change->string('severity'));
                        break;
                    case 'set-recombination':
                        $fractions[
                            $change->string('linkage').':'.implode(':', $change->pair('between'))
                        ] = self::fraction($change->string('fraction'));
                        break;
                    case 'link-loci':
                        $links[] = [$change->pair('alleles'), self::fraction($change->string('fraction')),
                            Probability::typed($change->string('coupling'))];
                        break;
                    default:
                        throw CatalogueFault::unknownChange($change->string('change'));
                }
            }
        }

        return new self($joins, $merged, $viabilities, $toldApart, $severities, $fractions, $links);
    }

    /** @param string $words "yes", "no", or "unknown", which is null */
    public static function certainty(string $words): ?bool
    {
        return ['yes' => true, 'no' => false][$words] ?? null;
    }

    public static function fraction(string $text): Rational
    {
        $fraction = Probability::typed($text);

        return $fraction->compareTo(Rational::of(1, 2)) <= 0 ? $fraction : throw CatalogueFault::fractionOutOfRange($text);
    }

    /** The allele that this name stands for. */
    public function rename(string $allele): string
    {
        return $this->merged[$allele] ?? $allele;
    }

    public function isDropped(string $allele): bool
    {
        return isset($this->merged[$allele]);
    }

    public function viabilityOf(string $a, string $b, Viability $recorded): Viability
    {
        return $this->viabilities[self::pairKey($a, $b)] ?? $recorded;
    }

    public static function pairKey(string $a, string $b): string
    {
        return strcmp($a, $b) <= 0 ? "{$a}/{$b}" : "{$b}/{$a}";
    }
}

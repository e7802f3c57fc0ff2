<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Destino\Genome\Form;
use Destino\Probability\Rational;

/**
 * What an animal shows at some loci, as whoever recorded it saw it. One record in fifty is taken to be wrong, so that a single
 * slip excludes nothing. Where it is disputed whether two copies live, nobody is sure to know one that does: half of them are
 * taken to be recorded with one copy.
 */
final readonly class SeenForms
{
    private Rational $mistaken;

    private Rational $half;

    /**
     * @param array<string, Form> $seen by locus: a form of the look that was seen, wild type where nothing shows
     * @param array<string, string> $unsure allele that is recorded in one copy or two, by the look of two copies
     */
    public function __construct(private array $seen, private array $unsure = [])
    {
        $this->mistaken = Rational::parse(TraitGraph::MISTAKEN);
        $this->half = Rational::of(1, 2);
    }

    /**
     * P(it is recorded so | genotype).
     *
     * @param array<string, Form> $forms by locus; what is left out is wild type
     */
    public function chance(array $forms): Rational
    {
        $fits = Rational::one();
        foreach ($this->seen as $locus => $form) {
            $fits = $fits->times($this->fit($forms[$locus] ?? null, $form));
        }

        return $fits->times($this->mistaken->complement())->plus($fits->complement()->times($this->mistaken));
    }

    private function fit(?Form $is, Form $seen): Rational
    {
        $look = self::look($is);
        $either = $is === null ? null : $this->unsure[$look] ?? null;
        if ($look === self::look($seen)) {
            return $either === null ? Rational::one() : $this->half;
        }

        return $either !== null && $seen->copiesOf($either) === 1 && ! $seen->isCompound() ? $this->half : Rational::zero();
    }

    private static function look(?Form $form): string
    {
        return $form === null || $form->shows === [] ? '' : $form->look;
    }
}

<?php

namespace App\Collection;

use App\Drawing\Bead;
use App\Models\Animal;
use App\Pairing\GenotypeBeads;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Notation\GenotypeReader;
use Destino\Notation\NameIndex;
use Destino\Notation\Printer;
use Destino\Notation\Reading;
use Destino\Notation\Target;
use Destino\Pairing\Transmission;
use Destino\Probability\Rational;
use Illuminate\Support\Carbon;

/** An animal as a list or a record shows it. */
class AnimalCard
{
    public readonly Reading $reading;

    /** P(the animal meets what was looked for); null where nothing was, or its genotype cannot be read. */
    public readonly ?Rational $chance;

    public function __construct(public readonly Animal $animal, private readonly Catalogue $catalogue, NameIndex $names, ?Target $wanted = null)
    {
        $this->reading = (new GenotypeReader($catalogue, $names))->read($animal->genotype, $animal->sex);
        $this->chance = $wanted === null || $this->reading->belief === null ? null : $wanted->chanceFor($this->reading->belief, $catalogue);
    }

    /** The genotype in the printer's words, or as typed where it can no longer be read. */
    public function genotype(): string
    {
        return $this->reading->belief === null ? $this->animal->genotype : (new Printer($this->catalogue))->belief($this->reading->belief);
    }

    /** @return list<Bead> */
    public function beads(): array
    {
        return $this->reading->belief === null ? [] : GenotypeBeads::of($this->reading->belief, $this->catalogue);
    }

    /** @return list<array{Allele, Rational}> what it passes on, with the chance per egg */
    public function passesOn(): array
    {
        return $this->reading->belief === null ? [] : Transmission::of($this->reading->belief, $this->catalogue);
    }

    /** "4 years 3 months", empty where the hatch date is not known. */
    public function age(?Carbon $today = null): string
    {
        if ($this->animal->hatched_on === null) {
            return '';
        }
        $months = (int) $this->animal->hatched_on->diffInMonths($today ?? Carbon::today());
        $years = intdiv($months, 12);
        $count = fn (int $number, string $word): string => "{$number} {$word}".($number === 1 ? '' : 's');

        return trim(($years > 0 ? $count($years, 'year') : '').' '.($months % 12 > 0 || $years === 0 ? $count($months % 12, 'month') : ''));
    }
}

<?php

namespace App\Collection;

use App\Care\CareKind;
use App\Drawing\Bead;
use App\House\House;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Pairing\GenotypeBeads;
use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Husbandry\Readiness;
use Destino\Husbandry\Weighing;
use Destino\Notation\Target;
use Destino\Pairing\Transmission;
use Destino\Probability\Rational;
use Illuminate\Support\Carbon;

/** An animal as a list or a record shows it. */
class AnimalCard
{
    private ?Readiness $readiness = null;

    public function __construct(public readonly Animal $animal, private readonly Beliefs $beliefs, private readonly Catalogue $catalogue, private readonly ?Target $wanted = null) {}

    public function belief(): Belief
    {
        return $this->beliefs->belief($this->animal->id);
    }

    /** What is believed, in the printer's words. */
    public function genotype(): string
    {
        return $this->beliefs->text($this->animal->id);
    }

    public function hasConflict(): bool
    {
        return $this->beliefs->derived($this->animal->id)->conflicts !== [];
    }

    public function isUnreadable(): bool
    {
        return $this->beliefs->unreadable($this->animal->id) !== [];
    }

    /** P(the animal meets what was looked for); null where nothing was. An animal of unknown sex is either with 1/2. */
    public function chance(): ?Rational
    {
        if ($this->wanted === null) {
            return null;
        }
        $belief = $this->belief();
        if ($this->animal->sex === null && $this->wanted->sex !== null) {
            return $this->wanted->withSex($belief->sex)->chanceFor($belief, $this->catalogue)->times(Rational::of(1, 2));
        }

        return $this->wanted->chanceFor($belief, $this->catalogue);
    }

    /** @return list<Bead> */
    public function beads(): array
    {
        return GenotypeBeads::of($this->belief(), $this->catalogue);
    }

    /** @return list<array{Allele, Rational}> what it passes on, with the chance per egg */
    public function passesOn(): array
    {
        return Transmission::of($this->belief(), $this->catalogue);
    }

    /** Ready to breed or not, by the rules of the house; needs the weights of the care log. */
    public function readiness(House $house, ?Carbon $today = null): Readiness
    {
        return $this->readiness ??= Readiness::assess(
            $this->animal->sex === null ? null : $this->animal->isMale(),
            $this->animal->hatched_on?->toDateTimeImmutable(),
            array_values($this->animal->care->filter(fn (CareEntry $entry): bool => $entry->kind === CareKind::Weight)->map(fn (CareEntry $entry): Weighing => new Weighing($entry->on->toDateTimeImmutable(), (int) $entry->grams))->all()),
            $house->breeding(),
            ($today ?? Carbon::today())->toDateTimeImmutable(),
            array_values(array_filter([$this->animal->status()->whyNotPaired()])),
        );
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
        if ($this->animal->hatched_precision === Precision::Year) {
            return 'about '.$count($years, 'year');
        }

        return trim(($years > 0 ? $count($years, 'year') : '').' '.($months % 12 > 0 || $years === 0 ? $count($months % 12, 'month') : ''));
    }
}

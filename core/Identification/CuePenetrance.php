<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Sex;
use Destino\Inference\Evidence\Penetrance;
use Destino\Probability\Rational;

/** A cue that was read as evidence: P(the state that was seen | genotype), by the rule that holds of it at the age of the reading. */
final readonly class CuePenetrance implements Penetrance
{
    /** One reading in so many is wrong, however clear the cue. An assumption. */
    public const MISREAD = 1000;

    /** @var list<Rational> chance of the state by rule */
    private array $chances;

    /**
     * @param int|null $days age when it was read; null where all rules hold
     * @param Rational|null $misread least share of the largest chance, so that a state that a rule excludes makes a genotype
     *     unlikely and no more; null where the chances are taken as they stand
     */
    public function __construct(private Eye $eye, private Cue $cue, private int $state, private ?int $days, ?Rational $misread = null)
    {
        $chances = array_map(static fn (CueRule $rule): Rational => $rule->chances[$state], $cue->rules);
        $most = array_reduce(
            $chances, static fn (Rational $most, Rational $one): Rational => $one->compareTo($most) > 0 ? $one : $most, Rational::zero(),
        );
        $least = $misread?->times($most) ?? Rational::zero();
        $this->chances = array_map(static fn (Rational $one): Rational => $one->compareTo($least) < 0 ? $least : $one, $chances);
    }

    public function loci(): array
    {
        return $this->eye->lociOfCue($this->cue);
    }

    public function of(array $forms, ?Sex $sex): Rational
    {
        return $this->chances[$this->eye->rule($this->cue, $forms, $this->days)];
    }

    public function content(): string
    {
        $rules = array_map(
            static fn (CueRule $rule, Rational $chance): string => "{$rule->text()} {$rule->fromDays} {$chance->toString()}",
            $this->cue->rules, $this->chances,
        );

        return hash('xxh128', implode(';', [$this->cue->key, $this->state, $this->days ?? '', ...$rules]));
    }
}

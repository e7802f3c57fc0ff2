<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Sex;
use Destino\Inference\Evidence\Penetrance;
use Destino\Probability\Rational;

/** A cue that has rules, read as evidence: P(the state that was seen | genotype), by the rule that holds at the age of the reading. */
final readonly class CuePenetrance implements Penetrance
{
    /** One reading in so many is wrong, however clear the cue. An assumption. */
    public const MISREAD = 1000;

    private Rational $least;

    /**
     * @param int|null $days age when it was read; null where all rules hold
     * @param Rational|null $misread least share of the largest chance, so that a state that a rule excludes makes a genotype
     *     unlikely and no more; null where the chances are taken as they stand
     */
    public function __construct(
        private CueChances $chances, private Cue $cue, private int $state, private ?int $days, ?Rational $misread = null,
    ) {
        $most = array_reduce(
            $cue->rules, static fn (Rational $most, CueRule $rule): Rational =>
                $rule->chances[$state]->compareTo($most) > 0 ? $rule->chances[$state] : $most, Rational::zero(),
        );
        $this->least = $misread?->times($most) ?? Rational::zero();
    }

    /**
     * How far the chances of what was read lie apart between the rules.
     *
     * @param array{cue: Cue, state: int, days: int|null} $read
     */
    public static function clarity(array $read): float
    {
        $chances = array_map(static fn (CueRule $rule): float => max(1e-6, $rule->chances[$read['state']]->toFloat()), $read['cue']->rules);

        return $chances === [] ? 1.0 : max($chances) / min($chances);
    }

    public function among(array $possible): array
    {
        return [$this];
    }

    public function loci(): array
    {
        return $this->chances->loci($this->cue, [], $this->days);
    }

    public function of(array $forms, ?Sex $sex): Rational
    {
        $chance = $this->chances->of($this->cue, $forms, $this->days)[$this->state];

        return $chance->compareTo($this->least) < 0 ? $this->least : $chance;
    }

    public function content(): string
    {
        return hash('xxh128', implode(' ', [
            $this->chances->contentOf($this->cue), $this->state, $this->days ?? '', $this->least->toString(),
        ]));
    }
}

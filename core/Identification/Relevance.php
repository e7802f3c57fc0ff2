<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Sureness;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Visibility;
use Destino\Identification\Reading\Amounts;
use Destino\Identification\Reading\LookReading;
use Destino\Identification\Reading\Term;
use Destino\Identification\Reading\Through;

/**
 * On which loci a cue depends for an animal that can be no more than this: those with a form that may move one of its readings. Found
 * from bounds of the amounts, without any look: more loci than matter may be named, none that moves a reading by itself is left out.
 */
final class Relevance
{
    /** A form moves a reading where it changes it by so much at least. */
    private const MOVES = .05;

    /** Axes of which it depends whether dark and light are apart. */
    private const COLOURS = ['black_depth', 'dusk', 'yellow', 'orange_red', 'lavender', 'brown', 'fade'];

    /** @var array<string, array{float, float}> by axis: the least and the most that it can be; both 0 for one that nothing moves */
    private array $bounds = [];

    /** @var array<string, array<string, float>> by locus and axis: the most that a form moves it, either way */
    private array $moves = [];

    /** @var list<array{array<string, float>, list<string>}> amounts that forms bring together, and their loci */
    private array $together = [];

    /** @var list<string> loci with a form that hides others */
    private array $masking = [];

    private ?bool $canLose = null;

    /** @param array<string, list<Form>> $possible forms by locus */
    public function __construct(
        private readonly Catalogue $catalogue, private readonly LookFacts $looks, private readonly array $possible,
        private readonly int $days,
    ) {
        $visibility = new Visibility($catalogue);
        foreach ($possible as $locus => $forms) {
            [$low, $high] = [[], []];
            foreach ($forms as $form) {
                foreach ($this->amountsOf($form) as $axis => $amount) {
                    $low[$axis] = min($low[$axis] ?? 0.0, $amount);
                    $high[$axis] = max($high[$axis] ?? 0.0, $amount);
                    $this->moves[$locus][$axis] = max($this->moves[$locus][$axis] ?? 0.0, abs($amount));
                }
                if ($visibility->masksOf($form, all: true) !== [] && ! in_array($locus, $this->masking, true)) {
                    $this->masking[] = $locus;
                }
            }
            $this->widen($low, $high);
        }
        foreach ($this->looks->changesIn(array_merge([], ...array_values($possible))) as [, $effects, $within]) {
            $loci = array_values(array_unique(array_map(static fn (Form $form): string => $form->locus, $within)));
            foreach ($effects as $axis => $amount) { // some of them come with age
                $effects[Amounts::SINCE.$axis] = $this->days > Amounts::FIRST_WEEKS && $this->looks->comesWithAge($axis) ? $amount : 0.0;
            }
            $this->together[] = [$effects, $loci];
            $this->widen(
                array_map(static fn (float $one): float => min(0.0, $one), $effects),
                array_map(static fn (float $one): float => max(0.0, $one), $effects),
            );
        }
    }

    /** @return array<string, float> by amount, those that changed since the first weeks among them */
    private function amountsOf(Form $form): array
    {
        $amounts = $this->looks->amountsOf($this->catalogue, $form, $this->days);
        foreach ($this->looks->amountsOf($this->catalogue, $form, Amounts::FIRST_WEEKS) as $axis => $before) {
            $amounts[Amounts::SINCE.$axis] = $amounts[$axis] - $before;
        }

        return $amounts;
    }

    /**
     * @param array<string, float> $low
     * @param array<string, float> $high
     */
    private function widen(array $low, array $high): void
    {
        foreach ($low as $axis => $least) {
            [$before, $after] = $this->bounds[$axis] ?? [0.0, 0.0];
            $this->bounds[$axis] = [max(-3.0, $before + $least), min(3.0, $after + ($high[$axis] ?? 0.0))];
        }
    }

    /** @return list<string> loci that a reading depends on, in the order of what is possible */
    public function lociOf(LookReading $reading): array
    {
        $slopes = $this->slopes($reading);
        $loci = [];
        foreach ($this->moves as $locus => $moves) {
            foreach (array_intersect_key($moves, $slopes) as $axis => $most) {
                if ($most * $slopes[$axis] >= self::MOVES) {
                    $loci[$locus] = true;
                }
            }
        }
        foreach ($this->together as [$effects, $own]) {
            foreach (array_intersect_key($effects, $slopes) as $axis => $amount) {
                if (abs($amount) * $slopes[$axis] >= self::MOVES) {
                    $loci += array_fill_keys($own, true);
                }
            }
        }
        if ($loci !== []) {
            $hiding = array_filter($this->masking, static fn (string $one): bool => array_diff_key($loci, [$one => true]) !== []);
            $loci += array_fill_keys($hiding, true);
        }
        foreach ($reading->additions as $addition) {
            $loci += array_fill_keys(array_intersect($addition->when->loci(), array_keys($this->possible)), true);
        }

        return array_map(strval(...), array_keys(array_intersect_key($this->possible, $loci)));
    }

    /** @return array<string, float> by axis: how much a unit of it may move a reading of the cue, at most */
    private function slopes(LookReading $reading): array
    {
        $slopes = [];
        foreach ($reading->readings() as $one) {
            foreach ($one->terms as $term) {
                $most = $this->mostOf($term);
                if ($most < self::MOVES) {
                    continue;
                }
                self::raise($slopes, $this->axesOf($term->axis), abs($term->times));
                foreach ($term->through as $through) {
                    $slope = $this->varies($through) ? $most / abs($through->to - $through->from) : 0.0;
                    self::raise($slopes, $this->axesOf($through->axis), $slope);
                }
            }
        }

        return array_filter($slopes, static fn (float $slope): bool => $slope > 0.0);
    }

    /** How far a term may move its reading. */
    private function mostOf(Term $term): float
    {
        [$low, $high] = $this->boundsOf($term->axis);
        $most = abs($term->times) * ($term->clipped($high) - $term->clipped($low));
        foreach ($term->through as $through) {
            [$low, $high] = $this->boundsOf($through->axis);
            $most *= max($through->share($low), $through->share($high));
        }

        return $most;
    }

    private function varies(Through $through): bool
    {
        [$low, $high] = $this->boundsOf($through->axis);

        return abs($through->share($low) - $through->share($high)) > 0.0;
    }

    /** @return array{float, float} the least and the most */
    private function boundsOf(string $axis): array
    {
        if ($axis === Amounts::LOST) {
            return [0.0, $this->canLoseContrast() ? 1.0 : 0.0];
        }
        return $this->bounds[$axis] ?? [0.0, 0.0];
    }

    /** @return list<string> axes of the look that an amount is worked out from */
    private function axesOf(string $amount): array
    {
        return $amount === Amounts::LOST ? self::COLOURS : [$amount];
    }

    /** Whether some genotype here may be so pale, or so dark, that its pattern is not seen. */
    private function canLoseContrast(): bool
    {
        if ($this->canLose === null) {
            $palest = ['fade' => $this->boundsOf('fade')[1], 'lavender' => $this->boundsOf('lavender')[0]];
            foreach (['black_depth', 'yellow', 'orange_red'] as $axis) {
                $palest[$axis] = $this->boundsOf($axis)[0];
            }
            $looks = array_map(
                fn (float $dusk): Look => new Look($palest + ['dusk' => $dusk], [], Sureness::Known, [], $this->days, 0),
                $this->boundsOf('dusk'),
            );
            $this->canLose = max(array_map(Amounts::lostIn(...), $looks)) > 0.0;
        }

        return $this->canLose;
    }

    /**
     * @param array<string, float> $slopes
     * @param list<string> $axes
     */
    private static function raise(array &$slopes, array $axes, float $slope): void
    {
        foreach ($axes as $axis) {
            $slopes[$axis] = max($slopes[$axis] ?? 0.0, $slope);
        }
    }
}

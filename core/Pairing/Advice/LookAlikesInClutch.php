<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Form;
use Destino\Genome\LookAlike;
use Destino\Genome\Severity;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** Forms in one clutch that the catalogue counts as look-alikes. */
final readonly class LookAlikesInClutch implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $odds = FormOdds::of($cross);
        $advice = [];
        foreach ($cross->catalogue->lookAlikes as $set) {
            $alike = array_values(
                array_filter($odds, static fn (array $entry): bool => $set->includes($entry[0]) && ! $entry[0]->isLethal()),
            );
            if (count($alike) < 2) {
                continue;
            }
            $names = array_map(static fn (array $entry): string => $entry[0]->text, $alike);
            $advice[] = new Advice(
                'look-alikes', Severity::Watch,
                'This clutch can hold '.Words::list($names).', which are easily mixed up'.self::when($set).". {$set->text}",
                self::any($alike),
                array_values(array_unique(array_map(static fn (array $entry): string => $entry[0]->locus, $alike))),
            );
        }

        return $advice;
    }

    private static function when(LookAlike $set): string
    {
        return match ($set->stage) {
            'hatchling' => ' as hatchlings',
            'growing' => ' while they grow',
            'adult' => ' as adults',
            default => ' at any age',
        };
    }

    /**
     * P(any of the forms), where they exclude each other (one locus); null where they do not.
     *
     * @param list<array{Form, Rational}> $alike
     */
    private static function any(array $alike): ?Rational
    {
        $loci = array_unique(array_map(static fn (array $entry): string => $entry[0]->locus, $alike));

        return count($loci) > 1 ? null : Weights::sum(array_map(static fn (array $entry): Rational => $entry[1], $alike));
    }
}

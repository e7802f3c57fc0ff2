<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Severity;
use Destino\Pairing\Cross;

/** A parent that may or may not carry something: its eggs are not independent chances. */
final readonly class UncertainParents implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $who = array_keys(array_filter(['sire' => ! $cross->sire->isCertain(), 'dam' => ! $cross->dam->isCertain()]));
        if ($who === []) {
            return [];
        }

        return [
            new Advice(
                'uncertain-parent', Severity::Info,
                'What the '.Words::list($who)
                    .(count($who) > 1 ? ' carry' : ' carries').' is not certain. All eggs of a clutch share that one answer, so the odds '
                        .'for a clutch rise more '
                        .'slowly than the odds per egg suggest, and may never reach 99%.',
            ),
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Tables\Sheet;
use Destino\Pairing\Asking\Prediction;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The full list of outcomes as CSV, written row by row from the most likely down. */
class OutcomeSheet
{
    private const HEADINGS = [
        'number', 'outcome', 'known as', 'probability', 'decimal', 'sex', 'dies of its form', 'genotypes',
        'chance that it meets the target',
    ];

    public static function download(Prediction $prediction, int $most): StreamedResponse
    {
        return Sheet::download('outcomes', Sheet::CSV, self::HEADINGS, fn (): iterable => self::rows($prediction, $most));
    }

    /** @return iterable<list<string|int|float>> */
    private static function rows(Prediction $prediction, int $most): iterable
    {
        $space = $prediction->outcomes();
        foreach ($space->walk() as $i => $outcome) {
            if ($i >= $most) {
                yield ['', "Only the {$most} most likely of {$space->total()} outcomes are in this file."];

                return;
            }
            yield [
                $i + 1, $outcome->label, implode(', ', $outcome->knownAs), $outcome->probability->toString(),
                $outcome->probability->toFloat(), $outcome->sex->value ?? '', $outcome->isLethal ? 'yes' : '',
                (string) $outcome->genotypes,
                $prediction->target === null ? '' : $prediction->target->shareOfHits($outcome)->toString(),
            ];
        }
    }
}

<?php

namespace App\Pairing;

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
        return response()->streamDownload(function () use ($prediction, $most): void {
            $file = fopen('php://output', 'w');
            if ($file === false) {
                return;
            }
            self::write($file, self::HEADINGS);
            $space = $prediction->outcomes();
            foreach ($space->walk() as $i => $outcome) {
                if ($i >= $most) {
                    self::write($file, ['', "Only the {$most} most likely of {$space->total()} outcomes are in this file."]);
                    break;
                }
                self::write($file, [
                    $i + 1, $outcome->label, implode(', ', $outcome->knownAs), $outcome->probability->toString(),
                    $outcome->probability->toFloat(),
                    $outcome->sex->value ?? '', $outcome->isLethal ? 'yes' : '', (string) $outcome->genotypes,
                    $prediction->target === null ? '' : $prediction->target->shareOfHits($outcome)->toString(),
                ]);
            }
            fclose($file);
        }, 'outcomes.csv', ['Content-Type' => 'text/csv; charset=utf-8']);
    }

    /**
     * @param  resource  $file
     * @param  list<string|int|float>  $cells
     */
    private static function write($file, array $cells): void
    {
        fputcsv($file, $cells, ',', '"', '');
    }
}

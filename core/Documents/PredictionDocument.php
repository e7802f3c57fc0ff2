<?php

declare(strict_types=1);

namespace Destino\Documents;

use Brick\Math\BigInteger;
use Destino\Genome\Claim;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Asking\Assumptions;
use Destino\Pairing\Asking\Prediction;
use Destino\Pairing\By;
use Destino\Pairing\Outcome;
use Destino\Pairing\TargetOdds;
use Destino\Probability\ClutchChance;
use Destino\Probability\Rational;

/** The document destino-prediction/1 (docs/formats/prediction.schema.json). */
final class PredictionDocument
{
    public const LEVELS = [50, 90, 95, 99];

    /** @return array<string, mixed> */
    public static function of(Prediction $prediction, int $most): array
    {
        $question = $prediction->question;
        $space = $prediction->outcomes();
        $outcomes = $space->top($most);
        $shown = array_reduce(
            $outcomes, fn (Rational $sum, Outcome $outcome): Rational => $sum->plus($outcome->probability), Rational::zero(),
        );
        return array_filter([
            'format' => 'destino-prediction/1',
            'sire' => ['text' => $question->sire],
            'dam' => ['text' => $question->dam],
            'by' => $question->by->value,
            'per_hatchling' => $question->hatched,
            'outcomes_total' => self::count($space->total()),
            'outcomes_shown' => count($outcomes),
            'probability_shown' => $shown->toString(),
            'outcomes' => array_map(fn (Outcome $outcome): array => self::outcome($outcome, $question->by, $question->phased), $outcomes),
            'survival' => self::number($prediction->cross->survival()),
            'target' => $prediction->target === null ? null : self::target($prediction->target, max(0, $question->eggs)),
            'advice' => array_map(self::advice(...), $prediction->advice()),
            'assumptions' => self::assumptions($prediction->assumptions()) + [
                'disputed' => array_map(
                    fn (Claim $claim): array => [
                        'claim' => $claim->key, 'question' => $claim->question,
                        'school' => $prediction->catalogue->schools[$claim->key],
                    ],
                    $prediction->disputes(),
                ),
            ],
        ], fn (mixed $value): bool => $value !== null);
    }

    /** A whole number, or its digits where a reader of JSON could lose some. */
    private static function count(BigInteger $count): int|string
    {
        return $count->getBitLength() <= 53 ? $count->toInt() : (string) $count;
    }

    /** @return array{probability: string, decimal: float} */
    private static function number(Rational $value): array
    {
        return ['probability' => $value->toString(), 'decimal' => $value->toFloat()];
    }

    /** @return array<string, mixed> */
    private static function outcome(Outcome $outcome, By $by, bool $phased): array
    {
        $document = ['label' => $outcome->label] + self::number($outcome->probability) + [
            'sex' => $outcome->sex?->value,
            'alleles' => (object) array_map(
                fn (Form $form): array => $form->pair, array_filter($outcome->forms, fn (Form $form): bool => ! $form->isWild()),
            ),
            'lethal' => $outcome->isLethal,
        ];
        if ($outcome->knownAs !== []) {
            $document['known_as'] = $outcome->knownAs;
        }
        if ($by === By::Look) {
            $document['genotypes'] = self::count($outcome->genotypes);
        }
        if ($phased) {
            $document['phase'] = (object) $outcome->phase;
        }

        return $document;
    }

    /**
     * @param  int<0, max>  $eggs
     * @return array<string, mixed>
     */
    private static function target(TargetOdds $odds, int $eggs): array
    {
        $bySex = [];
        foreach (Sex::cases() as $sex) {
            if ($odds->target->sex === null || $odds->target->sex === $sex) {
                $bySex[$sex->value] = self::odds($odds->bySex($sex), $eggs);
            }
        }

        return ['text' => $odds->target->text] + self::odds($odds->chance, $eggs) + [
            'by_sex' => $bySex, 'impossible' => $odds->whyImpossible(),
        ];
    }

    /**
     * @param  int<0, max>  $eggs
     * @return array<string, mixed>
     */
    private static function odds(ClutchChance $chance, int $eggs): array
    {
        return self::number($chance->perEgg()) + [
            'clutch' => [
                'eggs' => $eggs,
                'expected' => $chance->expected($eggs)->toFloat(),
                'at_least_one' => $chance->atLeastOne($eggs)->toFloat(),
                'at_least_two' => $chance->atLeastTwo($eggs)->toFloat(),
            ],
            'eggs_for' => (object) array_combine(
                self::LEVELS, array_map(fn (int $level): ?int => $chance->eggsFor(Rational::of($level, 100)), self::LEVELS),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function advice(Advice $advice): array
    {
        return array_filter([
            'code' => $advice->code,
            'severity' => $advice->severity->value,
            'text' => $advice->text,
            'probability' => $advice->probability?->toString(),
            'loci' => $advice->loci,
        ], fn (mixed $value): bool => $value !== null && $value !== []);
    }

    /** @return array<string, mixed> */
    public static function assumptions(Assumptions $assumptions): array
    {
        return [
            'schools' => (object) $assumptions->schools,
            'recombination' => (object) array_map(fn (Rational $r): string => $r->toString(), $assumptions->recombination),
            'readings' => $assumptions->readings,
            'rules' => $assumptions->rules(),
        ];
    }
}

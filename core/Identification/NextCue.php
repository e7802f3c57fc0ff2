<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Probability\Number;

/** How much looking at a cue is expected to tell of a young's genotype. */
final readonly class NextCue
{
    /** Rules less likely than this are not named. */
    private const NAMED = .03;

    public function __construct(private Eye $eye, private Young $young) {}

    /**
     * The entropy of the mixed chances of the states less the mean entropy given the genotype.
     *
     * @return array{float, string} bits, and what it would separate
     */
    public function bits(Cue $cue, ?int $days): array
    {
        $rules = $this->rules($cue, $days);
        $mixed = array_fill(0, count($cue->states), 0.0);
        $given = 0.0;
        foreach ($rules as $rule => $p) {
            $chances = array_map(static fn ($chance): float => $chance->toFloat(), $cue->rules[$rule]->chances);
            foreach ($chances as $state => $chance) {
                $mixed[$state] += $p * $chance;
            }
            $given += $p * self::entropy($chances);
        }

        return [max(0.0, self::entropy(array_values($mixed)) - $given), $this->separates($cue, $rules)];
    }

    /** @return array<int, float> P(rule holds), those that can */
    private function rules(Cue $cue, ?int $days): array
    {
        $rules = [];
        foreach ($this->young->inFloats()->over($this->eye->lociOfCue($cue)) as [$forms, $p]) {
            $rule = $this->eye->rule($cue, $forms, $days);
            $rules[$rule] = ($rules[$rule] ?? 0.0) + Number::float($p);
        }

        return $rules;
    }

    /** @param list<float> $chances */
    private static function entropy(array $chances): float
    {
        $bits = 0.0;
        foreach ($chances as $chance) {
            $bits -= $chance > 0.0 ? $chance * log($chance, 2) : 0.0;
        }

        return $bits;
    }

    /** @param array<int, float> $rules */
    private function separates(Cue $cue, array $rules): string
    {
        arsort($rules);
        $likely = array_keys(array_filter($rules, static fn (float $p): bool => $p >= self::NAMED));
        $names = array_map(
            static fn (int $rule): string => $cue->rules[$rule]->when === null ? 'the rest' : $cue->rules[$rule]->text(), $likely,
        );

        return count($names) < 2 ? '' : implode(', ', array_slice($names, 0, -1)).' from '.$names[count($names) - 1];
    }
}

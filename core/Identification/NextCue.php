<?php

declare(strict_types=1);

namespace Destino\Identification;

/** How much looking at a cue is expected to tell of a young's genotype. */
final readonly class NextCue
{
    /** Rules less likely than this are not named. */
    private const NAMED = .03;

    /** @param Posterior<float> $posterior */
    public function __construct(private Sight $sight, private Posterior $posterior) {}

    /**
     * The entropy of the mixed chances of the states less the mean entropy given the genotype.
     *
     * @return array{float, string} bits, and what it would separate
     */
    public function bits(Hatchling $one, Cue $cue): array
    {
        $rules = $this->rules($one, $cue);
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
    private function rules(Hatchling $one, Cue $cue): array
    {
        $groups = $this->sight->ties()->ofCue($cue);
        $rules = [];
        foreach ($this->posterior->sires as $s => $sire) {
            $tuples = [[[], 1.0]];
            foreach ($this->posterior->strands as $k => $strand) {
                if (array_intersect($groups, $strand->groups) === []) {
                    continue;
                }
                $chances = $forms = [];
                foreach ($strand->each($groups, static fn (array $own): array => $own) as $number => $own) {
                    $key = implode(' ', array_map(static fn ($form): string => $form->locus.implode('/', $form->pair), $own));
                    $forms[$key] = $own;
                    $chances[$key] = ($chances[$key] ?? 0.0) + ($this->posterior->young[$one->id][$s][$k][$number] ?? 0.0);
                }
                $longer = [];
                foreach ($tuples as [$before, $p]) {
                    foreach ($chances as $key => $chance) {
                        $chance > 0.0 ? $longer[] = [$before + $forms[$key], $p * $chance] : null;
                    }
                }
                $tuples = $longer;
            }
            foreach ($tuples as [$forms, $p]) {
                $rule = $this->sight->rule($cue, $forms, $one->days);
                $rules[$rule] = ($rules[$rule] ?? 0.0) + $sire * $p;
            }
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

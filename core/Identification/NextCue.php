<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Form;
use Destino\Probability\Number;

/**
 * How much looking at a cue is expected to tell of a young's genotype.
 *
 * @phpstan-type Way array{forms: array<string, Form>, p: float, chances: list<float>}
 */
final readonly class NextCue
{
    /** Forms less likely than this are not named. */
    private const NAMED = .03;

    /** A locus is named that tells this share of what the best tells. */
    private const TELLS = .2;

    /** Genotypes over which look-alikes are weighed; where there are more, the cue is asked as if nothing had been read. */
    private const MOST = 4_000;

    /** @param CuesRead $read what was read of the young */
    public function __construct(private CueChances $chances, private Young $young, private CuesRead $read) {}

    /**
     * The entropy of the mixed chances of the states less the mean entropy given the genotype.
     *
     * @return array{float, string, list<float>} bits, what it would separate, and the chances of the states of this young
     */
    public function bits(Cue $cue, ?int $days): array
    {
        $ways = $this->ways($cue, $cue->reading === null ? $days : CueChances::age($days));
        $asked = array_sum(array_column($ways, 'p'));

        return $asked <= 0.0
            ? [0.0, '', array_fill(0, count($cue->states), 0.0)]
            : [max(0.0, $asked * self::told($ways)), $this->separates($ways), self::mixed($ways)];
    }

    /**
     * What the young is after each state: P(form | state), at the loci of the cue.
     *
     * @return list<array{chance: float, forms: list<array{form: Form, decimal: float}>}> by state, with P(state)
     */
    public function after(Cue $cue, ?int $days): array
    {
        $ways = $this->ways($cue, $cue->reading === null ? $days : CueChances::age($days));
        $asked = array_sum(array_column($ways, 'p'));
        $after = [];
        foreach ($asked > 0.0 ? self::mixed($ways) : [] as $state => $chance) {
            $shares = $forms = [];
            foreach ($ways as $way) {
                foreach ($chance > 0.0 ? $way['forms'] : [] as $form) {
                    $key = $form->key();
                    $forms[$key] = $form;
                    $shares[$key] = ($shares[$key] ?? 0.0) + $way['p'] / $asked * $way['chances'][$state] / $chance;
                }
            }
            $after[] = ['chance' => $chance, 'forms' => array_map(
                static fn (Form $form, float $share): array => ['form' => $form, 'decimal' => $share], $forms, $shares,
            )];
        }

        return $after;
    }

    /** @return list<Way> genotypes at the loci of the cue that have what it asks for, each with the chances of the states */
    private function ways(Cue $cue, ?int $days): array
    {
        $possible = $this->young->possible();
        $own = $this->chances->loci($cue, $possible, $days);
        $read = $cue->reading === null ? null : $this->read->beside($cue, $days, $possible);
        $known = $this->young->inFloats()->over($read === null ? $own : $read->loci());
        if ($read !== null && count($known) > self::MOST) {
            $read = CuesRead::fromLook($this->chances, [])->beside($cue, $days, $possible); // as if nothing had been read
            $known = $this->young->inFloats()->over($own);
        }
        $mixed = $read?->chancesOf($cue);
        $ways = [];
        foreach ($known as [$forms, $p]) {
            if ($this->chances->isThere($cue, $forms, $days)) {
                $chances = $mixed === null
                    ? $this->chances->floats($cue, $forms, $days) : array_column($mixed, $read->place($forms));
                $ways[] = ['forms' => $forms, 'p' => Number::float($p), 'chances' => $chances];
            }
        }

        return $ways;
    }

    /**
     * @param list<Way> $ways
     * @return float bits, of a genotype that is one of these
     */
    private static function told(array $ways): float
    {
        $all = array_sum(array_column($ways, 'p'));
        $given = 0.0;
        foreach ($ways as $way) {
            $given += $way['p'] / $all * self::entropy($way['chances']);
        }

        return self::entropy(self::mixed($ways)) - $given;
    }

    /**
     * @param list<Way> $ways
     * @return list<float> chances of the states
     */
    private static function mixed(array $ways): array
    {
        $all = array_sum(array_column($ways, 'p'));
        $mixed = [];
        foreach ($ways as $way) {
            foreach ($way['chances'] as $state => $chance) {
                $mixed[$state] = ($mixed[$state] ?? 0.0) + $way['p'] / $all * $chance;
            }
        }

        return array_values($mixed);
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

    /**
     * The genes of which it tells most: "Pastel, Enchi from the rest".
     *
     * @param list<Way> $ways
     */
    private function separates(array $ways): string
    {
        $told = $names = [];
        $mixed = self::entropy(self::mixed($ways));
        foreach (array_keys($ways[0]['forms'] ?? []) as $locus) {
            [$told[$locus], $names[$locus]] = self::toldAt($ways, $locus, $mixed);
        }
        $least = $told === [] ? 0.0 : max(1e-9, self::TELLS * max($told));
        $all = [];
        foreach (array_filter($told, static fn (float $bits): bool => $bits >= $least) as $locus => $_) {
            $all = [...$all, ...$names[$locus] ?? []];
        }
        $forms = array_values(array_unique(array_filter($all, static fn (string $name): bool => $name !== 'the rest')));
        if (count($forms) < count(array_unique($all))) {
            $forms[] = 'the rest';
        }

        return count($forms) < 2 ? '' : implode(', ', array_slice($forms, 0, -1)).' from '.$forms[count($forms) - 1];
    }

    /**
     * What it tells of one locus: bits, and the names of the forms that are not unlikely.
     *
     * @param list<Way> $ways
     * @param float $mixed entropy of the chances of all ways together
     * @return array{float, list<string>}
     */
    private static function toldAt(array $ways, string $locus, float $mixed): array
    {
        $forms = $weights = $sums = [];
        foreach ($ways as ['forms' => $own, 'p' => $p, 'chances' => $chances]) {
            $key = $own[$locus]->key();
            if (! isset($forms[$key])) {
                [$forms[$key], $weights[$key], $sums[$key]] = [$own[$locus], 0.0, array_fill(0, count($chances), 0.0)];
            }
            $weights[$key] += $p;
            foreach ($chances as $state => $chance) {
                $sums[$key][$state] += $p * $chance;
            }
        }
        [$given, $names, $all] = [0.0, [], array_sum($weights)];
        foreach ($forms as $key => $form) {
            $weight = $weights[$key];
            if ($weight > 0.0) {
                $given += $weight / $all * self::entropy(array_map(static fn (float $sum): float => $sum / $weight, array_values($sums[$key])));
            }
            if ($weight >= self::NAMED) {
                $names[] = $form->shows === [] ? 'the rest' : $form->text;
            }
        }

        return [$mixed - $given, $names];
    }
}

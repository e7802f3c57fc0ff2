<?php

declare(strict_types=1);

namespace App\Catalogue;

/** A keeper's own chances of a cue, as typed: a percentage for each state. */
class OwnChances
{
    /** How far the percentages may be from adding up to 100. */
    private const WITHIN = .5;

    /** A chance below this is none that an eye could vouch for. */
    private const LEAST = .001;

    public function __construct(
        private readonly CatalogueShelf $shelf, private readonly string $gene, private readonly string $rule,
            private readonly string $typed,
    ) {}

    public function fault(): ?string
    {
        $rule = CueRules::of($this->shelf, $this->gene)[$this->rule] ?? null;
        if ($rule === null) {
            return null; // said at the field of the cue
        }
        $numbers = $this->numbers();
        $states = $rule['cue']->states;

        return match (true) {
            $numbers === null => 'Write percentages only: '.implode(', ', $states).'.',
            count($numbers) !== count($states) => 'Give '.count($states).' percentages, in this order: '.implode(', ', $states).'.',
            abs(array_sum($numbers) - 100) > self::WITHIN => 'The percentages add up to '.round(array_sum($numbers), 2).', not to 100.',
            default => null,
        };
    }

    /** @return array{cue: string, when: string, chances: list<float>} to be kept; where fault() finds none */
    public function data(): array
    {
        $chances = self::shares($this->numbers() ?? []);
        [$cue, $when] = explode('|', $this->rule, 2);

        return ['cue' => $cue, 'when' => $when, 'chances' => $chances];
    }

    /**
     * Percentages as chances that add up to 1; none of them is 0, since observers slip.
     *
     * @param list<float> $percentages
     * @return list<float>
     */
    public static function shares(array $percentages): array
    {
        $numbers = array_map(fn (float $number): float => max(self::LEAST, $number / 100), $percentages);
        $sum = array_sum($numbers);
        $chances = array_map(fn (float $number): float => round($number / $sum, 6), $numbers);
        $chances[0] = round($chances[0] + 1 - array_sum($chances), 6);

        return $chances;
    }

    /** @return list<float>|null null where something is no number, or below 0 */
    private function numbers(): ?array
    {
        $numbers = [];
        foreach (preg_split('/[\s,;%]+/', trim($this->typed, " \t\n\r,;%")) ?: [] as $piece) {
            if (! is_numeric($piece) || $piece < 0) {
                return null;
            }
            $numbers[] = (float) $piece;
        }

        return $numbers;
    }
}

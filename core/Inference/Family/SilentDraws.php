<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Graph\ChainMeans;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Draw;
use Destino\Probability\Rational;
use Random\Randomizer;

/**
 * What draws of all others say of silent members: each gives P(genotype | parents), and these are averaged. How often each
 * pair of parents was met is counted, and their shares weighed by it at the end.
 */
final class SilentDraws
{
    /** @var list<SilentYoung> parents before their young */
    private readonly array $young;

    /** @var array<int, array<int, array<string, int>>> how often, by place of the member, part and pair of parents */
    private array $met = [];

    /** @var array<int, int> draws by part */
    private array $counts = [];

    /** @param list<string> $silent as "space member", parents before their young */
    public function __construct(FamilyModel $model, Network $core, private readonly array $silent)
    {
        $places = array_flip($silent);
        $this->young = array_map(static fn (string $name): SilentYoung => SilentYoung::of($model, $core, $name, $places), $silent);
    }

    /**
     * Takes one draw of all others into account.
     *
     * @param array<int, int> $values by variable of the core
     */
    public function add(array $values, int $part, Randomizer $chance): void
    {
        $this->counts[$part] = ($this->counts[$part] ?? 0) + 1;
        $drawn = [];
        foreach ($this->young as $at => $young) {
            $parents = $young->meet($values, $drawn);
            $this->met[$at][$part][$parents] = ($this->met[$at][$part][$parents] ?? 0) + 1;
            $drawn[$at] = $young->numbers[Draw::from($young->shares($parents), $chance)];
        }
    }

    /** @return array<string, array<int, Rational>> P by "space member" and number of the genotype */
    public function shares(): array
    {
        $shares = [];
        foreach ($this->young as $at => $young) {
            $sums = array_fill(0, count($young->numbers), 0.0);
            foreach ($this->means($at) as $part => $means) {
                foreach ($means as $place => $mean) {
                    $sums[$place] += $mean * $this->counts[$part];
                }
            }
            $shares[$this->silent[$at]] = array_combine(
                $young->numbers, (new Doubles)->shares(array_filter($sums, static fn (float $sum): bool => $sum > 0.0), count($sums)) ?? [],
            );
        }

        return $shares;
    }

    /** What the largest error stays below in 95 of 100 trials. */
    public function error(): float
    {
        return max([0.0, ...array_values($this->errors())]);
    }

    /** @return array<string, float> the same by "space member" */
    public function errors(): array
    {
        $errors = [];
        foreach ($this->young as $at => $young) {
            $error = 0.0;
            $parts = $this->means($at);
            foreach (array_keys($young->numbers) as $place) {
                $means = array_column($parts, $place);
                $count = count($means);
                $mean = array_sum($means) / max(1, $count);
                $spread = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $means));
                $error = max($error, sqrt($spread / max(1, $count * ($count - 1))));
            }
            $errors[$this->silent[$at]] = min(1.0, ChainMeans::FACTOR * $error);
        }

        return $errors;
    }

    /** @return array<int, list<float>> mean P of a member in each part, by place of the genotype */
    private function means(int $at): array
    {
        $parts = [];
        foreach ($this->met[$at] ?? [] as $part => $met) {
            $means = array_fill(0, count($this->young[$at]->numbers), 0.0);
            foreach ($met as $parents => $times) {
                foreach ($this->young[$at]->shares($parents) as $place => $share) {
                    $means[$place] += $share * $times / $this->counts[$part];
                }
            }
            $parts[$part] = array_values($means);
        }

        return $parts;
    }
}

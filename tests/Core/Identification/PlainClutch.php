<?php

declare(strict_types=1);

namespace Tests\Core\Identification;

use Destino\Genome\Sex;
use Destino\Identification\Clutch;
use Destino\Identification\Cue;
use Destino\Identification\CueRule;
use Destino\Identification\Hatchling;
use Destino\Probability\Rational;
use Random\Randomizer;
use Tests\Support\Shelf;

/**
 * A small random clutch, and its posterior by trying every genotype of every animal together: copies of four genes on
 * loci of their own, without any of the code that is tested.
 */
final class PlainClutch
{
    private const GENES = ['pastel' => 'Pastel', 'enchi' => 'Enchi', 'clown' => 'Clown'];

    /** Conditions that cues ask about: words, and what they mean in copies. */
    private const RULES = ['Pastel + Enchi', 'Clown', 'Pastel', 'Enchi'];

    /** @var list<list<array{array<string, int>, float}>> genotypes of each sire with chances */
    private array $sires = [];

    /** @var list<array{array<string, int>, float}> genotypes of the dam */
    private array $dam = [];

    private string $damText = '';

    /** @var list<string> */
    private array $sireTexts = [];

    /** @var list<int> */
    private array $weights = [];

    /** @var list<array{string|null, array<string, int>}> look and cues of each young */
    private array $young = [];

    /** @var array<string, list<array{string|null, list<int>}>> rules of each cue: condition, chances in twentieths */
    private array $rules = [];

    /** @var list<int>|null young that are alike for Pastel */
    private ?array $alike = null;

    public static function random(Randomizer $chance): self
    {
        $one = new self;
        [$one->damText, $one->dam] = self::parent($chance);
        for ($s = $chance->getInt(1, 2); $s > 0; $s--) {
            [$one->sireTexts[], $one->sires[]] = self::parent($chance);
            $one->weights[] = $chance->getInt(1, 3);
        }
        foreach (['first', 'second'] as $cue) {
            foreach ($chance->shuffleArray(self::RULES) as $i => $rule) {
                $i < 2 ? $one->rules[$cue][] = [$rule, self::split($chance)] : null;
            }
            $one->rules[$cue] = self::inOrder($one->rules[$cue]);
            $one->rules[$cue][] = [null, self::split($chance)];
        }
        for ($h = $chance->getInt(2, 3); $h > 0; $h--) {
            $cues = [];
            foreach (['first', 'second'] as $cue) {
                $chance->getInt(0, 2) > 0 ? $cues[$cue] = $chance->getInt(0, 1) : null;
            }
            $one->young[] = [[null, null, 'not Clown', 'Pastel', 'Enchi'][$chance->getInt(0, 4)], $cues];
        }
        $one->alike = $chance->getInt(0, 1) === 1 ? [0, 1] : null;

        return $one;
    }

    /**
     * The rule for both genes before those for one, or it could never hold.
     *
     * @param list<array{string|null, list<int>}> $rules
     * @return list<array{string|null, list<int>}>
     */
    private static function inOrder(array $rules): array
    {
        usort($rules, static fn (array $a, array $b): int => str_contains((string) $b[0], '+') <=> str_contains((string) $a[0], '+'));

        return $rules;
    }

    /** @return list<int> */
    private static function split(Randomizer $chance): array
    {
        $first = $chance->getInt(1, 19);

        return [$first, 20 - $first];
    }

    /** @return array{string, list<array{array<string, int>, float}>} text, and genotypes with chances */
    private static function parent(Randomizer $chance): array
    {
        $pastel = $chance->getInt(0, 1);
        $enchi = $chance->getInt(0, 2);
        [$clown, $states] = [
            ['', [[0, 1.0]]], ['het Clown', [[1, 1.0]]], ['66% het Clown', [[1, .66], [0, .34]]], ['Clown', [[2, 1.0]]],
        ][$chance->getInt(0, 3)];
        $states = $clown === '66% het Clown' ? [[1, 2 / 3], [0, 1 / 3]] : $states;
        $text = trim(implode(' ', array_filter([$pastel === 1 ? 'Pastel' : '', ['', 'Enchi', 'Super Enchi'][$enchi], $clown])));

        return [
            $text === '' ? 'Normal' : $text,
            array_map(
                static fn (array $state): array => [['pastel' => $pastel, 'enchi' => $enchi, 'clown' => $state[0]], $state[1]], $states,
            ),
        ];
    }

    public function clutch(): Clutch
    {
        $targets = Shelf::facts()->targets();
        $sires = array_map(
            fn (string $text, int $i): array => [
                'id' => "s{$i}", 'belief' => Shelf::belief($text, Sex::Male), 'weight' => Rational::of($this->weights[$i]),
            ],
            $this->sireTexts, array_keys($this->sireTexts),
        );
        $young = array_map(
            static fn (array $one, int $h): Hatchling => new Hatchling(
                "h{$h}", null, null, $one[0] === null ? null : $targets->read($one[0]), $one[1],
            ), $this->young, array_keys($this->young),
        );
        $alike = $this->alike === null
            ? []
            : [['target' => $targets->read('Pastel'), 'hatchlings' => array_map(static fn (int $h): string => "h{$h}", $this->alike)]];
        assert($sires !== []);

        return new Clutch(Shelf::belief($this->damText), $sires, $young, [], $alike);
    }

    /** @return array<string, Cue> */
    public function cues(): array
    {
        $cues = [];
        foreach ($this->rules as $key => $rules) {
            $read = array_map(static fn (array $rule): CueRule => new CueRule(
                $rule[0] === null ? null : Shelf::facts()->targets()->read($rule[0]),
                array_map(static fn (int $p): Rational => Rational::of($p, 20), $rule[1]),
            ), $rules);
            assert($read !== []);
            $cues[$key] = new Cue($key, $key, 'back', ['a', 'b'], $read);
        }

        return $cues;
    }

    /** @return array{sires: list<float>, genes: array<string, array<string, float>>}|null null where nothing fits */
    public function posterior(): ?array
    {
        $total = 0.0;
        $sires = array_fill(0, count($this->sires), 0.0);
        $genes = [];
        foreach ($this->sires as $s => $states) {
            foreach ($states as [$sire, $p]) {
                foreach ($this->dam as [$dam, $q]) {
                    foreach ($this->together($sire, $dam) as [$young, $r]) {
                        $weight = $this->weights[$s] * $p * $q * $r;
                        $total += $weight;
                        $sires[$s] += $weight;
                        foreach ($young as $h => $copies) {
                            foreach ($copies as $gene => $count) {
                                $genes["h{$h}"][$gene] = ($genes["h{$h}"][$gene] ?? 0.0) + ($count > 0 ? $weight : 0.0);
                            }
                        }
                    }
                }
            }
        }
        if ($total <= 0.0) {
            return null;
        }

        return [
            'sires' => array_map(static fn (float $weight): float => $weight / $total, $sires),
            'genes' => array_map(
                static fn (array $own): array => array_map(static fn (float $weight): float => $weight / $total, $own), $genes,
            ),
        ];
    }

    /**
     * @param array<string, int> $sire
     * @param array<string, int> $dam
     * @return iterable<array{list<array<string, int>>, float}> all young together, and how likely that and what was seen is
     */
    private function together(array $sire, array $dam): iterable
    {
        $all = [[[], 1.0]];
        foreach ($this->young as [$saw, $cues]) {
            $longer = [];
            foreach ($all as [$young, $p]) {
                foreach ($this->eggs($sire, $dam) as [$copies, $q]) {
                    $seen = $saw === null || $this->holds($saw, $copies) ? 1.0 : 0.0;
                    foreach ($cues as $cue => $state) {
                        $seen *= $this->shows($cue, $state, $copies);
                    }
                    $seen > 0.0 ? $longer[] = [[...$young, $copies], $p * $q * $seen] : null;
                }
            }
            $all = $longer;
        }
        foreach ($all as [$young, $p]) {
            if ($this->alike === null || ($young[0]['pastel'] > 0) === ($young[1]['pastel'] > 0)) {
                yield [$young, $p];
            }
        }
    }

    /**
     * @param array<string, int> $sire
     * @param array<string, int> $dam
     * @return list<array{array<string, int>, float}>
     */
    private function eggs(array $sire, array $dam): array
    {
        $eggs = [[[], 1.0]];
        foreach (array_keys(self::GENES) as $gene) {
            [$a, $b] = [$sire[$gene] / 2, $dam[$gene] / 2];
            $longer = [];
            foreach ($eggs as [$copies, $p]) {
                foreach ([0 => (1 - $a) * (1 - $b), 1 => $a * (1 - $b) + $b * (1 - $a), 2 => $a * $b] as $count => $q) {
                    $q > 0.0 ? $longer[] = [[$gene => $count] + $copies, $p * $q] : null;
                }
            }
            $eggs = $longer;
        }

        return $eggs;
    }

    /** @param array<string, int> $copies */
    private function holds(string $rule, array $copies): bool
    {
        return match ($rule) {
            'Pastel + Enchi' => $copies['pastel'] > 0 && $copies['enchi'] > 0,
            'Clown' => $copies['clown'] === 2,
            'not Clown' => $copies['clown'] < 2,
            'Pastel' => $copies['pastel'] > 0,
            default => $copies['enchi'] > 0,
        };
    }

    /** @param array<string, int> $copies */
    private function shows(string $cue, int $state, array $copies): float
    {
        foreach ($this->rules[$cue] as [$rule, $chances]) {
            if ($rule === null || $this->holds($rule, $copies)) {
                return $chances[$state] / 20;
            }
        }

        return 0.0;
    }
}

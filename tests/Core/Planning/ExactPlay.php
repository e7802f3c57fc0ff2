<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

/**
 * The best that any keeper can reach, by working backward through every situation and everything that luck can bring: for
 * genes that show in one copy and more in two, so that a keeper sees what he has. Nothing is shared with the policy but the
 * calendar of the project document.
 *
 * An animal is [male?, copies by gene, first season in which it breeds, hatched here?].
 *
 * @phpstan-type Animal array{bool, list<int>, int, bool}
 */
final class ExactPlay
{
    /** @var array<string, float> chance by situation */
    private array $known = [];

    /**
     * @param list<int> $wanted copies of each gene
     * @param array{eggs: int, lay: float, male: int, female: int, horizon: int, perMale: int, tubs: int|null} $rules delays in seasons
     */
    public function __construct(private readonly array $wanted, private readonly array $rules) {}

    /** @param list<Animal> $animals */
    public function chance(array $animals, int $season = 1): float
    {
        if ($season > $this->rules['horizon']) {
            return 0.0;
        }
        usort($animals, static fn (array $a, array $b): int => $a <=> $b);
        $key = $season.' '.json_encode($animals);

        return $this->known[$key] ??= $this->best($animals, $season);
    }

    /** @param list<Animal> $animals */
    private function best(array $animals, int $season): float
    {
        $males = $females = [];
        foreach ($animals as $animal) {
            if ($animal[2] <= $season) {
                $animal[0] ? $males[] = $animal[1] : $females[] = $animal[1];
            }
        }
        $best = 0.0;
        foreach ($this->matings($males, $females) as $matings) {
            $best = max($best, $this->after($animals, $matings, $season));
        }

        return $best;
    }

    /**
     * @param list<list<int>> $males
     * @param list<list<int>> $females
     * @return iterable<list<array{list<int>, list<int>}>> every way to mate each female once, the males within what they can serve
     */
    private function matings(array $males, array $females): iterable
    {
        $ways = [[[], []]];
        foreach ($females as $female) {
            $longer = [];
            foreach ($ways as [$pairs, $served]) {
                $tried = [];
                foreach ($males as $i => $male) {
                    $kind = implode(',', $male);
                    if (($served[$i] ?? 0) < $this->rules['perMale'] && ! isset($tried[$kind])) {
                        $tried[$kind] = true;
                        $longer[] = [[...$pairs, [$male, $female]], [$i => ($served[$i] ?? 0) + 1] + $served];
                    }
                }
                $longer[] = [$pairs, $served];
            }
            $ways = $longer;
        }
        $seen = [];
        foreach ($ways as [$pairs]) {
            sort($pairs);
            $key = (string) json_encode($pairs);
            if (! isset($seen[$key])) {
                $seen[$key] = true;
                yield $pairs;
            }
        }
    }

    /**
     * @param list<Animal> $animals
     * @param list<array{list<int>, list<int>}> $matings
     */
    private function after(array $animals, array $matings, int $season): float
    {
        $none = 1.0;
        /** @var array<string, array{list<Animal>, float}> $outcomes young without a hit, and their chance */
        $outcomes = ['[]' => [[], 1.0]];
        foreach ($matings as [$male, $female]) {
            $clutch = $this->clutch($male, $female, $season);
            $none *= array_sum(array_column($clutch, 1));
            $next = [];
            foreach ($outcomes as [$young, $p]) {
                foreach ($clutch as [$more, $q]) {
                    $all = [...$young, ...$more];
                    sort($all);
                    $key = (string) json_encode($all);
                    $next[$key] = [$all, ($next[$key][1] ?? 0.0) + $p * $q];
                }
            }
            $outcomes = $next;
        }
        $chance = 1 - $none;
        foreach ($outcomes as [$young, $p]) {
            $chance += $p * $this->kept($animals, $young, $season);
        }

        return $chance;
    }

    /**
     * @param list<Animal> $animals
     * @param list<Animal> $young
     */
    private function kept(array $animals, array $young, int $season): float
    {
        if ($this->rules['tubs'] === null) {
            return $this->chance([...$animals, ...$young], $season + 1);
        }
        $others = array_values(array_filter($animals, static fn (array $animal): bool => ! $animal[3]));
        $all = [...array_values(array_filter($animals, static fn (array $animal): bool => $animal[3])), ...$young];
        $best = 0.0;
        for ($set = 0; $set < 1 << count($all); $set++) {
            $own = array_values(array_filter($all, static fn (int $i): bool => ($set >> $i & 1) === 1, ARRAY_FILTER_USE_KEY));
            if (count($own) === min(count($all), $this->rules['tubs'])) {
                $best = max($best, $this->chance([...$others, ...$own], $season + 1));
            }
        }

        return $best;
    }

    /**
     * @param list<int> $male
     * @param list<int> $female
     * @return list<array{list<Animal>, float}> young in time without a hit among them, and the chance
     */
    private function clutch(array $male, array $female, int $season): array
    {
        $eggs = $this->eggs($male, $female, $season);
        $laid = ['[]' => [[], $this->rules['lay']]];
        for ($egg = 0; $egg < $this->rules['eggs']; $egg++) {
            $next = [];
            foreach ($laid as [$young, $p]) {
                foreach ($eggs as [$one, $q]) {
                    $all = $one === null ? $young : [...$young, $one];
                    sort($all);
                    $key = (string) json_encode($all);
                    $next[$key] = [$all, ($next[$key][1] ?? 0.0) + $p * $q];
                }
            }
            $laid = $next;
        }
        $laid['[]'] = [[], ($laid['[]'][1] ?? 0.0) + 1 - $this->rules['lay']];

        return array_values($laid);
    }

    /**
     * @param list<int> $male
     * @param list<int> $female
     * @return list<array{Animal|null, float}> what an egg can be that is no hit; null for one that breeds too late
     */
    private function eggs(array $male, array $female, int $season): array
    {
        $kinds = [[[], 1.0]];
        foreach ($male as $gene => $copies) {
            $longer = [];
            foreach ($kinds as [$own, $p]) {
                foreach ([0, 1, 2] as $got) {
                    $q = self::gives($copies, 1) * self::gives($female[$gene], $got - 1) + self::gives($copies, 0) * self::gives($female[$gene], $got);
                    if ($q > 0.0) {
                        $longer[] = [[...$own, $got], $p * $q];
                    }
                }
            }
            $kinds = $longer;
        }
        $nothing = 0.0;
        $eggs = [];
        foreach ($kinds as [$own, $p]) {
            if ($this->isHit($own)) {
                continue;
            }
            foreach ([true, false] as $isMale) {
                $ready = $season + $this->rules[$isMale ? 'male' : 'female'];
                if ($ready > $this->rules['horizon']) {
                    $nothing += $p / 2;
                } else {
                    $eggs[] = [[$isMale, $own, $ready, true], $p / 2];
                }
            }
        }
        if ($nothing > 0.0) {
            $eggs[] = [null, $nothing];
        }

        return $eggs;
    }

    /** @param list<int> $copies */
    private function isHit(array $copies): bool
    {
        foreach ($this->wanted as $gene => $least) {
            if ($copies[$gene] < $least) {
                return false;
            }
        }

        return true;
    }

    /** P(a gamete of an animal with so many copies carries one, or none). */
    private static function gives(int $copies, int $carried): float
    {
        return match ($carried) {
            1 => $copies / 2,
            0 => 1 - $copies / 2,
            default => 0.0,
        };
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

/**
 * The best that any keeper can reach, by working backward through every situation and everything that luck can bring: for
 * genes that show in one copy and more in two, so that a keeper sees what he has. Nothing is shared with the policy but the
 * calendar of the project document.
 *
 * An animal is [male?, copies by gene, first season in which it breeds, hatched here?, the founders it comes from as bits].
 * A breeding animal is [copies, founders].
 *
 * @phpstan-type Animal array{bool, list<int>, int, bool, int}
 * @phpstan-type Breeder array{list<int>, int}
 */
final class ExactPlay
{
    private const MALE = 1;

    private const FEMALE = 2;

    /** @var array<string, float> chance by situation */
    private array $known = [];

    /**
     * @param list<int> $wanted copies of each gene
     * @param array{eggs: int, lay: float, male: int, female: int, horizon: int, perMale: int, tubs: int|null, share?: float,
     *     pair?: bool, strangers?: bool, apart?: list<array{int, int}>, enough?: int} $rules delays in seasons; share of females;
     *     whether both sexes are wanted, and whether relatives stay apart; pairs of founders, as bits, that are not made; how many of
     *     the genes are enough
     */
    public function __construct(private readonly array $wanted, private readonly array $rules) {}

    /**
     * The best chance of a project as the tests write it.
     *
     * @param list<int> $wanted
     * @param list<array{bool, list<int>, int}> $animals male, copies by gene, age in months
     * @param array<string, mixed> $rules
     */
    public static function of(array $wanted, array $animals, array $rules): float
    {
        $exact = [];
        foreach ($animals as $i => [$isMale, $copies, $months]) {
            $first = 1 + (int) ceil(max(0, ($isMale ? 12 : $rules['females']) - $months) / 12);
            $exact[] = [$isMale, $copies, $first, false, ($rules['strangers'] ?? false) || isset($rules['apart']) ? 1 << $i : 0];
        }

        $play = new self($wanted, ['lay' => .7, 'male' => 2, 'female' => 1 + (int) ceil(($rules['females'] - 6) / 12)] + $rules);
        $found = 0;
        foreach ($animals as [$isMale, $copies]) {
            $found |= $play->isHit($copies) ? ($isMale ? self::MALE : self::FEMALE) : 0;
        }

        return $play->chance($exact, 1, $found);
    }

    /**
     * @param list<Animal> $animals
     * @param int $found sexes of the target that are there, as bits
     */
    public function chance(array $animals, int $season = 1, int $found = 0): float
    {
        if ($this->isEnough($found)) {
            return 1.0;
        }
        if ($season > $this->rules['horizon']) {
            return 0.0;
        }
        usort($animals, static fn (array $a, array $b): int => $a <=> $b);
        $key = "{$season} {$found} ".json_encode($animals);

        return $this->known[$key] ??= $this->best($animals, $season, $found);
    }

    private function isEnough(int $found): bool
    {
        return ($this->rules['pair'] ?? false) ? $found === (self::MALE | self::FEMALE) : $found !== 0;
    }

    /** @param list<Animal> $animals */
    private function best(array $animals, int $season, int $found): float
    {
        $males = $females = [];
        foreach ($animals as $animal) {
            if ($animal[2] <= $season) {
                $animal[0] ? $males[] = [$animal[1], $animal[4]] : $females[] = [$animal[1], $animal[4]];
            }
        }
        $best = 0.0;
        foreach ($this->matings($males, $females) as $matings) {
            $best = max($best, $this->after($animals, $matings, $season, $found));
        }

        return $best;
    }

    /**
     * @param list<Breeder> $males
     * @param list<Breeder> $females
     * @return iterable<list<array{Breeder, Breeder}>> every way to mate each female once, the males within what they can serve
     */
    private function matings(array $males, array $females): iterable
    {
        $ways = [[[], []]];
        foreach ($females as $female) {
            $longer = [];
            foreach ($ways as [$pairs, $served]) {
                $tried = [];
                foreach ($males as $i => $male) {
                    $kind = json_encode($male);
                    if (($served[$i] ?? 0) < $this->rules['perMale'] && ! isset($tried[$kind]) && $this->mayMate($male[1], $female[1])) {
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

    private function mayMate(int $male, int $female): bool
    {
        return ! (($this->rules['strangers'] ?? false) && ($male & $female) !== 0)
            && ! in_array([$male, $female], $this->rules['apart'] ?? [], true);
    }

    /**
     * @param list<Animal> $animals
     * @param list<array{Breeder, Breeder}> $matings
     */
    private function after(array $animals, array $matings, int $season, int $found): float
    {
        /** @var array<string, array{list<Animal>, int, float}> $outcomes young, sexes of the target found, and their chance */
        $outcomes = [[[], $found, 1.0]];
        foreach ($matings as [$male, $female]) {
            $clutch = $this->clutch($male, $female, $season);
            $next = [];
            foreach ($outcomes as [$young, $had, $p]) {
                foreach ($clutch as [$more, $hits, $q]) {
                    $isOver = $this->isEnough($had | $hits);
                    self::add($next, $isOver ? [] : [...$young, ...$more], $isOver ? self::MALE | self::FEMALE : $had | $hits, $p * $q);
                }
            }
            $outcomes = $next;
        }
        $chance = 0.0;
        foreach ($outcomes as [$young, $had, $p]) {
            $chance += $p * ($this->isEnough($had) ? 1.0 : $this->kept($animals, $young, $season, $had));
        }

        return $chance;
    }

    /**
     * @param array<string, array{list<Animal>, int, float}> $outcomes
     * @param list<Animal> $young
     */
    private static function add(array &$outcomes, array $young, int $found, float $p): void
    {
        sort($young);
        $key = $found.json_encode($young);
        $outcomes[$key] = [$young, $found, ($outcomes[$key][2] ?? 0.0) + $p];
    }

    /**
     * @param list<Animal> $animals
     * @param list<Animal> $young
     */
    private function kept(array $animals, array $young, int $season, int $found): float
    {
        if ($this->rules['tubs'] === null) {
            return $this->chance([...$animals, ...$young], $season + 1, $found);
        }
        $others = array_values(array_filter($animals, static fn (array $animal): bool => ! $animal[3]));
        $all = [...array_values(array_filter($animals, static fn (array $animal): bool => $animal[3])), ...$young];
        $best = 0.0;
        for ($set = 0; $set < 1 << count($all); $set++) {
            $own = array_values(array_filter($all, static fn (int $i): bool => ($set >> $i & 1) === 1, ARRAY_FILTER_USE_KEY));
            if (count($own) === min(count($all), $this->rules['tubs'])) {
                $best = max($best, $this->chance([...$others, ...$own], $season + 1, $found));
            }
        }

        return $best;
    }

    /**
     * @param Breeder $male
     * @param Breeder $female
     * @return list<array{list<Animal>, int, float}> young in time, sexes of the target among all that hatch, and the chance
     */
    private function clutch(array $male, array $female, int $season): array
    {
        $eggs = $this->eggs($male, $female, $season);
        $laid = [[[], 0, $this->rules['lay']]];
        for ($egg = 0; $egg < $this->rules['eggs']; $egg++) {
            $next = [];
            foreach ($laid as [$young, $had, $p]) {
                foreach ($eggs as [$one, $hit, $q]) {
                    $isOver = $this->isEnough($had | $hit);
                    self::add($next, $isOver ? [] : [...$young, ...($one === null ? [] : [$one])], $had | $hit, $p * $q);
                }
            }
            $laid = $next;
        }
        self::add($laid, [], 0, 1 - $this->rules['lay']);

        return array_values($laid);
    }

    /**
     * @param Breeder $male
     * @param Breeder $female
     * @return list<array{Animal|null, int, float}> what an egg can be; null for one that breeds too late
     */
    private function eggs(array $male, array $female, int $season): array
    {
        $kinds = [[[], 1.0]];
        foreach ($male[0] as $gene => $copies) {
            $longer = [];
            foreach ($kinds as [$own, $p]) {
                foreach ([0, 1, 2] as $got) {
                    $with = self::gives($copies, 1) * self::gives($female[0][$gene], $got - 1);
                    $q = $with + self::gives($copies, 0) * self::gives($female[0][$gene], $got);
                    if ($q > 0.0) {
                        $longer[] = [[...$own, $got], $p * $q];
                    }
                }
            }
            $kinds = $longer;
        }
        $eggs = [];
        foreach ($kinds as [$own, $p]) {
            foreach ([true, false] as $isMale) {
                $ready = $season + $this->rules[$isMale ? 'male' : 'female'];
                $hit = $this->isHit($own) ? ($isMale ? self::MALE : self::FEMALE) : 0;
                $one = $ready > $this->rules['horizon'] ? null : [$isMale, $own, $ready, true, $this->founders($male[1], $female[1])];
                $key = $hit.json_encode($one);
                $share = $this->rules['share'] ?? .5;
                $eggs[$key] = [$one, $hit, ($eggs[$key][2] ?? 0.0) + $p * ($isMale ? 1 - $share : $share)];
            }
        }

        return array_values($eggs);
    }

    /** Told apart only where it matters. */
    private function founders(int $male, int $female): int
    {
        return ($this->rules['strangers'] ?? false) ? $male | $female : 0;
    }

    /** @param list<int> $copies */
    private function isHit(array $copies): bool
    {
        $met = array_filter($this->wanted, static fn (int $least, int $gene): bool => $copies[$gene] >= $least, ARRAY_FILTER_USE_BOTH);

        return count($met) >= ($this->rules['enough'] ?? count($this->wanted));
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

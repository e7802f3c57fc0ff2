<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Documents\ProjectReader;
use Destino\Planning\Given\Project;
use Random\Randomizer;
use Tests\Support\Shelf;

/** Projects small enough for exact play. */
final class SmallProjects
{
    private const GENES = ['Pastel', 'Enchi', 'Mojave'];

    /** @return iterable<string, array{list<int>, list<array{bool, list<int>, int}>, array{horizon: int, females: int, eggs: int, perMale: int, tubs: int|null}}> copies wanted; animals: male?, copies, months; rules */
    public static function small(): iterable
    {
        $rules = static fn (int $horizon, ?int $tubs = null, int $perMale = 4, int $females = 18, int $eggs = 2): array => [
            'horizon' => $horizon, 'females' => $females, 'eggs' => $eggs, 'perMale' => $perMale, 'tubs' => $tubs,
        ];
        yield 'two copies out of one, one tub' => [[2, 0], [[true, [1, 0], 40], [false, [0, 0], 40]], $rules(6, 1)];
        yield 'two genes, one tub, two females' => [[2, 1], [[true, [0, 1], 40], [false, [1, 0], 40], [false, [1, 0], 40]], $rules(5, 1)];
        yield 'two copies of two genes, little time' => [[2, 2], [[true, [1, 1], 40], [false, [1, 0], 40]], $rules(4)];
        yield 'two copies out of one, three eggs, two tubs' => [[2], [[true, [1], 40], [false, [0], 40]], $rules(5, 2, 4, 18, 3)];
        yield 'a male for one female a season' => [[2], [[true, [1], 6], [false, [1], 6], [false, [0], 40]], $rules(4, null, 1)];
        yield 'three genes together' => [[1, 1, 1], [[true, [1, 0, 0], 40], [false, [0, 1, 1], 40]], $rules(3)];
        yield 'slow females' => [[2], [[true, [1], 40], [false, [0], 40]], $rules(5, null, 4, 30)];
        yield 'it can be at once' => [[2], [[true, [1], 40], [false, [1], 40]], $rules(3)];
        yield 'two genes from two parents, one tub' => [[2, 1], [[true, [1, 0], 40], [false, [0, 1], 40]], $rules(5, 1)];
        yield 'a male for one of two females' => [[2], [[true, [1], 40], [false, [1], 40], [false, [0], 40]], $rules(4, null, 1)];
        yield 'a male for one of a female now and one later' => [[2], [[true, [1], 40], [false, [1], 40], [false, [1], 6]], $rules(4, null, 1)];
        yield 'two genes, a male for one female' => [
            [1, 1], [[true, [1, 0], 40], [false, [0, 1], 40], [false, [0, 0], 40]], $rules(4, null, 1),
        ];
        yield 'two genes, two males, one tub' => [[2, 1], [[true, [1, 0], 40], [true, [0, 1], 40], [false, [1, 0], 40]], $rules(4, 1)];
        yield 'slow females, a male for one' => [[2], [[true, [1], 40], [false, [0], 40], [false, [1], 6]], $rules(5, null, 1, 30)];
        yield 'a pair of them' => [[2], [[true, [1], 40], [false, [1], 40]], ['pair' => true] + $rules(4, 2)];
        yield 'a pair of which one is there' => [[1, 1], [[true, [1, 1], 40], [false, [1, 0], 40]], ['pair' => true] + $rules(4, 1)];
        yield 'no relatives' => [
            [2], [[true, [1], 40], [false, [0], 40], [true, [0], 40], [false, [1], 6]], ['strangers' => true] + $rules(5, 2, 1),
        ];
        yield 'mostly daughters' => [[2, 1], [[true, [1, 0], 40], [false, [0, 1], 40]], ['share' => .8] + $rules(5, 2)];
        yield 'mostly sons' => [[2], [[true, [0], 40], [false, [1], 40]], ['share' => .2] + $rules(5, 2)];
        yield 'a pair that is not made' => [
            [2], [[true, [1], 40], [false, [1], 40], [false, [0], 40]], ['apart' => [[1, 2]]] + $rules(4, 2, 1),
        ];
        yield 'one of two genes' => [[2, 2], [[true, [1, 0], 40], [false, [0, 1], 40]], ['enough' => 1] + $rules(5, 2)];
        yield 'two of three genes' => [
            [1, 1, 1], [[true, [1, 0, 0], 40], [false, [0, 1, 0], 40], [false, [0, 0, 1], 6]], ['enough' => 2] + $rules(4, 1, 1),
        ];
        yield 'one of two genes in two copies, one tub' => [
            [2, 2], [[true, [1, 0], 40], [false, [0, 1], 40], [false, [1, 0], 40]], ['enough' => 1] + $rules(4, 1, 1),
        ];
        yield 'a late female' => [[1, 1], [[true, [1, 0], 40], [false, [0, 1], 6]], $rules(4, 1)];
    }

    /**
     * Drawn ones, of every kind: few tubs, a male for one female, both sexes wanted, no relatives, mostly daughters or sons, a
     * pair that is not made.
     *
     * @return iterable<string, array{list<int>, list<array{bool, list<int>, int}>, array<string, mixed>}>
     */
    public static function drawn(Randomizer $chance, int $count): iterable
    {
        $one = static fn (mixed ...$of): mixed => $of[$chance->getInt(0, count($of) - 1)];
        for ($i = 0; $i < $count; $i++) {
            $genes = $one(1, 1, 2, 2);
            $animals = [];
            foreach ([true, $one(true, false), false, $one(false, null)] as $isMale) {
                if ($isMale !== null) {
                    $animals[] = [$isMale, array_map(static fn (): int => $one(0, 1, 1), range(1, $genes)), $one(40, 40, 6)];
                }
            }
            $wanted = array_map(static fn (): int => $one(1, 2, 2), range(1, $genes));
            $rules = [
                'horizon' => $one(3, 4, 5), 'females' => $one(18, 30), 'eggs' => 2, 'perMale' => $one(1, 4), 'tubs' => $one(1, 2),
            ] + match ($kind = $one('plain', 'pair', 'strangers', 'daughters', 'sons', 'apart', 'enough')) {
                'enough' => $genes === 1 ? [] : ['enough' => 1],
                'pair' => ['pair' => true],
                'strangers' => ['strangers' => true],
                'daughters' => ['share' => .8],
                'sons' => ['share' => .2],
                'apart' => ['apart' => [[1, 1 << (int) array_search(false, array_column($animals, 0), true)]]],
                default => [],
            };
            yield "{$i} {$kind} ".json_encode([$wanted, $animals, $rules]) => [$wanted, $animals, $rules];
        }
    }

    /**
     * @param list<int> $wanted
     * @param list<array{bool, list<int>, int}> $animals
     * @param array{horizon: int, females: int, eggs: int, perMale: int, tubs: int|null, enough?: int} $rules
     */
    public static function of(array $wanted, array $animals, array $rules): Project
    {
        $words = static fn (array $copies): string => implode(' ', array_filter(array_map(
            static fn (int $i, int $count): string => $count === 0 ? ''
                : ($count === 2 ? 'Super ' : '').self::GENES[$i], array_keys($copies), $copies,
        )));
        $founders = [];
        foreach ($animals as $i => [$isMale, $copies, $months]) {
            $founders[] = [
                'id' => "A{$i}", 'sex' => $isMale ? 'male' : 'female', 'genes' => $words($copies) === '' ? 'Normal' : $words($copies),
                'age' => $months,
            ];
        }
        $target = array_map(
            static fn (int $i, int $count): string => ($count === 2 ? 'Super ' : '').self::GENES[$i], array_keys(array_filter($wanted)),
            array_filter($wanted),
        );

        $limits = array_filter([
            'tubs' => $rules['tubs'], 'wanted' => ($rules['pair'] ?? false) ? 'pair' : null,
            'inbreeding' => ($rules['strangers'] ?? false) ? '0' : null,
            'forbidden' => array_map(
                static fn (array $pair): array => array_map(static fn (int $bit): string => 'A'.(int) log($bit, 2), $pair), $rules['apart'] ?? [],
            ) ?: null,
        ], static fn (mixed $limit): bool => $limit !== null);

        return (new ProjectReader(Shelf::facts()))->read([
            'format' => 'destino-project/1', 'target' => isset($rules['enough'])
                ? "at least {$rules['enough']} of ".implode(', ', $target)
                : implode(' + ', $target), 'horizon' => $rules['horizon'], 'animals' => $founders,
            'assumptions' => [
                'male_months' => 12, 'female_months' => $rules['females'], 'lay_rate' => .7, 'clutch_mean' => $rules['eggs'],
                'clutch_sd' => 0, 'infertile' => 0, 'hatch' => 1, 'females_per_male' => $rules['perMale'],
                'female_share' => $rules['share'] ?? .5,
            ],
        ] + ($limits === [] ? [] : ['rules' => $limits]));
    }
}

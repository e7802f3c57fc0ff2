<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Genome\Sex;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Faults\ErrorRates;
use Destino\Notation\Target;
use Destino\Probability\Probability;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** What several loci say together: one sire for all of them, a form that hides others, an egg that died of one form or another. */
final class WholeClutchTest extends TestCase
{
    public function testAgreesWithPlainEnumerationOverSeveralLoci(): void
    {
        $seen = ['sires' => 0, 'white' => 0, 'dead' => 0, 'possible' => 0];
        for ($seed = 1; $seed <= 300; $seed++) {
            $this->compare(new Randomizer(new Mt19937($seed)), $seed, $seen);
        }
        self::assertGreaterThan(100, $seen['sires'], 'clutches of two possible sires');
        self::assertGreaterThan(60, $seen['white'], 'clutches in which white young may hide something');
        self::assertGreaterThan(60, $seen['dead'], 'clutches with eggs that were found dead');
        self::assertGreaterThan(150, $seen['possible']);
    }

    /** @param array<string, int> $seen */
    private function compare(Randomizer $chance, int $seed, array &$seen): void
    {
        $pick = static fn (array $of): string => $of[$chance->getInt(0, count($of) - 1)];
        $parent = static fn (): string => trim(
            implode(
                ' ',
                array_filter([
                    $pick(['Mojave', 'possible Mojave (50%)', '']), $pick(['66% het Clown', 'het Clown', 'visual Clown', '']),
                    $pick(['Spider', 'possible Spider (50%)', '', '']), $pick(['Champagne', 'possible Champagne (25%)', '', '']),
                ]),
            ),
        ) ?: 'Normal';
        $sires = $chance->getInt(0, 1) === 0 ? [$parent()] : [$parent(), $parent()];
        $dam = $parent();
        $looks = [
            'Clown', 'not Clown', 'not Clown', 'Mojave', 'not Mojave', 'Super Mojave, not Clown', 'only Super Mojave', 'Spider',
            'not Spider', 'not Champagne', 'not Clown, not Spider',
        ];
        $animals = array_map(static fn (): Target => Shelf::facts()->targets()->read($pick($looks)), range(1, $chance->getInt(1, 2)));
        $counts = array_map(
            static fn (): array => [Shelf::facts()->targets()->read($pick($looks)), $chance->getInt(1, 3), $chance->getInt(0, 3) === 0],
            range(1, $chance->getInt(1, 2)),
        );
        $plain = new WholeClutchEnumeration(['bel', 'clown', 'spider', 'champagne'], $sires, $dam, $animals, $counts);
        $kindred = self::kindred($sires, $dam, $animals, $counts);
        if ($plain->total <= 0.0) {
            self::assertTrue(self::isDisputed($kindred), "seed {$seed}: what cannot be is told");

            return;
        }
        $seen['possible']++;
        $seen['sires'] += count($sires) > 1 ? 1 : 0;
        $seen['white'] += str_contains($dam, 'Mojave') && str_contains(implode('', $sires), 'Mojave') ? 1 : 0;
        $seen['dead'] += array_filter($counts, static fn (array $count): bool => $count[2]) !== [] ? 1 : 0;
        foreach ($plain->parents as $who => $groups) {
            foreach ($groups as $group => $weights) {
                $states = $kindred->plain((int) $kindred->familyOf('D'), [Shelf::catalogue()->groups[$group]])->of[$who];
                foreach ($weights as $key => $weight) {
                    self::assertEqualsWithDelta(
                        $weight / $plain->total, self::chance($states, (string) $key), 1e-9,
                        "seed {$seed}: {$who} at {$group}, {$key}: ".implode(' or ', $sires)." x {$dam}; "
                            .implode('; ', array_map(static fn (Target $saw): string => $saw->text, $animals)).'; '
                            .implode(
                                '; ',
                                array_map(
                                    static fn (array $count): string => "{$count[1]} {$count[0]->text}".($count[2] ? ' dead' : ''),
                                    $counts,
                                ),
                            ),
                    );
                }
            }
        }
    }

    public function testAnEggThatDiedIsChargedOnceAndNotAtEveryLocus(): void
    {
        // Both may carry both; one egg of normal look died. It died of one of the two, or of something else.
        $both = 'possible Spider (50%) possible Champagne (50%)';
        $plain = new WholeClutchEnumeration(
            ['spider', 'champagne'], [$both], $both, [], [[Shelf::facts()->targets()->read('Spider'), 1, true]],
        );
        $kindred = self::kindred([$both], $both, [], [[Shelf::facts()->targets()->read('Spider'), 1, true]]);
        foreach (['spider', 'champagne'] as $locus) {
            $states = $kindred->plain(0, [Shelf::catalogue()->groupOf($locus)])->of['S0'];
            self::assertEqualsWithDelta(
                $plain->parents['S0'][$locus]["+~{$locus}"] / $plain->total, self::chance($states, "+~{$locus}"), 1e-12, $locus,
            );
        }
    }

    public function testEggsOfDifferentSiresWhereTheHouseAllowsIt(): void
    {
        // With 1 in 5 clutches mixed: one Clown and one plain egg of a Clown dam, sires Clown and Normal: only a mixed clutch gives both.
        $young = [[Shelf::facts()->targets()->read('Clown'), 1, false], [Shelf::facts()->targets()->read('not Clown'), 1, false]];
        $rates = new ErrorRates(
            Probability::ratio(1, 20), Probability::ratio(1, 1000), Probability::ratio(1, 100), Probability::ratio(1, 1000),
            Probability::ratio(1, 1_000_000), Probability::ratio(9, 10), null, Probability::ratio(1, 5),
        );
        self::assertTrue(self::isDisputed(self::kindred(['visual Clown', 'Normal'], 'visual Clown', [], $young)));
        $mixed = self::kindred(['visual Clown', '50% het Clown'], 'visual Clown', [], $young, $rates);
        self::assertFalse(self::isDisputed($mixed));
        // het: of him alone 1/4; mixed: Clown 1/2 · (1 + 1/2), plain 1/2 · 1/2. Not het: of him alone 0, mixed 1/2 · 1/2.
        $het = .4 * .25 + .2 * .75 * .25;
        $not = .2 * .5 * .5;
        self::assertEqualsWithDelta(
            $het / ($het + $not), self::chance($mixed->plain(0, [Shelf::catalogue()->groupOf('clown')])->of['S1'], '+~clown'),
            1e-9,
        );
    }

    /** @param \Destino\Probability\Distribution<array<string, \Destino\Genome\Diplotype>> $states */
    private static function chance(\Destino\Probability\Distribution $states, string $key): float
    {
        return $states->probabilityOf($key)->toFloat();
    }

    private static function isDisputed(Kindred $kindred): bool
    {
        foreach ($kindred->groupSetsOf(0) as $groups) {
            if ($kindred->plain(0, $groups)->of === []) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<string> $sires
     * @param list<Target> $animals
     * @param list<array{Target, int, bool}> $counts
     */
    private static function kindred(array $sires, string $dam, array $animals, array $counts, ?ErrorRates $rates = null): Kindred
    {
        $founder = static fn (string $id, Sex $sex, string $text): Individual => new Individual(
            $id, $sex, null, null, [new Testimony($id, Shelf::belief($text, $sex), Source::Own, Probability::one(), false)],
        );
        $all = ['D' => $founder('D', Sex::Female, $dam)];
        foreach ($sires as $i => $text) {
            $all["S{$i}"] = $founder("S{$i}", Sex::Male, $text);
        }
        $ids = array_map(static fn (int $i): string => "S{$i}", array_keys($sires));
        foreach ($animals as $i => $saw) {
            $all["K{$i}"] = new Individual(
                "K{$i}", null, count($ids) === 1 ? $ids[0] : null, 'D', [], $saw, count($ids) > 1 ? $ids : [], [], 'c',
            );
        }
        $broods = [];
        foreach ($counts as $i => [$saw, $count, $isDead]) {
            $broods[] = new Brood("b{$i}", $ids, 'D', $saw, $count, $isDead, [], 'c');
        }

        return new Kindred(Shelf::catalogue(), $all, $broods, $rates);
    }
}

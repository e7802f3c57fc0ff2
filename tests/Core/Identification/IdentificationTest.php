<?php

declare(strict_types=1);

namespace Tests\Core\Identification;

use Destino\Genome\Sex;
use Destino\Identification\Clutch;
use Destino\Identification\Cue;
use Destino\Identification\CueRule;
use Destino\Identification\Hatchling;
use Destino\Identification\Identification;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Notation\Target;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** @phpstan-import-type Alike from Clutch */
final class IdentificationTest extends TestCase
{
    public function testAWorkedExample(): void
    {
        // Yellow Belly from one parent: 1/2 beforehand; checks are seen in 7/10 with it and in 1/20 without: 14/15.
        $found = self::identify('Pastel 66% het Clown', ['Yellow Belly Enchi het Clown'], [self::young('1', cues: ['belly-edge' => 2])]);
        $genes = array_column(
            array_map(static fn (array $gene): array => [$gene['allele']->key, $gene['exact']?->toString()], $found->genes('1')), 1, 0,
        );
        self::assertSame(['pastel' => '1/2', 'enchi' => '1/2', 'yellow-belly' => '14/15', 'clown' => '2/3'], $genes);
        self::assertStringContainsString('possible Yellow Belly (93%)', $found->label('1'));
    }

    public function testWithoutCuesItIsTheOddsOfThePairing(): void
    {
        $found = self::identify('Pastel 66% het Clown', ['Enchi het Clown'], [self::young('1')]);
        $space = Shelf::cross('Enchi het Clown', 'Pastel 66% het Clown');
        foreach (['Clown' => 'clown', 'Pastel' => 'pastel'] as $text => $key) {
            $target = Shelf::facts()->targets()->read("carries {$text}");
            $expected = $space->chance(
                static fn ($expression): bool => array_filter(
                    $expression->forms, static fn ($form): bool => ! $target->accepts($form),
                ) === [],
            )->perEgg();
            $gene = array_values(array_filter($found->genes('1'), static fn (array $one): bool => $one['allele']->key === $key))[0];
            self::assertSame($expected->toString(), $gene['exact']?->toString(), $text);
        }
        self::assertEqualsWithDelta(1.0, array_sum(array_column($found->genotypes('1', 100)[0], 'decimal')), 1e-9);
    }

    public function testTheGenotypesAreCountedThatCanBe(): void
    {
        foreach ([
            [['Pastel Enchi', 'Fire'], 5], // four of the first, Fire of the second; no Pastel Fire, and Normal once
            [['Pastel Enchi het Clown', 'Pastel Fire het Clown', 'Enchi'], 12], [['Pastel'], 2],
        ] as [$sires, $count]) {
            [$list, $total] = self::identify('Normal', $sires, [self::young('1')])->genotypes('1', 10_000);
            self::assertSame([$count, $count], [count($list), $total], implode(', ', $sires));
        }
    }

    public function testASureLookOfOneMovesTheOthersAndTheParents(): void
    {
        $alone = self::gene(self::identify('66% het Clown', ['Clown'], [self::young('2')]), '2', 'clown');
        self::assertSame(1.0, $alone, 'a visual father gives every young a copy');
        $before = self::identify('66% het Clown', ['Clown'], [self::young('1'), self::young('2')])->genotypes('2', 9)[0];
        $after = self::identify('66% het Clown', ['Clown'], [self::young('1', 'Clown'), self::young('2')])->genotypes('2', 9)[0];
        $clown = static fn (array $list): ?string => array_values(
            array_filter($list, static fn (array $one): bool => $one['label'] === 'Clown'),
        )[0]['exact']?->toString();
        self::assertSame(['1/3', '1/2'], [$clown($before), $clown($after)]);
    }

    public function testTheSireIsToldByTheYoung(): void
    {
        $found = self::identify('Normal', ['Pastel', 'Enchi'], [self::young('1', 'Pastel'), self::young('2')], weights: [1, 3]);
        self::assertSame(['1', '0'], array_map(static fn (array $sire): ?string => $sire['exact']?->toString(), $found->sires()));
        $found = self::identify('Normal', ['Pastel', 'Enchi'], [self::young('1', 'no Pastel')], weights: [1, 3]);
        self::assertSame(
            ['1/7', '6/7'], array_map(static fn (array $sire): ?string => $sire['exact']?->toString(), $found->sires()), '1·1/2 against 3·1',
        );
    }

    public function testWhatAnAnswerWouldLeaveIsWhatItLeavesOnceItIsGiven(): void
    {
        $young = static fn (array $cues): array => [self::young('1', cues: $cues), self::young('2')];
        $before = self::identify('Yellow Belly het Clown', ['Pastel het Clown'], $young([]));
        $byKey = static fn (array $forms): array => array_column(
            array_map(static fn (array $one): array => [$one['form']->key(), $one['decimal']], $forms), 1, 0,
        );
        foreach (array_slice($before->cues('1')['next'], 0, 4) as $next) {
            $after = $before->after('1', $next['cue']);
            self::assertSame(count($next['cue']->states), count($after));
            self::assertEqualsWithDelta(1.0, array_sum(array_column($after, 'chance')), 1e-9);
            foreach ($after as $state => $one) {
                self::assertEqualsWithDelta($next['chances'][$state], $one['chance'], 1e-9);
                $given = $byKey(self::identify('Yellow Belly het Clown', ['Pastel het Clown'], $young([$next['cue']->key => $state]))->forms('1'));
                foreach (array_intersect_key($byKey($one['forms']), $given) as $form => $share) {
                    self::assertEqualsWithDelta($given[$form], $share, 1e-6, "{$form} after {$next['cue']->states[$state]}");
                }
            }
        }
        self::assertSame([], $before->after('9', $before->cues('1')['next'][0]['cue']));
    }

    public function testAlikeTiesTheAnswersWithoutCopyingThem(): void
    {
        // Each Pastel with 1/2; both or neither: still 1/2. With a cue on one, both move by the same.
        $alike = [['target' => self::target('Pastel'), 'hatchlings' => ['1', '2']]];
        $found = self::identify('Normal', ['Pastel Yellow Belly'], [self::young('1', 'Pastel'), self::young('2')], alike: $alike);
        self::assertSame(1.0, self::gene($found, '2', 'pastel'));
        $found = self::identify('Normal', ['Pastel'], [self::young('1'), self::young('2')], alike: $alike);
        self::assertSame(.5, self::gene($found, '2', 'pastel'));
    }

    public function testSetsThatShareAHatchlingSayTheSameAsTheirUnion(): void
    {
        $young = [self::young('1', 'Pastel'), self::young('2', cues: ['belly-edge' => 1]), self::young('3'), self::young('4')];
        $set = static fn (string $target, string ...$ids): array => ['target' => self::target($target), 'hatchlings' => array_values($ids)];
        $union = [$set('Pastel', '1', '2', '3'), $set('Yellow Belly', '3', '4')];
        $pieces = [
            $set('Pastel', '2', '3'), $set('Yellow Belly', '4', '3'), $set('Pastel', '1', '2'), $set('Pastel', '2', '3'), $set('Yellow Belly', '3', '4'),
        ];
        [$whole, $joined] = array_map(
            static fn (array $alike): Identification => self::identify('Pastel', ['Pastel Yellow Belly'], $young, alike: $alike), [$union, $pieces],
        );
        foreach (['1', '2', '3', '4'] as $id) {
            foreach (['pastel', 'yellow-belly'] as $gene) {
                self::assertEqualsWithDelta(self::gene($whole, $id, $gene), self::gene($joined, $id, $gene), 1e-12, "{$gene} of {$id}");
            }
        }
        self::assertSame(1.0, self::gene($joined, '3', 'pastel'), 'alike with one that shows it, by way of another');
        self::assertLessThan(1.0, self::gene($joined, '4', 'pastel'), 'alike for another gene only');
    }

    public function testManySetsAreWeighedTogether(): void
    {
        // Forty hatchlings in twenty pairs, and all pairs in a chain: all are like the first, which was seen.
        $young = array_map(static fn (int $i): Hatchling => self::young("k{$i}", cues: $i === 1 ? ['belly-edge' => 2] : []), range(1, 40));
        $set = static fn (int $a, int $b): array => ['target' => self::target('Yellow Belly'), 'hatchlings' => ["k{$a}", "k{$b}"]];
        $pairs = array_map(static fn (int $i): array => $set(2 * $i + 1, 2 * $i + 2), range(0, 19));
        $chain = array_map(static fn (int $i): array => $set(2 * $i, 2 * $i + 1), range(1, 19));
        $apart = self::identify('Normal', ['Yellow Belly'], $young, alike: $pairs);
        self::assertEqualsWithDelta(14 / 15, self::gene($apart, 'k2', 'yellow-belly'), 1e-9);
        self::assertEqualsWithDelta(.5, self::gene($apart, 'k40', 'yellow-belly'), 1e-9);
        self::assertEqualsWithDelta(14 / 15, self::gene(self::identify('Normal', ['Yellow Belly'], $young, alike: [...$pairs, ...$chain]), 'k40', 'yellow-belly'), 1e-9);
    }

    public function testWhatWasSaidOfAHatchlingCountsAsItDoesInItsFamily(): void
    {
        // At 75 % a statement weighs 3 : 1, whatever it names; and one that names all that shows excludes what it leaves out.
        $said = static fn (string $text, int $percent, bool $namesAll): Hatchling => new Hatchling('1', testimonies: [
            new Testimony('s', Shelf::reader()->read($text, Sex::Female)->beliefOrFail(), Source::Own, Probability::ratio($percent, 100), $namesAll),
        ]);
        self::assertEqualsWithDelta(3 / 4, self::gene(self::identify('Normal', ['Pastel'], [$said('Pastel', 75, false)]), '1', 'pastel'), 1e-12);
        $banana = self::identify('Mojave', ['Banana'], [$said('Banana', 100, true)]);
        self::assertSame([1.0, 0.0], [self::gene($banana, '1', 'banana'), self::gene($banana, '1', 'mojave')]);
    }

    public function testSexCountsThroughLinkage(): void
    {
        $found = self::identify('Normal', ['Banana (male maker)'], [self::young('m', sex: Sex::Male), self::young('f', sex: Sex::Female)]);
        self::assertGreaterThan(.9, self::gene($found, 'm', 'banana'));
        self::assertLessThan(.1, self::gene($found, 'f', 'banana'));
    }

    public function testALethalFormIsNoHatchling(): void
    {
        $found = self::identify('Spider', ['Spider'], [self::young('1')]);
        self::assertEqualsWithDelta(2 / 3, self::gene($found, '1', 'spider'), 1e-12);
    }

    public function testWhatCannotBeIsSetAsideAndTheOthersAreAnswered(): void
    {
        $found = self::identify('Pastel', ['Enchi'], [self::young('1'), self::young('2', 'Clown'), self::young('3', 'Pastel')]);
        self::assertSame(['2'], $found->impossible);
        self::assertSame(1.0, self::gene($found, '3', 'pastel'));
        $both = self::identify('Normal', ['Pastel', 'Enchi'], [self::young('1', 'Pastel'), self::young('2', 'Enchi'), self::young('3')]);
        self::assertSame(['2'], $both->impossible, 'one sire fathered the whole clutch');
    }

    public function testTheOrderOfRecordingDoesNotMatterAndAnIdleCueChangesNothing(): void
    {
        $idle = new Cue(
            'idle', 'Idle', 'back', ['a', 'b'],
            [new CueRule(self::target('Clown'), self::chances('1/3', '2/3')), new CueRule(null, self::chances('1/3', '2/3'))],
        );
        $cues = [...self::cues(), 'idle' => $idle];
        $one = self::identify(
            'Pastel', ['Yellow Belly het Clown'], [self::young('1', cues: ['belly-edge' => 2, 'idle' => 1]), self::young('2', 'Pastel')],
            cues: $cues,
        );
        $other = self::identify(
            'Pastel', ['Yellow Belly het Clown'], [self::young('2', 'Pastel'), self::young('1', cues: ['idle' => 1, 'belly-edge' => 2])],
            cues: $cues,
        );
        $plain = self::identify(
            'Pastel', ['Yellow Belly het Clown'], [self::young('1', cues: ['belly-edge' => 2]), self::young('2', 'Pastel')], cues: $cues,
        );
        foreach (['yellow-belly', 'pastel', 'clown'] as $gene) {
            self::assertEqualsWithDelta(self::gene($one, '1', $gene), self::gene($other, '1', $gene), 1e-12);
            self::assertEqualsWithDelta(self::gene($plain, '1', $gene), self::gene($one, '1', $gene), 1e-12);
        }
        self::assertSame(
            0.0,
            array_values(array_filter($plain->cues('1')['next'], static fn (array $next): bool => $next['cue']->key === 'idle'))[0]['bits'],
        );
    }

    public function testTheNextCueIsThatWhichTellsMostAndLateOnesWait(): void
    {
        $late = new Cue(
            'late', 'Late', 'overall', ['yes', 'no'],
            [
                new CueRule(self::target('Yellow Belly'), self::chances('99/100', '1/100')),
                new CueRule(null, self::chances('1/100', '99/100')),
            ],
            60,
        );
        $cues = [...self::cues(), 'late' => $late];
        $found = self::identify(
            'Normal', ['Yellow Belly'], [self::young('1', days: 59), self::young('2', days: 60), self::young('3', 'Yellow Belly', days: 60)],
            cues: $cues,
        );
        self::assertSame(['late'], array_map(static fn (Cue $cue): string => $cue->key, $found->cues('1')['later']));
        self::assertSame(['belly-edge'], array_map(static fn (array $next): string => $next['cue']->key, $found->cues('1')['next']));
        self::assertSame('late', $found->cues('2')['next'][0]['cue']->key, 'the clearer one first');
        self::assertEqualsWithDelta(1 - (-.99 * log(.99, 2) - .01 * log(.01, 2)), $found->cues('2')['next'][0]['bits'], 1e-9);
        foreach ($found->cues('3')['next'] as $next) {
            self::assertSame(0.0, round($next['bits'], 12), 'nothing is left to be told');
        }
    }

    public function testOfTwoCuesThatShowTheSameTheClearerCounts(): void
    {
        $edge = self::cues()['belly-edge'];
        $again = new Cue(
            'again', 'Again', 'belly', ['a', 'b'],
            [new CueRule(self::target('Yellow Belly'), self::chances('3/5', '2/5')), new CueRule(null, self::chances('1/2', '1/2'))], 0,
            'belly-edge',
        );
        $found = self::identify(
            'Normal', ['Yellow Belly'], [self::young('1', cues: ['belly-edge' => 2, 'again' => 0])],
            cues: ['belly-edge' => $edge, 'again' => $again],
        );
        self::assertEqualsWithDelta(14 / 15, self::gene($found, '1', 'yellow-belly'), 1e-12);
    }

    public function testRandomClutchesAgainstPlainEnumeration(): void
    {
        $chance = new Randomizer(new Mt19937(7));
        $checked = 0;
        for ($round = 0; $round < 25; $round++) {
            $case = PlainClutch::random($chance);
            $found = new Identification(Shelf::catalogue(), Shelf::facts()->looks(), $case->clutch(), $case->cues());
            $expected = $case->posterior();
            if ($expected === null) {
                self::assertNotSame([], $found->impossible);

                continue;
            }
            self::assertSame([], $found->impossible);
            foreach ($found->sires() as $s => $sire) {
                self::assertEqualsWithDelta($expected['sires'][$s], $sire['decimal'], 1e-9, "sires of round {$round}");
            }
            foreach ($expected['genes'] as $id => $genes) {
                foreach ($genes as $gene => $p) {
                    $checked++;
                    self::assertEqualsWithDelta($p, self::gene($found, (string) $id, $gene), 1e-9, "{$gene} of {$id}, round {$round}");
                }
            }
        }
        self::assertGreaterThan(120, $checked);
    }

    public function testCalibration(): void
    {
        // Clutches are drawn from the model: of young that are given p, a share of about p has the gene.
        $chance = new Randomizer(new Mt19937(3));
        $sum = $hits = $squares = 0.0;
        for ($i = 0; $i < 400; $i++) {
            $isOne = $chance->getInt(0, 1) === 1;
            $draw = $chance->getInt(0, 999_999) / 1e6;
            $chances = $isOne ? [.1, .2, .7] : [.8, .15, .05];
            $state = $draw < $chances[0] ? 0 : ($draw < $chances[0] + $chances[1] ? 1 : 2);
            $p = self::gene(
                self::identify('Normal', ['Yellow Belly'], [self::young('1', cues: ['belly-edge' => $state])]), '1', 'yellow-belly',
            );
            $sum += $p;
            $squares += $p * (1 - $p);
            $hits += $isOne ? 1 : 0;
        }
        self::assertEqualsWithDelta($sum, $hits, 4 * sqrt($squares));
    }

    /**
     * @param list<string> $sires
     * @param list<Hatchling> $young
     * @param list<Alike> $alike
     * @param array<string, Cue>|null $cues
     * @param list<int>|null $weights
     */
    private static function identify(
        string $dam, array $sires, array $young, array $alike = [], ?array $cues = null, ?array $weights = null,
    ): Identification {
        $males = [];
        foreach ($sires as $i => $genes) {
            $males[] = ['id' => "s{$i}", 'belief' => Shelf::belief($genes, Sex::Male), 'weight' => Rational::of($weights[$i] ?? 1)];
        }
        self::assertNotSame([], $males);

        return new Identification(Shelf::catalogue(), Shelf::facts()->looks(), new Clutch(Shelf::belief($dam), $males, $young, [], $alike), $cues ?? self::cues());
    }

    /** @param array<string, int> $cues */
    private static function young(string $id, ?string $saw = null, array $cues = [], ?int $days = null, ?Sex $sex = null): Hatchling
    {
        return new Hatchling($id, $sex, $days, $saw === null ? null : self::target($saw), $cues);
    }

    private static function gene(Identification $found, string $id, string $gene): float
    {
        foreach ($found->genes($id) as $one) {
            if ($one['allele']->key === $gene) {
                return $one['decimal'];
            }
        }

        return 0.0;
    }

    /** @return array<string, Cue> */
    private static function cues(): array
    {
        return ['belly-edge' => new Cue('belly-edge', 'Belly edge', 'belly-edge', ['barred', 'some', 'checkered'], [
            new CueRule(self::target('Yellow Belly + Fire'), self::chances('1/50', '2/25', '9/10')),
            new CueRule(self::target('Fire'), self::chances('1/4', '1/2', '1/4')),
            new CueRule(self::target('Yellow Belly'), self::chances('1/10', '1/5', '7/10')),
            new CueRule(null, self::chances('4/5', '3/20', '1/20')),
        ])];
    }

    private static function target(string $text): Target
    {
        return Shelf::facts()->targets()->read($text);
    }

    /** @return list<Rational> */
    private static function chances(string ...$chances): array
    {
        return array_map(Rational::parse(...), array_values($chances));
    }
}

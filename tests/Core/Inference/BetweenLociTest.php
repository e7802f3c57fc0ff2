<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Appearance\LookFacts;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Identification\Cue;
use Destino\Identification\CueChances;
use Destino\Identification\CuePenetrance;
use Destino\Identification\CueRule;
use Destino\Identification\Eye;
use Destino\Identification\LookPenetrance;
use Destino\Inference\Descent\Descent;
use Destino\Inference\Evidence\Brood;
use Destino\Inference\Evidence\Hearing;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Resemblance;
use Destino\Inference\Evidence\Source;
use Destino\Inference\Evidence\Testimony;
use Destino\Inference\Family\BetweenLoci;
use Destino\Inference\Family\Bundles;
use Destino\Inference\Family\Context;
use Destino\Inference\Family\Family;
use Destino\Inference\Family\FamilyModel;
use Destino\Inference\Family\FamilySolver;
use Destino\Inference\Family\Hypothesis;
use Destino\Inference\Family\Solved;
use Destino\Inference\Family\TiedGroups;
use Destino\Inference\Faults\ErrorRates;
use Destino\Inference\Inheritance\GenotypeSpace;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

/** Loci that tell of each other through sires and through what one eye saw, worked out apart, against the graph of all of them. */
final class BetweenLociTest extends TestCase
{
    private const GENES = ['Pastel', 'Enchi', 'Yellow Belly', 'Clown'];

    public function testMessagesBetweenLociAgreeWithTheWholeGraph(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        $trees = $circles = 0;
        $worst = [];
        for ($round = 0; $round < 45; $round++) {
            [$animals, $broods] = self::collection($chance, isTwofold: $round % 3 !== 0, isRead: $round % 3 !== 1);
            foreach (self::models($animals, $broods) as [$model, $whole]) {
                if ($model->parts === [] || $model->offender !== null) {
                    continue;
                }
                $apart = FamilySolver::divided($model);
                self::assertNotNull($apart);
                $together = FamilySolver::solve($whole);
                self::assertSame($together->isPossible(), $apart->isPossible());
                $off = self::difference($apart, $together);
                if ($apart->isExact) {
                    $trees++;
                    self::assertLessThan(1e-9, $off, "round {$round}");
                    self::assertEqualsWithDelta($together->logEvidence, $apart->logEvidence, 1e-6, "round {$round}");
                } else {
                    $circles++;
                    self::assertSame(BetweenLoci::ERROR, $apart->error);
                    $worst[] = $off;
                }
            }
        }
        self::assertGreaterThan(5, $trees);
        self::assertGreaterThan(10, $circles);
        sort($worst);
        self::assertLessThan(BetweenLoci::ERROR, $worst[intdiv(9 * count($worst), 10)], 'nine in ten are within what is said');
        self::assertLessThan(.005, $worst[intdiv(count($worst), 2)], 'and most of them far within');
    }

    /** Two males and a hatchling that was seen twice: which male it was is told by one locus to the other. */
    public function testALocusTellsAnotherWhoTheSireIs(): void
    {
        $animals = [
            self::founder('D', Sex::Female, 'Normal'), self::founder('S', Sex::Male, 'Pastel Yellow Belly'), self::founder('T', Sex::Male, 'Enchi'),
            (new Individual('K', Sex::Female, null, 'D', [], null, ['S', 'T'], [], 'c'))->seenSo([self::read('Pastel', 9)]),
        ];
        [[$model]] = self::models($animals, []);
        $apart = FamilySolver::divided($model);
        self::assertTrue($apart?->isExact);
        // P(Pastel seen | S) = (1/2)(9/10) + (1/2)(1/10) = 1/2; | T) = 1/10. So S with 5/6, and Yellow Belly with 5/12, Enchi with 1/12.
        foreach (['yellowbelly' => 5 / 12, 'enchi' => 1 / 12, 'pastel' => 3 / 4] as $group => $expected) {
            self::assertEqualsWithDelta($expected, self::carries($model, $apart, $group, 'K'), 1e-9, $group);
        }
    }

    public function testSiblingsThatAreAlikeMoveTogether(): void
    {
        $eye = new Eye(Shelf::catalogue());
        $alike = [new Resemblance('one', new LookPenetrance($eye, Shelf::facts()->targets()->read('Pastel')))];
        $young = static fn (string $id, array $read): Individual => (new Individual($id, Sex::Female, 'S', 'D', [], null, [], [], 'c'))
            ->seenSo($read, $alike);
        $animals = [
            self::founder('D', Sex::Female, 'Normal'), self::founder('S', Sex::Male, 'Pastel'), $young('K', [self::read('Pastel', 8)]), $young('L', []),
        ];
        [[$model]] = self::models($animals, []);
        $solved = FamilySolver::solve($model);
        foreach (['K', 'L'] as $id) { // both or neither: 8/10 against 2/10
            self::assertEqualsWithDelta(.8, self::carries($model, $solved, 'pastel', $id), 1e-12, $id);
        }
    }

    private static function carries(FamilyModel $model, Solved $solved, string $group, string $id): float
    {
        $sum = 0.0;
        foreach ($model->spaces as $i => $space) {
            foreach ($space->key === $group ? $solved->of[$i][$id] : [] as $number => $p) {
                $sum += array_filter($space->formsOf($number), static fn ($form): bool => ! $form->isWild()) === [] ? 0.0 : $p->toFloat();
            }
        }

        return $sum;
    }

    private static function difference(Solved $one, Solved $other): float
    {
        $worst = 0.0;
        foreach ($other->of as $i => $members) {
            foreach ($members as $id => $chances) {
                foreach ($chances as $number => $p) {
                    $worst = max($worst, abs($p->toFloat() - $one->of[$i][$id][$number]->toFloat()));
                }
            }
        }

        return $worst;
    }

    /**
     * @param list<Individual> $animals
     * @param list<Brood> $broods
     * @return list<array{FamilyModel, FamilyModel}> what has parts, and the same as a whole
     */
    private static function models(array $animals, array $broods): array
    {
        $catalogue = Shelf::catalogue();
        $byId = array_column(array_map(static fn (Individual $one): array => [$one->id, $one], $animals), 1, 0);
        $context = new Context($catalogue, new Hearing($catalogue), new Descent($catalogue, $byId), ErrorRates::assumed(), static fn (): array => []);
        $given = Hypothesis::of(Family::of($animals, $broods), [], $catalogue);
        $spaces = array_map(
            /** @param list<LinkageGroup> $groups */
            static fn (array $groups): GenotypeSpace => new GenotypeSpace($catalogue, $groups), TiedGroups::of($catalogue, $given->family, []),
        );
        $bundles = Bundles::of($context, $given, $spaces);
        $models = [];
        foreach ($bundles->all as $bundle) {
            [$model, $whole] = [$bundles->model($context, $given, $bundle), $bundles->model($context, $given, $bundle)];
            $whole->parts = [];
            $models[] = [$model, $whole];
        }

        return $models;
    }

    private static function founder(string $id, Sex $sex, string $text): Individual
    {
        $says = Shelf::reader()->read($text, $sex)->beliefOrFail();

        return new Individual($id, $sex, null, null, [new Testimony($id, $says, Source::Own, Probability::one(), true)]);
    }

    /** Of a cue with two states: seen with so many in ten where a gene is, and with the rest where it is not. */
    private static function read(string $when, int $tenths): CuePenetrance
    {
        $given = static fn (int $n): array => [Rational::of(10 - $n, 10), Rational::of($n, 10)];
        $rules = [new CueRule(Shelf::facts()->targets()->read($when), $given($tenths)), new CueRule(null, $given(10 - $tenths))];

        return new CuePenetrance(new CueChances(Shelf::catalogue(), LookFacts::none()), new Cue($when, $when, 'back', ['no', 'yes'], $rules), 1, null);
    }

    /** @return array{list<Individual>, list<Brood>} three generations; the last one is read, or counted, or of either of two males */
    private static function collection(Randomizer $chance, bool $isTwofold, bool $isRead): array
    {
        $animals = $broods = $males = $females = [];
        for ($i = 0; $i < 5; $i++) {
            $sex = $i % 2 === 0 ? Sex::Male : Sex::Female;
            $named = array_values(array_filter(['Pastel', 'Enchi', 'Yellow Belly'], static fn (): bool => $chance->getInt(0, 1) === 1));
            $text = implode(' ', [...$named, ...($chance->getInt(0, 2) > 0 ? ['66% het Clown'] : [])]);
            $animals[] = self::founder("f{$i}", $sex, $text === '' ? 'Normal' : $text);
            $sex === Sex::Male ? $males[] = "f{$i}" : $females[] = "f{$i}";
        }
        for ($clutch = 0; $clutch < 4; $clutch++) {
            $dam = $females[$chance->getInt(0, count($females) - 1)];
            $sires = $chance->shuffleArray($males);
            $sires = array_slice($sires, 0, $isTwofold && $clutch % 2 === 1 ? 2 : 1);
            for ($k = 0; $k < 3; $k++) {
                $sex = $k % 2 === 0 ? Sex::Female : Sex::Male;
                $one = new Individual(
                    "y{$clutch}{$k}", $sex, count($sires) === 1 ? $sires[0] : null, $dam, [], null, count($sires) > 1 ? $sires : [], [], "c{$clutch}",
                );
                $read = [];
                for ($cue = 0; $cue < ($isRead ? 2 : 0); $cue++) {
                    [$a, $b] = $chance->pickArrayKeys(self::GENES, 2);
                    $read[] = self::read(self::GENES[$a].' + '.self::GENES[$b], $chance->getInt(1, 9));
                }
                $animals[] = $one->seenSo($read);
                $clutch < 2 ? ($sex === Sex::Male ? $males[] = $one->id : $females[] = $one->id) : null;
            }
            $broods[] = new Brood(
                "b{$clutch}", $sires, $dam, Shelf::facts()->targets()->read(['not Clown', 'not Pastel', 'not Enchi'][$clutch % 3]), 1, clutch: "c{$clutch}",
            );
        }

        return [$animals, $broods];
    }
}

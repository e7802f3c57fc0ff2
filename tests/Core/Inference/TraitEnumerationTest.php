<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Genome\Sex;
use Destino\Inference\Experiments\TraitAnimal;
use Destino\Inference\Experiments\TraitHypothesis;
use Destino\Inference\Experiments\TraitNotebook;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The notebook of an odd look against plain enumeration: every combination of copies, added up. */
final class TraitEnumerationTest extends TestCase
{
    private const RARE = .01;

    private const MISTAKEN = .02;

    public function testAgreesWithEveryCombinationOfCopies(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $animals = self::random(new Randomizer(new Mt19937($seed)));
            $posterior = (new TraitNotebook($animals))->posterior();
            $weights = [];
            foreach (
                [
                    TraitHypothesis::NotInherited, TraitHypothesis::Dominant, TraitHypothesis::IncompleteDominant,
                    TraitHypothesis::Recessive,
                ] as $hypothesis
            ) {
                $weights[$hypothesis->value] = $hypothesis
                    ->prior() * self::evidence($hypothesis, $animals) / self::evidence($hypothesis, [$animals[0]]);
            }
            // Only ratios: the hypothesis that is linked to sex has another model.
            foreach ($weights as $value => $weight) {
                self::assertEqualsWithDelta(
                    log($weight / $weights['recessive']), log($posterior[$value] / $posterior['recessive']), 1e-8,
                    "seed {$seed}, {$value}",
                );
            }
        }
    }

    public function testASexLinkedLookIsCarriedByTheChromosomeThatHasIt(): void
    {
        // One odd son of an odd father by a normal dam. The father has it on X or on Y alike; from Y a son gets it but for
        // the recombination of 7 in 100, from X only with it: together 1/2, just as from a dominant gene.
        $father = new TraitAnimal('O', Sex::Male, 'odd');
        $dam = new TraitAnimal('N', Sex::Female, 'normal');
        $one = (new TraitNotebook([$father, $dam, new TraitAnimal('K', Sex::Male, 'odd', 'O', 'N')]))->posterior();
        self::assertEqualsWithDelta(
            TraitHypothesis::SexLinked->prior() / TraitHypothesis::Dominant->prior(), $one['sex-linked'] / $one['dominant'],
            .02 * $one['sex-linked'] / $one['dominant'],
        );
        // Six odd sons and six plain daughters: (0.93¹² + 0.07¹²)/2 against (1/2)¹².
        $many = (
            new TraitNotebook([
                $father, $dam, new TraitAnimal('s', Sex::Male, 'odd', 'O', 'N', 6),
                new TraitAnimal('d', Sex::Female, 'normal', 'O', 'N', 6),
            ])
        )->posterior();
        $ratio = $many['sex-linked'] / $many['dominant'] / (TraitHypothesis::SexLinked->prior() / TraitHypothesis::Dominant->prior());
        self::assertEqualsWithDelta(.93 ** 12 / 2 / .5 ** 12, $ratio, .15 * $ratio, 'but for looks that are mistaken');
    }

    public function testAGeneInMindIsToldFromOneOfItsOwn(): void
    {
        // A young that shows both, bred to a normal: alleles part, genes of their own may go together or both stay away.
        $animals = [
            new TraitAnimal('O', Sex::Male, 'odd'), new TraitAnimal('K', Sex::Female, 'normal known'),
            new TraitAnimal('C', Sex::Male, 'odd known', 'O', 'K'), new TraitAnimal('N', Sex::Female, 'normal'),
        ];
        $parted = (
            new TraitNotebook(
                [
                    ...$animals, new TraitAnimal('a', Sex::Male, 'odd', 'C', 'N', 4),
                    new TraitAnimal('b', Sex::Female, 'normal known', 'C', 'N', 4),
                ],
                true,
            )
        )->posterior();
        $together = (
            new TraitNotebook(
                [
                    ...$animals, new TraitAnimal('a', Sex::Male, 'odd known', 'C', 'N', 2),
                    new TraitAnimal('b', Sex::Female, 'normal', 'C', 'N', 2),
                ],
                true,
            )
        )->posterior();
        // Eight that part: 1 in 2 each as alleles, 1 in 4 each as genes of their own.
        self::assertEqualsWithDelta(
            2 ** 8,
            $parted['allelic'] / $parted['dominant'] / (TraitHypothesis::Allelic->prior() / TraitHypothesis::Dominant->prior()),
            .35 * 2 ** 8,
        );
        self::assertLessThan(.001, $together['allelic']);
        self::assertArrayNotHasKey('allelic', (new TraitNotebook($animals))->posterior(), 'nothing in mind, nothing to be allelic to');
    }

    /** @return list<TraitAnimal> */
    private static function random(Randomizer $chance): array
    {
        $looks = ['normal', 'normal', 'odd', 'odd', 'strong'];
        $animals = [new TraitAnimal('O', Sex::Male, 'odd'), new TraitAnimal('N', Sex::Female, 'normal')];
        $bySex = ['male' => ['O'], 'female' => ['N']];
        for ($i = 0; $i < $chance->getInt(1, 4); $i++) {
            $sex = $chance->getInt(0, 1) === 0 ? Sex::Male : Sex::Female;
            $count = $chance->getInt(0, 1) === 0 ? 1 : $chance->getInt(2, 4);
            $animals[] = new TraitAnimal(
                "K{$i}", $sex, $looks[$chance->getInt(0, 4)], $bySex['male'][$chance->getInt(0, count($bySex['male']) - 1)],
                $bySex['female'][$chance->getInt(0, count($bySex['female']) - 1)], $count,
            );
            if ($count === 1) {
                $bySex[$sex->value][] = "K{$i}";
            }
        }

        return $animals;
    }

    /**
     * @param list<TraitAnimal> $animals
     * @param array<string, int> $copies so far
     */
    private static function evidence(TraitHypothesis $hypothesis, array $animals, array $copies = []): float
    {
        if ($animals === []) {
            return 1.0;
        }
        $animal = $animals[0];
        $rest = array_slice($animals, 1);
        $law = $animal->sire === null
            ? [(1 - self::RARE) ** 2, 2 * self::RARE * (1 - self::RARE), self::RARE ** 2]
            : self::young($copies[$animal->sire], $copies[(string) $animal->dam]);
        if ($animal->count > 1) {
            $share = array_sum(
                array_map(static fn (int $own): float => $law[$own] * self::seen($hypothesis, $own, $animal->look), [0, 1, 2]),
            );

            return $share ** $animal->count * self::evidence($hypothesis, $rest, $copies);
        }
        $sum = 0.0;
        foreach ([0, 1, 2] as $own) {
            $sum += $law[$own] === 0.0
                ? 0.0
                : $law[$own] * self::seen($hypothesis, $own, $animal->look) * self::evidence(
                    $hypothesis, $rest, [$animal->id => $own] + $copies,
                );
        }

        return $sum;
    }

    /** @return array{float, float, float} P(0, 1, 2 copies | copies of the parents) */
    private static function young(int $sire, int $dam): array
    {
        [$p, $q] = [$sire / 2, $dam / 2];

        return [(1 - $p) * (1 - $q), $p * (1 - $q) + $q * (1 - $p), $p * $q];
    }

    private static function seen(TraitHypothesis $hypothesis, int $copies, string $look): float
    {
        $true = match ($hypothesis) {
            TraitHypothesis::Dominant => $copies > 0 ? 'odd' : 'normal',
            TraitHypothesis::IncompleteDominant => ['normal', 'odd', 'strong'][$copies],
            TraitHypothesis::Recessive => $copies === 2 ? 'odd' : 'normal',
            default => 'normal',
        };

        return $look === $true ? 1 - self::MISTAKEN : self::MISTAKEN / 2;
    }
}

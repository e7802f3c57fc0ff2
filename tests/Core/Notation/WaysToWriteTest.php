<?php

declare(strict_types=1);

namespace Tests\Core\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Every gene is one thing however it is written: what a word means may not hang on which gene it stands beside. */
final class WaysToWriteTest extends TestCase
{
    /** @return iterable<string, array{Inheritance, string, list<string>}> the plain way, and others that mean the same, with … for the name */
    public static function ways(): iterable
    {
        yield 'het' => [Inheritance::Recessive, 'het …', [
            'Het …', 'het for …', 'het: …', 'HET …', '(het …)', '… het', '… (het)', '…/+', '…/wt', '…/normal', '…/wild type', '…/Wildtype', '100% het …', 'het … 100%', 'heterozygous …', 'hets …',
        ]];
        yield 'two thirds het' => [Inheritance::Recessive, '66% het …', [
            '66 % het …', '2/3 het …', '67% het …', 'het … 66%', '… 66% het', '… (66% het)', 'het … (66%)', '66% possible het …',
            '66% poss. het …', '66%het …', '66,6% het …', '66.7 % het …',
        ]];
        yield 'half het' => [Inheritance::Recessive, '50% het …', ['50 % het …', '1/2 het …', 'het … 50%', '… 50% het', '50% ph …', 'het … (50%)']];
        yield 'visual' => [Inheritance::Recessive, '…', ['visual …', 'vis. …', 'homozygous …', 'homo …', '…, ', ' … ', '…/…']];
        yield 'two copies' => [Inheritance::IncompleteDominant, 'super …', ['Super …', '2x …', '… x2', '…/…', 'S. …', 'homozygous …']];
        yield 'one copy' => [Inheritance::IncompleteDominant, '…', ['het …', '…/+', '…/normal', '…/wild type', '(…)']];
        yield 'one of three' => [Inheritance::IncompleteDominant, 'possible … (60%)', ['60% possible …', '… (60%)', '60% …', 'poss. … (60 %)', 'maybe … (60%)']];
    }

    /** @param list<string> $others */
    #[DataProvider('ways')]
    public function testTheSameIsMeantOfEveryGene(Inheritance $inheritance, string $plain, array $others): void
    {
        $read = 0;
        foreach (Shelf::catalogue()->alleles as $allele) {
            if ($allele->inheritance !== $inheritance || self::isOfItsOwn($allele)) {
                continue;
            }
            $meant = self::read(str_replace('…', $allele->name, $plain));
            foreach ($others as $other) {
                $typed = str_replace('…', $allele->name, $other);
                self::assertSame($meant, self::read($typed), "“{$typed}”");
                $read++;
            }
        }
        self::assertGreaterThan(10 * count($others), $read);
    }

    public function testEveryFurtherNameIsTheGeneItself(): void
    {
        $names = 0;
        foreach (Shelf::catalogue()->alleles as $allele) {
            foreach ($allele->aliases as $alias) {
                foreach ($allele->inheritance === Inheritance::Recessive ? ['', 'het ', '66% het '] : ['', 'het '] as $before) {
                    self::assertSame(self::read($before.$allele->name), self::read($before.$alias), "“{$before}{$alias}”");
                    $names++;
                }
                self::assertSame(self::read($allele->name), self::read(mb_strtoupper($alias)), 'in capitals');
                self::assertSame(self::read($allele->name), self::read(mb_strtolower($alias)), 'in small letters');
            }
        }
        self::assertGreaterThan(100, $names);
    }

    public function testTheOrderOfWhatIsCarriedMeansNothing(): void
    {
        $pieces = ['Pastel', 'Super Enchi', 'het Clown', '66% het Piebald', 'Mojave/Mystic', 'possible Orange Dream (60%)', 'Spider'];
        $meant = self::read(implode(', ', $pieces));
        for ($seed = 1; $seed <= 60; $seed++) {
            $shuffled = (new \Random\Randomizer(new \Random\Engine\Mt19937($seed)))->shuffleArray($pieces);
            self::assertSame($meant, self::read(implode(', ', $shuffled)), implode(', ', $shuffled));
        }
    }

    /** Of some genes two copies die, are not known or are another name, and of some a word stands in the name. */
    private static function isOfItsOwn(Allele $allele): bool
    {
        return preg_match('/\b(het|super|homo|visual|ph|possible)\b/i', implode(' ', [$allele->name, ...$allele->aliases])) === 1;
    }

    private static function read(string $text): string
    {
        $reading = Shelf::reader()->read($text, Sex::Male);
        $belief = $reading->belief;

        return $belief instanceof Belief
            ? (new Printer(Shelf::catalogue()))->belief($belief)
            : 'refused: '.implode(' ', array_map(static fn (\Throwable $one): string => $one->getMessage(), $reading->errors));
    }
}

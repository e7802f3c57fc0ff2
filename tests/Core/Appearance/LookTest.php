<?php

declare(strict_types=1);

namespace Tests\Core\Appearance;

use Destino\Appearance\Difference;
use Destino\Appearance\Distance;
use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\SkinMap;
use Destino\Appearance\Sureness;
use Destino\Genome\Allele;
use Destino\Genome\Effect;
use Destino\Genome\Expressions;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class LookTest extends TestCase
{
    private static ?LookFacts $facts = null;

    public function testEveryGeneDiffersFromTheWildTypeOnSomeAxis(): void
    {
        $same = [];
        foreach (Shelf::catalogue()->alleles as $allele) {
            $look = self::facts()->look(Shelf::catalogue(), [self::shownForm($allele)]);
            if ($look->values === [] && $allele->effect !== Effect::Unclear) {
                $same[] = $allele->key;
            }
            self::assertSame(
                $allele->effect === Effect::Unclear, $look->sureness === Sureness::Unknown && $look->values === [],
                "{$allele->key}: what nobody described is not drawn as if it were known",
            );
        }
        self::assertSame([], $same);
    }

    public function testWhatMovedAnAxisAddsUpToItsAmount(): void
    {
        $checked = 0;
        foreach (['Pastel', 'Leopard Clown', 'Enchi Mojave', 'GHI Pastel', 'Super Enchi Yellow Belly'] as $text) {
            $look = self::look($text);
            foreach ($look->values as $axis => $value) {
                $checked++;
                $sum = array_sum(array_column($look->reasons[$axis], 1));
                self::assertEqualsWithDelta(max(-3.0, min(3.0, $sum)), $value, 1e-9, "{$text}: {$axis}");
            }
        }
        self::assertGreaterThan(40, $checked);
    }

    public function testDosesAreOrdered(): void
    {
        self::assertGreaterThan(self::look('Enchi')->at('orange_red'), self::look('Super Enchi')->at('orange_red'));
        self::assertLessThan(self::look('Enchi')->at('pattern_amount'), self::look('Super Enchi')->at('pattern_amount'));
        self::assertGreaterThan(self::look('Pastel')->at('blush'), self::look('Super Pastel')->at('blush'));
        self::assertSame([], self::look('het Clown')->values, 'a het of a recessive looks like a normal');
    }

    public function testInteractionsAreStatedByName(): void
    {
        $reasons = array_merge([], ...array_values(self::look('Pastel Cinnamon')->reasons));
        self::assertContains('Cinnamon pulls the pastel yellow toward a pewter grey-brown.', array_column($reasons, 0));
        self::assertLessThan(self::look('Pastel')->at('yellow'), self::look('Pastel Cinnamon')->at('yellow'));
    }

    public function testMasksHideAndSayWhat(): void
    {
        $plain = self::look('Super Mojave');
        $with = self::look('Super Mojave Clown Pastel');
        self::assertSame($plain->values, $with->values);
        self::assertEqualsCanonicalizing(['Clown', 'Pastel'], $with->hidden);
        self::assertNotSame([], self::look('Super Cinnamon Pastel')->values);
        self::assertSame([], self::look('Super Cinnamon Pastel')->hidden, 'pastel shows through strongly');
        self::assertSame(['Spider'], self::look('Super Cinnamon Spider')->hidden);
    }

    public function testNothingBringsBackAPigmentThatIsTakenAway(): void
    {
        self::assertLessThanOrEqual(-3.0, self::look('Albino Black Pastel')->at('black_depth'));
        self::assertLessThanOrEqual(-3.0, self::look('Axanthic (line 1) Pastel')->at('yellow'));
    }

    public function testMoreBlackIsNeverLighter(): void
    {
        $last = INF;
        foreach ([-3.0, -2.0, -1.0, 0.0, 1.0, 2.0] as $black) {
            $mean = self::lightness(new Look(['black_depth' => $black], [], Sureness::Known, [], 1000, 0));
            self::assertLessThan($last, $mean);
            $last = $mean;
        }
        self::assertGreaterThan(
            self::lightness(new Look(['yellow' => 2.0], [], Sureness::Known, [], 1000, 0)),
            self::lightness(new Look(['yellow' => -3.0], [], Sureness::Known, [], 1000, 0)),
        );
    }

    public function testAgeChangesWhatItChanges(): void
    {
        self::assertSame(0.0, self::look('Lavender Albino', 0)->at('lavender'));
        self::assertGreaterThan(1.0, self::look('Lavender Albino', 1000)->at('lavender'));
        self::assertSame(0.0, self::look('Banana', 0)->at('freckles'));
        self::assertEqualsWithDelta(.25, self::look('Banana', 90)->at('freckles'), 1e-9, 'halfway to the amount of half a year');
        self::assertSame(self::look('Spider', 10)->values, self::look('Spider', 3000)->values);
    }

    public function testTheSameSeedGivesTheSameIndividualAndOthersVary(): void
    {
        $facts = self::facts();
        $of = static fn (int $seed): array => $facts->look(Shelf::catalogue(), self::forms('Piebald'), 1000, $seed)->values;
        self::assertSame($of(4), $of(4));
        self::assertNotSame($of(4), $of(5));
        $white = array_map(static fn (int $seed): float => $of($seed)['white_area'], range(1, 40));
        self::assertGreaterThan(.4, max($white) - min($white));
        self::assertGreaterThan(0.0, min($white));
    }

    public function testADifferenceBeginsWithWhatChangesMostOfTheSkin(): void
    {
        $words = static fn (string $one, string $other): array => Difference::between(self::look($one), self::look($other), self::facts())->words();
        self::assertSame('narrow, regular bars', $words('Pastel', 'Enchi')[0], 'and not its more orange');
        self::assertSame(['plain flanks', 'a wider dark back'], array_slice($words('Normal', 'Clown'), 0, 2), 'and not the stamp of the head');
        self::assertSame('white patches', $words('Normal', 'Piebald')[0]);
        self::assertContains('checks along the belly edge', array_slice($words('Normal', 'Yellow Belly'), 0, 3));
        self::assertSame('red eyes', $words('Normal', 'Albino')[4]);
        self::assertSame([], $words('Clown', 'Clown het Piebald'));
    }

    /** @return iterable<string, array{string, string}> genes that nobody who looks mixes up */
    public static function apart(): iterable
    {
        foreach ([['Pastel', 'Enchi'], ['Albino', 'Axanthic (line 1)'], ['Spider', 'Pinstripe'], ['Clown', 'Piebald'], ['Mojave', 'Lesser'], ['Banana', 'Albino'], ['Leopard', 'Champagne'], ['Cinnamon', 'Fire']] as $pair) {
            yield implode(' and ', $pair) => $pair;
        }
    }

    #[DataProvider('apart')]
    public function testGenesThatCanBeToldApartAreDrawnApart(string $one, string $other): void
    {
        self::assertGreaterThan(2 * Distance::SEEN, Distance::between(self::look($one), self::look($other)));
    }

    public function testNamesOfOneAlleleAreDrawnAlike(): void
    {
        self::assertSame(0.0, Distance::between(self::look('Banana'), self::look('Coral Glow')));
        self::assertSame(0.0, Distance::between(self::look('Lesser'), self::look('Butter')));
        self::assertLessThan(Distance::SEEN, Distance::between(self::look('Axanthic (line 1)'), self::look('Axanthic (line 2)')));
        self::assertLessThan(Distance::SEEN, Distance::between(self::look('Gravel'), self::look('Asphalt')));
        self::assertLessThan(Distance::SEEN, Distance::between(self::look('Super Lesser'), self::look('Super Butter')));
        self::assertLessThan(Distance::SEEN, Distance::between(self::look('Lesser/Butter'), self::look('Super Lesser')));
    }

    public function testACompoundNobodyDescribedIsDrawnFromItsPartsAndSaysSo(): void
    {
        self::assertSame(Sureness::Known, self::look('Pastel')->sureness);
        self::assertSame(Sureness::Inferred, self::look('Pastel Enchi')->sureness);
        self::assertSame(Sureness::Unknown, self::look('Mocha/Special')->sureness);
        self::assertSame(0.0, self::look('Mojave/Lesser')->at('crowngrey'), 'described in words: without the grey of two Mojave');
        self::assertSame(self::look('Pastel Lesser')->values, self::look('Pastel Butter')->values);
        self::assertGreaterThan(-2.4, self::look('Albino Axanthic (line 1)')->at('yellow'), 'a snow keeps a faint yellow');
        self::assertSame(1.6, self::look('Piebald Yellow Belly')->at('patchjagged'), 'beside the mask that Piebald is');
        self::assertSame(self::look('Super Mojave')->values, self::look('Super Mojave Pastel')->values);
        $half = self::look('Lesser/Mocha');
        self::assertEqualsWithDelta(
            (self::look('Super Lesser')->at('fade') + self::look('Super Mocha')->at('fade')) / 2, $half->at('fade'), 1e-9,
        );
    }

    private static function lightness(Look $look): float
    {
        $sum = $count = 0;
        foreach ((new SkinMap($look, 60, 15))->rectangle() as $row) {
            foreach ($row as $colour) {
                $sum += ($colour >> 16 & 255) + ($colour >> 8 & 255) + ($colour & 255);
                $count++;
            }
        }

        return $sum / $count;
    }

    private static function facts(): LookFacts
    {
        return self::$facts ??= LookFacts::of(Shelf::facts()->document);
    }

    private static function look(string $text, int $days = LookFacts::ADULT): Look
    {
        return self::facts()->look(Shelf::catalogue(), $text === 'Normal' ? [] : self::forms($text), $days);
    }

    private static function shownForm(Allele $allele): Form
    {
        return $allele->inheritance === Inheritance::Recessive
            ? Shelf::catalogue()->twoCopies($allele)
            : Shelf::catalogue()->oneCopy($allele);
    }

    /** @return list<Form> */
    private static function forms(string $text): array
    {
        $forms = [];
        foreach (Shelf::belief($text)->factors as $factor) {
            foreach ((new Expressions(Shelf::catalogue()))->ofState(array_values($factor->states->entries())[0][0]) as $expression) {
                array_push($forms, ...array_values($expression->forms));
            }
        }

        return $forms;
    }

    public function testWhatFewerKeepersTellOfIsAnEffectOfTheGene(): void
    {
        $facts = Shelf::facts();
        self::assertContains('redeye', $facts->looks()->lessSure['banana']);
        foreach ($facts->looks()->lessSure as $key => $axes) {
            $allele = $facts->catalogue()->allele($key);
            $own = [];
            foreach ([$facts->catalogue()->oneCopy($allele), $facts->catalogue()->twoCopies($allele)] as $form) {
                $own += array_filter($facts->looks()->amountsOf($facts->catalogue(), $form));
            }
            self::assertSame([], array_diff($axes, array_keys($own)), $key);
        }
    }
}

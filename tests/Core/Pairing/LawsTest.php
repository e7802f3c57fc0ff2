<?php

declare(strict_types=1);

namespace Tests\Core\Pairing;

use Brick\Math\BigInteger;
use Destino\Genome\Allele;
use Destino\Genome\Diplotype;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Notation\TargetReader;
use Destino\Pairing\Cross;
use Destino\Pairing\Genotypes;
use Destino\Pairing\Looks;
use Destino\Pairing\Outcome;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Rational;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Laws that hold for every pairing, tried on random ones. */
final class LawsTest extends TestCase
{
    use TestTrait;

    /** Words from which random parents are made: simple, complex, recessive, sex-linked, uncertain, lethal, masking. */
    private const WORDS = [
        'Pastel', 'Super Enchi', 'Mojave', 'Lesser', 'Mojave/Mystic', '50% Lesser', 'Yellow Belly or Gravel', 'Cinnamon',
        'Banana', 'Super Banana',
        'Spider', 'Pinstripe', 'Pinstripe (33% two copies)', 'Champagne', 'Albino', 'het Albino', 'Albino/Candy', '66% het Candy',
        'het Clown', 'Clown',
        'Cryptic', '66% het Piebald', 'Piebald', 'het Hypo (line 1)', 'Hypo (line 2)', 'Woma or Hidden Gene Woma',
    ];

    private const BANANA_FRACTION = '7/100';

    /** Ways of passing on that plain enumeration goes through for one pair. */
    private const MOST_WAYS = 12_000;

    private int $enumerated = 0;

    public function testTheLikeliestAreCountedWithoutBeingListed(): void
    {
        foreach ([['Pastel Enchi Fire', 'Clown Mojave', 16], ['Pastel', 'Pastel', 1], ['Spider', 'Spider', 1], ['Pastel het Clown', 'Enchi het Clown', 4], ['Normal', 'Normal', 1]] as [$sire, $dam, $count]) {
            foreach ([Genotypes::of(Shelf::cross($sire, $dam)), Looks::of(Shelf::cross($sire, $dam))] as $space) {
                $living = array_values(array_filter(iterator_to_array($space->walk(), false), static fn (Outcome $one): bool => ! $one->isLethal));
                $ties = array_filter($living, static fn (Outcome $one): bool => $one->probability->equals($living[0]->probability));
                self::assertSame((string) count($ties), (string) $space->likeliest(), "{$sire} × {$dam}");
            }
            self::assertSame((string) $count, (string) Genotypes::of(Shelf::cross($sire, $dam))->likeliest(), "{$sire} × {$dam}");
        }
        $many = Genotypes::of(Shelf::cross('Pastel Enchi Fire Mojave Spotnose Leopard', 'Pinstripe Cinnamon Black Head Yellow Belly'));
        self::assertSame((string) $many->total(), (string) $many->likeliest(), 'all alike');
    }

    public function testLinkedGenesOfUnknownPhaseAreMostlyInRepulsion(): void
    {
        $linked = ['enchi-cinnamon-allelism' => 'linked'];
        // r = 1/20, and 1/20 in coupling: both from coupling 19/40, from repulsion 1/40: 1/20 · 19/40 + 19/20 · 1/40.
        $table = Shelf::table(Genotypes::of(Shelf::cross('Enchi Cinnamon', 'Normal', $linked)));
        self::assertSame(['19/400', '181/400', '181/400', '19/400'], [$table['Enchi Cinnamon'], $table['Cinnamon'], $table['Enchi'], $table['Normal']]);
        $group = Shelf::catalogue($linked)->groupOf('enchi');
        self::assertSame('1/20', $group->coupling?->toString());
        $double = array_values($group->phasings(['cinnamon' => ['cinnamon', '+'], 'enchi' => ['enchi', '+']]));
        $chances = array_map(static fn (Rational $one): string => $one->toString(), $group->phaseChances($double));
        sort($chances);
        self::assertSame(['1/20', '19/20'], $chances);
        $single = array_values($group->phasings(['cinnamon' => ['cinnamon', '+']]));
        self::assertSame(['1'], array_map(static fn (Rational $one): string => $one->toString(), $group->phaseChances($single)));
        $banana = Shelf::catalogue()->sexGroup();
        self::assertNull($banana->coupling, 'a male of unknown phase is a mixture of both');
    }

    public function testProbabilitiesSumToOneAndLazyOrderIsTheSortedOrder(): void
    {
        $this->forAllPairs(function (Cross $cross): void {
            foreach (
                [
                    Genotypes::of($cross, sexed: true), Looks::of($cross), Looks::of($cross, sexed: true, alike: true),
                    Looks::of($cross, hatched: true),
                ] as $space
            ) {
                $sum = Rational::zero();
                $last = Rational::one();
                $seen = [];
                foreach ($space->walk() as $outcome) {
                    self::assertLessThanOrEqual(0, $outcome->probability->compareTo($last), 'never more likely than the one before');
                    $last = $outcome->probability;
                    $sum = $sum->plus($outcome->probability);
                    $seen[self::identity($outcome)] = true;
                }
                self::assertSame('1', $sum->toString());
                self::assertSame((string) $space->total(), (string) count($seen), 'as many as promised, no two the same');
            }
        });
    }

    public function testGenotypesAgreeWithPlainEnumeration(): void
    {
        $this->forAllPairs(function (Cross $cross): void {
            $ways = count(self::states($cross->sire)) * count(self::states($cross->dam)) * 4 ** count(self::groupKeys($cross));
            if ($ways > self::MOST_WAYS) {
                return; // plain enumeration takes minutes for larger pairs; the smaller ones hold the same law
            }
            $this->enumerated++;
            $clever = [];
            foreach (Genotypes::of($cross, sexed: true)->walk() as $outcome) {
                $clever[self::forms($outcome->forms, $outcome->sex)] = $outcome->probability->toString();
            }
            $plain = array_map(static fn (Rational $p): string => $p->toString(), self::enumerate($cross));
            ksort($clever);
            ksort($plain);
            self::assertSame($plain, $clever);
        });
        self::assertGreaterThan(5, $this->enumerated, 'a law that is tried on nothing holds');
    }

    public function testLooksPartitionTheGenotypes(): void
    {
        $this->forAllPairs(function (Cross $cross): void {
            foreach ([false, true] as $alike) {
                $genotypes = BigInteger::zero();
                foreach (Looks::of($cross, sexed: true, alike: $alike)->walk() as $outcome) {
                    $genotypes = $genotypes->plus($outcome->genotypes);
                }
                self::assertSame((string) Genotypes::of($cross, sexed: true)->total(), (string) $genotypes);
            }
        });
    }

    public function testATargetHasTheOddsOfTheOutcomesThatMeetIt(): void
    {
        $targets = [
            'Pastel', 'not Mojave', 'carries Clown', 'Albino', 'only Spider + Pinstripe', 'no Candy, female', 'het Piebald',
            'Yellow Belly or Gravel', 'Banana, male',
        ];
        $this->forAllPairs(function (Cross $cross) use ($targets): void {
            foreach ($targets as $text) {
                $odds = TargetOdds::of($cross, (new TargetReader($cross->catalogue, Shelf::facts()->names()))->read($text));
                foreach ([Genotypes::of($cross, sexed: true), Looks::of($cross, sexed: true)] as $space) {
                    $sum = Rational::zero();
                    foreach ($space->walk() as $outcome) {
                        $sum = $sum->plus($outcome->probability->times($odds->shareOfHits($outcome)));
                    }
                    self::assertSame($odds->chance->perEgg()->toString(), $sum->toString(), $text);
                }
            }
        });
    }

    public function testSwappingTheParentsChangesNothingThatIsNotLinkedToSex(): void
    {
        $words = array_values(array_filter(self::WORDS, static fn (string $word): bool => ! str_contains($word, 'Banana')));
        $this->limitTo(40)->forAll(self::parent($words), self::parent($words))->then(function (string $one, string $other): void {
            self::assertSame(
                Shelf::table(Genotypes::of(Shelf::cross($one, $other))), Shelf::table(Genotypes::of(Shelf::cross($other, $one))),
            );
        });
    }

    public function testALabelReadBackIsTheSameAnimal(): void
    {
        $printer = new Printer(Shelf::catalogue());
        $this->forAllPairs(function (Cross $cross) use ($printer): void {
            foreach (Genotypes::of($cross, sexed: true)->walk() as $outcome) {
                $belief = Shelf::belief($outcome->label, $outcome->sex ?? Sex::Male);
                self::assertTrue($belief->isCertain());
                self::assertSame($outcome->label, $printer->belief($belief));
                foreach ($outcome->forms as $locus => $form) {
                    $pair = $belief->marginalAt($locus, $cross->catalogue->groupOf($locus))->entries();
                    self::assertSame($form->text, $cross->catalogue->form($locus, ...array_values($pair)[0][0])->text);
                }
            }
        });
    }

    public function testPerHatchlingIsPerEggGivenLife(): void
    {
        $this->forAllPairs(function (Cross $cross): void {
            $alive = Rational::zero();
            foreach (Genotypes::of($cross)->walk() as $outcome) {
                $alive = $outcome->isLethal ? $alive : $alive->plus($outcome->probability);
            }
            self::assertSame($alive->toString(), $cross->survival()->toString());
            $perEgg = Shelf::table(Genotypes::of($cross));
            foreach (Genotypes::of($cross, hatched: true)->walk() as $outcome) {
                $label = $outcome->label.($outcome->sex === null ? '' : ", {$outcome->sex->value}");
                self::assertSame($perEgg[$label], $outcome->probability->times($alive)->toString());
            }
        });
    }

    /** @param callable(Cross): void $law */
    private function forAllPairs(callable $law): void
    {
        $this->limitTo(40)
            ->forAll(self::parent(self::WORDS), self::parent(self::WORDS))
            ->then(static fn (string $sire, string $dam) => $law(Shelf::cross($sire, $dam)));
    }

    /**
     * A random parent: up to three words whose genes stand at different loci.
     *
     * @param list<string> $words
     * @return \Eris\Generator<string>
     */
    private static function parent(array $words): \Eris\Generator
    {
        return Generators::map(static function (array $picks) use ($words): string {
            $text = '';
            foreach ($picks as $pick) {
                $longer = trim($text.' '.$words[$pick]);
                $text = Shelf::reader()->read($longer, Sex::Male)->belief === null ? $text : $longer;
            }

            return $text;
        }, Generators::tuple(...array_fill(0, 3, Generators::choose(0, count($words) - 1))));
    }

    /**
     * P(forms and sex) by walking through every state of both parents and every way of passing one allele of each
     * locus: nothing is factored, nothing remembered.
     *
     * @return array<string, Rational>
     */
    private static function enumerate(Cross $cross): array
    {
        $all = [];
        foreach (self::states($cross->sire) as [$sire, $p]) {
            foreach (self::states($cross->dam) as [$dam, $q]) {
                $eggs = [[[], null, $p->times($q)]];
                foreach (self::groupKeys($cross) as $key) {
                    $group = $cross->catalogue->groups[$key];
                    $longer = [];
                    foreach ($eggs as [$forms, $sex, $weight]) {
                        foreach (self::passes($sire[$key] ?? $group->wildType(Sex::Male), $group->loci) as [$a, $s]) {
                            foreach (self::passes($dam[$key] ?? $group->wildType(Sex::Female), $group->loci) as [$b, $t]) {
                                $next = $forms;
                                $own = $sex;
                                foreach ($group->loci as $i => $locus) {
                                    if ($locus === Sex::LOCUS) {
                                        $own = in_array('Y', [$a[$i], $b[$i]], true) ? Sex::Male : Sex::Female;
                                    } else {
                                        $next[$locus] = $cross->catalogue->form($locus, $a[$i], $b[$i]);
                                    }
                                }
                                $longer[] = [$next, $own, $weight->times($s)->times($t)];
                            }
                        }
                    }
                    $eggs = $longer;
                }
                foreach ($eggs as [$forms, $sex, $weight]) {
                    $name = self::forms($forms, $sex);
                    $all[$name] = isset($all[$name]) ? $all[$name]->plus($weight) : $weight;
                }
            }
        }

        return $all;
    }

    /**
     * The two strands as they are, or crossed over once between the sex locus and banana.
     *
     * @param list<string> $loci
     * @return list<array{list<string>, Rational}>
     */
    private static function passes(Diplotype $parent, array $loci): array
    {
        [$a, $b] = $parent->haplotypes;
        if (count($loci) === 1) {
            return [[$a, Rational::of(1, 2)], [$b, Rational::of(1, 2)]];
        }
        $r = Rational::parse(self::BANANA_FRACTION);
        $half = Rational::of(1, 2);

        return [
            [$a, $half->times($r->complement())], [$b, $half->times($r->complement())],
            [[$a[0], $b[1]], $half->times($r)], [[$b[0], $a[1]], $half->times($r)],
        ];
    }

    /** @return list<array{array<string, Diplotype>, Rational}> */
    private static function states(\Destino\Genome\Belief $belief): array
    {
        $states = [[[], Rational::one()]];
        foreach ($belief->factors as $factor) {
            $longer = [];
            foreach ($states as [$state, $p]) {
                foreach ($factor->states->entries() as [$more, $q]) {
                    $longer[] = [$state + $more->diplotypes, $p->times($q)];
                }
            }
            $states = $longer;
        }

        return $states;
    }

    /** @return list<string> */
    private static function groupKeys(Cross $cross): array
    {
        return array_values(array_unique([...$cross->sire->groups(), ...$cross->dam->groups(), $cross->catalogue->sexGroup()->key]));
    }

    /** @param array<string, Form> $forms */
    private static function forms(array $forms, ?Sex $sex): string
    {
        $pairs = array_map(
            static fn (Form $form): string => $form->locus.':'.implode('/', $form->pair),
            array_filter($forms, static fn (Form $form): bool => $form->pair[0] !== Allele::WILD),
        );
        sort($pairs);

        return implode(' ', $pairs).' '.$sex?->value;
    }

    private static function identity(Outcome $outcome): string
    {
        $members = [];
        foreach ($outcome->items as $item) {
            $members[] = implode(',', array_map(static fn ($member): string => (string) $member->rank, $item->members));
        }

        return implode('|', $members).self::forms($outcome->forms, $outcome->sex);
    }
}

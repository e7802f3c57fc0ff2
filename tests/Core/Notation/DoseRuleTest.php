<?php

declare(strict_types=1);

namespace Tests\Core\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Sex;
use Destino\Notation\Dose;
use Destino\Notation\DoseRule;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** One table says how many copies a word means: what is read, what is asked and what is printed agree for every gene. */
final class DoseRuleTest extends TestCase
{
    /** Which numbers of copies meet a clause. */
    private const MEETS = [
        'TwoCopies' => [2], 'AtLeastOne' => [1, 2], 'ExactlyOne' => [1], 'HiddenHet' => [1],
    ];

    public function testEveryWordIsReadByTheTableForEveryGene(): void
    {
        $read = $refused = 0;
        foreach (Shelf::catalogue()->alleles as $allele) {
            foreach (Dose::cases() as $dose) {
                if (self::isName($dose, $allele)) {
                    continue;
                }
                $rule = DoseRule::of($dose, $allele);
                $reading = Shelf::reader()->read(trim("{$dose->word()} {$allele->name}"), Sex::Female);
                if ($rule->copies === null) {
                    self::assertInstanceOf(NotationError::class, $reading->errors[0] ?? null, $allele->name);
                    $refused++;

                    continue;
                }
                self::assertNotNull($reading->belief, "{$dose->word()} {$allele->name}");
                self::assertSame($rule->copies, self::copies($reading->belief->statesOver([Shelf::catalogue()->groupOf($allele->locus)]), $allele));
                $rule->statementNote === '' ?: self::assertContains($rule->statementNote, $reading->notes);
                $read++;
            }
        }
        self::assertGreaterThan(200, $read);
        self::assertGreaterThan(10, $refused, '“super” before a recessive');
    }

    public function testATargetIsMetByAsManyCopiesAsItsClauseSays(): void
    {
        $met = 0;
        foreach (Shelf::catalogue()->alleles as $allele) {
            foreach (Dose::cases() as $dose) {
                if (self::isName($dose, $allele)) {
                    continue;
                }
                $rule = DoseRule::of($dose, $allele);
                $target = Shelf::facts()->targets()->read(trim("{$dose->word()} {$allele->name}"));
                if (! $dose->isTwo()) { // two copies are asked for as a pair
                    self::assertSame($rule->clause, $target->conditions[0]->anyOf[0]->kind, "{$dose->word()} {$allele->name}");
                }
                foreach (self::animals($allele) as $copies => $belief) {
                    $chance = $target->chanceFor($belief, Shelf::catalogue());
                    $meets = in_array($copies, self::MEETS[$rule->clause->name], true);
                    self::assertSame($meets, $chance->isOne(), "{$copies} copies of {$allele->name} for “{$target->text}”");
                    self::assertSame(! $meets, $chance->isZero());
                    $met += $meets ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(300, $met);
    }

    public function testWhatIsPrintedOfOneAndTwoCopiesReadsBack(): void
    {
        $printer = new Printer(Shelf::catalogue());
        $same = 0;
        foreach (Shelf::catalogue()->alleles as $allele) {
            foreach (self::animals($allele) as $copies => $belief) {
                $text = $printer->belief($belief);
                $again = Shelf::reader()->read($text, Sex::Female)->belief;
                self::assertNotNull($again, $text);
                self::assertSame($copies, self::copies($again->statesOver([Shelf::catalogue()->groupOf($allele->locus)]), $allele), $text);
                $same++;
            }
        }
        self::assertGreaterThan(150, $same);
    }

    /** @return array<int, \Destino\Genome\Belief> females with none, one and two copies, written without the word in question */
    private static function animals(Allele $allele): array
    {
        $of = static fn (string $text): \Destino\Genome\Belief => Shelf::reader()->read($text, Sex::Female)->beliefOrFail();

        return [$of('Normal'), $of("{$allele->name}/+"), $of("{$allele->name}/{$allele->name}")];
    }

    /** Whether the word belongs to a name of its own, as “het Daddy” does. */
    private static function isName(Dose $dose, Allele $allele): bool
    {
        return in_array(strtolower("{$dose->word()} {$allele->name}"), array_map(strtolower(...), $allele->aliases), true);
    }

    /** @param array<array-key, array{\Destino\Genome\State, \Destino\Probability\Rational}> $states */
    private static function copies(array $states, Allele $allele): int
    {
        $counts = [];
        foreach ($states as [$state]) {
            foreach ($state->diplotypes as $diplotype) {
                $counts[] = count(array_filter($diplotype->haplotypes, static fn (array $one): bool => in_array($allele->key, $one, true)));
            }
        }

        return max($counts) === min($counts) ? $counts[0] : -1;
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Notation;

use Destino\Genome\Sex;
use Destino\Notation\GenotypeReader;
use Destino\Notation\NotationError;
use Destino\Notation\Printer;
use Destino\Notation\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

/** Lines of lists and adverts: what is no gene is left out with a note, the rest read as meant. */
final class RemarksTest extends TestCase
{
    private static function read(string $text, Sex $sex = Sex::Male): Reading
    {
        return (new GenotypeReader(Shelf::catalogue()))->read($text, $sex);
    }

    /** @return iterable<string, array{string, string, list<string>}> typed, printed, what is left out */
    public static function lines(): iterable
    {
        yield 'an age' => ['Pastel adult', 'Pastel', ['adult']];
        yield 'an age in parentheses' => ['Pastel, Enchi (juvenile)', 'Pastel Enchi', ['(juvenile)']];
        yield 'sold' => ['SOLD Pastel het Clown', 'Pastel het Clown', ['SOLD']];
        yield 'a price' => ['Pastel $350', 'Pastel', ['$350']];
        yield 'a price with words' => ['Pastel 66% het clown 350 usd', 'Pastel 66% het Clown', ['350 usd']];
        yield 'a year' => ['Pastel 2023', 'Pastel', ['2023']];
        yield 'bred in' => ["Pastel CB'23", 'Pastel', ["CB'23"]];
        yield 'hatched in' => ['Mojave hatched 2022', 'Mojave', ['hatched 2022']];
        yield 'a weight' => ['Enchi 1,200g', 'Enchi', ['1,200g']];
        yield 'all at once' => ['Super Pastel 50% het Clown, CB 2022, 1450 g, 350€', 'Super Pastel 50% het Clown', ['CB 2022', '1450 g', '350€']];
        yield 'a name in quotes' => ['“Luna” Pastel', 'Pastel', ['“Luna”']];
        yield 'a gene in quotes' => ['"Pastel" Enchi', 'Pastel Enchi', []];
        yield 'a het in quotes' => ['“66% het Clown” Pastel', 'Pastel 66% het Clown', []];
        yield 'the animal itself' => ['Pastel ball python', 'Pastel', ['ball python']];
        yield 'a bullet' => ['• Pastel Enchi', 'Pastel Enchi', []];
        yield 'a picture' => ['Pastel 🔥 Enchi', 'Pastel Enchi', []];
        yield 'a het in parentheses' => ['Pastel (het clown)', 'Pastel het Clown', []];
        yield 'a chance in parentheses' => ['Pastel (66% het clown)', 'Pastel 66% het Clown', []];
        yield 'a sex in parentheses' => ['Clown (male)', 'Clown', []];
        yield 'a maker without parentheses' => ['Banana male maker', 'Banana (male maker)', []];
        yield 'hets with a slash' => ['dh Clown/Pied', 'het Clown het Piebald', []];
        yield 'three with slashes' => ['trip het Clown/Pied/Albino', 'het Albino het Clown het Piebald', []];
        yield 'het in parentheses still is behind' => ['Clown (het)', 'het Clown', []];
        yield 'proven' => ['adult Spider 2.2kg proven breeder', 'Spider', ['adult', '2.2kg', 'proven breeder']];
        yield 'sent' => ['Pastel Leopard – $300 shipped', 'Pastel Leopard', ['$300', 'shipped']];
        yield 'a short year' => ["Desert Ghost '21", 'Desert Ghost', ["'21"]];
        yield 'a month of birth' => ['Lesser het Pied born 5/2022', 'Lesser het Piebald', ['born 5/2022']];
        yield 'a day of birth' => ['Pastel Clown - DOB 06/12/2021 - 1500g', 'Pastel Clown', ['DOB 06/12/2021', '1500g']];
        yield 'a day with a month in words' => ['Enchi hatched 12 June 2021', 'Enchi', ['hatched 12 June 2021']];
        yield 'what it eats' => ['Pastel dh Clown/Pied 90g eating f/t rats', 'Pastel het Clown het Piebald', ['90g', 'eating f/t rats']];
        yield 'what it eats, then a gene' => ['Pastel eating frozen, Clown', 'Pastel Clown', ['eating frozen']];
        yield 'on hold' => ['on hold: Mojave Clown', 'Mojave Clown', ['on hold']];
        yield 'how it looks' => ['Pied (low white)', 'Piebald', ['(low white)']];
        yield 'how it looks, before' => ['Reduced pattern Clown', 'Clown', ['Reduced pattern']];
        yield 'no percent sign' => ['Banana 66 het clown', 'Banana 66% het Clown', []];
        yield 'a number' => ['ID 23-05 Pastel Enchi', 'Pastel Enchi', []];
        yield 'a maker behind another gene' => ['Banana Clown (male maker)', 'Banana (male maker) Clown', []];
        yield 'a maker in short' => ['Banana Enchi fm', 'Enchi Banana (female maker)', []];
        yield 'a joined het' => ['Banana 66het Clown', 'Banana 66% het Clown', []];
        yield 'a kink' => ['Pastel small kink', 'Pastel', ['small kink']];
        yield 'a maker before its gene' => ['male maker Banana Pied', 'Banana (male maker) Piebald', []];
        yield 'the same by another name' => ['Calico (Sugar) Pied', 'Calico Piebald', []];
        yield 'the word for its look' => ['Super Mojave (BEL)', 'Super Mojave', []];
        yield 'a letter for the sex' => ['Pastel Clown (M)', 'Pastel Clown', []];
        yield 'other separators' => ['Pastel | Enchi • Clown', 'Pastel Enchi Clown', []];
        yield 'stars' => ['*** Pastel_Enchi *sold* ***', 'Pastel Enchi', ['sold']];
        yield 'square brackets' => ['[2021] Pastel Clown [male]', 'Pastel Clown', ['2021']];
        yield 'an age in years' => ['3yo Pastel, 18 months old', 'Pastel', ['3yo', '18 months old']];
        yield 'percent in words' => ['66 percent het clown', '66% het Clown', []];
        yield 'a weight with a word' => ['Pastel Clown wt 1200g', 'Pastel Clown', ['wt 1200g']];
        yield 'a price with a word' => ['Price: 300 Pastel', 'Pastel', ['Price: 300']];
        yield 'a month in figures' => ['8-2022 Pastel', 'Pastel', ['8-2022']];
        yield 'praise' => ['jumbo Pastel Clown, pretty girl, ready to breed', 'Pastel Clown', ['jumbo', 'pretty girl', 'ready to breed']];
        yield 'a number before it' => ['PC2201: Pastel Clown', 'Pastel Clown', []];
        yield 'a tub' => ['Tub 12 Pastel', 'Pastel', ['Tub 12']];
        yield 'with' => ['Pastel w/ het clown', 'Pastel het Clown', []];
        yield 'a known chance is no year' => ['50% het Clown', '50% het Clown', []];
    }

    /** @param list<string> $left */
    #[DataProvider('lines')]
    public function test_what_is_no_gene_is_left_out_and_said(string $typed, string $printed, array $left): void
    {
        $reading = self::read($typed);
        self::assertSame([], array_map(static fn (NotationError $error): string => $error->getMessage(), $reading->errors), $typed);
        self::assertSame($printed, (new Printer(Shelf::catalogue()))->belief($reading->beliefOrFail()));
        foreach ($left as $piece) {
            self::assertContains("“{$piece}” is not read as a gene.", $reading->notes);
        }
    }

    public function test_remarks_anywhere_change_nothing_that_is_read(): void
    {
        $genes = ['Pastel', 'Super Enchi', 'het Clown', '66% het Piebald', 'Mojave/Lesser', 'Stranger', 'Banana', 'Metal Flake'];
        $remarks = [
            'adult', '$350', '1,450 g', '350 eur', "CB'23", '2021', '(juvenile)', '“Luna”', 'for sale', '€ 1.200', '🔥', 'proven', 'DOB 06/12/2021',
            'eating f/t', 'tub 12', 'jumbo', '3yo', '(low white)', 'born Aug 2022', '8-2022', 'Price: 300', 'wt 1200g', '***', "'21", '300,-',
        ];
        mt_srand(7);
        for ($i = 0; $i < 150; $i++) {
            shuffle($genes);
            $own = array_slice($genes, 0, 1 + $i % 3);
            $typed = $own;
            foreach (array_rand(array_flip($remarks), 3) as $remark) {
                array_splice($typed, mt_rand(0, count($typed)), 0, [$remark]);
            }
            [$plain, $beside] = [self::read(implode(', ', $own)), self::read($text = implode(', ', $typed))];
            self::assertCount(count($plain->errors), $beside->errors, $text);
            $printer = new Printer(Shelf::catalogue());
            if ($plain->belief !== null) {
                self::assertSame($printer->belief($plain->belief), $printer->belief($beside->beliefOrFail()), $text);
            }
        }
    }

    /** @return iterable<string, array{string, string}> typed, what is asked */
    public static function asked(): iterable
    {
        yield 'a pair' => ['1.1 Pastel', 'counts males and females'];
        yield 'a doubt belongs to what follows' => ['Pastel ?enchi', '“enchi?”'];
        yield 'no het where there is none' => ['poss enchi', 'such as 50%'];
        yield 'two hets' => ['poss het clown', '66% (from two hets)'];
        yield 'a remark alone is no Normal' => ['sold', 'names no gene'];
        yield 'a picture alone' => ['🔥', 'names no gene'];
        yield 'a price alone' => ['$350', 'names no gene'];
        yield 'a name alone' => ['“Luna”', 'names no gene'];
        yield 'a gene among other words in quotes' => ['“my clown girl” Pastel', 'not a known gene'];
        yield 'a misspelt gene in parentheses' => ['Pastel (Enchhi)', 'in parentheses'];
        yield 'a misspelt gene among words' => ['Pastel (carries Klown)', 'in parentheses'];
        yield 'a misspelt gene among praise' => ['Pastel (nice Klown girl)', 'in parentheses'];
        yield 'another gene in parentheses' => ['Banana (Enchi) Pied', 'in parentheses'];
        yield 'two names of one locus' => ['Banana (coral glow) Pied', 'Banana or Coral Glow'];
        yield 'joined names' => ['PastelEnchiClown', 'Did you mean Pastel Enchi Clown'];
        yield 'two parents' => ['Pastel x Clown', 'between two parents'];
        yield 'two animals' => ['pair Pastel', 'two animals'];
        yield 'some animals' => ['2 Pastels', 'counts animals'];
        yield 'a number that is no chance' => ['2201 Pastel', '#2201'];
        yield 'a parent' => ['Sire: Pastel Clown', 'the animal itself'];
        yield 'food that names a gene' => ['eating frozen Clown', 'not a known gene'];
        yield 'no gene that makes' => ['Pastel (male maker)', 'not linked to sex'];
        yield 'double' => ['Double Pastel', 'one copy or two'];
        yield 'a word of two meanings' => ['Calico Bee', 'can mean several things'];
    }

    #[DataProvider('asked')]
    public function test_what_may_mean_two_things_is_asked(string $typed, string $says): void
    {
        self::assertStringContainsString($says, implode(' ', array_map(
            static fn (NotationError $error): string => $error->getMessage(), self::read($typed)->errors,
        )));
    }

    public function test_a_maker_is_a_male(): void
    {
        $reading = (new GenotypeReader(Shelf::catalogue()))->read('Banana Enchi female maker', null);
        self::assertSame([Sex::Male, []], [$reading->sex, $reading->errors]);
    }

    public function test_a_message_stands_at_the_place_that_was_typed(): void
    {
        $error = self::read('Pastel $350 adult Enchhi')->errors[0];
        self::assertSame(19, $error->position);
    }
}
